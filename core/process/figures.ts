import data from './figures.json';
import type { DyeKind } from '../hair';

/**
 * Every figure of the model that is not physics. `npm run fit` adjusts the fitted ones to the rows of
 * `behaviour-rows.ts`; `figure-sources.ts` says of each what it rests on.
 */
export type ModelFigures = typeof data.model;

/** What hair does between appointments: see `months.ts`. */
export type MonthFigures = typeof data.months;

export interface LiftRow {
  /** Strength of the developer, volumes. */
  vol: number;
  /** Most dose, in the effort that levels cost. */
  dose: number;
  /** Minutes after which 63 % of it is done. */
  tauMinutes: number;
}
export interface ProductFigures {
  /** By strength, rising; null for what lifts nothing. Between rows linear, flat beyond them. */
  lift: LiftRow[] | null;
  /** Dye formed with time: minutes to 63 %, the full time at which it counts as whole, and strength. */
  dye: { tauMinutes: number; fullMinutes: number; strength: number } | null;
  /** Coverage of white strands 0–1 by fashion shades at full time and 20 vol; the natural series adds to it. */
  coversWhite: number;
  /** Strength lost, as an exponent, for a dose of 1 and for a minute on the hair, both at 20 vol. */
  hurtsPerDose: number;
  /** Damage a minute, fraction of all strength. */
  hurtsPerMinute: number;
}
/** How fast dye is taken out, as an exponent at full time: by how it sits, vivid dyes by their colour. */
export type StripKind = Exclude<DyeKind, 'direct'> | 'directWarm' | 'directCool';
export type StripFigures = Record<StripKind, number> & { tauMinutes: number };

interface Figures {
  model: ModelFigures;
  /** What a level more costs, in dose: from 1 to 2, from 2 to 3, to 12. */
  effort: number[];
  hurtByVol: { vol: number; factor: number }[];
  products: Record<string, ProductFigures>;
  months: MonthFigures;
  strips: Record<'lightenerStrong' | 'lightenerGentle' | 'remover', StripFigures>;
}
/** Read by the process; written only by the fit, which has a process of its own. */
export const FIGURES: Figures = data;
