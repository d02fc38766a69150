import ical, { ICalCalendarMethod, ICalEventStatus } from 'ical-generator';
import type { Knex } from 'knex';
import { setForStudents } from '../assignments/access';
import type { AssignmentRow } from '../assignments/row';
import type { CalendarLinkRow } from './links';

/** A due date as a calendar was told of it, so that it is known again when it moves or goes. */
export interface CalendarToldRow {
  link_id: string;
  /** Id of the assignment or reading test. */
  work_id: string;
  /** Goes up with every change (RFC 5545, 3.8.7.4). */
  sequence: number;
  summary: string;
  due_at: Date;
  cancelled: boolean;
  changed_at: Date;
}

interface Due {
  work_id: string;
  title: string;
  class_id: string;
  class_name: string;
  due_at: Date;
  /** Name of the client, which no calendar is told. */
  client: string | null;
  /** Path of its page, as the owner of the link has it. */
  page: string;
}
/** What is due as the database gives it. */
type DueRow = Omit<Due, 'page' | 'client'> & { client: string };

const DAY_MS = 24 * 3600_000;
/** What was due before is left out; so long it can still be looked up. */
const KEPT_DAYS = 60;
/** How often a calendar is asked to look again, seconds. */
const LOOK_AGAIN_S = 3600;
const HOUR_MS = 3600_000;

/** An assignment whose educator has closed it before it was due is not due any more. */
const isDue = ({ closed_at, due_at }: Pick<AssignmentRow, 'closed_at' | 'due_at'>) =>
  closed_at === null || closed_at >= due_at;

const OF_CLASS = ['classes.id as class_id', 'classes.name as class_name'];

/** What is due by a link: of its class, or of everything that is set to the student whose it is. */
async function dueBy(db: Knex, { account_id, class_id }: CalendarLinkRow, since: Date): Promise<Due[]> {
  const client = db.raw("assignments.client_case->'client'->>'name' as client");
  const ofExercise = ['assignments.id as work_id', 'assignments.title', 'assignments.closed_at', ...OF_CLASS];
  const exercises: (DueRow & Pick<AssignmentRow, 'closed_at'>)[] = class_id
    ? await db('assignments')
        .join('classes', 'classes.id', 'assignments.class_id')
        .where('assignments.class_id', class_id)
        .whereNull('classes.archived_at')
        .where('assignments.due_at', '>', since)
        .select(...ofExercise, 'assignments.due_at', client)
    : await setForStudents(db)
        .where({ 'set_for.student_id': account_id })
        .whereNull('classes.archived_at')
        .where('set_for.due_at', '>', since)
        .select(...ofExercise, 'set_for.due_at', client);
  const classIds = class_id
    ? [class_id]
    : await db('members').where({ student_id: account_id }).pluck<string[]>('class_id');
  const tests: Omit<DueRow, 'client'>[] = await db('reading_tests')
    .join('classes', 'classes.id', 'reading_tests.class_id')
    .whereIn('classes.id', classIds)
    .whereNull('classes.archived_at')
    .where('reading_tests.due_at', '>', since)
    .select('reading_tests.id as work_id', 'reading_tests.title', 'reading_tests.due_at', ...OF_CLASS);
  const [ofExercises, ofTests] = class_id ? ['assignments', 'reading-tests'] : ['due', 'reading/tests'];
  return [
    ...exercises.filter(isDue).map((row) => ({ ...row, page: `${ofExercises}/${row.work_id}` })),
    ...tests.map((row) => ({ ...row, client: null, page: `${ofTests}/${row.work_id}` })),
  ];
}

const wordsOf = (text: string) => text.toLocaleLowerCase().match(/\p{L}{3,}/gu) ?? [];

/** Names of the students of classes, word by word. */
async function namesIn(db: Knex, classIds: readonly string[]): Promise<Map<string, Set<string>>> {
  const rows: { class_id: string; name: string }[] = await db('members')
    .join('users', 'users.id', 'members.student_id')
    .whereIn('members.class_id', [...classIds])
    .select('members.class_id', 'users.name');
  const names = new Map<string, Set<string>>(classIds.map((id) => [id, new Set()]));
  for (const { class_id, name } of rows) for (const word of wordsOf(name)) names.get(class_id)!.add(word);
  return names;
}

/** What is told of a date: title and class, or the class alone where the title names a student or the client. */
function summaryOf({ title, class_name, client }: Due, students: ReadonlySet<string>): string {
  const clients = new Set(client ? wordsOf(client) : []);
  const names = wordsOf(title).some((word) => students.has(word) || clients.has(word));
  return names ? class_name : `${title} · ${class_name}`;
}

const isSame = (told: CalendarToldRow, summary: string, due: Date) =>
  !told.cancelled && told.summary === summary && told.due_at.getTime() === due.getTime();

/** Brings what a link tells up to date, and gives it, the soonest due first. What is there no more is told as cancelled. */
async function tellDates(
  db: Knex,
  link: CalendarLinkRow,
  now: Date,
): Promise<(CalendarToldRow & { page?: string })[]> {
  const since = new Date(now.getTime() - KEPT_DAYS * DAY_MS);
  const due = await dueBy(db, link, since);
  const names = await namesIn(db, [...new Set(due.map(({ class_id }) => class_id))]);
  return db.transaction(async (trx) => {
    // Two calendars that fetch at once are told the same.
    await trx('calendar_links').where({ id: link.id }).forUpdate().first('id');
    await trx('calendar_told').where({ link_id: link.id }).where('due_at', '<=', since).delete();
    const before = await trx('calendar_told').where({ link_id: link.id });
    const known = new Map(before.map((told) => [told.work_id, told]));
    const changed: CalendarToldRow[] = due.flatMap((one) => {
      const summary = summaryOf(one, names.get(one.class_id)!);
      const told = known.get(one.work_id);
      if (told && isSame(told, summary, one.due_at)) return [];
      return {
        link_id: link.id,
        work_id: one.work_id,
        sequence: told ? told.sequence + 1 : 0,
        summary,
        due_at: one.due_at,
        cancelled: false,
        changed_at: now,
      };
    });
    const still = new Set(due.map(({ work_id }) => work_id));
    const gone = before
      .filter((told) => !still.has(told.work_id) && !told.cancelled)
      .map((told) => ({ ...told, cancelled: true, sequence: told.sequence + 1, changed_at: now }));
    const fresh = [...changed, ...gone];
    if (fresh.length > 0) await trx('calendar_told').insert(fresh).onConflict(['link_id', 'work_id']).merge();
    if (!link.fetched_at || now.getTime() - link.fetched_at.getTime() > HOUR_MS)
      await trx('calendar_links').where({ id: link.id }).update({ fetched_at: now });
    const all = new Map([...before, ...fresh].map((told) => [told.work_id, told]));
    const pages = new Map(due.map(({ work_id, page }) => [work_id, page]));
    const dates = [...all.values()].map((told) => ({ ...told, page: pages.get(told.work_id) }));
    return dates.sort((a, b) => a.due_at.getTime() - b.due_at.getTime() || (a.work_id < b.work_id ? -1 : 1));
  });
}

/**
 * What a calendar fetches by a link, as iCalendar (RFC 5545). The same as long as nothing changes, so that it is sent once.
 * `address` is where the pages of this installation are.
 */
export async function calendarOf(
  db: Knex,
  link: CalendarLinkRow,
  { name, address, now }: { name: string; address: string; now: Date },
): Promise<string> {
  const calendar = ical({
    name,
    prodId: { company: 'Cimbel', product: 'due dates', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
    ttl: LOOK_AGAIN_S,
  });
  for (const told of await tellDates(db, link, now)) {
    const { work_id, sequence, summary, due_at, cancelled, changed_at, page } = told;
    calendar.createEvent({
      id: `${work_id}@cimbel`,
      sequence,
      summary,
      start: due_at,
      stamp: changed_at,
      lastModified: changed_at,
      status: cancelled ? ICalEventStatus.CANCELLED : ICalEventStatus.CONFIRMED,
      ...(page ? { url: address + page } : {}),
    });
  }
  return calendar.toString();
}
