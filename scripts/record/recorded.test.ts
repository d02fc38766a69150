import { statSync } from 'node:fs';
import { differences, readRecorded, recordAll } from './recorded';

/**
 * Answers and grades keep the version they were made by: what a version says must not change unseen. Renames leave the
 * recorded lines as they are; where a change is meant, the version goes up and `npm run record` writes down what is said now.
 */
describe('what this version says', () => {
  it('is what was recorded of it, value by value', () => {
    const was = readRecorded();
    const now = recordAll();
    expect(now.map(({ name, version }) => `${name}: ${version}`)).toEqual(
      was.map(({ name, version }) => `${name}: ${version}`),
    );
    expect(now.flatMap((section, i) => differences(section, was[i]))).toEqual([]);
  }, 240_000);

  it('is short enough to be read', () => {
    expect(statSync('scripts/record/recorded.txt').size).toBeLessThan(500_000);
  });
});
