import { differenceOf, labOfRgb, type Lab } from '@cimbel/core/colour';
import { AREAS, type Area } from '@cimbel/core/hair';
import { paintHead, type AreaLook } from '@cimbel/core/draw';
import { DRAWN, VIEWS, VIEW_SIZE, headOf } from './sheet-views';

/** Colours that no two areas share, all equally light. */
const colourOf = (area: Area): Lab => {
  const angle = (AREAS.indexOf(area) / AREAS.length) * 2 * Math.PI;
  return { l: 55, a: 38 * Math.cos(angle), b: 38 * Math.sin(angle) };
};
const look = (area: Area): AreaLook => ({
  colour: colourOf(area),
  greyShare: 0,
  grey: { l: 90, a: 0, b: 0 },
  density: 'dense',
  form: 'straight',
});
const LOOK = Object.fromEntries(AREAS.map((area) => [area, look(area)]));

describe('the drawings of a head', () => {
  it('show between them every area, and have hair of an area under its number', () => {
    const shown = new Set<Area>();
    for (const view of VIEWS) {
      const { data } = paintHead(headOf(view), LOOK, VIEW_SIZE);
      for (const [area, [x, y]] of Object.entries(DRAWN[view].numbers) as [Area, [number, number]][]) {
        shown.add(area);
        const sum = [0, 0, 0];
        let cover = 0;
        for (let i = 0; i < 25; i++) {
          const at =
            4 * ((Math.round(y) - 2 + Math.floor(i / 5)) * VIEW_SIZE.width + Math.round(x) - 2 + (i % 5));
          cover += data[at + 3];
          sum.forEach((_, c) => (sum[c] += data[at + 3] * data[at + c]));
        }
        expect({ view, area, covered: cover > 0.8 * 25 * 255 }).toEqual({ view, area, covered: true });
        const [r, g, b] = sum.map((all) => all / cover / 255);
        const drawn = labOfRgb({ r, g, b });
        const nearest = AREAS.reduce((best, area) =>
          differenceOf(drawn, colourOf(area)) < differenceOf(drawn, colourOf(best)) ? area : best,
        );
        expect({ view, area: nearest }).toEqual({ view, area });
      }
    }
    expect([...shown].sort()).toEqual([...AREAS].sort());
  });

  it('have hair wherever it grows, to its edge, and none on the face', () => {
    /** Fraction 0–1 that is covered, on the mean along a row or down a column of the drawing. */
    const covered = (view: (typeof VIEWS)[number], points: readonly (readonly [number, number])[]) => {
      const { data } = paintHead(headOf(view), LOOK, VIEW_SIZE);
      const sum = points.reduce((all, [x, y]) => all + data[4 * (y * VIEW_SIZE.width + x) + 3], 0);
      return sum / 255 / points.length;
    };
    const down = (from: number, to: number) =>
      Array.from({ length: to - from }, (_, i) => [60, from + i] as const);
    const across = (from: number, to: number) =>
      Array.from({ length: to - from }, (_, i) => [from + i, 60] as const);
    expect(covered('front', down(70, 130))).toBe(0);
    expect(covered('side', across(60, 112))).toBeGreaterThan(0.93);
    expect(covered('back', across(17, 103))).toBeGreaterThan(0.93);
    expect(covered('above', down(16, 140))).toBeGreaterThan(0.93);
  });
});
