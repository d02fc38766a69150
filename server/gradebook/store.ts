import type {
  GradeCell,
  GradeColumn,
  GradeEntry,
  GradeState,
  Gradebook,
  TermSheet,
  WorkKind,
} from '@cimbel/contract';
import { grouped } from '@cimbel/core';
import { percentOf, termMark, type CountedPiece } from '@cimbel/core/gradebook';
import { hasPassed } from '@cimbel/core/rules';
import type { Knex } from 'knex';
import { TERM_COLUMNS, isReleased, isShown, maxPoints, type TermAssignment } from '../assignments/row';
import { countingOf, lateLoss, pointsOfStubs } from '../attempts/marks';
import { attemptStubsOf, type AttemptStub } from '../attempts/store';
import type { ClassRow, LedClass } from '../classes/access';
import { answersOpen, hasEnded, type SittingRow, type TestRow } from '../reading/rows';
import { bestSittings } from '../reading/store';
import { bookOf, type Book, type GradeColumnRow, type GradeEntryRow } from './rows';

/** What a student has done of a piece, before anybody's word on it. */
interface Done {
  state: Exclude<GradeState, 'given' | 'excused' | 'missingLeftOut'>;
  points: number | null;
  lateLoss: number;
  work: string | null;
}
const nothing = (state: Done['state']): Done => ({ state, points: null, lateLoss: 0, work: null });

/** A piece of work, and what each has done of it. */
interface Piece {
  column: GradeColumn;
  done: (studentId: string) => Done;
}

/** What holds for one student of an exercise. */
interface SetFor {
  assignment_id: string;
  student_id: string;
  due_at: Date;
  attempts_allowed: number;
  /** Since when results are out for this student; null while they are not. */
  released_at: Date | null;
}

const under = (one: { assignment_id: string; student_id: string }) =>
  `${one.assignment_id} ${one.student_id}`;

function doneOfExercise(
  assignment: TermAssignment,
  own: SetFor | undefined,
  attempts: readonly AttemptStub[],
  points: ReadonlyMap<string, number>,
  { settings }: Book,
  now: Date,
): Done {
  if (!own && attempts.length === 0) return nothing('notSet');
  const terms = { ...assignment, ...(own ?? {}) };
  // Where being late costs nothing in the term, neither does it say which attempt counts.
  const reckoned: TermAssignment = settings.late === 'forgiven' ? { ...terms, late: 'taken' } : terms;
  const counting = countingOf(attempts, reckoned, points);
  if (!counting) {
    // Missing like marked: not before results are out for those who have handed in.
    const due = isReleased(terms, now) && now > terms.due_at;
    return nothing(due ? 'missing' : 'open');
  }
  const handedIn = attempts.filter(({ submitted_at }) => submitted_at !== null).length;
  const full = points.get(counting.id) ?? null;
  const loss = full === null ? 0 : lateLoss(counting, reckoned, full);
  return {
    state: full !== null && isShown(terms, handedIn, now) ? 'marked' : 'unreleased',
    points: full === null ? null : full - loss,
    lateLoss: loss,
    work: counting.id,
  };
}

/** Where work of a kind counts unless it is said otherwise: in the category of its kind, else in the first there is. */
const usualCategory = ({ settings: { categories } }: Book, kind: WorkKind): string =>
  (categories.find(({ id }) => id === kind) ?? categories[0]).id;

/** Whose term is asked for: of a class, or of one student of it alone. */
interface TermQuery {
  db: Knex;
  classId: string;
  book: Book;
  now: Date;
  only: string | undefined;
}

/** Of one student's rows, where only those are wanted. */
const ofOnly = (only: string | undefined) => (only ? { student_id: only } : {});

async function exercisesOf({ db, classId, book, now, only }: TermQuery): Promise<Piece[]> {
  const assignments: TermAssignment[] = await db('assignments')
    .where({ class_id: classId })
    .select(...TERM_COLUMNS);
  const attempts = await attemptStubsOf(
    db,
    assignments.map(({ id }) => id),
    ofOnly(only),
  );
  const points = await pointsOfStubs(db, attempts);
  const setFor: SetFor[] = await db('set_for')
    .where({ class_id: classId, ...ofOnly(only) })
    .select('assignment_id', 'student_id', 'due_at', 'attempts_allowed', 'released_at');
  const ownBy = new Map(setFor.map((own) => [under(own), own]));
  const attemptsBy = grouped(attempts, under);
  return assignments.map((assignment) => ({
    column: {
      id: assignment.id,
      kind: 'exercise',
      title: assignment.title,
      category: usualCategory(book, 'exercise'),
      counts: true,
      max: maxPoints(assignment.rubric),
      date: assignment.due_at.toISOString(),
    },
    done: (studentId) => {
      const at = under({ assignment_id: assignment.id, student_id: studentId });
      return doneOfExercise(assignment, ownBy.get(at), attemptsBy.get(at) ?? [], points, book, now);
    },
  }));
}

/** A sitting, and which share of its questions was got, 0–1. */
type Reached = Pick<SittingRow, 'id' | 'test_id' | 'student_id' | 'finished_at' | 'ends_at'> & {
  score: number;
};

async function testsOf({ db, classId, book, now, only }: TermQuery): Promise<Piece[]> {
  const tests: TestRow[] = await db('reading_tests').where({ class_id: classId });
  // Questions are drawn hair by the thousand; what was reached of them is reckoned where they lie.
  const sittings: Reached[] = await db('sittings')
    .leftJoin('sitting_answers', 'sitting_answers.sitting_id', 'sittings.id')
    .where(ofOnly(only))
    .whereRaw('test_id = any(?)', [tests.map(({ id }) => id)])
    .groupBy('sittings.id')
    .orderBy('number')
    .select('sittings.id', 'test_id', 'student_id', 'finished_at', 'ends_at')
    .select({
      score: db.raw('coalesce(sum(score), 0)::float / greatest(1, jsonb_array_length(items))'),
    });
  const ended = grouped(
    sittings.filter((sitting) => hasEnded(sitting, now)),
    ({ test_id }) => test_id,
  );
  return tests.map((test) => {
    const best = bestSittings(
      (ended.get(test.id) ?? []).map((sitting) => ({ sitting, score: sitting.score })),
    );
    const open = answersOpen(test);
    return {
      column: {
        id: test.id,
        kind: 'readingTest',
        title: test.title,
        category: usualCategory(book, 'readingTest'),
        counts: true,
        max: 100,
        date: test.due_at.toISOString(),
      },
      done: (studentId) => {
        const own = best.get(studentId);
        if (!own) return nothing(open && now > test.due_at ? 'missing' : 'open');
        return {
          state: open ? 'marked' : 'unreleased',
          // A score is per cent, and told as such; halves of a question make tenths of it.
          points: Math.round(own.score * 1000) / 10,
          lateLoss: 0,
          work: own.sitting.id,
        };
      },
    };
  });
}

const practicalOf = (column: GradeColumnRow): Piece => ({
  column: {
    id: column.id,
    kind: 'practical',
    title: column.title!,
    category: column.category!,
    counts: column.counts,
    max: Number(column.max_points),
    date: column.held_on!,
  },
  done: () => nothing('open'),
});

/** Every piece of a class's work, by date. */
async function piecesOf(query: TermQuery, columns: readonly GradeColumnRow[]): Promise<Piece[]> {
  const [exercises, tests] = await Promise.all([exercisesOf(query), testsOf(query)]);
  const changed = new Map(columns.map((column) => [column.id, column]));
  const placed = [...exercises, ...tests].map((piece): Piece => {
    const own = changed.get(piece.column.id);
    return own
      ? {
          ...piece,
          column: { ...piece.column, category: own.category ?? piece.column.category, counts: own.counts },
        }
      : piece;
  });
  const practical = columns.filter(({ title }) => title !== null).map(practicalOf);
  return [...placed, ...practical].sort(
    (a, b) => a.column.date.localeCompare(b.column.date) || a.column.id.localeCompare(b.column.id),
  );
}

type NamedEntry = GradeEntryRow & { by: string };

const toldEntry = ({ points, reason, by, at }: NamedEntry): GradeEntry => ({
  points: points === null ? null : Number(points),
  reason,
  by,
  at: at.toISOString(),
});

function cellOf(done: Done, row: NamedEntry | undefined, { settings }: Book): GradeCell {
  const entry = row ? toldEntry(row) : null;
  const own = { computed: done.points, lateLoss: done.lateLoss, work: done.work, entry, dropped: false };
  if (entry && entry.points === null) return { ...own, state: 'excused', points: null };
  // What is not released counts nowhere, whoever gave the mark.
  if (entry)
    return { ...own, state: done.state === 'unreleased' ? 'unreleased' : 'given', points: entry.points };
  if (done.state !== 'missing') return { ...own, state: done.state, points: done.points };
  return settings.missing === 'zero'
    ? { ...own, state: 'missing', points: 0 }
    : { ...own, state: 'missingLeftOut', points: null };
}

const COUNTING: readonly GradeState[] = ['marked', 'given', 'missing'];

/** What a student's pieces come to. */
function sheetOf(
  cells: readonly { column: GradeColumn; cell: GradeCell }[],
  { settings }: Book,
  passMark: number,
): TermSheet {
  const counted = cells.flatMap(({ column, cell }): CountedPiece[] =>
    column.counts && COUNTING.includes(cell.state) && cell.points !== null
      ? [{ id: column.id, category: column.category, share: cell.points / column.max }]
      : [],
  );
  const { share, categories } = termMark(settings.categories, counted);
  const dropped = new Set(categories.flatMap((category) => category.dropped));
  const percent = share === null ? null : percentOf(share, settings.decimals);
  return {
    percent,
    passed: percent === null ? null : hasPassed(percent, 100, { passMark }),
    categories: categories.map(({ id, mean, part }) => ({ id, mean, part })),
    cells: Object.fromEntries(
      cells.map(({ column, cell }) => [column.id, { ...cell, dropped: dropped.has(column.id) }]),
    ),
  };
}

/** Students of a class as they stand on a gradebook, by name. */
const rosterOfTerm = (
  db: Knex,
  classId: string,
  only?: string,
): Promise<{ id: string; name: string; number: string | null }[]> =>
  db('memberships')
    .join('users', 'users.id', 'memberships.student_id')
    .where({ class_id: classId, state: 'active', ...ofOnly(only) })
    .orderBy('users.name')
    .select('users.id', 'users.name', 'memberships.number');

/** A class's term as it stands now, or as it stood when it was frozen; of one student alone where `only` names one. */
export async function gradebookOf(
  db: Knex,
  inClass: ClassRow & Partial<Pick<LedClass, 'rights'>>,
  now: Date,
  only?: string,
): Promise<Gradebook> {
  const book = await bookOf(db, inClass.id);
  const frame = {
    classId: inClass.id,
    className: inClass.name,
    version: book.version,
    rights: inClass.rights ?? 'marking',
    frozenAt: book.frozen_at?.toISOString() ?? null,
  };
  if (book.frozen) {
    const frozenSheets = db('term_sheets as sheets')
      .join('users', 'users.id', 'sheets.student_id')
      .leftJoin('memberships', (own) =>
        own.on('memberships.student_id', 'users.id').andOn('memberships.class_id', 'sheets.class_id'),
      )
      .where('sheets.class_id', inClass.id)
      .orderBy('users.name')
      .select('users.id', 'users.name', 'memberships.number', 'sheet');
    if (only) void frozenSheets.where('sheets.student_id', only);
    const rows: { id: string; name: string; number: string | null; sheet: TermSheet }[] = await frozenSheets;
    // Whether students see it may be changed at any time.
    const settings = { ...book.frozen.settings, shown: book.settings.shown };
    const students = rows.map(({ sheet, ...student }) => ({ ...student, ...sheet }));
    return { ...frame, ...book.frozen, settings, students };
  }
  const [students, columns] = await Promise.all([
    rosterOfTerm(db, inClass.id, only),
    db('grade_columns').where({ class_id: inClass.id }),
  ]);
  const entries: NamedEntry[] = await db('grade_entries')
    .join('users', 'users.id', 'grade_entries.educator_id')
    .whereRaw('column_id = any(?)', [columns.map(({ id }) => id)])
    .where(ofOnly(only))
    .select('grade_entries.*', 'users.name as by');
  const entryBy = new Map(entries.map((entry) => [`${entry.column_id} ${entry.student_id}`, entry]));
  const pieces = await piecesOf({ db, classId: inClass.id, book, now, only }, columns);
  const { passMark } = inClass.house_rules;
  return {
    ...frame,
    settings: book.settings,
    passMark,
    columns: pieces.map(({ column }) => column),
    students: students.map((student) => {
      const cells = pieces.map(({ column, done }) => ({
        column,
        cell: cellOf(done(student.id), entryBy.get(`${column.id} ${student.id}`), book),
      }));
      return { ...student, ...sheetOf(cells, book, passMark) };
    }),
  };
}

/** A cell without what its student may not know yet. */
const released = (cell: GradeCell): GradeCell =>
  cell.state === 'unreleased' ? { ...cell, points: null, computed: null, lateLoss: 0, entry: null } : cell;

/** A sheet as its student may see it: of what is not released, that it is there. */
export const releasedSheet = <Sheet extends TermSheet>(sheet: Sheet): Sheet => ({
  ...sheet,
  cells: Object.fromEntries(Object.entries(sheet.cells).map(([id, cell]) => [id, released(cell)])),
});
