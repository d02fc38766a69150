import { SHIPPED_CASES } from '../../core/cases/index';
import { PLAIN_CONTEXT, SKILLS, facetsOf, generate, type Skill } from '../../core/drill';
import { RULE_IDS } from '../../core/rules/rule-ids';
import { SHIPPED_LINES } from '../../core/product';
import { explain, solveCase } from '../../core/solve';
import { DEFAULT_HOUSE_RULES } from '../../core/rules';

/** What practises a rule: shipped cases whose answer rests on it, and skills of the drills that ask for it. */
export interface RuleUse {
  cases: string[];
  skills: Skill[];
}

/** Every rule that is named in something, however deep. */
const rulesIn = (value: unknown): Set<string> =>
  new Set([...JSON.stringify(value).matchAll(/"rule":"([A-Z]\d+)"/g)].map(([, rule]) => rule));

/** Questions that are looked at of each skill and step. */
const LOOKED_AT = 120;

/** By rule, under the house rules that hold until others are chosen. */
export function ruleUses(): Record<string, RuleUse> {
  const uses = new Map(RULE_IDS.map((id) => [id, { cases: new Set<string>(), skills: new Set<Skill>() }]));
  for (const { id, clientCase } of SHIPPED_CASES) {
    const lines = SHIPPED_LINES.filter((line) => clientCase.lineIds.includes(line.id));
    const solved = solveCase(clientCase, lines, DEFAULT_HOUSE_RULES);
    if (!solved.ok) continue;
    const explained = explain(
      solved.modelAnswer,
      (lineId) => lines.find((line) => line.id === lineId),
      DEFAULT_HOUSE_RULES,
    );
    for (const rule of rulesIn([explained, solved.modelAnswer])) uses.get(rule)?.cases.add(id);
  }
  for (const skill of SKILLS) {
    const facets = facetsOf(skill, PLAIN_CONTEXT);
    for (const step of [1, 3, 5] as const)
      for (let seed = 1; seed <= LOOKED_AT; seed++) {
        const { why } = generate({ skill, facet: facets[seed % facets.length], step, seed }, PLAIN_CONTEXT);
        for (const rule of rulesIn(why)) uses.get(rule)?.skills.add(skill);
      }
  }
  return Object.fromEntries(
    [...uses].map(([id, { cases, skills }]) => [id, { cases: [...cases].sort(), skills: [...skills] }]),
  );
}
