import type { MixRole } from '../method';
import type { Reason } from '../reason';
import { FURTHER_FAULTS } from '../rules';
import type { Fault } from './faults';

/** One thing a criterion says of a place, or of the head: what it costs there, and why. */
export interface Finding {
  /** Name of the part; null for the head as a whole. */
  place: string | null;
  /** Which bowl of the place it is about, where that matters. */
  role: MixRole | null;
  /** Fraction 0–1 of the criterion that it costs at its place; 0 where it is right. */
  loss: number;
  /** What was found. */
  fault: Fault;
}

/** A finding at a place; its loss is kept within 0–1. */
export const finding = (
  place: string | null,
  loss: number,
  fault: Fault,
  role: MixRole | null = null,
): Finding => ({ place, role, loss: Math.min(1, Math.max(0, loss)), fault });

/** How much each place counts in a criterion: as many decisions of it as the model answer makes there. */
export type PlaceWeights = ReadonlyMap<string | null, number>;

/** How much each place counts: as many decisions as the model answer makes there. */
export function placeWeights(findings: readonly Finding[]): PlaceWeights {
  const weights = new Map<string | null, number>();
  for (const { place } of findings) weights.set(place, (weights.get(place) ?? 0) + 1);
  return weights;
}

/** What the faults of one place come to: the worst whole, the others by a quarter (0–1). */
export function lossOfPlace(findings: readonly Finding[]): number {
  const losses = findings.map(({ loss }) => loss);
  const worst = Math.max(0, ...losses);
  const others = losses.reduce((sum, loss) => sum + loss, 0) - worst;
  return Math.min(1, worst + FURTHER_FAULTS * others);
}

/**
 * Fraction 0–1 of a criterion that is lost, over its places. A place to be left alone weighs nothing, but what spoils it
 * counts like the heaviest place.
 */
export function lossOf(findings: readonly Finding[], weights: PlaceWeights): number {
  const heaviest = Math.max(1, ...weights.values());
  const places = new Set([...weights.keys(), ...findings.map(({ place }) => place)]);
  let [all, lost] = [0, 0];
  for (const place of places) {
    const loss = lossOfPlace(findings.filter((finding) => finding.place === place));
    const weight = weights.get(place) ?? (loss > 0 ? heaviest : 0);
    all += weight;
    lost += weight * loss;
  }
  return all > 0 ? lost / all : 0;
}

export type Verdict = 'right' | 'near' | 'wrong' | 'open';

/** What is said of a criterion, with the fraction 0–1 of it that this cost at its place; missing in older grades. */
export type Said = Reason & { loss?: number };

export interface Marked {
  /** 0–1 of the criterion's points. */
  share: number;
  /** Right, near, wrong or open. */
  verdict: Verdict;
  /** True when it was right for what the student had read, though not for the head (paid for once, in the reading). */
  followed: boolean;
  /** Worst first. */
  findings: Said[];
}

const verdictOf = (share: number): Verdict => (share >= 1 ? 'right' : share > 0 ? 'near' : 'wrong');

/** What is said of a criterion, from the share 0–1 that was earned. */
export function marked(share: number, findings: Said[], followed = false): Marked {
  const bounded = Math.min(1, Math.max(0, Math.round(share * 1000) / 1000));
  return { share: bounded, verdict: verdictOf(bounded), followed, findings };
}

/** Marks are given in quarter points: fine enough for a share, coarse enough to add up by hand. */
export const toQuarter = (points: number) => Math.round(points * 4) / 4;
