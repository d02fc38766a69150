import { differenceOf, labOf, labOfRgb, spectrum, toneLab } from '../colour';
import { naturalStrand, labOfStrand, levelOfStrand, reflectanceOf, naturalPigment, NO_DYE } from '../hair';
import { after, powder, permanent, tonerMix } from '../testing/bowls';
import { figurePaths, sourceOf, FIGURE_SOURCES } from './figure-sources';
import { FIGURES } from './figures';
import { BEHAVIOUR } from './tests/behaviour-rows';
import { zoneAt } from './zone-timeline';

const ids = [...new Set(BEHAVIOUR.map(({ row }) => row))];

describe('behaviour of hair', () => {
  it.each(ids)('%s holds with its figures', (id) => {
    const missed = BEHAVIOUR.filter(({ row }) => row === id).flatMap(({ what, value, min, max }) => {
      const v = value();
      const holds = (min === undefined || v >= min - 1e-9) && (max === undefined || v <= max + 1e-9);
      return holds ? [] : [`${what}: ${v.toFixed(3)}, wanted ${min ?? '…'} to ${max ?? '…'}`];
    });
    expect(missed).toEqual([]);
  });

  it('every row of the table is there', () => {
    // H15 is below, H53 is of a whole card (`simulate/joint.test.ts`), growth of a head, splitting weeks a law.
    const elsewhere = ['H15', 'H53', 'H55', 'H60'];
    const wanted = Array.from({ length: 62 }, (_, i) => `H${i + 1}`).filter((id) => !elsewhere.includes(id));
    expect(wanted.filter((id) => !ids.includes(id))).toEqual([]);
  });

  it('H15: a pair that matches in daylight and parts under a lamp', () => {
    const strand = naturalStrand(6);
    expect(differenceOf(labOfStrand(strand, 'daylight'), labOfStrand(strand, 'warmLamp'))).toBeGreaterThan(1);
    const natural = reflectanceOf(naturalPigment(6));
    // The same daylight colour out of dyes alone.
    const wanted = labOf(natural);
    const names = ['directBlue', 'directPink', 'directYellow'] as const;
    let dye = { ...NO_DYE, directBlue: 1, directPink: 1, directYellow: 1 };
    const white = naturalPigment(12);
    const off = (d: typeof dye) => differenceOf(labOf(reflectanceOf(white, d)), wanted);
    for (let step = 0.8; step > 1e-4; step *= 0.7) {
      for (let round = 0; round < 12; round++) {
        for (const name of names) {
          for (const by of [step, -step]) {
            const next = { ...dye, [name]: Math.max(0, dye[name] + by) };
            if (off(next) < off(dye)) dye = next;
          }
        }
      }
    }
    const dyed = reflectanceOf(white, dye);
    expect(differenceOf(labOf(dyed), wanted)).toBeLessThan(1);
    const apart = (['warmLamp', 'coolWhite'] as const).map((light) =>
      differenceOf(labOf(dyed, light), labOf(natural, light)),
    );
    expect(Math.max(...apart)).toBeGreaterThan(3);
    expect(labOf(spectrum(() => 0.2)).l).toBeCloseTo(labOfRgb({ r: 0.4845, g: 0.4845, b: 0.4845 }).l, 0);
  });
});

describe('what the figures rest on', () => {
  it('every figure has a source, and every source stands for a figure', () => {
    const paths = figurePaths(FIGURES);
    expect(paths.filter((path) => !sourceOf(path))).toEqual([]);
    const used = new Set(paths.map((path) => sourceOf(path)));
    expect(FIGURE_SOURCES.filter((source) => !used.has(source))).toEqual([]);
  });

  it('what is fitted names rows that are there, and how far it may be moved', () => {
    for (const { path, kind, from, span } of FIGURE_SOURCES.filter((source) => source.kind === 'fitted')) {
      const rows = from.match(/H\d+|practice/g) ?? [];
      expect({ path, kind, rows: rows.length > 0 && rows.every((row) => ids.includes(row)) }).toEqual({
        path,
        kind,
        rows: true,
      });
      expect(span![0] < 1 && span![1] >= 1).toBe(true);
    }
  });
});

it('a bond additive lessens damage, adds no lift and takes longer (F12)', () => {
  const plain = after(powder(30), naturalStrand(4), 20);
  const guarded = after({ ...powder(30), bondAdditive: true }, naturalStrand(4), 20);
  expect(guarded.damage).toBeLessThan(0.7 * plain.damage);
  expect(levelOfStrand(guarded)).toBeLessThan(levelOfStrand(plain));
});

it('wrong bowls land visibly elsewhere, in the expected direction', () => {
  const brown = naturalStrand(5);
  const greyHead = naturalStrand(5, { white: 0.5 });
  const gold5 = toneLab(5, { primary: 'gold' });
  const land = (mix: ReturnType<typeof permanent>, strand: typeof brown, minutes: number) =>
    labOfStrand(after(mix, strand, minutes));
  const right = land(permanent('7:7', 30), brown, 35);
  expect(land(permanent('5:7', 30), brown, 35).l).toBeLessThan(right.l - 5);
  expect(land(permanent('7:2', 30), brown, 35).a).toBeGreaterThan(right.a + 10);
  expect(land(permanent('7:7', 10), brown, 35).l).toBeLessThan(right.l - 5);
  expect(land(permanent('7:7', 30), brown, 12).b).toBeGreaterThan(right.b + 5);
  expect(land(permanent('5:1', 20), greyHead, 45).l).toBeGreaterThan(gold5.l + 8);
  const porous = naturalStrand(8, { porosity: 'high', diameter: 'fine' });
  expect(differenceOf(land(tonerMix('6-O 7-O'), porous, 20), toneLab(6, { primary: 'beige' }))).toBeLessThan(
    9,
  );
});

it('every place of a head goes by its own plan', () => {
  const root = {
    start: naturalStrand(4, { fromScalpCm: 1 }),
    events: [{ at: 15, do: 'apply' as const, coat: { mix: powder(20) } }],
  };
  const lengths = {
    start: naturalStrand(4),
    events: [
      { at: 0, do: 'apply' as const, coat: { mix: powder(20) } },
      { at: 20, do: 'heat' as const, on: true },
    ],
  };
  expect(zoneAt(root, 10).lying).toBeNull();
  expect(zoneAt(lengths, 20).lying).toMatchObject({ minutes: 20 });
  expect(levelOfStrand(zoneAt(root, 40).strand)).toBeGreaterThan(levelOfStrand(zoneAt(root, 20).strand));
});
