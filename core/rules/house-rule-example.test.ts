import { shippedLine } from '../product';
import { HOUSE_RULES, houseRuleExample, choicesOf } from './house-rule-example';
import { houseRulesSchema, HOUSE_FIGURES } from './house-rules';

const line = shippedLine('tarnwick')!;
const example = (rule: (typeof HOUSE_RULES)[number], choice: string) => houseRuleExample(rule, choice, line);

describe('what a house rule comes to', () => {
  it('differs for every choice of every rule', () => {
    for (const rule of HOUSE_RULES) {
      const all = choicesOf(rule).map((choice) => JSON.stringify(example(rule, choice)));
      if (rule === 'lightenerOnScalp' || rule === 'fortyVolLightener')
        expect(new Set(all).size).toBeGreaterThan(1);
      else expect({ rule, different: new Set(all).size }).toEqual({ rule, different: all.length });
    }
  });

  it('is what the handbook says of both schools', () => {
    expect(example('underlay', 'fine').params.underlay).toBe('darkRedBrown');
    expect(example('underlay', 'coarse').params.underlay).toBe('red');
    expect(example('liftByColour', 'targetLevel').params.level).toBe(7);
    expect(example('liftByColour', 'counterbalance').params.level).toBe(9);
    expect(example('greyShare', 'stepped').params.share).toBe(0.5);
    expect(example('greyShare', 'oneToTwo').params.share).toBeCloseTo(1 / 3);
    expect(example('resistantGrey', 'max20').params.vol).toBe(20);
    expect(example('resistantGrey', 'max30').params.vol).toBe(30);
    expect(example('timerStarts', 'endOfApplication').params.rinse).toBe(50);
    expect(example('timerStarts', 'firstContact').params.rinse).toBe(35);
    expect(example('lightenerOnScalp', 'max30').params.vol).toBe(30);
    expect(example('fortyVolLightener', 'never').params).toEqual({ off: 30, on: 20 });
    expect(example('fortyVolLightener', 'offScalp').params).toEqual({ off: 40, on: 20 });
  });

  it('covers every rule that is a choice, the default first', () => {
    for (const rule of HOUSE_RULES) expect(choicesOf(rule)[0]).toBe(houseRulesSchema.parse({})[rule]);
    const apart: readonly string[] = [...HOUSE_FIGURES, 'priceList'];
    expect(HOUSE_RULES).toEqual(Object.keys(houseRulesSchema.shape).filter((name) => !apart.includes(name)));
  });
});
