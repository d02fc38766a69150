import type { Reason } from '../reason';
import type { Term, AnswerMethod, RightAnswer, Mistake } from './item';
import { insist } from './random-draw';
import type { Subject } from './subject';

/** What one thing in one dose comes to: its part of the mark, and what is said of it where that is not all. */
export interface DoseResult {
  /** Mark, fraction 0–1. */
  score: number;
  /** Why, in the words of the interface. */
  why: Reason | null;
  /** The hair it would leave, to be drawn when it is picked. */
  subject?: Subject;
}

/** Most that laying blindly may earn on average. */
const MOST_BY_CHANCE = 0.25;

/**
 * Something to be laid on hair by hand: one of a few things in one of a few doses. As a question in words it is a choice of
 * every thing in every dose, things outside, doses within. @throws Unfit unless exactly one of them is right.
 */
export function dosedChoice<T, D>(
  things: readonly T[],
  doses: readonly D[],
  wordsOf: (thing: T, dose: D) => Term,
  judge: (thing: T, dose: D) => DoseResult,
) {
  const all = things.flatMap((thing) =>
    doses.map((dose) => ({ words: wordsOf(thing, dose), laid: judge(thing, dose) })),
  );
  const rights = all.filter(({ laid }) => laid.score === 1);
  insist(rights.length === 1, 'not one right answer');
  insist(all.reduce((sum, { laid }) => sum + laid.score, 0) / all.length <= MOST_BY_CHANCE, 'easily guessed');
  const form: AnswerMethod = { kind: 'choice', options: all.map(({ words }) => words), byTress: false };
  const near = all.flatMap(({ laid: { score } }, index) =>
    score > 0 && score < 1 ? [{ index, score }] : [],
  );
  const solution: RightAnswer = {
    kind: 'choice',
    right: all.indexOf(rights[0]),
    ...(near.length > 0 ? { near } : {}),
  };
  const mistakes: Mistake[] = all.flatMap(({ laid: { why } }, answer) => (why ? [{ answer, why }] : []));
  const subjects = all.map(({ laid: { subject } }) => subject);
  return {
    form,
    solution,
    slips: mistakes,
    optionSubjects: subjects.every((subject): subject is Subject => subject !== undefined) ? subjects : null,
  };
}
