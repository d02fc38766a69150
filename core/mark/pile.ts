import type { Criterion } from '../exercise';
import type { Reason } from '../reason';
import type { Said } from './finding';
import type { Grade } from './mark-card';
import { WRONG_FROM } from './crucial-decisions';
import type { Misconception } from './misconception';

/** What of a grade says which answers it is like. */
export type PiledGrade = Pick<Grade, 'points' | 'max' | 'dangers' | 'criteria' | 'misconceptions'>;

export interface PiledAnswer {
  /** Name of the answer, whatever the caller calls it by. */
  id: string;
  /** Its marks as they stand. */
  grade: PiledGrade;
}

/** A fault, with the criterion that it stands under. */
export interface PiledFault {
  /** Criterion it costs points of. */
  criterion: Criterion;
  /** What was found, in the words of the answer it was read from. */
  said: Said;
}

/** Answers that were got wrong, or right, in the same way. */
export interface AnswerGroup {
  /** Names its faults; two groups of one pile never have the same. */
  name: string;
  /** What would hurt the client in each of them, as it is said of the first. */
  dangers: Reason[];
  /** Faults that cost half of a criterion or more, in each of them, as they are said of the first; worst first. */
  shared: PiledFault[];
  /** Ways of thinking that show in every one of them. */
  misconceptions: Misconception[];
  /** Its answers, fewest points first, with what each has besides: faults of less than half a criterion. */
  answers: { id: string; points: number; besides: PiledFault[] }[];
}

/** Places are named in figures of a reason; that a mistake was made at one place or at two is the same mistake. */
const nameOfFault = ({ criterion, said: { code } }: PiledFault): string => `${criterion} ${code}`;

/** Faults of a grade that cost something, worst first. Grades of old versions say no loss: there the criterion decides. */
function faultsOf({ criteria }: PiledGrade): { heavy: PiledFault[]; light: PiledFault[] } {
  const all = criteria.flatMap(({ criterion, findings, share }) =>
    findings.map((said) => ({ criterion, said, loss: said.loss ?? 1 - share })),
  );
  const ranked = all.filter(({ loss }) => loss > 0).sort((a, b) => b.loss - a.loss);
  const once = (faults: typeof ranked): PiledFault[] => {
    const known = new Map<string, PiledFault>();
    for (const { criterion, said } of faults) {
      const name = nameOfFault({ criterion, said });
      if (!known.has(name)) known.set(name, { criterion, said });
    }
    return [...known.values()];
  };
  const heavy = once(ranked.filter(({ loss }) => loss >= WRONG_FROM));
  const names = new Set(heavy.map(nameOfFault));
  return { heavy, light: once(ranked).filter((fault) => !names.has(nameOfFault(fault))) };
}

/**
 * Answers to one exercise by what was got wrong in them: those with the same dangers and the same faults of half a criterion
 * or more lie together, whatever the grams and the words. Biggest group first, of groups alike in size the one with fewer
 * points; every answer is in one of them. The order in which they come changes nothing but which answer speaks for its group.
 */
export function pileOf(answers: readonly PiledAnswer[]): AnswerGroup[] {
  const groups = new Map<string, AnswerGroup>();
  const sorted = [...answers].sort((a, b) => a.grade.points - b.grade.points || (a.id < b.id ? -1 : 1));
  for (const { id, grade } of sorted) {
    const { heavy, light } = faultsOf(grade);
    const dangers = [...new Set(grade.dangers.map(({ code }) => code))].sort();
    const name = JSON.stringify([dangers, heavy.map(nameOfFault).sort()]);
    const thinking = grade.misconceptions.map((misconception) => misconception.name);
    const group = groups.get(name);
    groups.set(name, {
      name,
      dangers: group?.dangers ?? grade.dangers,
      shared: group?.shared ?? heavy,
      misconceptions: group ? group.misconceptions.filter((one) => thinking.includes(one)) : thinking,
      answers: [...(group?.answers ?? []), { id, points: grade.points, besides: light }],
    });
  }
  return [...groups.values()].sort(
    (a, b) =>
      b.answers.length - a.answers.length ||
      a.answers[0].points - b.answers[0].points ||
      (a.name < b.name ? -1 : 1),
  );
}
