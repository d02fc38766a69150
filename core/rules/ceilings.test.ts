import fc from 'fast-check';
import { CEILING_ROWS, WRONG_COUNTS, type Ceilings, CEILINGS, ceilingsSchema, withCeiling } from './ceilings';

const withCell = (row: (typeof CEILING_ROWS)[number], wrong: (typeof WRONG_COUNTS)[number], most: number) => {
  const cells: Ceilings[typeof row] = [...CEILINGS[row]];
  cells[wrong] = most;
  return ceilingsSchema.safeParse({ ...CEILINGS, [row]: cells });
};

describe('ceilings', () => {
  it('are those of the standard unless a class says otherwise', () => {
    expect(ceilingsSchema.parse(undefined)).toEqual({
      asWished: [100, 70, 55, 40],
      near: [90, 70, 55, 40],
      weaker: [85, 60, 45, 40],
      noticeable: [75, 55, 45, 40],
      needsCorrection: [55, 40, 30, 30],
    });
  });

  it('never rise with a worse head or with one more decision wrong, and say where they do', () => {
    for (const row of CEILING_ROWS)
      for (const wrong of WRONG_COUNTS) {
        const above =
          CEILING_ROWS.indexOf(row) > 0 ? CEILINGS[CEILING_ROWS[CEILING_ROWS.indexOf(row) - 1]][wrong] : 100;
        const before = wrong > 0 ? CEILINGS[row][wrong - 1] : 100;
        const most = Math.min(above, before);
        expect({ row, wrong, ok: withCell(row, wrong, most).success }).toEqual({ row, wrong, ok: true });
        const over = withCell(row, wrong, most + 1);
        expect(over.success).toBe(false);
        expect(over.error?.issues.map(({ path }) => path)).toContainEqual(
          most < 100 ? [row, wrong] : expect.anything(),
        );
      }
  });

  it('are lowered together: what may not be higher goes down with the one that is changed, and nothing else', () => {
    expect(withCeiling(CEILINGS, 'near', 1, 50)).toEqual({
      asWished: [100, 70, 55, 40],
      near: [90, 50, 50, 40],
      weaker: [85, 50, 45, 40],
      noticeable: [75, 50, 45, 40],
      needsCorrection: [55, 40, 30, 30],
    });
    fc.assert(
      fc.property(
        fc.constantFrom(...CEILING_ROWS),
        fc.constantFrom(...WRONG_COUNTS),
        fc.integer({ min: 0, max: 100 }),
        (row, wrong, most) => {
          const changed = withCeiling(CEILINGS, row, wrong, Math.min(most, CEILINGS[row][wrong]));
          expect(ceilingsSchema.safeParse(changed).success).toBe(true);
        },
      ),
    );
  });

  it('are whole figures from 0 to 100', () => {
    expect(withCell('needsCorrection', 3, 0).success).toBe(true);
    expect(withCell('needsCorrection', 3, -1).success).toBe(false);
    expect(withCell('asWished', 0, 101).success).toBe(false);
    expect(withCell('needsCorrection', 3, 12.5).success).toBe(false);
  });
});
