import type { Reason } from '../reason';

export type Verdict = 'right' | 'near' | 'wrong' | 'open';

/** What is said of a criterion, with the fraction 0–1 of it that this cost at its place; missing in older grades. */
export type Said = Reason & { loss?: number };

export interface Marked {
  /** 0–1 of the criterion's points. */
  share: number;
  verdict: Verdict;
  /** True when it was right for what the student had read, though not for the head (paid for once, in the reading). */
  followed: boolean;
  /** Worst first. */
  findings: Said[];
}

const verdictOf = (share: number): Verdict => (share >= 1 ? 'right' : share > 0 ? 'near' : 'wrong');

export function marked(share: number, findings: Said[], followed = false): Marked {
  const bounded = Math.min(1, Math.max(0, Math.round(share * 1000) / 1000));
  return { share: bounded, verdict: verdictOf(bounded), followed, findings };
}

/** Marks are given in quarter points: fine enough for a share, coarse enough to add up by hand. */
export const toQuarter = (points: number) => Math.round(points * 4) / 4;
