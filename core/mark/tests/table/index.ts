import { CORRECT_PLANS } from './correct';
import { GREY_PLANS } from './grey';
import { LIFT_PLANS } from './lift';
import type { TablePlan } from './plan';

export interface TableRow extends TablePlan {
  caseId: string;
  /** Written and set aside before any work on the marker: only these are reported as agreement. */
  locked: boolean;
}

/** Every plan of the table in order; every third is locked. */
export const TABLE: readonly TableRow[] = Object.entries({ ...GREY_PLANS, ...LIFT_PLANS, ...CORRECT_PLANS })
  .flatMap(([caseId, plans]) => plans.map((plan) => ({ caseId, ...plan })))
  .map((row, i) => ({ ...row, locked: i % 3 === 2 }));
