import fc from 'fast-check';
import { TONE_FAMILIES } from '../colour';
import { type ShadeRequest, requestOnLine, isRightMix, matchOfRequest } from '../method';
import { shippedLine, SHIPPED_LINES, mixLevel } from '../product';
import { DEFAULT_HOUSE_RULES } from '../rules';
import { rightMixes } from './right-mixes';

const tarnwick = shippedLine('tarnwick')!;
const need = (change: Partial<ShadeRequest> = {}): ShadeRequest => ({
  levels: { min: 6, max: 6 },
  tone: { primary: 'gold' },
  naturalShare: { min: 0, max: 0 },
  covers: false,
  highLift: false,
  ...change,
});
const labels = (mixes: ReturnType<typeof rightMixes>) =>
  mixes.map(({ mix }) => mix.map(({ shade, parts }) => `${parts}×${shade.label}`).join(' '));

describe('the mixes that are right for a need', () => {
  it('begin with the plain shade where there is one', () => {
    expect(labels(rightMixes(tarnwick, need(), 5))[0]).toBe('1×6:1');
    expect(labels(rightMixes(tarnwick, need({ tone: { primary: 'ash' } }), 5))[0]).toBe('1×6:7');
  });

  it('hold the natural series that grey asks for (F8)', () => {
    const [first] = rightMixes(tarnwick, need({ naturalShare: { min: 0.5, max: 0.5 }, covers: true }), 5);
    const natural = first.mix.filter(
      ({ shade }) => shade.series === 'natural' || shade.series === 'extraNatural',
    );
    const parts = (of: typeof first.mix) => of.reduce((sum, shadePart) => sum + shadePart.parts, 0);
    expect(parts(natural) / parts(first.mix)).toBeCloseTo(0.5, 1);
  });

  it('make a half level of its neighbours', () => {
    const [first] = rightMixes(tarnwick, need({ levels: { min: 6.5, max: 6.5 } }), 5);
    expect(new Set(first.mix.map(({ shade }) => shade.level))).toEqual(new Set([6, 7]));
  });

  it('are of high-lift shades alone where hair is to be lifted far', () => {
    const mixes = rightMixes(
      tarnwick,
      need({ levels: { min: 10, max: 10 }, tone: { primary: 'pearl' }, highLift: true }),
      20,
    );
    expect(mixes.length).toBeGreaterThan(0);
    for (const { mix } of mixes) expect(mix.some(({ shade }) => shade.series === 'highLift')).toBe(true);
  });

  it('are none from a line that has no such level, and none from a line without shades', () => {
    expect(rightMixes(shippedLine('wrenfell')!, need(), 5)).toEqual([]);
    expect(rightMixes(shippedLine('velm')!, need({ levels: { min: 1, max: 1 } }), 5)).toEqual([]);
  });

  const anyNeed = fc.record({
    level: fc.integer({ min: 4, max: 20 }).map((n) => n / 2),
    span: fc.constantFrom(0, 0.5, 1),
    primary: fc.constantFrom(...TONE_FAMILIES),
    share: fc.constantFrom(0, 0.25, 1 / 3, 0.5, 0.75),
  });
  const lineWithShades = fc.constantFrom(
    ...SHIPPED_LINES.filter(({ kind }) => ['permanent', 'express', 'demi', 'acidGloss'].includes(kind)),
  );

  it('are right by the same measure that marks, of the line’s own shades, cheapest first', () => {
    fc.assert(
      fc.property(lineWithShades, anyNeed, (line, { level, span, primary, share }) => {
        const wanted = need({
          levels: { min: level, max: level + span },
          tone: { primary },
          naturalShare: { min: share, max: share },
        });
        const found = rightMixes(line, wanted, 12);
        let before = -Infinity;
        for (const { mix, match, cost, isNearest } of found) {
          // Where a chart has nothing right, its nearest stands alone and is marked as such.
          if (isNearest) {
            expect(found.every((rightMix) => rightMix.isNearest)).toBe(true);
            continue;
          }
          expect(isRightMix(match)).toBe(true);
          expect(isRightMix(matchOfRequest(mix, wanted))).toBe(true);
          expect(cost).toBeGreaterThanOrEqual(before);
          before = cost;
          for (const { shade, parts } of mix) {
            expect(line.shades).toContain(shade.label);
            expect(parts).toBeGreaterThan(0);
          }
          const mixed = mixLevel(mix)!;
          expect(mixed).toBeGreaterThanOrEqual(level - 0.5);
          expect(mixed).toBeLessThanOrEqual(level + span + 0.5);
        }
      }),
      { numRuns: 40 },
    );
  });
});

describe('a need on a line with a table of its own', () => {
  const own = {
    ...tarnwick,
    greyShares: [
      { from: 0.3, natural: 0.4 },
      { from: 0.7, natural: 0.8 },
    ],
  };
  const covering = need({ naturalShare: { min: 0.5, max: 0.5 }, covers: true });
  it.each([
    [0.25, 0],
    [0.3, 0.4],
    [0.69, 0.4],
    [0.7, 0.8],
    [1, 0.8],
  ])('at %s grey asks for %s of the natural series', (grey, natural) => {
    expect(requestOnLine(covering, grey, own, DEFAULT_HOUSE_RULES).naturalShare).toEqual({
      min: natural,
      max: natural,
    });
  });

  it('is the class’s where the line says nothing, or there is no grey to cover', () => {
    expect(requestOnLine(covering, 0.8, tarnwick, DEFAULT_HOUSE_RULES)).toEqual(covering);
    expect(requestOnLine(need(), 0.8, own, DEFAULT_HOUSE_RULES)).toEqual(need());
  });

  it('is all natural for a natural wish, whatever the table', () => {
    const plain = { ...covering, tone: { primary: 'neutral' as const } };
    expect(requestOnLine(plain, 0.5, own, DEFAULT_HOUSE_RULES).naturalShare).toEqual({ min: 1, max: 1 });
  });
});
