import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { RULE_IDS } from '../../core/rules/rule-ids';
import words from '../../web/locales/en/handbook.json';
import { ruleUses } from './uses';
import { handbookMarkdown, rulePlaces, whereTable } from './where';

const inRoot = (...parts: string[]) => path.join(process.cwd(), ...parts);
const places = rulePlaces(process.cwd());
writeFileSync(inRoot('docs', 'handbook.md'), handbookMarkdown(words, RULE_IDS, whereTable(places, RULE_IDS)));
const uses = Object.entries(ruleUses());
/** One file for each who reads it: drills are told to everybody, what a case rests on to educators, by the server. */
const write = (file: string, of: 'skills' | 'cases') =>
  writeFileSync(
    file,
    `${JSON.stringify(Object.fromEntries(uses.map(([rule, use]) => [rule, use[of]])), null, 2)}\n`,
  );
write(inRoot('web', 'features', 'handbook', 'rule-skills.json'), 'skills');
write(inRoot('server', 'exercises', 'rule-cases.json'), 'cases');
console.log(`${places.length} places of ${RULE_IDS.length} rules; run npm run format`);
