import { type RecordCard, bowlVol, shadePartsOf, colourGrams } from '../card';
import type { ClientCase } from '../case';
import { makeCase, zone, to, lightened, dyed } from '../cases/case-maker';
import type { PlaceId } from '../hair';
import type { ShadeRequest } from '../method';
import { shippedLine, SHIPPED_LINES, naturalShare } from '../product';
import { asksForRedOnNatural, naturalShareFor, DEFAULT_HOUSE_RULES } from '../rules';
import { plannedPlaces, groupPlans, choicesFor, coloursAfter, rightMixes } from '../solve';
import { gradingFor, gradingOf } from '../testing/solved';
import { SURVEY_HEADS } from '../testing/survey-heads';
import { markCard } from './mark-card';

type Words = Parameters<typeof makeCase>[0];
const LINES = ['tarnwick', 'ostrel', 'quillet', 'pellow', 'calder', 'wrenfell', 'lantry', 'hobday'];
const caseOf = (words: Pick<Words, 'zones' | 'wish'> & Partial<Words>): ClientCase =>
  makeCase({
    title: 'Formulas',
    difficulty: 2,
    client: { name: 'Anybody', note: '' },
    lineIds: LINES,
    facts: { weeksSinceColour: 6 },
    ...words,
  });
const keyOf = (clientCase: ClientCase) => gradingFor(clientCase).modelAnswer.card;
const bowlOn = ({ steps, bowls }: RecordCard, place: PlaceId, nth = 0) => {
  const application = steps.filter(({ zones }) => zones.includes(place)).sort((a, b) => a.start - b.start)[
    nth
  ];
  return bowls.find(({ name }) => name === application.bowl)!;
};
const kindOf = (bowl: { lineId: string | null }) => shippedLine(bowl.lineId!)!.kind;
const isFull = (clientCase: ClientCase) => {
  const input = gradingFor(clientCase);
  const { points, max } = markCard(input, input.modelAnswer.card);
  return points === max;
};

describe('reds (F9)', () => {
  const red = (natural: number, tone: 'red' | 'gold' = 'red') =>
    caseOf({
      zones: [zone('mids', { cm: 18, natural })],
      wish: { mids: to(natural, tone) },
    });

  it('are set on natural hair of 4 to 6 by permanent colour and 20 vol, 10 vol as good', () => {
    expect([3, 3.5, 6.5, 7].map((level) => asksForRedOnNatural(level, { primary: 'copper' }))).toEqual([
      false,
      true,
      true,
      false,
    ]);
    const bowl = bowlOn(keyOf(red(6)), 'mids');
    expect([kindOf(bowl), bowlVol(bowl)]).toEqual(['permanent', 20]);
    const input = gradingFor(red(6));
    const ten = {
      ...input.modelAnswer.card,
      bowls: input.modelAnswer.card.bowls.map((bowl) => ({
        ...bowl,
        developer: bowl.developer.map((part) => ({ ...part, vol: 10 })),
      })),
    };
    const developer = markCard(input, ten).criteria.find(({ criterion }) => criterion === 'developer')!;
    expect(developer.share).toBe(1);
  });

  it('gold there, and red on lighter hair, are low-strength colour’s', () => {
    expect(kindOf(bowlOn(keyOf(red(6, 'gold')), 'mids'))).toBe('demi');
    const light = caseOf({ zones: [zone('mids', { cm: 18, natural: 7 })], wish: { mids: to(7, 'copper') } });
    expect(kindOf(bowlOn(keyOf(light), 'mids'))).toBe('demi');
  });

  it('copper over bared hair is a gloss where the demi line has none, not permanent (F4)', () => {
    const bared = caseOf({
      zones: [zone('mids', { cm: 18, natural: 6, history: lightened(10), damage: 0.3 })],
      wish: { mids: to(8, 'copper') },
    });
    expect(kindOf(bowlOn(keyOf(bared), 'mids'))).toBe('acidGloss');
  });
});

describe('white that has to be covered (F8)', () => {
  const share = (grey: number) => {
    const clientCase = caseOf({
      zones: [zone('mids', { cm: 12, natural: 7, grey })],
      wish: { mids: to(7, 'beige') },
    });
    const bowl = bowlOn(keyOf(clientCase), 'mids');
    return naturalShare(shadePartsOf(bowl, shippedLine(bowl.lineId!)!));
  };

  it('gets the natural share of its step and no more', () => {
    for (const grey of [0.3, 0.4, 0.5, 0.6, 0.75, 0.8]) {
      const { min, max } = naturalShareFor(grey, DEFAULT_HOUSE_RULES, true);
      expect(share(grey)).toBeGreaterThanOrEqual(min - 0.03);
      expect(share(grey)).toBeLessThanOrEqual(max + 0.1);
    }
  });

  it('is no reason to lighten: all white is covered for a deep wish and toned for the palest', () => {
    const white = (level: number, tone: 'gold' | 'pearl') =>
      caseOf({ zones: [zone('mids', { cm: 10, natural: 6, grey: 1 })], wish: { mids: to(level, tone) } });
    expect(kindOf(bowlOn(keyOf(white(9, 'gold')), 'mids'))).toBe('permanent');
    expect(bowlVol(bowlOn(keyOf(white(9, 'gold')), 'mids'))).toBe(20);
    expect(kindOf(bowlOn(keyOf(white(10, 'pearl')), 'mids'))).toBe('demi');
  });
});

describe('what a colourist would mix', () => {
  it('is one bowl, put on together, where parts of a head are toned alike', () => {
    const grown = caseOf({
      zones: [
        zone('regrowth', { cm: 1.5, natural: 5 }),
        zone('band', { cm: 3, natural: 5, history: lightened(7), damage: 0.15 }),
        zone('mids', { cm: 15, natural: 5, history: lightened(9), damage: 0.3 }),
      ],
      wish: { regrowth: to(9, 'beige'), band: to(9, 'beige'), mids: to(9, 'beige') },
    });
    const { bowls, steps } = keyOf(grown);
    expect(bowls.filter((bowl) => kindOf(bowl) === 'demi')).toHaveLength(1);
    expect(steps.filter(({ zones }) => zones.length === 3)).toHaveLength(1);
    expect(isFull(grown)).toBe(true);
  });

  it('comes to half or quarter tubes where the amount allows', () => {
    const key = keyOf(
      caseOf({
        zones: [
          zone('regrowth', { cm: 1.5, natural: 5, grey: 0.6 }),
          zone('mids', { cm: 18, natural: 5, grey: 0.6, history: dyed(5, 'beige', 0.3), damage: 0.15 }),
        ],
        wish: { regrowth: to(5, 'beige') },
      }),
    );
    const bowl = bowlOn(key, 'regrowth');
    const tube = shippedLine(bowl.lineId!)!.tubeGrams;
    expect(bowl.shades.map(({ grams }) => (grams / tube) % 0.25)).toEqual([0, 0]);
    expect(colourGrams(bowl)).toBe(30);
  });

  it('is one shade of high-lift where a second changes nothing anybody sees', () => {
    const pale = caseOf({
      zones: [zone('mids', { cm: 18, natural: 8 })],
      wish: { mids: to(11, 'pearl') },
    });
    const { card } = gradingFor(pale, { levelScale: 'twelve' }).modelAnswer;
    expect(card.bowls[0].shades).toHaveLength(1);
    expect(bowlVol(card.bowls[0])).toBe(40);
  });
});

describe('warmth beneath (F6, F11)', () => {
  const darker = (level: number, lineIds = LINES, porosity: 'high' | 'normal' = 'high') =>
    caseOf({
      zones: [zone('mids', { cm: 18, natural: 5, porosity, history: lightened(9), damage: 0.35 })],
      wish: { mids: to(level, 'neutral') },
      lineIds,
    });

  it('comes from a filler, or where none is at hand from a copper or gold deposit, which is marked as one', () => {
    const filled = keyOf(darker(5));
    expect(kindOf(bowlOn(filled, 'mids'))).toBe('filler');
    const without = darker(
      5,
      LINES.filter((id) => id !== 'hobday'),
    );
    const key = keyOf(without);
    expect([0, 1].map((nth) => kindOf(bowlOn(key, 'mids', nth)))).toEqual(['demi', 'demi']);
    expect(bowlOn(key, 'mids').shades.map(({ label }) => label)).toEqual(['5-F']);
    expect(gradingFor(without).modelAnswer.choices[0].technique).toBe('fillThenColour');
    expect(isFull(without)).toBe(true);
  });

  it('stands in the mix itself where porous bared hair goes a level or two darker without a filler', () => {
    const need = (porosity: 'high' | 'normal', level: number) => {
      const [planned] = plannedPlaces(darker(level, LINES, porosity), DEFAULT_HOUSE_RULES).filter(
        ({ technique }) => technique === 'deposit',
      );
      return planned?.requiredMixes[0].shadeRequest?.over;
    };
    expect(need('high', 7.5)).toBeDefined();
    expect(need('high', 8.5)).toBeUndefined();
    expect(need('normal', 7.5)).toBeUndefined();
  });
});

describe('ways, best first', () => {
  it('are those of looking at every candidate, in the same order', () => {
    const mixed = caseOf({
      zones: [zone('mids', { cm: 18, natural: 6, history: lightened(8), damage: 0.2 })],
      wish: { mids: to(8, 'beige') },
    });
    const lines = SHIPPED_LINES.filter(({ id }) => LINES.includes(id));
    const jobs = plannedPlaces(mixed, DEFAULT_HOUSE_RULES).filter(({ technique }) => technique === 'deposit');
    const plans = [...groupPlans(jobs, lines, DEFAULT_HOUSE_RULES)];
    const { candidates, strands } = choicesFor(jobs, lines, DEFAULT_HOUSE_RULES)!;
    expect(plans).toHaveLength(candidates!.length);
    const costs = plans.map(({ cost }) => cost);
    expect(costs).toEqual([...costs].sort((a, b) => a - b));
    for (const { mixes, labs } of plans) expect(coloursAfter(mixes[0], strands)).toEqual(labs);
  });
});

describe('coloured ends with nothing but permanent at hand (A1)', () => {
  const onlyPermanent = (from: 'gold' | 'neutral') =>
    keyOf(
      caseOf({
        zones: [
          zone('regrowth', { cm: 1.5, natural: 5, grey: 0.3 }),
          zone('mids', { cm: 18, natural: 5, history: dyed(5, from, 0.3), damage: 0.12 }),
        ],
        wish: { regrowth: to(5, 'neutral'), mids: to(5, 'neutral') },
        lineIds: ['tarnwick', 'calder'],
      }),
    );
  it('never have it for its full time: a thinned leftover for their own tone, a short deposit for another', () => {
    for (const from of ['neutral', 'gold'] as const) {
      const { steps } = onlyPermanent(from);
      const on = steps.filter(({ zones }) => zones.includes('mids'));
      expect(on.length).toBeGreaterThan(0);
      for (const { minutes } of on) expect(minutes).toBeLessThanOrEqual(from === 'neutral' ? 10 : 20);
    }
  });
});

describe('natural share in a mix', () => {
  const need: ShadeRequest = {
    levels: { min: 7, max: 7 },
    tone: { primary: 'beige' },
    naturalShare: { min: 0.25, max: 1 / 3 },
    covers: true,
    highLift: false,
  };
  it('may be more than asked by less than a tenth, and no half instead of a third', () => {
    const shares = rightMixes(shippedLine('tarnwick')!, need, 200).map(({ match }) => match.share);
    expect(Math.max(...shares)).toBeLessThanOrEqual(1 / 3 + 0.1);
    expect(Math.max(...shares)).toBeGreaterThan(0.3);
  });
});

describe('two products at once where places meet (A6, C5, P3)', () => {
  const input = gradingOf('green-lengths');
  const { card: best } = input.modelAnswer;
  const orderOf = (card: RecordCard) =>
    markCard(input, card).criteria.find(({ criterion }) => criterion === 'order')!;
  it('are kept apart by foils: remover below powder, one powder beside another', () => {
    const placements = (card: RecordCard, roles: number) =>
      card.steps.slice(0, roles).map((application) => application.placement);
    expect(placements(best, 2)).toEqual(['foils', 'foils']);
    expect(placements(keyOf(SURVEY_HEADS.orangeBand), 2)).toEqual(['foils', 'foils']);
    // One after the other nothing runs into anything.
    expect(keyOf(SURVEY_HEADS.blueOut).steps.every(({ placement }) => placement === 'open')).toBe(true);
  });
  it('run into one another in the open, unless the joint is creamed', () => {
    expect(orderOf(best).share).toBe(1);
    const open: RecordCard = {
      ...best,
      steps: best.steps.map((application) => ({ ...application, placement: 'open' })),
    };
    expect(orderOf(open).share).toBeLessThan(1);
    expect(orderOf(open).findings.map(({ code }) => code)).toContain('mark.order.notApart');
    const creamed: RecordCard = {
      ...open,
      care: [...best.care, { do: 'protect', zones: ['mids'], start: 0 }],
    };
    expect(orderOf(creamed).findings.map(({ code }) => code)).not.toContain('mark.order.notApart');
  });
});
