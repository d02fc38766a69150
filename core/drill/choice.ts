import type { Reason } from '../reason';
import type { Term, AnswerMethod, RightAnswer, Mistake } from './item';
import { type Draw, insist } from './random-draw';
import type { Subject } from './subject';

export interface OptionCandidate<T> {
  /** The value. */
  value: T;
  /** The words for it. */
  words: Term;
  /** The misconception that leads here; none for the right answer. */
  slip?: Reason;
  /** Part of the mark it earns, 0–1, for what is neither best nor wrong. */
  near?: number;
  /** The hair it would leave, to be drawn when it is picked. */
  subject?: Subject;
}

const name = ({ code, params }: Term) => JSON.stringify([code, params]);

/**
 * Puts one right answer among wrong ones, and proves it: the right one passes the test of the theory, no wrong one does,
 * and no two read alike. Candidates that pass by accident are left out. Wrong answers earlier in the list are preferred,
 * since they are the misconceptions worth meeting. @throws Unfit when fewer than `least` wrong ones are left.
 */
export function chooseAmong<T>(
  draw: Draw,
  right: OptionCandidate<T>,
  wrong: readonly OptionCandidate<T>[],
  isRight: (value: T) => boolean,
  { options = 4, least = 3 }: { options?: number; least?: number } = {},
) {
  insist(isRight(right.value), 'the right answer does not pass its own test');
  const names = new Set([name(right.words)]);
  const optionCandidates: OptionCandidate<T>[] = [];
  for (const candidate of wrong) {
    if (optionCandidates.length >= options - 1) break;
    if (isRight(candidate.value) || names.has(name(candidate.words))) continue;
    names.add(name(candidate.words));
    optionCandidates.push(candidate);
  }
  insist(optionCandidates.length >= least, 'too few wrong answers');
  const order = draw.shuffled([right, ...optionCandidates]);
  const form: AnswerMethod = { kind: 'choice', options: order.map(({ words }) => words), byTress: false };
  const near = order.flatMap(({ near: score }, index) => (score ? [{ index, score }] : []));
  const solution: RightAnswer = {
    kind: 'choice',
    right: order.indexOf(right),
    ...(near.length > 0 ? { near } : {}),
  };
  const mistakes: Mistake[] = order.flatMap(({ slip }, answer) => (slip ? [{ answer, why: slip }] : []));
  const subjects = order.map(({ subject }) => subject);
  return {
    form,
    solution,
    slips: mistakes,
    order: order.map(({ value }) => value),
    optionSubjects: subjects.every((subject): subject is Subject => subject !== undefined) ? subjects : null,
  };
}

/** Wrong figures that cannot be taken for right ones, each once. */
export function wrongFigures(
  solution: { value: number; near: number },
  slips: readonly (readonly [answer: number, why: Reason])[],
): Mistake[] {
  const seen = new Set<number>();
  return slips.flatMap(([answer, why]) => {
    const rounded = Math.round(answer * 100) / 100;
    const apart = Number.isFinite(rounded) && Math.abs(rounded - solution.value) > solution.near;
    if (!apart || rounded < 0 || seen.has(rounded)) return [];
    seen.add(rounded);
    return [{ answer: rounded, why }];
  });
}
