import type { ClientCase, Target } from '../case';
import { shippedCase, SHIPPED_CASES } from '../cases';
import { SHIPPED_LINES } from '../product';
import { type HouseRules, DEFAULT_HOUSE_RULES } from '../rules';
import { explain } from './explanation';
import { solveCase } from './solve';

function explained(clientCase: ClientCase, house: Partial<HouseRules> = {}) {
  const rules = { ...DEFAULT_HOUSE_RULES, ...house };
  const solved = solveCase(clientCase, SHIPPED_LINES, rules);
  if (!solved.ok) throw new Error(solved.reasons.map(({ code }) => code).join());
  return explain(solved.modelAnswer, (id) => SHIPPED_LINES.find((line) => line.id === id), rules);
}
const ground = shippedCase('half-grey-gold')!.clientCase;
const on = (natural: number, target: Target, greyShare = 0): ClientCase => ({
  ...ground,
  head: { ...ground.head, zones: [{ ...ground.head.zones[0], naturalLevel: natural, greyShare }] },
  wish: { mids: target },
});
const codes = (clientCase: ClientCase, house: Partial<HouseRules> = {}) =>
  explained(clientCase, house).flatMap(({ reasons }) => reasons.map(({ code }) => code));
const notes = (clientCase: ClientCase) =>
  explained(clientCase).flatMap((explanation) => explanation.notes.map(({ code }) => code));
const gold = (level: number): Target => ({ level, tone: { primary: 'gold' } });
const ash = (level: number): Target => ({ level, tone: { primary: 'ash' } });

describe('why the model answer is what it is', () => {
  it('says levels to move, pigment and what is done with it, depth, developer, ratio and time', () => {
    expect(codes(on(5, ash(7)))).toEqual([
      'lift.levelsToMove',
      'underlay.shows',
      'tone.neutralise',
      'depth.targetLevel',
      'developer.forLift',
      'ratio.line',
      'amount.guide',
      'minutes.standard',
    ]);
    expect(codes(on(5, gold(7)))).toContain('tone.keepWarmth');
    expect(codes(on(5, ash(7)), { liftByColour: 'counterbalance' })).toContain('depth.counterbalance');
  });

  it('names the natural share from where grey asks for one, and the grey time with it (F8, F13)', () => {
    expect(codes(on(5, gold(5), 0.04))).not.toContain('grey.share');
    expect(codes(on(5, gold(5), 0.1))).toEqual(
      expect.arrayContaining(['grey.noneNeeded', 'developer.forGrey']),
    );
    expect(codes(on(5, gold(5), 0.5))).toEqual(expect.arrayContaining(['grey.share', 'minutes.grey']));
    expect(codes(on(5, { level: 5, tone: { primary: 'neutral' } }, 0.5))).toContain('grey.naturalTarget');
  });

  it('adds what a careful colourist would: warmth beyond two levels, where grey begins, reds that fade', () => {
    expect(notes(on(5, gold(7)))).not.toContain('note.rootWarmth');
    expect(notes(on(5, gold(7.5)))).toContain('note.rootWarmth');
    expect(notes(on(5, gold(5), 0.5))).not.toContain('note.greyOrder');
    expect(notes(on(5, gold(5), 0.6))).toContain('note.greyOrder');
    expect(notes(on(5, { level: 5, tone: { primary: 'red' } }))).toContain('note.redFades');
  });

  it('explains every part of every shipped case that is worked, and no other', () => {
    for (const { clientCase, house } of SHIPPED_CASES) {
      if (house) continue;
      const solved = solveCase(clientCase, SHIPPED_LINES, DEFAULT_HOUSE_RULES);
      if (!solved.ok) throw new Error(clientCase.title);
      const worked = solved.modelAnswer.choices
        .filter(({ technique }) => technique !== 'leave')
        .map(({ part }) => part);
      expect(explained(clientCase).map(({ part }) => part)).toEqual(worked);
    }
  });
});
