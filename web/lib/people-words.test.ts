import { JOININGS, LOG_ACTIONS } from '@cimbel/contract';
import { PEOPLE } from './words/people';

const at = (path: string): unknown =>
  path
    .split('.')
    .reduce<unknown>((tree, name) => (tree as Record<string, unknown> | undefined)?.[name], PEOPLE);
const leaves = (tree: object, before = ''): string[] =>
  Object.entries(tree).flatMap(([name, value]) =>
    typeof value === 'string' ? [`${before}${name}`] : leaves(value, `${before}${name}.`),
  );

describe('words of who is who', () => {
  it('are there for everything that is written down, and for nothing else', () => {
    expect(leaves(PEOPLE.log.action).sort()).toEqual([...LOG_ACTIONS].sort());
  });
  it('are there for every way to join, and every row that cannot be', () => {
    for (const joining of JOININGS) expect(at(`roster.joinings.${joining}`)).toBeDefined();
    for (const code of [
      'empty',
      'noStudents',
      'noName',
      'long',
      'longNumber',
      'twice',
      'nameTwice',
      'numberTwice',
    ])
      expect(at(`roster.problem.${code}`)).toBeDefined();
  });
});
