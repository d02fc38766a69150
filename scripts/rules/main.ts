import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { RULE_IDS } from '../../core/rules';
import { rulePlaces, whereTable, withWhere } from './where';

const file = path.join(process.cwd(), 'docs', 'handbook.md');
const places = rulePlaces(process.cwd());
writeFileSync(file, withWhere(readFileSync(file, 'utf8'), whereTable(places, RULE_IDS)));
console.log(`${places.length} places of ${RULE_IDS.length} rules; run npm run format`);
