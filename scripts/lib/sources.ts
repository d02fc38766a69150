import { readdirSync } from 'node:fs';
import path from 'node:path';

const NEVER = ['node_modules', 'dist'];

/** Source files below a folder, tests left out, as full paths; `without` names folders that are passed over. */
export const sourcesIn = (folder: string, without: readonly string[] = []): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const file = path.join(folder, entry.name);
    if (entry.isDirectory())
      return NEVER.includes(entry.name) || without.includes(entry.name) ? [] : sourcesIn(file, without);
    return /(?<!\.(?:test|spec))\.tsx?$/.test(entry.name) ? [file] : [];
  });
