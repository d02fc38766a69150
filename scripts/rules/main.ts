import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { RULE_IDS } from '../../core/rules/rule-ids';
import words from '../../web/locales/en/handbook.json';
import { ruleUses } from './uses';
import { handbookMarkdown, rulePlaces, whereTable } from './where';

const inRoot = (...parts: string[]) => path.join(process.cwd(), ...parts);
const places = rulePlaces(process.cwd());
writeFileSync(inRoot('docs', 'handbook.md'), handbookMarkdown(words, RULE_IDS, whereTable(places, RULE_IDS)));
writeFileSync(
  inRoot('web', 'features', 'handbook', 'rule-uses.json'),
  `${JSON.stringify(ruleUses(), null, 2)}\n`,
);
console.log(`${places.length} places of ${RULE_IDS.length} rules; run npm run format`);
