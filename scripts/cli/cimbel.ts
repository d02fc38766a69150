import { readFileSync } from 'node:fs';
import { readShadeBook, readShadeTable, type Problem } from '../../core/formats';
import { shippedLine } from '../../core/shades';

/**
 * What the application does with files, on the command line: prints one JSON object, and ends with 2 where a file is
 * wrong, so that a course team can keep its files in a repository and have them checked.
 */
const HELP = `npm run --silent cimbel -- check FILE…

  check FILE…                  shade books (JSON); says file, path and reason of everything that is wrong
  check --line=ID FILE…        tables of shades (CSV, TSV) against the key of a shipped line

Prints JSON. Ends with 0 when all is right, 2 when a file is wrong or cannot be read, 1 when the call is wrong.`;

interface Checked {
  file: string;
  ok: boolean;
  problems: Problem[];
  /** What the file holds, in short. */
  holds?: { name?: string; kind?: string; shades: number };
}

function check(file: string, lineId: string | null): Checked {
  let text: string;
  try {
    text = readFileSync(file, 'utf8');
  } catch (error) {
    const reason = (error as NodeJS.ErrnoException).code ?? 'unknown';
    return { file, ok: false, problems: [{ code: 'file.notRead', params: { reason } }] };
  }
  if (lineId !== null) {
    const table = readShadeTable(text, shippedLine(lineId)!);
    return table.ok
      ? { file, ok: true, problems: [], holds: { shades: table.value.length } }
      : { file, ok: false, problems: table.problems };
  }
  const book = readShadeBook(text);
  if (!book.ok) return { file, ok: false, problems: book.problems };
  const { name, kind, shades } = book.value;
  return { file, ok: true, problems: [], holds: { name, kind, shades: shades.length } };
}

function main(args: readonly string[]): number {
  const [command, ...rest] = args;
  const lineId = rest.find((arg) => arg.startsWith('--line='))?.slice('--line='.length) ?? null;
  const unknown = rest.find((arg) => arg.startsWith('--') && !arg.startsWith('--line='));
  const files = rest.filter((arg) => !arg.startsWith('--'));
  if (command !== 'check' || files.length === 0 || unknown) {
    console.error(HELP);
    return command === '--help' ? 0 : 1;
  }
  if (lineId !== null && !shippedLine(lineId)) {
    console.error(`There is no shipped line ${lineId}.`);
    return 1;
  }
  const checked = files.map((file) => check(file, lineId));
  const ok = checked.every((one) => one.ok);
  console.log(JSON.stringify({ ok, files: checked }, null, 2));
  return ok ? 0 : 2;
}

process.exitCode = main(process.argv.slice(2));
