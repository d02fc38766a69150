import { readFileSync } from 'node:fs';
import {
  exercisePackJsonSchema,
  readExercisePack,
  readShadeBook,
  readShadeTable,
  shadeBookJsonSchema,
  type Problem,
  type Read,
} from '../../core/io';
import { shippedLine } from '../../core/product';
import { itemsAsked, itemsOf } from './items';
import { PACK_COMMANDS, runPack, type PackCommand } from './pack';
import { weeksAsked, type WeeksAsked } from './weeks';

/**
 * What the application does with files, on the command line: prints one JSON object, and ends with 2 where a file is
 * wrong, so that a course team can keep its files in a repository and have them checked.
 */
const HELP = `npm run --silent cimbel -- check|solve|grade|simulate FILE…, schema NAME, or items --skill=NAME

  check FILE…                  shade books and exercise packs (JSON); says file, path and reason of what is wrong
  check --line=ID FILE…        tables of shades (CSV, TSV) against the key of a shipped line
  solve FILE…                  the best plan of every case of a pack, others as good, near misses, and the visits
  grade FILE…                  marks for every answer of a pack
  schema NAME                  the JSON Schema of exercise-pack or shade-book, as docs/formats keeps it
  simulate FILE…               what the answers of a pack (or, without any, the best plan) make of the hair, by minutes;
                               --weeks=N goes on from the last minute, week by week, with
                               --habits=wash:3,hot|cool,ordinary|gentle,clarifying:1,violet:1,blue:1,sun,pool:2,growth:1.25
  items --skill=NAME           questions of a drill in words, with answers and reasons; also --facet=NAME --step=1…5
                               --seed=NUMBER --count=NUMBER --school=usual|other

Prints JSON. Ends with 0 when all is right, 2 when a file is wrong or cannot be read, 1 when the call is wrong.`;

const SCHEMAS: Record<string, () => object> = {
  'exercise-pack': exercisePackJsonSchema,
  'shade-book': shadeBookJsonSchema,
};

interface Checked {
  file: string;
  ok: boolean;
  problems: Problem[];
  /** What the file holds, in short. */
  holds?: object;
}

function textOf(file: string): Read<string> {
  try {
    return { ok: true, value: readFileSync(file, 'utf8') };
  } catch (error) {
    const reason = (error as NodeJS.ErrnoException).code ?? 'unknown';
    return { ok: false, problems: [{ code: 'file.notRead', params: { reason } }] };
  }
}

const isPack = (text: string) => /"format"\s*:\s*"cimbel\.exercise-pack"/.test(text);

function check(file: string, lineId: string | null): Checked {
  const read = textOf(file);
  if (!read.ok) return { file, ...read };
  const text = read.value;
  if (lineId !== null) {
    const table = readShadeTable(text, shippedLine(lineId)!);
    return table.ok
      ? { file, ok: true, problems: [], holds: { shades: table.value.length } }
      : { file, ok: false, problems: table.problems };
  }
  if (isPack(text)) {
    const pack = readExercisePack(text);
    if (!pack.ok) return { file, ...pack };
    const { name, cases, lines = [] } = pack.value;
    return { file, ok: true, problems: [], holds: { name, cases: cases.length, lines: lines.length } };
  }
  const book = readShadeBook(text);
  if (!book.ok) return { file, ok: false, problems: book.problems };
  const { name, kind, shades } = book.value;
  return { file, ok: true, problems: [], holds: { name, kind, shades: shades.length } };
}

function overPack(command: PackCommand, file: string, asked: WeeksAsked | null) {
  const read = textOf(file);
  if (!read.ok) return { file, ...read };
  const pack = readExercisePack(read.value);
  if (!pack.ok) return { file, ...pack };
  const { results, problems } = runPack(command, pack.value, asked);
  return { file, ok: problems.length === 0, problems, results };
}

function main(args: readonly string[]): number {
  const [command, ...rest] = args;
  const lineId = rest.find((arg) => arg.startsWith('--line='))?.slice('--line='.length) ?? null;
  const known = command === 'simulate' ? /^--(weeks|habits)=/ : /^--line=/;
  const unknown = rest.find((arg) => arg.startsWith('--') && !known.test(arg));
  const files = rest.filter((arg) => !arg.startsWith('--'));
  if (command === 'schema' && rest.length === 1 && Object.hasOwn(SCHEMAS, rest[0])) {
    console.log(JSON.stringify(SCHEMAS[rest[0]](), null, 2));
    return 0;
  }
  if (command === 'items') {
    try {
      console.log(JSON.stringify(itemsOf(itemsAsked(rest)), null, 2));
      return 0;
    } catch (error) {
      if (!(error instanceof RangeError)) throw error;
      console.error(error.message);
      return 1;
    }
  }
  let asked: WeeksAsked | null = null;
  if (command === 'simulate') {
    try {
      asked = weeksAsked(rest);
    } catch (error) {
      if (!(error instanceof RangeError)) throw error;
      console.error(error.message);
      return 1;
    }
  }
  const packCommand = PACK_COMMANDS.find((packCommand) => packCommand === command);
  if (
    (command !== 'check' && !packCommand) ||
    files.length === 0 ||
    unknown ||
    (packCommand && lineId !== null)
  ) {
    console.error(HELP);
    return command === '--help' ? 0 : 1;
  }
  if (lineId !== null && !shippedLine(lineId)) {
    console.error(`There is no shipped line ${lineId}.`);
    return 1;
  }
  const done = files.map((file) => (packCommand ? overPack(packCommand, file, asked) : check(file, lineId)));
  const ok = done.every((one) => one.ok);
  console.log(JSON.stringify({ ok, files: done }, null, 2));
  return ok ? 0 : 2;
}

process.exitCode = main(process.argv.slice(2));
