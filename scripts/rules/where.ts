import { readFileSync } from 'node:fs';
import path from 'node:path';
import { sourcesIn } from '../lib/sources';

/** Where a rule of the craft lives: the file, from the root of the repository, and what it is called there. */
export interface RulePlace {
  rule: string;
  file: string;
  name: string;
}

/** A doc comment with `@rule ID` lines, and the name of what it stands before. */
const DOCUMENTED =
  /\/\*\*((?:(?!\*\/)[\s\S])*?@rule [A-Z]\d+(?:(?!\*\/)[\s\S])*)\*\/\s*(?:export\s+)?(?:(?:const|function|interface|type)\s+)?(?:readonly\s+)?(\w+)/g;

/** Every place marked `@rule` in the core, in the order of the files. */
export function rulePlaces(root: string): RulePlace[] {
  return sourcesIn(path.join(root, 'core'), ['tests']).flatMap((file) =>
    [...readFileSync(file, 'utf8').matchAll(DOCUMENTED)].flatMap(([, comment, name]) =>
      [...comment.matchAll(/@rule ([A-Z]\d+)/g)].map(([, rule]) => ({
        rule,
        file: path.relative(root, file).split(path.sep).join('/'),
        name,
      })),
    ),
  );
}

/** Whether something other than tests reads what a rule is marked on: another file, or its own beside the declaration. */
export function isUsed(root: string, { file, name }: RulePlace): boolean {
  const word = new RegExp(`\\b${name}\\b`, 'g');
  return ['core', 'server', 'web']
    .flatMap((folder) => sourcesIn(path.join(root, folder)))
    .some((source) => {
      const code = readFileSync(source, 'utf8').replace(/\/\*[\s\S]*?\*\/|\/\/.*/g, '');
      const times = [...code.matchAll(word)].length;
      return times > (source === path.join(root, file) ? 1 : 0);
    });
}

/** The table of the handbook that says where each rule lives. */
export function whereTable(places: readonly RulePlace[], ids: readonly string[]): string {
  const rows = ids.flatMap((id) => {
    const rulePlace = places.find(({ rule }) => rule === id);
    return rulePlace ? [`| ${id} | \`${rulePlace.name}\` | \`${rulePlace.file}\` |`] : [];
  });
  return ['| rule | as | in |', '| --- | --- | --- |', ...rows].join('\n');
}

/** The handbook as the application shows it. */
export interface HandbookWords {
  page: { title: string };
  intro: readonly string[];
  section: Readonly<Record<string, string>>;
  rule: Readonly<Record<string, string>>;
  cautions: { title: string; text: readonly string[] };
}

/** `docs/handbook.md`, of the application's own words and the table of where each rule lives. */
export function handbookMarkdown(
  { page, intro, section, rule, cautions }: HandbookWords,
  ids: readonly string[],
  table: string,
): string {
  const told = Object.entries(section).flatMap(([letter, title]) => [
    `## ${title}`,
    ...ids.filter((id) => id.startsWith(letter)).map((id) => `**${id}** ${rule[id]}`),
  ]);
  return [
    `# ${page.title}`,
    ...intro,
    ...told,
    `## ${cautions.title}`,
    ...cautions.text,
    '## Where each rule lives',
    'Made by `npm run rules` from the words of the application and the code.',
    table,
    '',
  ].join('\n\n');
}
