import { readFileSync } from 'node:fs';
import path from 'node:path';
import { recorded } from '../testing/recorded';

/**
 * Answers and grades keep the version they were made by: what a version says must not change unseen. Where a change is
 * meant, the version goes up and `npm run record` writes down what is said now.
 */
describe('what this version says', () => {
  it('is what was recorded of it, head by head and kind by kind', () => {
    const kept = readFileSync(path.join(__dirname, 'tests', 'recorded.txt'), 'utf8')
      .trimEnd()
      .split('\n');
    const now = recorded();
    const was = new Set(kept);
    expect(now.filter((line) => !was.has(line))).toEqual([]);
    expect(now).toHaveLength(kept.length);
  }, 240_000);
});
