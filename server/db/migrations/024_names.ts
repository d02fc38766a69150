import type { Knex } from 'knex';
import { isJson, type Json } from './in-json';

/**
 * Model answers, grades and ceilings as they are named from here on: a model answer has a case, a card and techniques; a
 * grade tells the places with their outcome and its cause; a head that has to be put right is said to need correction.
 * What was handed in is not touched.
 */
type Names = readonly (readonly [before: string, after: string])[];

const renamed = (record: Json, names: Names): Json =>
  Object.fromEntries(
    Object.entries(record).map(([name, value]) => [
      names.find(([before]) => before === name)?.[1] ?? name,
      value,
    ]),
  );
const each = (value: unknown, change: (record: Json) => Json): unknown =>
  Array.isArray(value) ? value.map((entry) => (isJson(entry) ? change(entry) : entry)) : value;

const MODEL_ANSWER: Names = [
  ['visit', 'clientCase'],
  ['best', 'card'],
];
const TECHNIQUE: Names = [['route', 'technique']];
const VISIT: Names = [['plan', 'card']];
const CRUCIAL: Names = [['codes', 'faults']];
const GRADE: Names = [['outcome', 'places']];
const PLACE: Names = [
  ['cameOut', 'outcome'],
  ['because', 'cause'],
];
const ROWS: Names = [
  ['notice', 'noticeable'],
  ['correct', 'needsCorrection'],
];

const turned = (names: Names): Names => names.map(([before, after]) => [after, before]);
const rowNamed = (row: unknown, rows: Names): unknown => rows.find(([before]) => before === row)?.[1] ?? row;

const modelAnswer = (value: Json, by: (names: Names) => Names): Json => {
  const answer = renamed(value, by(MODEL_ANSWER));
  return {
    ...answer,
    choices: each(answer.choices, (choice) => renamed(choice, by(TECHNIQUE))),
    ...(answer.tried ? { tried: each(answer.tried, (tried) => renamed(tried, by(TECHNIQUE))) } : {}),
    visits: each(answer.visits, (visit) => renamed(visit, by(VISIT))),
    stops: each(answer.stops, (stop) => stopNamed(stop, by(TECHNIQUE) === TECHNIQUE)),
  };
};

/** What stops a service is known by a name of its own rather than by its message. */
function stopNamed({ stop: _stop, ...message }: Json, isNamed: boolean): Json {
  return isNamed ? { ...message, stop: String(message.code).replace(/^stop\./, '') } : message;
}

const faultOfCode = (code: string) =>
  code.startsWith('mark.') ? code.slice('mark.'.length) : code.replace(/^route\./, 'ruling.');
const codeOfFault = (fault: string) =>
  fault.startsWith('ruling.') ? fault.replace(/^ruling\./, 'route.') : `mark.${fault}`;

/** Faults that show a crucial decision, once told as messages. */
function crucialNamed(decision: Json, names: Names): Json {
  const [[, after]] = names;
  const told = renamed(decision, names);
  const faults = told[after];
  if (!Array.isArray(faults)) return told;
  return {
    ...told,
    [after]: faults.map((fault: string) => (after === 'faults' ? faultOfCode(fault) : codeOfFault(fault))),
  };
}

function grade(value: Json, by: (names: Names) => Names): Json {
  const [rows, place] = [by(ROWS), by(PLACE)];
  const outcomeName = place === PLACE ? 'outcome' : 'cameOut';
  const whole = renamed(value, by(GRADE));
  const placesName = by(GRADE)[0][1];
  const { decided } = whole;
  return {
    ...whole,
    [placesName]: each(whole[placesName], (entry) => {
      const told = renamed(entry, place);
      return outcomeName in told ? { ...told, [outcomeName]: rowNamed(told[outcomeName], rows) } : told;
    }),
    ...(whole.crucial
      ? { crucial: each(whole.crucial, (decision) => crucialNamed(decision, by(CRUCIAL))) }
      : {}),
    ...(isJson(decided) && typeof decided.code === 'string'
      ? {
          decided: {
            ...decided,
            code: decided.code.replace(/[^.]+$/, (row) => String(rowNamed(row, rows))),
          },
        }
      : {}),
  };
}

const houseRules = (value: Json, by: (names: Names) => Names): Json =>
  isJson(value.ceilings) ? { ...value, ceilings: renamed(value.ceilings, by(ROWS)) } : value;

const COLUMNS = [
  ['assignments', 'model_answer', modelAnswer],
  ['attempts', 'grade', grade],
  ['former_grades', 'grade', grade],
  ['classes', 'house_rules', houseRules],
  ['assignments', 'house_rules', houseRules],
  ['reading_tests', 'house_rules', houseRules],
] as const;

async function rename(knex: Knex, by: (names: Names) => Names): Promise<void> {
  // A grade told in other words is the same grade: none is kept as a former one.
  await knex.raw('alter table attempts disable trigger attempts_keep_former_grade');
  for (const [table, column, change] of COLUMNS) {
    const rows: { at: string; value: unknown }[] = await knex(table)
      .whereNotNull(column)
      .select(knex.raw('ctid::text as at'), { value: column });
    for (const { at, value } of rows)
      if (isJson(value))
        await knex(table)
          .whereRaw('ctid = ?::tid', [at])
          .update({ [column]: JSON.stringify(change(value, by)) });
  }
  await knex.raw('alter table attempts enable trigger attempts_keep_former_grade');
}

export const up = (knex: Knex): Promise<void> => rename(knex, (names) => names);
export const down = (knex: Knex): Promise<void> => rename(knex, turned);
