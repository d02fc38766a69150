import type { Line } from '../shades';
import type { Part } from './client-case';
import type { Bowl, RecordCard, Step } from './record-card';

/** A line at hand by its id. */
export type LineOf = (id: string) => Line | undefined;

export const bowlOf = (plan: Pick<RecordCard, 'bowls'>, step: Pick<Step, 'bowl'>): Bowl | undefined =>
  plan.bowls.find(({ name }) => name === step.bowl);

/**
 * Steps that reach a part: woven strands also get what is put on all of the hair, though not what goes between the
 * foils; the rest gets nothing of what is in them.
 */
export const stepsOn = (
  plan: Pick<RecordCard, 'steps'>,
  { zone, woven }: Pick<Part, 'zone' | 'woven'>,
): Step[] =>
  plan.steps
    .filter(({ zones, share, placement }) => {
      if (!zones.includes(zone)) return false;
      return woven ? placement !== 'between' : share === 1 || placement === 'between';
    })
    .sort((a, b) => a.start - b.start);

/** Minute at which the last step is rinsed. */
export const lastMinute = ({ steps }: Pick<RecordCard, 'steps'>) =>
  steps.reduce((last, { start, minutes }) => Math.max(last, start + minutes), 0);
