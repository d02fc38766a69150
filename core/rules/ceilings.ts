import { z } from 'zod';

/** Rows of the table of ceilings, best first: how the worst place that shows came out, and hair left a class weaker. */
export const CEILING_ROWS = ['asWished', 'near', 'weaker', 'noticeable', 'needsCorrection'] as const;
export type CeilingRow = (typeof CEILING_ROWS)[number];
/** Crucial decisions that are wrong: none, one, two, three or more. */
export const WRONG_COUNTS = [0, 1, 2, 3] as const;

const most = z.number().int().min(0).max(100);
const row = z.tuple([most, most, most, most]);

/** The table of ceilings as marks are held down by it where a class has no other. */
const STANDARD = {
  asWished: [100, 70, 55, 40],
  near: [90, 70, 55, 40],
  weaker: [85, 60, 45, 40],
  noticeable: [75, 55, 45, 40],
  needsCorrection: [55, 40, 30, 30],
} satisfies Record<CeilingRow, z.infer<typeof row>>;

/**
 * Most of 100 that a plan is worth by the head it leaves and by how many crucial decisions are wrong. A worse head, or a
 * decision more that is wrong, never has a higher ceiling.
 */
export const ceilingsSchema = z
  .object({ asWished: row, near: row, weaker: row, noticeable: row, needsCorrection: row })
  .strict()
  .superRefine((table, context) => {
    CEILING_ROWS.forEach((name, at) =>
      WRONG_COUNTS.forEach((wrong) => {
        const here = table[name][wrong];
        const before = wrong > 0 ? table[name][wrong - 1] : 100;
        const above = at > 0 ? table[CEILING_ROWS[at - 1]][wrong] : 100;
        if (here > Math.min(before, above))
          context.addIssue({
            code: 'custom',
            path: [name, wrong],
            params: { code: 'ceilingRises', most: Math.min(before, above) },
            message: 'ceilingRises',
          });
      }),
    );
  })
  .default(STANDARD);
export type Ceilings = z.infer<typeof ceilingsSchema>;

/** The table with another figure in one cell; what may not be higher than that is lowered with it. */
export function withCeiling(
  table: Ceilings,
  row: CeilingRow,
  wrong: (typeof WRONG_COUNTS)[number],
  most: number,
): Ceilings {
  const from = CEILING_ROWS.indexOf(row);
  const cells = (name: CeilingRow, at: number) =>
    table[name].map((value, i) =>
      at === from && i === wrong ? most : at >= from && i >= wrong ? Math.min(value, most) : value,
    );
  return Object.fromEntries(CEILING_ROWS.map((name, at) => [name, cells(name, at)])) as Ceilings;
}
/** Rows by what they were called before, as the log still has them. */
const EARLIER_ROWS: Readonly<Record<string, CeilingRow>> = {
  notice: 'noticeable',
  correct: 'needsCorrection',
};
/** A table of ceilings that may have been written down when its rows had other names. */
export const withRowNames = (table: Readonly<Record<string, Ceilings[CeilingRow]>>): Ceilings =>
  ceilingsSchema.parse(
    Object.fromEntries(Object.entries(table).map(([row, most]) => [EARLIER_ROWS[row] ?? row, most])),
  );
export const CEILINGS: Ceilings = ceilingsSchema.parse(undefined);
