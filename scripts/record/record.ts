import { existsSync, writeFileSync } from 'node:fs';
import { RECORDED_FILE, asText, differences, readRecorded, recordAll } from './recorded';

/**
 * Writes down what the search, the marks, the questions and the drawing say today: `npm run record`. Refuses where
 * something came out otherwise under the same version, since stored answers and grades go by it.
 */
const before = existsSync(RECORDED_FILE) ? readRecorded() : [];
const now = recordAll();
const unraised = now.flatMap((section) => {
  const was = before.find(({ name }) => name === section.name);
  const moved = was ? differences(section, was) : [];
  return was && moved.length > 0 && was.version === section.version ? [{ section, moved }] : [];
});
if (unraised.length > 0) {
  for (const { section, moved } of unraised)
    console.error(
      `${section.name}: ${moved.length} lines are other than recorded by "${section.version}". ` +
        `Raise that version first if this is meant.\n${moved.slice(0, 5).join('\n')}`,
    );
  process.exit(1);
}
writeFileSync(RECORDED_FILE, asText(now));
console.log(now.map(({ name, version, lines }) => `${name}: ${version}, ${lines.length} lines`).join('\n'));
