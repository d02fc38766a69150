import { readFileSync } from 'node:fs';
import path from 'node:path';
import { RULE_IDS } from '../../core/rules';
import { WHERE_BEGINS, WHERE_ENDS, rulePlaces } from './where';

const root = path.join(__dirname, '../..');
const places = rulePlaces(root);
const handbook = readFileSync(path.join(root, 'docs', 'handbook.md'), 'utf8');

describe('the rules of the craft', () => {
  it('live in the code, each exactly once', () => {
    const count = (id: string) => places.filter(({ rule }) => rule === id).length;
    expect(RULE_IDS.filter((id) => count(id) !== 1)).toEqual([]);
    expect(places.filter(({ rule }) => !RULE_IDS.includes(rule))).toEqual([]);
    expect(RULE_IDS).toHaveLength(75);
  });

  it('are told in the handbook, each once and in order', () => {
    const told = [...handbook.matchAll(/^\*\*([A-Z]\d+)\*\* /gm)].map(([, id]) => id);
    expect(told).toEqual(RULE_IDS);
  });

  it('are listed there with where they live, as they live today', () => {
    const table = handbook.slice(handbook.indexOf(WHERE_BEGINS), handbook.indexOf(WHERE_ENDS));
    const rows = [...table.matchAll(/^\| ([A-Z]\d+)\s+\| `(\w+)`\s+\| `([^`]+)`\s+\|$/gm)].map(
      ([, rule, name, file]) => ({ rule, name, file }),
    );
    const byId = (a: { rule: string }, b: { rule: string }) =>
      RULE_IDS.indexOf(a.rule) - RULE_IDS.indexOf(b.rule);
    expect(rows).toEqual([...places].sort(byId).map(({ rule, name, file }) => ({ rule, name, file })));
  });
});
