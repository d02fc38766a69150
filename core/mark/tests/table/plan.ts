import type { RecordCard } from '../../../card';
import type { HouseRules } from '../../../rules';

/** One plan of the table: what it is, the span of marks of 100 an educator would sign, and why. */
export interface TablePlan {
  name: string;
  /** Bowls and steps, jotted; those of the model answer when left out. */
  plan?: string;
  /** What else is other than in the model answer. */
  card?: Partial<RecordCard>;
  house?: Partial<HouseRules>;
  span: readonly [least: number, most: number];
  why: string;
}
/** Plans by the shipped case they are for. */
export type Table = Record<string, readonly TablePlan[]>;
