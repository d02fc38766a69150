import fc from 'fast-check';
import { TONE_FAMILIES, toneVector } from '../colour';
import { lineSchema, LINE_KINDS, type Line } from './line';
import { readLabel, unreadableShades, writeLabel, shadesOf } from './numbering';
import { mixTone, naturalShare, type ShadePart, mixLevel } from './shade-mix';
import { shippedLine, SHIPPED_LINES, FORMULA_LINES } from './shipped';

const tarnwick = shippedLine('tarnwick')!;
const quillet = shippedLine('quillet')!;
const shade = (line: typeof tarnwick, label: string) => {
  const reading = readLabel(line, label);
  if (!reading.ok) throw new Error(`${label}: ${reading.reason.code}`);
  return reading.shade;
};

describe('shipped lines', () => {
  it.each(SHIPPED_LINES.map((line) => [line.name, line] as const))(
    '%s is valid, every label readable once',
    (_, line) => {
      expect(lineSchema.parse(line)).toEqual(line);
      expect(unreadableShades(line)).toEqual([]);
      expect(new Set(line.shades).size).toBe(line.shades.length);
      if (FORMULA_LINES.includes(line)) expect(line.shades.length).toBeGreaterThanOrEqual(35);
    },
  );

  it('are of every kind: two permanent, two lighteners, one of each other', () => {
    const kinds = SHIPPED_LINES.map(({ kind }) => kind);
    expect(new Set(kinds)).toEqual(new Set(LINE_KINDS));
    expect(kinds.filter((kind) => kind === 'permanent')).toHaveLength(2);
    expect(new Set(SHIPPED_LINES.map(({ id }) => id)).size).toBe(SHIPPED_LINES.length);
  });

  it('have different keys: no sign and no separator means the same in two of them (T2)', () => {
    for (const line of FORMULA_LINES)
      for (const other of FORMULA_LINES) {
        if (line === other) continue;
        expect(line.key.separator).not.toBe(other.key.separator);
        for (const [sign, family] of Object.entries(line.key.signs))
          expect([line.name, sign, other.key.signs[sign]]).not.toEqual([line.name, sign, family]);
      }
  });
});

describe('shades with a name or a place of their own', () => {
  it('are correctors without depth, high-lift, vivid dyes and fillers', () => {
    expect(shade(tarnwick, 'K:7')).toMatchObject({
      series: 'corrector',
      level: null,
      tone: { primary: 'ash' },
    });
    expect(mixTone([{ shade: shade(tarnwick, 'K:7'), parts: 1 }])).toEqual(
      mixTone([
        { shade: { ...shade(tarnwick, '7:7'), tone: { primary: 'ash', secondary: 'ash' } }, parts: 1 },
      ]),
    );
    expect(shade(tarnwick, '12:0')).toMatchObject({ series: 'highLift', level: 12 });
    expect(shade(tarnwick, '10:0').series).toBe('natural');
    const brindle = shippedLine('brindle')!;
    expect(shade(brindle, 'Lagoon')).toMatchObject({ series: 'direct', dye: 'directBlue', level: null });
    expect(shade(shippedLine('hobday')!, 'Ground 6')).toMatchObject({ series: 'filler', level: 6 });
    // A natural share is made by the natural series alone.
    expect(naturalShare([{ shade: shade(tarnwick, '12:0'), parts: 1 }])).toBe(0);
  });
});

describe('reading a label (T2)', () => {
  it('reads level, primary and weaker secondary in the key of its own line', () => {
    expect(shade(tarnwick, '7:75')).toMatchObject({
      level: 7,
      series: 'fashion',
      tone: { primary: 'ash', secondary: 'violet' },
    });
    expect(shade(quillet, '7-SI')).toMatchObject({ level: 7, tone: { primary: 'ash', secondary: 'violet' } });
    expect(shade(tarnwick, '6:0')).toMatchObject({ series: 'natural', tone: { primary: 'neutral' } });
    expect(shade(tarnwick, '6:00').series).toBe('extraNatural');
    expect(shade(quillet, 'Glass')).toMatchObject({ series: 'clear', level: null });
  });

  it.each([
    ['775', 'label.noSeparator'],
    ['x:7', 'label.badLevel'],
    ['13:7', 'label.badLevel'],
    ['7:', 'label.badToneCount'],
    ['7:777', 'label.badToneCount'],
    ['7:S', 'label.unknownSign'],
  ])('says what is wrong with %s', (label, code) => {
    expect(readLabel(tarnwick, label)).toMatchObject({ ok: false, reason: { code } });
  });

  it('writes what it reads, for every level and tone the key knows', () => {
    const family = fc.constantFrom(...TONE_FAMILIES);
    fc.assert(
      fc.property(
        fc.constantFrom(...SHIPPED_LINES),
        fc.integer({ min: 1, max: 10 }),
        family,
        fc.option(family, { nil: undefined }),
        (line, level, primary, secondary) => {
          const label = writeLabel(line, level, secondary ? { primary, secondary } : { primary });
          if (label === null) return;
          const read = shade(line, label);
          expect(read.level).toBe(level);
          expect(toneVector(read.tone)).toEqual(toneVector(secondary ? { primary, secondary } : { primary }));
        },
      ),
    );
  });
});

describe('mixing shades (F10)', () => {
  const part = (label: string, parts: number): ShadePart => ({ shade: shade(tarnwick, label), parts });

  it('takes the part-weighted mean of levels: two parts 6 and one part 9 make a 7', () => {
    expect(mixLevel([part('6:0', 2), part('9:0', 1)])).toBeCloseTo(7);
    expect(mixLevel([])).toBeNull();
    expect(mixLevel([{ shade: shade(quillet, 'Glass'), parts: 1 }])).toBeNull();
  });

  it('adds tones by parts: a natural series thins a fashion tone by its share', () => {
    const mix = [part('7:7', 1), part('7:0', 1)];
    const pure = toneVector({ primary: 'ash' });
    expect(mixTone(mix).x).toBeCloseTo(pure.x / 2);
    expect(mixTone(mix).y).toBeCloseTo(pure.y / 2);
    expect(naturalShare(mix)).toBe(0.5);
  });

  it('depends on proportions only, not on order or size of parts', () => {
    const shades = shadesOf(tarnwick);
    const parts = fc.array(
      fc.record({ shade: fc.constantFrom(...shades), parts: fc.integer({ min: 1, max: 9 }) }),
      { minLength: 1, maxLength: 3 },
    );
    fc.assert(
      fc.property(parts, fc.integer({ min: 2, max: 50 }), (mix, scale) => {
        const other = [...mix].reverse().map((p) => ({ ...p, parts: p.parts * scale }));
        // Correctors alone have no level, in any order.
        expect(mixLevel(other) ?? -1).toBeCloseTo(mixLevel(mix) ?? -1, 9);
        expect(naturalShare(other)).toBeCloseTo(naturalShare(mix), 9);
        expect(mixTone(other).x).toBeCloseTo(mixTone(mix).x, 9);
        expect(mixTone(other).y).toBeCloseTo(mixTone(mix).y, 9);
      }),
    );
  });
});

describe('a key without a separator', () => {
  const letters = {
    key: { separator: '', signs: { N: 'neutral', A: 'ash', G: 'gold' }, corrector: 'C' },
  } as const;
  const digits = {
    key: {
      separator: '',
      signs: { '0': 'neutral', '1': 'ash', '2': 'violet', '3': 'gold' },
      highLiftFrom: 11,
    },
  } as const;
  const read = (line: Pick<Line, 'key'>, label: string) => {
    const reading = readLabel(line, label);
    return reading.ok ? [reading.shade.level, reading.shade.series, reading.shade.tone] : reading.reason.code;
  };

  it('reads letters after the level, one, two or doubled', () => {
    expect(read(letters, '7N')).toEqual([7, 'natural', { primary: 'neutral' }]);
    expect(read(letters, '8NA')).toEqual([8, 'fashion', { primary: 'neutral', secondary: 'ash' }]);
    expect(read(letters, '10NN')).toEqual([10, 'extraNatural', { primary: 'neutral' }]);
    expect(read(letters, 'CG')).toEqual([null, 'corrector', { primary: 'gold', secondary: 'gold' }]);
  });

  it('reads figures too, a level of two digits before one of one where signs are left for it', () => {
    expect(read(digits, '63')).toEqual([6, 'fashion', { primary: 'gold' }]);
    expect(read(digits, '712')).toEqual([7, 'fashion', { primary: 'ash', secondary: 'violet' }]);
    expect(read(digits, '101')).toEqual([10, 'fashion', { primary: 'ash' }]);
    expect(read(digits, '112')).toEqual([11, 'highLift', { primary: 'violet' }]);
    expect(read(digits, '10')).toEqual([1, 'natural', { primary: 'neutral' }]);
  });

  it('says what is missing, and which sign it has not', () => {
    expect(read(letters, 'N')).toBe('label.noParts');
    expect(read(letters, '7')).toBe('label.noParts');
    expect(read(letters, '7X')).toBe('label.unknownSign');
    expect(read(letters, '7NAG')).toBe('label.badToneCount');
  });

  it('writes what it reads', () => {
    for (const level of [1, 6, 10, 12])
      for (const primary of ['neutral', 'ash', 'gold'] as const) {
        const label = writeLabel(letters, level, { primary })!;
        expect(read(letters, label)).toMatchObject([level, expect.anything(), { primary }]);
      }
  });
});
