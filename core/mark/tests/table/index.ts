import { CORRECT_PLANS } from './corrections';
import { DARK_BACK_PLANS } from './dark-back';
import { GREY_PLANS } from './grey';
import { HAIR_PLANS } from './hair';
import { LIFT_PLANS } from './lift';
import { MONTHS_PLANS } from './months';
import type { TablePlan } from './plan';
import { REGION_PLANS } from './regions';
import { SAFETY_PLANS } from './safety';
import { TONING_PLANS } from './toning';
import { WORK_PLANS } from './work';

export interface TableRow extends TablePlan {
  caseId: string;
  /** Written and set aside before any work on the marker: only these are reported as agreement. */
  locked: boolean;
}

/** Every plan of the table in order; every third is locked. */
export const TABLE: readonly TableRow[] = [
  GREY_PLANS,
  LIFT_PLANS,
  CORRECT_PLANS,
  REGION_PLANS,
  WORK_PLANS,
  HAIR_PLANS,
  DARK_BACK_PLANS,
  TONING_PLANS,
  SAFETY_PLANS,
  MONTHS_PLANS,
]
  .flatMap((table) => Object.entries(table))
  .flatMap(([caseId, plans]) => plans.map((plan) => ({ caseId, ...plan })))
  .map((row, i) => ({ ...row, locked: i % 3 === 2 }));
