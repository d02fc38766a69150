import type { RecordCard, Application, Bowl } from '../card';
import type { Criterion } from '../exercise';
import { AREA_ORDERS } from '../rules';
import { gradingOf } from '../testing/solved';
import { type CriterionMark, markCard } from './mark-card';

type Change = (card: RecordCard) => RecordCard;
const steps =
  (pick: (application: Application) => boolean, words: Partial<Application>): Change =>
  (card) => ({
    ...card,
    steps: card.steps.map((application) => (pick(application) ? { ...application, ...words } : application)),
  });
const bowls =
  (name: string, change: (bowl: Bowl) => Bowl): Change =>
  (card) => ({ ...card, bowls: card.bowls.map((bowl) => (bowl.name === name ? change(bowl) : bowl)) });
const on = (zone: string) => (application: Application) => application.zones.some((one) => one === zone);
const scaled =
  (by: number) =>
  (bowl: Bowl): Bowl => ({
    ...bowl,
    productGrams: bowl.productGrams * by,
    shades: bowl.shades.map((shade) => ({ ...shade, grams: shade.grams * by })),
    developer: bowl.developer.map((part) => ({ ...part, grams: part.grams * by })),
  });
const poured =
  (vol: number): ((bowl: Bowl) => Bowl) =>
  (bowl) => ({
    ...bowl,
    developer: [{ vol, grams: bowl.developer.reduce((sum, { grams }) => sum + grams, 0) }],
  });

function markOf(id: string, change: Change, criterion: Criterion): CriterionMark {
  const input = gradingOf(id);
  return markCard(input, change(input.modelAnswer.card)).criteria.find(
    (criterionMark) => criterionMark.criterion === criterion,
  )!;
}
const same: Change = (card) => card;

/** A change, what it is marked under, what is said of it, and what that costs of the criterion at its place (prices). */
const TABLE: [string, string, Change, Criterion, string, number][] = [
  // Route.
  [
    'nothing done to the ends',
    'retouch-grey',
    (p) => ({ ...p, steps: p.steps.filter((s) => !on('ends')(s)) }),
    'route',
    'route.faded',
    1,
  ],
  [
    'mid-lengths worked unasked',
    'retouch-grey',
    steps(on('regrowth'), { zones: ['regrowth', 'mids'] }),
    'route',
    'mark.route.notAsked',
    1,
  ],
  [
    'toner left out',
    'first-blonde',
    (p) => ({
      ...p,
      bowls: p.bowls.filter(({ name }) => name === 'A'),
      steps: p.steps.filter(({ bowl }) => bowl === 'A'),
    }),
    'depth',
    'mark.depth.open',
    1,
  ],
  [
    'a second bowl of the same',
    'golden-gloss',
    (p) => ({ ...p, steps: [...p.steps, { ...p.steps[0], start: 60 }] }),
    'route',
    'mark.route.extra',
    0.4,
  ],
  // Developer, ratio, amount.
  ['40 vol to deposit', 'retouch-grey', bowls('A', poured(40)), 'developer', 'mark.developer.tooStrong', 1],
  [
    '10 vol over grey',
    'retouch-grey',
    bowls('A', poured(10)),
    'developer',
    'mark.developer.tooWeakForGrey',
    0.6,
  ],
  [
    'a strength the line has not',
    'retouch-grey',
    bowls('A', poured(25)),
    'developer',
    'mark.developer.notOfLine',
    0.5,
  ],
  [
    'no developer at all',
    'retouch-grey',
    bowls('A', (b) => ({ ...b, developer: [] })),
    'developer',
    'mark.developer.open',
    1,
  ],
  [
    'lightener with 40 at the scalp',
    'first-blonde',
    bowls('A', poured(40)),
    'developer',
    'mark.developer.lightenerStrong',
    1,
  ],
  [
    'ratio turned round',
    'retouch-grey',
    bowls('A', (b) => ({ ...scaled(1.5)(b), developer: b.developer.map((d) => ({ ...d, grams: 30 })) })),
    'ratio',
    'mark.ratio.turned',
    1,
  ],
  [
    'too thick',
    'retouch-grey',
    bowls('A', (b) => ({ ...b, developer: b.developer.map((d) => ({ ...d, grams: d.grams * 0.8 })) })),
    'ratio',
    'mark.ratio.tooThick',
    0.4,
  ],
  [
    'too thin',
    'retouch-grey',
    bowls('A', (b) => ({ ...b, developer: b.developer.map((d) => ({ ...d, grams: d.grams * 1.4 })) })),
    'ratio',
    'mark.ratio.tooThin',
    0.8,
  ],
  ['a third of the product', 'retouch-grey', bowls('A', scaled(1 / 3)), 'amount', 'mark.amount.tooLittle', 1],
  ['three times the product', 'retouch-grey', bowls('A', scaled(3)), 'amount', 'mark.amount.tooMuch', 0.6],
  // Shades.
  [
    'a level lighter',
    'retouch-grey',
    bowls('A', (b) => ({
      ...b,
      shades: [
        { label: '6:0', grams: 15 },
        { label: '6:1', grams: 15 },
      ],
    })),
    'depth',
    'mark.depth.tooLight',
    0.6,
  ],
  [
    'a level deeper',
    'retouch-grey',
    bowls('A', (b) => ({
      ...b,
      shades: [
        { label: '4:0', grams: 15 },
        { label: '4:1', grams: 15 },
      ],
    })),
    'depth',
    'mark.depth.tooDark',
    0.6,
  ],
  [
    'no natural over grey',
    'retouch-grey',
    bowls('A', (b) => ({ ...b, shades: [{ label: '5:1', grams: 30 }] })),
    'greyShare',
    'mark.greyShare.none',
    1,
  ],
  [
    'too little natural over grey',
    'retouch-grey',
    bowls('A', (b) => ({
      ...b,
      shades: [
        { label: '5:1', grams: 24 },
        { label: '5:0', grams: 6 },
      ],
    })),
    'greyShare',
    'mark.greyShare.short',
    0.6,
  ],
  [
    'no tone at all',
    'retouch-grey',
    bowls('A', (b) => ({ ...b, shades: [{ label: '5:0', grams: 30 }] })),
    'tone',
    'mark.tone.missing',
    0.7,
  ],
  // Order.
  [
    'root and lengths together',
    'first-blonde',
    steps(on('regrowth'), { start: 0 }),
    'order',
    'mark.order.rootFirst',
    0.6,
  ],
  [
    'the root far too late',
    'first-blonde',
    (p) => ({
      ...p,
      steps: p.steps.map((s) => (s.bowl === 'A' && on('regrowth')(s) ? { ...s, start: s.start + 30 } : s)),
    }),
    'order',
    'mark.order.rootTime',
    0.3,
  ],
  [
    'toner on before lightener is off',
    'first-blonde',
    steps(({ bowl }) => bowl === 'B', { start: 5 }),
    'order',
    'mark.order.tooSoon',
    0.6,
  ],
  [
    'grey begun at the nape',
    'retouch-grey',
    steps(on('regrowth'), { areas: [...AREA_ORDERS.napeUp] }),
    'order',
    'mark.order.greyLast',
    0.3,
  ],
  [
    'over the line',
    'retouch-grey',
    steps(on('regrowth'), { stopsAtLine: false }),
    'order',
    'mark.order.overlap',
    1,
  ],
  [
    'ends refreshed from the start',
    'retouch-grey',
    steps(on('ends'), { start: 0 }),
    'order',
    'mark.order.refreshEarly',
    0.3,
  ],
  [
    'on wet hair',
    'first-blonde',
    steps(({ bowl }) => bowl === 'B', { wet: true }),
    'order',
    'mark.order.wet',
    0.5,
  ],
  // Timing.
  [
    'half the time on grey',
    'retouch-grey',
    steps(on('regrowth'), { minutes: 20 }),
    'timing',
    'mark.timing.greyShort',
    1,
  ],
  ['far too long', 'golden-gloss', steps(() => true, { minutes: 60 }), 'timing', 'mark.timing.tooLong', 1],
  [
    'lightener off too early',
    'first-blonde',
    steps(({ bowl }) => bowl === 'A', { minutes: 6 }),
    'timing',
    'mark.timing.notThere',
    1,
  ],
  [
    'lightener past the active time',
    'first-blonde',
    // Looked at, it would come off when it is there.
    steps(({ bowl }) => bowl === 'A', { minutes: 70, checkEvery: null }),
    'timing',
    'mark.timing.pastActive',
    0.2,
  ],
  [
    'lightener not looked at',
    'first-blonde',
    steps(({ bowl }) => bowl === 'A', { checkEvery: null }),
    'timing',
    'mark.timing.neverLookedAt',
    0.4,
  ],
  [
    'lightener seldom looked at',
    'first-blonde',
    steps(({ bowl }) => bowl === 'A', { checkEvery: 20 }),
    'timing',
    'mark.timing.seldom',
    0.2,
  ],
  [
    'warmth the line does not want',
    'first-blonde',
    steps(({ bowl }) => bowl === 'B', { heat: { from: 0, to: 10 } }),
    'timing',
    'mark.timing.warmth',
    0.3,
  ],
  [
    'watched for the wrong sign',
    'first-blonde',
    steps(({ bowl }) => bowl === 'A', { watchedFor: 'tone' }),
    'timing',
    'mark.timing.otherSign',
    0.15,
  ],
  [
    'lightener looked at only when it is late',
    'first-blonde',
    steps(({ bowl }) => bowl === 'A', { checkEvery: null, checkAt: [13] }),
    'timing',
    'mark.timing.seldom',
    0.2,
  ],
  // Safety and aftercare.
  [
    'a question not asked',
    'retouch-grey',
    (p) => ({ ...p, asked: p.asked.slice(1) }),
    'safety',
    'mark.safety.notAsked',
    0.2,
  ],
  ['no patch test', 'retouch-grey', (p) => ({ ...p, tests: [] }), 'safety', 'mark.safety.notTested', 0.7],
  [
    'declined without need',
    'retouch-grey',
    (p) => ({ ...p, decision: 'decline' }),
    'safety',
    'mark.safety.needlessDecline',
    1,
  ],
  ['no decision', 'retouch-grey', (p) => ({ ...p, decision: null }), 'safety', 'mark.safety.undecided', 1],
  [
    'three visits promised for one',
    'retouch-grey',
    (p) => ({ ...p, visits: 3 }),
    'safety',
    'mark.safety.tooManyVisits',
    0.2,
  ],
  [
    'visits left open',
    'retouch-grey',
    (p) => ({ ...p, visits: null }),
    'safety',
    'mark.safety.visitsOpen',
    0.6,
  ],
  [
    'silver in one visit',
    'dream-of-silver',
    (p) => ({ ...p, visits: 1 }),
    'safety',
    'mark.safety.tooFewVisits',
    0.6,
  ],
  [
    'served in spite of a stop',
    'not-today',
    (p) => ({ ...p, decision: 'goOn' }),
    'safety',
    'mark.safety.shouldDecline',
    1,
  ],
  [
    'no date to come back',
    'retouch-grey',
    (p) => ({ ...p, nextVisitWeeks: null }),
    'aftercare',
    'mark.aftercare.noDate',
    0.3,
  ],
  [
    'a date far off',
    'retouch-grey',
    (p) => ({ ...p, nextVisitWeeks: 20 }),
    'aftercare',
    'mark.aftercare.otherDate',
    0.3,
  ],
  [
    'a care forgotten',
    'retouch-grey',
    (p) => ({ ...p, aftercare: p.aftercare.slice(1) }),
    'aftercare',
    'mark.aftercare.missing',
    0.3,
  ],
  [
    'violet care on brown hair',
    'retouch-grey',
    (p) => ({ ...p, aftercare: [...p.aftercare, 'violetCare'] }),
    'aftercare',
    'mark.aftercare.besides',
    0.3,
  ],
];

describe('each criterion says what is wrong, and leaves what is right', () => {
  it.each(TABLE)('%s (%s)', (_name, id, change, criterion, code, loss) => {
    expect(markOf(id, same, criterion).share).toBe(1);
    const mark = markOf(id, change, criterion);
    const said = mark.findings.find((said) => said.code === code);
    expect({ code: said?.code, loss: said?.loss?.toFixed(2) }).toEqual({ code, loss: loss.toFixed(2) });
    expect(mark.share).toBeLessThan(1);
  });

  it('marks the parts of a criterion apart: the worse the time, the fewer the points', () => {
    const shares = [45, 40, 35, 30, 25, 20].map(
      (minutes) => markOf('retouch-grey', steps(on('regrowth'), { minutes }), 'timing').share,
    );
    expect(shares).toEqual([...shares].sort((a, b) => b - a));
    expect(shares[0]).toBe(1);
    expect(shares.at(-1)).toBeLessThan(shares[2]);
  });

  it('charges a bowl that nobody uses, once and little', () => {
    const spare: Change = (card) => ({
      ...card,
      bowls: [...card.bowls, { ...card.bowls[0], name: 'X', developer: [{ vol: 20, grams: 500 }] }],
    });
    const mark = markOf('retouch-grey', spare, 'amount');
    expect(mark.share).toBeCloseTo(0.7);
    expect(mark.findings[0]).toMatchObject({ code: 'mark.amount.unused', params: { bowl: 'X' } });
    expect(markOf('retouch-grey', spare, 'ratio').share).toBe(1);
  });
});
