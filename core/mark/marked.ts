import type { Reason } from '../reason';

export type Verdict = 'right' | 'near' | 'wrong' | 'open';

export interface Marked {
  /** 0–1 of the criterion's points. */
  share: number;
  verdict: Verdict;
  /** True when it was right for what the student had read, though not for the head (paid for once, in the reading). */
  followed: boolean;
  findings: Reason[];
}

const verdictOf = (share: number): Verdict => (share >= 1 ? 'right' : share > 0 ? 'near' : 'wrong');

export function marked(share: number, findings: Reason[], followed = false): Marked {
  const bounded = Math.min(1, Math.max(0, Math.round(share * 1000) / 1000));
  return { share: bounded, verdict: verdictOf(bounded), followed, findings };
}

/** 1 up to `full`, falling evenly to 0 at `none`. */
export const falling = (distance: number, full: number, none: number) =>
  distance <= full ? 1 : Math.max(0, 1 - (distance - full) / (none - full));

/** Guards comparisons against the noise of adding thirds. */
export const EPSILON = 1e-9;

/** Marks are given in quarter points: fine enough for a share, coarse enough to add up by hand. */
export const toQuarter = (points: number) => Math.round(points * 4) / 4;
