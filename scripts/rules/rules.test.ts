import { readFileSync } from 'node:fs';
import path from 'node:path';
import { RULE_IDS, RULE_SECTIONS, TOLD_ONLY } from '../../core/rules/rule-ids';
import words from '../../web/locales/en/handbook.json';
import skillsOf from '../../web/features/handbook/rule-skills.json';
import casesOf from '../../server/exercises/rule-cases.json';
import { ruleUses } from './uses';
import { handbookMarkdown, isUsed, rulePlaces, whereTable } from './where';

const root = path.join(__dirname, '../..');
const places = rulePlaces(root);
const handbook = readFileSync(path.join(root, 'docs', 'handbook.md'), 'utf8');

/** Told, and neither drilled nor turning any shipped case. */
const UNPRACTISED = ['T3', 'F12'];

describe('the rules of the craft', () => {
  it('are decided once in the code, or only told', () => {
    const count = (id: string) => places.filter(({ rule }) => rule === id).length;
    expect(RULE_IDS.filter((id) => count(id) !== (TOLD_ONLY.includes(id) ? 0 : 1))).toEqual([]);
    expect(places.filter(({ rule }) => !RULE_IDS.includes(rule))).toEqual([]);
    expect(TOLD_ONLY.filter((id) => !RULE_IDS.includes(id))).toEqual([]);
    expect(RULE_IDS).toHaveLength(75);
  });

  it('are used where they are decided: what nothing reads is no rule', () => {
    expect(places.filter((place) => !isUsed(root, place))).toEqual([]);
  });

  it('are told in the handbook, each once and in order, with where they live today', () => {
    expect(Object.keys(words.rule)).toEqual(RULE_IDS);
    expect(Object.keys(words.section)).toEqual([...RULE_SECTIONS]);
    const name = handbookMarkdown(words, RULE_IDS, whereTable(places, RULE_IDS));
    // The formatter pads tables.
    const plain = (text: string) => text.replace(/ +/g, ' ').replace(/-+/g, '-').trim();
    expect(plain(handbook)).toBe(plain(name));
  });

  it('are practised where the handbook says', () => {
    const uses = ruleUses();
    expect(skillsOf).toEqual(
      Object.fromEntries(Object.entries(uses).map(([rule, { skills }]) => [rule, skills])),
    );
    expect(casesOf).toEqual(
      Object.fromEntries(Object.entries(uses).map(([rule, { cases }]) => [rule, cases])),
    );
    for (const [rule, { cases, skills }] of Object.entries(uses))
      if (cases.length + skills.length === 0) expect(UNPRACTISED).toContain(rule);
  }, 60_000);
});
