import fc from 'fast-check';
import { type ClientCase, uppermostHistory, presentLevel, strandOfZone, amountFor } from '../case';
import { shippedCase, SHIPPED_CASES } from '../cases';
import { makeCase, zone, dyed, to } from '../cases/case-maker';
import { levelOfStrand } from '../hair';
import { goalsOf, goalOf, techniqueRuling } from '../method';
import { SHIPPED_LINES, mixLevel, splitLabel } from '../product';
import { type HouseRules, DEFAULT_HOUSE_RULES } from '../rules';
import { solveCase } from './solve';

const rules = (change: Partial<HouseRules> = {}): HouseRules => ({ ...DEFAULT_HOUSE_RULES, ...change });
const caseOf = (id: string) => shippedCase(id)!.clientCase;
const solve = (clientCase: ClientCase, house: Partial<HouseRules> = {}) =>
  solveCase(clientCase, SHIPPED_LINES, rules(house));
const solution = (id: string, house: Partial<HouseRules> = {}) => {
  const result = solve(caseOf(id), house);
  if (!result.ok) throw new Error(JSON.stringify(result.reasons));
  return result.modelAnswer;
};

describe('routes (P1, C4)', () => {
  const taskFor = (id: string, zone: string) => goalsOf(caseOf(id)).find(({ part }) => part.zone === zone)!;
  it.each([
    ['too-dark', 'mids', 'liftWithColour', false, 'route.colourLiftsNothing'],
    ['too-dark', 'mids', 'removeThenColour', true, 'route.remove'],
    ['back-to-brown', 'mids', 'deposit', false, 'route.fillFirst'],
    ['back-to-brown', 'mids', 'fillThenColour', true, 'route.fill'],
    ['first-blonde', 'mids', 'deposit', false, 'route.tonerCannotLighten'],
    ['first-blonde', 'mids', 'lightenThenTone', true, 'route.lighten'],
    ['dream-of-silver', 'mids', 'lightenThenTone', false, 'route.beyondCondition'],
    ['dream-of-silver', 'mids', 'highLift', false, 'route.highLiftTooDark'],
    ['two-lighter-cool', 'mids', 'liftWithColour', true, 'route.lift'],
    ['retouch-grey', 'ends', 'leave', false, 'route.faded'],
    ['golden-gloss', 'mids', 'removeThenColour', false, 'route.notHere'],
  ] as const)('%s, %s: %s is %s', (id, zone, route, allowed, code) => {
    const ruling = techniqueRuling(taskFor(id, zone), route, DEFAULT_HOUSE_RULES);
    expect(ruling).toMatchObject({ allowed, reason: { code } });
  });
});

describe('a zone with a history', () => {
  it('shows the level its history left, within a quarter', () => {
    for (const { clientCase } of SHIPPED_CASES)
      for (const zone of clientCase.head.zones) {
        if (uppermostHistory(zone).kind === 'vivid' || zone.greyShare > 0) continue;
        expect(
          Math.abs(levelOfStrand(strandOfZone(clientCase.head, zone.zone)) - presentLevel(zone)),
        ).toBeLessThan(0.3);
      }
  });
});

describe('the search', () => {
  it('begins the lengths of untouched hair first, the root ten to twenty minutes later (A2)', () => {
    for (const id of ['one-lighter', 'two-lighter-cool', 'first-blonde', 'high-lift']) {
      const { card } = solution(id);
      const root = card.steps.find(({ zones }) => zones.includes('regrowth'))!;
      const lengths = card.steps.find(({ zones }) => zones.includes('mids'))!;
      expect(root.start - lengths.start).toBeGreaterThanOrEqual(10);
      expect(root.start - lengths.start).toBeLessThanOrEqual(20);
    }
  });

  it('covers grey with 20 vol for the full time, and refreshes the ends at the end (F8, A1)', () => {
    const { card } = solution('retouch-grey');
    const [root, ends] = card.steps;
    expect(card.bowls.find(({ name }) => name === root.bowl)).toMatchObject({
      lineId: 'tarnwick',
      developer: [{ vol: 20 }],
    });
    expect(root).toMatchObject({ zones: ['regrowth'], minutes: 45, stopsAtLine: true });
    expect(root.areas[0]).toBe('hairline');
    expect(root.areas.at(-1)).toBe('hairline');
    expect(ends.start + ends.minutes).toBe(root.start + root.minutes);
    expect(ends.minutes).toBeLessThanOrEqual(10);
  });

  it('follows the school of the class', () => {
    const depth = (house: Partial<HouseRules>) => {
      const { card } = solution('two-lighter-cool', house);
      const line = SHIPPED_LINES.find(({ id }) => id === card.bowls[0].lineId)!;
      return mixLevel(
        card.bowls[0].shades.map(({ label, grams }) => ({
          shade: {
            label,
            series: 'fashion',
            level: Number(splitLabel(line, label)!.level),
            tone: { primary: 'neutral' },
          },
          parts: grams,
        })),
      );
    };
    expect(depth({})).toBeCloseTo(7);
    expect(depth({ liftByColour: 'counterbalance' })).toBeGreaterThan(8.5);
    const vols = (house: Partial<HouseRules>) =>
      solution('first-blonde', house).card.bowls[0].developer[0].vol;
    expect(vols({})).toBe(20);
    expect(vols({ tenVolLightener: 'notAllowed', lightenerOnScalp: 'max30' })).toBeGreaterThanOrEqual(20);
  });

  it('gives the same for the same, and equivalents that are not the best over again', () => {
    const modelAnswer = solution('root-and-ends');
    expect(JSON.stringify(solution('root-and-ends'))).toBe(JSON.stringify(modelAnswer));
    const bowls = [modelAnswer.card, ...modelAnswer.equivalents].map((card) => JSON.stringify(card.bowls));
    expect(new Set(bowls).size).toBe(bowls.length);
    expect(modelAnswer.equivalents.length).toBeGreaterThan(1);
  });

  it('stops before anything is mixed where the client would be hurt (C3)', () => {
    const clientCase = caseOf('golden-gloss');
    for (const facts of [{ reaction: true }, { scalp: 'irritated' as const }, { metallicSalts: true }]) {
      const result = solve({ ...clientCase, facts: { ...clientCase.facts, ...facts } });
      expect(result).toMatchObject({ ok: true, modelAnswer: { card: { decision: 'decline', bowls: [] } } });
    }
  });

  it('says what stands in the way where no line at hand can do it', () => {
    const result = solve({ ...caseOf('first-blonde'), lineIds: ['quillet'] });
    expect(result.ok).toBe(false);
  });

  it('asks no more of hair than its condition allows: worse hair never takes fewer visits (C4)', () => {
    const clientCase = caseOf('dream-of-silver');
    const visits = (damage: number) => {
      const zones = clientCase.head.zones.map((zone) => ({ ...zone, damage }));
      const result = solve({ ...clientCase, head: { ...clientCase.head, zones } });
      return result.ok && result.modelAnswer.stops.length === 0 ? result.modelAnswer.visits.length : Infinity;
    };
    const counts = [0.05, 0.25, 0.45].map(visits);
    // Six levels from 3 take lightener longer than it works, however strong the hair.
    expect(counts[0]).toBe(2);
    expect([...counts].sort((a, b) => a - b)).toEqual(counts);
    // Hair that does not come back is not served at all.
    expect(visits(0.8)).toBe(Infinity);
  });
});

describe('amounts (M2)', () => {
  it('are the guide of a retouch for the regrowth, less for fewer zones and for foils', () => {
    const { head } = caseOf('retouch-grey');
    expect(amountFor(head, ['regrowth'], 1)).toEqual({ minGrams: 60, maxGrams: 90 });
    expect(amountFor(head, ['regrowth', 'mids', 'ends'], 1)).toEqual({ minGrams: 120, maxGrams: 180 });
    fc.assert(
      fc.property(
        fc.subarray(['regrowth', 'mids', 'ends'] as const, { minLength: 1 }),
        fc.double({ min: 0.1, max: 1, noNaN: true }),
        (zones, share) => {
          const some = amountFor(head, [...zones], share);
          expect(some.maxGrams).toBeLessThanOrEqual(
            amountFor(head, ['regrowth', 'mids', 'ends'], 1).maxGrams,
          );
          expect(some.minGrams).toBeGreaterThan(0);
        },
      ),
    );
  });

  it('a part without a wish is no task', () => {
    const clientCase = caseOf('woven-light');
    expect(goalsOf(clientCase).every(({ part }) => part.woven)).toBe(true);
    expect(goalOf(clientCase, { zone: 'ends', woven: false, target: null })).toBeNull();
  });

  it('begins a retouch at the root, whether it lifts or not, and refreshes the ends last (A9)', () => {
    for (const [level, lineIds] of [
      [5, ['tarnwick', 'quillet']],
      [6, ['tarnwick', 'quillet']],
      [6, ['tarnwick']],
      [7, ['ostrel']],
    ] as const) {
      const retouch = makeCase({
        title: 'Retouch',
        difficulty: 1,
        client: { name: 'Anybody', note: '' },
        zones: [
          zone('regrowth', { cm: 1.5, natural: 5 }),
          zone('mids', { cm: 20, natural: 5, history: dyed(level, 'gold', 0.3), damage: 0.08 }),
        ],
        wish: { regrowth: to(level, 'gold'), mids: to(level, 'gold') },
        lineIds: [...lineIds],
      });
      const result = solve(retouch);
      if (!result.ok) throw new Error(JSON.stringify(result.reasons));
      const [root, ends] = (['regrowth', 'mids'] as const).map((name) =>
        result.modelAnswer.card.steps.find(({ zones }) => zones.includes(name))!,
      );
      expect({ level, lineIds, root: root.start }).toEqual({ level, lineIds, root: 0 });
      expect(ends.start).toBeGreaterThan(root.start);
      expect(ends.start + ends.minutes).toBe(root.start + root.minutes);
      expect(ends.minutes).toBeLessThanOrEqual(10);
    }
  });
});
