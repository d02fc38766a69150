import { readFileSync } from 'node:fs';
import { recordHeads } from './heads';
import { recordItems } from './items';
import { recordPictures } from './pictures';
import type { Section } from './section';

/** Where it is kept, from the root of the repository. */
export const RECORDED_FILE = 'scripts/record/recorded.txt';

/** What this version says of heads, plans, questions and pictures. Same code, same lines. */
export const recordAll = (): Section[] => [recordHeads(), recordItems(), recordPictures()];

const HEADING = '# ';
export const asText = (sections: readonly Section[]): string =>
  sections
    .map(({ name, version, lines }) => `${[`${HEADING}${name}: ${version}`, ...lines].join('\n')}\n`)
    .join('\n');

/** What was recorded, read back. @throws Error when the file is not there. */
export function readRecorded(): Section[] {
  const sections: Section[] = [];
  for (const line of readFileSync(RECORDED_FILE, 'utf8').split('\n')) {
    if (line.startsWith(HEADING)) {
      const [name, version] = line.slice(HEADING.length).split(': ');
      sections.push({ name, version, lines: [] });
    } else if (line) sections.at(-1)!.lines.push(line);
  }
  return sections;
}

/** Lines of a section that are other than recorded, with what was recorded in their place. */
export function differences(now: Section, was: Section | undefined): string[] {
  const before = was?.lines ?? [];
  return Array.from({ length: Math.max(now.lines.length, before.length) }, (_, i) => i).flatMap((i) =>
    now.lines[i] === before[i]
      ? []
      : [`${now.name} ${i + 1}:\n  was ${before[i] ?? 'nothing'}\n  is  ${now.lines[i] ?? 'nothing'}`],
  );
}
