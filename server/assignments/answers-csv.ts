import type { Standing } from '@cimbel/contract';
import { csvOf, type Cell } from '../http/csv';

/** What the file needs of a page of answers, formulas and whole services alike. */
export interface AnswersPage {
  rubric: Partial<Record<string, number>>;
  max: number;
  rows: (Standing & {
    name: string;
    changed: boolean;
    grade: {
      criteria: readonly { criterion: string; points: number }[];
      capPoints?: number | null;
      misconceptions?: readonly { name: string }[];
    } | null;
  })[];
}

/** One row a student, one column a criterion in the order given; what shows of their thinking last. */
export function answersCsv({ rubric, max, rows }: AnswersPage, order: readonly string[]): string {
  const marked = order.filter((criterion) => (rubric[criterion] ?? 0) > 0);
  return csvOf([
    [
      'student',
      'state',
      'due',
      'late',
      'attempts',
      'handed_in',
      'points',
      'of',
      ...marked.map((criterion) => `${criterion}_points`),
      'capped',
      'changed_by_hand',
      'misconceptions',
    ],
    ...rows.map(({ name, state, dueAt, late, handedIn, submittedAt, points, changed, grade }): Cell[] => [
      name,
      state,
      dueAt ?? '',
      late ? 'yes' : 'no',
      handedIn,
      submittedAt ?? '',
      points ?? '',
      max,
      ...marked.map((name) => grade?.criteria.find(({ criterion }) => criterion === name)?.points ?? ''),
      grade?.capPoints == null ? 'no' : 'yes',
      changed ? 'yes' : 'no',
      (grade?.misconceptions ?? []).map((one) => one.name).join(' '),
    ]),
  ]);
}
