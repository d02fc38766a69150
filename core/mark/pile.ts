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
  /** What would hurt the client in each of them, as it is said of one of them. */
  dangers: Reason[];
  /** Faults that cost half of a criterion or more, in each of them, as they are said of one of them; worst first. */
  shared: PiledFault[];
  /** Ways of thinking that show in every one of them. */
  misconceptions: Misconception[];
  /** Its answers, fewest points first, with what each has besides, worst first. */
  answers: { id: string; points: number; besides: PiledFault[] }[];
}

/** Places are named in figures of a reason; that a mistake was made at one place or at two is the same mistake. */
const nameOfFault = ({ criterion, said: { code } }: PiledFault): string => `${criterion} ${code}`;

/** Criteria that say little of how somebody worked: small things, which divide no group while there is another fault. */
const ASIDE: readonly Criterion[] = ['reading', 'prediction', 'ratio', 'amount', 'aftercare'];

/** What of an answer says where it belongs. */
interface Laid {
  id: string;
  grade: PiledGrade;
  /** Faults that cost something, worst first, each once. */
  faults: PiledFault[];
  /** Names of its dangers, and of the faults of half a criterion or more that divide groups. */
  marks: ReadonlySet<string>;
}

/** An answer with its faults. Grades of old versions say no loss: there the criterion decides. */
function laid({ id, grade }: PiledAnswer): Laid {
  const ranked = grade.criteria
    .flatMap(({ criterion, findings, share }) =>
      findings.map((said) => ({ criterion, said, loss: said.loss ?? 1 - share })),
    )
    .filter(({ loss }) => loss > 0)
    .sort((a, b) => b.loss - a.loss);
  const once = new Map<string, PiledFault>();
  for (const { criterion, said } of ranked) {
    const name = nameOfFault({ criterion, said });
    if (!once.has(name)) once.set(name, { criterion, said });
  }
  const heavy = ranked.filter(({ loss }) => loss >= WRONG_FROM);
  const telling = heavy.filter(({ criterion }) => !ASIDE.includes(criterion));
  const dividing = telling.length + grade.dangers.length > 0 ? telling : heavy;
  return {
    id,
    grade,
    faults: [...once.values()],
    marks: new Set([...grade.dangers.map(({ code }) => code), ...dividing.map(nameOfFault)]),
  };
}

/** Answers with the very same faults. */
interface Alike {
  /** Their faults, as one text. */
  name: string;
  marks: ReadonlySet<string>;
  answers: Laid[];
}

/** An answer may have one fault more than its group and still lie in it. */
const MOST_MORE = 1;
/** Whether answers with some faults lie in the group of those that have just these. */
const belongTo = (marks: ReadonlySet<string>, faults: ReadonlySet<string>): boolean =>
  marks.size - faults.size <= (faults.size > 0 ? MOST_MORE : 0) &&
  [...faults].every((fault) => marks.has(fault));

/** Of all sets of faults that answers have, the one in which most of them lie; of two the one that says more. */
function biggest(left: readonly Alike[]): { of: Alike; members: Alike[] } {
  const countOf = (members: readonly Alike[]) =>
    members.reduce((sum, { answers }) => sum + answers.length, 0);
  return left
    .map((of) => ({ of, members: left.filter(({ marks }) => belongTo(marks, of.marks)) }))
    .map((found) => ({ ...found, count: countOf(found.members) }))
    .sort(
      (a, b) => b.count - a.count || b.of.marks.size - a.of.marks.size || (a.of.name < b.of.name ? -1 : 1),
    )[0];
}

/**
 * Answers to one exercise by what was got wrong in them: those with the same dangers and the same faults of half a criterion
 * or more lie together, whatever the grams and the words, and with them those that have one such fault besides. Small things
 * divide no group. Biggest group first, of groups alike in size the one with fewer points; every answer is in one of them. The
 * order in which they come changes nothing.
 */
export function pileOf(answers: readonly PiledAnswer[]): AnswerGroup[] {
  const byPoints = (a: Laid, b: Laid) => a.grade.points - b.grade.points || (a.id < b.id ? -1 : 1);
  const byMarks = new Map<string, Alike>();
  for (const one of answers.map(laid).sort(byPoints)) {
    const name = JSON.stringify([...one.marks].sort());
    byMarks.set(name, { name, marks: one.marks, answers: [...(byMarks.get(name)?.answers ?? []), one] });
  }
  let left = [...byMarks.values()];
  const groups: AnswerGroup[] = [];
  while (left.length > 0) {
    const { of, members } = biggest(left);
    const lying = members.flatMap((alike) => alike.answers).sort(byPoints);
    // One that has these faults and no other speaks for the rest.
    const [first] = of.answers;
    groups.push({
      name: of.name,
      dangers: first.grade.dangers,
      shared: first.faults.filter((fault) => of.marks.has(nameOfFault(fault))),
      misconceptions: first.grade.misconceptions
        .map(({ name }) => name)
        .filter((one) => lying.every(({ grade }) => grade.misconceptions.some(({ name }) => name === one))),
      answers: lying.map(({ id, grade, faults }) => ({
        id,
        points: grade.points,
        besides: faults.filter((fault) => !of.marks.has(nameOfFault(fault))),
      })),
    });
    left = left.filter((alike) => !members.includes(alike));
  }
  return groups.sort(
    (a, b) =>
      b.answers.length - a.answers.length ||
      a.answers[0].points - b.answers[0].points ||
      (a.name < b.name ? -1 : 1),
  );
}
