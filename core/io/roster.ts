import Papa from 'papaparse';
import type { Read, Problem } from './problem';

/** A student as a list names one. */
export interface Listed {
  /** Name as it is shown. */
  name: string;
  /** The student's own number, which tells two of a name apart; null where the list has none. */
  number: string | null;
}

/** Longest name and number that are taken. */
const LONGEST = { name: 80, number: 20 };

/** What a column may be called, in lower case without blanks; the OneRoster `users` layout among them. */
const NAMES = {
  name: ['name', 'student', 'studentname', 'fullname'],
  given: ['givenname', 'firstname', 'forename'],
  family: ['familyname', 'lastname', 'surname'],
  number: ['number', 'studentnumber', 'identifier', 'studentid', 'no', 'id'],
  role: ['role', 'roles'],
  status: ['status'],
} as const;
type Column = keyof typeof NAMES;

const columnOf = (heading: string): Column | null => {
  const plain = heading.toLowerCase().replace(/[\s_-]/g, '');
  return (
    (Object.keys(NAMES) as Column[]).find((column) => (NAMES[column] as readonly string[]).includes(plain)) ??
    null
  );
};

/** A family name before a given one, with a comma between, on a line of its own: "Tessaly, Amina". */
const turned = (line: string): string => {
  const [family, given, ...more] = line.split(',').map((part) => part.trim());
  return given && more.length === 0 && !/\d/.test(given) ? `${given} ${family}` : line;
};

/**
 * Students from what is pasted or read from a file: a name a line, a spreadsheet's cells, or CSV with headings, the OneRoster
 * `users` layout among them (of which only students that are not to be deleted are taken). Without headings the first
 * column is the name and a second one with a digit in it the number. Rows that cannot be taken are named, all at once; none
 * is left out silently.
 */
export function readRoster(text: string): Read<Listed[]> {
  const clean = text.replace(/^\uFEFF/, '').trim();
  if (clean === '') return { ok: false, problems: [{ code: 'roster.empty', params: {} }] };
  const { data } = Papa.parse<string[]>(clean, { skipEmptyLines: 'greedy' });
  const rows = data.map((row) => row.map((cell) => cell.trim().replace(/\s+/g, ' ')));
  const columns = rows[0].map(columnOf);
  const hasHead = columns.some((column) => column === 'name' || column === 'given' || column === 'family');
  const problems: Problem[] = [];
  const listed: Listed[] = [];
  const seen = new Map<string, number>();
  rows.slice(hasHead ? 1 : 0).forEach((cells, i) => {
    const row = i + (hasHead ? 2 : 1);
    const given = (column: Column) => (hasHead ? (cells[columns.indexOf(column)] ?? '') : '');
    if (hasHead) {
      const role = given('role').toLowerCase();
      if ((role !== '' && !role.includes('student')) || given('status').toLowerCase() === 'tobedeleted')
        return;
    }
    const plain = !hasHead && cells.length > 1 && !/\d/.test(cells[1]) ? turned(cells.join(', ')) : cells[0];
    const name = hasHead ? given('name') || `${given('given')} ${given('family')}`.trim() : plain;
    const numbered = hasHead ? given('number') : /\d/.test(cells[1] ?? '') ? cells[1] : '';
    const number = numbered === '' ? null : numbered;
    const problem = (code: string, params: Problem['params']) => problems.push({ code, params, row });
    if (name === '') return problem('roster.noName', {});
    if (name.length > LONGEST.name) return problem('roster.long', { name, most: LONGEST.name });
    if (number !== null && number.length > LONGEST.number)
      return problem('roster.longNumber', { number, most: LONGEST.number });
    const key = `${name.toLowerCase()}\n${number ?? ''}`;
    const before = seen.get(key);
    if (before !== undefined) return problem('roster.twice', { name, row: before });
    seen.set(key, row);
    listed.push({ name, number });
  });
  if (problems.length === 0 && listed.length === 0)
    return { ok: false, problems: [{ code: 'roster.noStudents', params: {} }] };
  return problems.length > 0 ? { ok: false, problems } : { ok: true, value: listed };
}
