import { type RecordCard, type Bowl, type Application, EMPTY_CARD } from '../card';
import { UNDERLAYS, COUNTERS } from '../rules';

/** A plan with what is other than in the one it was made from. */
export interface CarelessPlan {
  of: 'bowls' | 'steps' | 'consult' | 'read' | 'besides' | 'several';
  card: RecordCard;
}

const times = (bowl: Bowl, by: number): Bowl => ({
  ...bowl,
  shades: bowl.shades.map((shade) => ({ ...shade, grams: shade.grams * by })),
  productGrams: bowl.productGrams * by,
  developer: bowl.developer.map((part) => ({ ...part, grams: part.grams * by })),
});
/** The same label a level up or down, whether or not the line has it. */
const relabelled = (label: string, by: number) =>
  label.replace(/^\d+/, (level) => String(Math.max(1, Number(level) + by)));

const BOWLS: ((bowl: Bowl) => Bowl)[] = [
  ...[0.3, 0.45, 0.6, 0.75, 0.9, 1.5, 2.2, 3.5].map((by) => (bowl: Bowl) => times(bowl, by)),
  ...[-20, -10, -4, 3, 10, 20].map((by) => (bowl: Bowl): Bowl => ({
    ...bowl,
    developer: bowl.developer.map((part) => ({ ...part, vol: Math.max(0, Math.min(40, part.vol + by)) })),
  })),
  ...[0.5, 0.8, 1.3, 2].map((by) => (bowl: Bowl): Bowl => ({
    ...bowl,
    developer: bowl.developer.map((part) => ({ ...part, grams: part.grams * by })),
  })),
  ...[-2, -1, 1, 2].map((by) => (bowl: Bowl): Bowl => ({
    ...bowl,
    shades: bowl.shades.map((shade) => ({ ...shade, label: relabelled(shade.label, by) })),
  })),
  (bowl) => ({ ...bowl, shades: bowl.shades.slice(0, 1) }),
  (bowl) => ({ ...bowl, shades: bowl.shades.slice(1) }),
  (bowl) => ({
    ...bowl,
    shades: [...bowl.shades].reverse().map((one, i) => ({ ...one, grams: bowl.shades[i].grams })),
  }),
  (bowl) => ({ ...bowl, developer: [] }),
  (bowl) => ({ ...bowl, developer: [...bowl.developer, { vol: 0, grams: 20 }].slice(0, 2) }),
  (bowl) => ({ ...bowl, additive: true }),
  (bowl) => ({ ...bowl, lineId: null }),
  (bowl) => ({ ...bowl, lineId: 'tarnwick' }),
  (bowl) => ({
    ...bowl,
    lineId: 'quillet',
    shades: bowl.shades.map((shade) => ({ ...shade, label: '7-L' })),
  }),
];

const minutes =
  (by: number) =>
  (application: Application): Application => ({
    ...application,
    minutes: Math.max(1, Math.round(application.minutes * by)),
  });
const STEPS: ((application: Application) => Application)[] = [
  ...[0.3, 0.5, 0.67, 0.85, 1.15, 1.5, 2.2].map(minutes),
  ...[-1, 1, 3].map((by) => (application: Application): Application => ({
    ...application,
    minutes: Math.max(1, application.minutes + by),
  })),
  ...[5, 12, 30].map((by) => (application: Application): Application => ({
    ...application,
    start: application.start + by,
  })),
  (application) => ({ ...application, areas: [...application.areas].reverse() }),
  (application) => ({ ...application, areas: application.areas.slice(0, 1) }),
  (application) => ({ ...application, stopsAtLine: !application.stopsAtLine }),
  (application) => ({ ...application, wet: !application.wet }),
  (application) => ({ ...application, checkEvery: null }),
  (application) => ({ ...application, checkEvery: 5 }),
  (application) => ({ ...application, checkEvery: 25 }),
  (application) => ({ ...application, checkEvery: null, checkAt: [Math.max(1, application.minutes - 2)] }),
  (application) => ({ ...application, watchedFor: 'tone' }),
  (application) => ({ ...application, ends: application.ends === 'stay' ? 'rinse' : 'stay' }),
  (application) => ({ ...application, heat: { from: 0, to: Math.max(1, application.minutes) } }),
  (application) => ({ ...application, heat: { from: 0, to: 8 } }),
  (application) => ({ ...application, placement: 'foils', share: 0.4, taken: 'slice' }),
  (application) => ({ ...application, placement: 'open', share: 1 }),
  (application) => ({ ...application, partingMm: 20 }),
  (application) => ({ ...application, takesMinutes: 25 }),
];

const without = <T>(list: readonly T[], at: number): T[] => list.filter((_, i) => i !== at);

/** What people do otherwise than in a plan, one thing at a time: believable, careless and wild. Same plan, same list. */
export function* carelessPlans(modelCard: RecordCard): Generator<CarelessPlan> {
  for (const [at, bowl] of modelCard.bowls.entries()) {
    for (const change of BOWLS)
      yield {
        of: 'bowls',
        card: { ...modelCard, bowls: modelCard.bowls.map((bowl, i) => (i === at ? change(bowl) : bowl)) },
      };
    yield { of: 'bowls', card: { ...modelCard, bowls: without(modelCard.bowls, at) } };
    yield { of: 'bowls', card: { ...modelCard, bowls: [...modelCard.bowls, { ...bowl, name: 'Z' }] } };
  }
  for (const [at, application] of modelCard.steps.entries()) {
    for (const change of STEPS)
      yield {
        of: 'steps',
        card: {
          ...modelCard,
          steps: modelCard.steps.map((application, i) => (i === at ? change(application) : application)),
        },
      };
    yield { of: 'steps', card: { ...modelCard, steps: without(modelCard.steps, at) } };
    yield {
      of: 'steps',
      card: {
        ...modelCard,
        steps: [...modelCard.steps, { ...application, start: application.start + application.minutes + 5 }],
      },
    };
    for (const bowl of modelCard.bowls)
      if (bowl.name !== application.bowl)
        yield {
          of: 'steps',
          card: {
            ...modelCard,
            steps: modelCard.steps.map((application, i) =>
              i === at ? { ...application, bowl: bowl.name } : application,
            ),
          },
        };
  }
  if (modelCard.steps.length > 1) {
    const starts = modelCard.steps.map(({ start }) => start).reverse();
    yield {
      of: 'steps',
      card: {
        ...modelCard,
        steps: modelCard.steps.map((application, i) => ({ ...application, start: starts[i] })),
      },
    };
    yield {
      of: 'steps',
      card: { ...modelCard, steps: modelCard.steps.map((application) => ({ ...application, start: 0 })) },
    };
  }
  for (const at of modelCard.asked.keys())
    yield { of: 'consult', card: { ...modelCard, asked: without(modelCard.asked, at) } };
  for (const at of modelCard.tests.keys())
    yield { of: 'consult', card: { ...modelCard, tests: without(modelCard.tests, at) } };
  yield { of: 'consult', card: { ...modelCard, asked: [], tests: [] } };
  yield {
    of: 'consult',
    card: { ...modelCard, decision: modelCard.decision === 'goOn' ? 'decline' : 'goOn' },
  };
  yield { of: 'consult', card: { ...modelCard, decision: null } };
  for (const visits of [null, 1, 2, 3, 5]) yield { of: 'consult', card: { ...modelCard, visits } };
  for (const [place, read] of Object.entries(modelCard.readings)) {
    const reads = (change: Partial<NonNullable<typeof read>>): CarelessPlan => ({
      of: 'read',
      card: {
        ...modelCard,
        readings: { ...modelCard.readings, [place]: { ...read, ...change } } as RecordCard['readings'],
      },
    });
    for (const by of [-2, -1, -0.5, 0.5, 1, 1.5])
      if (read.level !== null) yield reads({ level: Math.min(10, Math.max(1, read.level + by)) });
    for (const greyShare of [null, 0, 0.25, 0.5, 1]) yield reads({ greyShare });
    for (const underlay of [null, UNDERLAYS[3], UNDERLAYS[6], UNDERLAYS[8]]) yield reads({ underlay });
    for (const counter of [null, 'keep' as const, COUNTERS[0], COUNTERS[4], COUNTERS[5]])
      yield reads({ counter });
    yield reads({ level: null });
  }
  for (const at of modelCard.aftercare.keys())
    yield { of: 'besides', card: { ...modelCard, aftercare: without(modelCard.aftercare, at) } };
  for (const harm of ['violetCare', 'blueCare'] as const)
    yield { of: 'besides', card: { ...modelCard, aftercare: [...new Set([...modelCard.aftercare, harm])] } };
  for (const nextVisitWeeks of [null, 1, 4, 8, 16])
    yield { of: 'besides', card: { ...modelCard, nextVisitWeeks } };
  for (const at of modelCard.care.keys())
    yield { of: 'besides', card: { ...modelCard, care: without(modelCard.care, at) } };
  for (const wash of [null, 'unwashed', 'washed'] as const)
    yield { of: 'besides', card: { ...modelCard, wash } as RecordCard };
  yield { of: 'besides', card: EMPTY_CARD };
  yield { of: 'besides', card: { ...EMPTY_CARD, readings: modelCard.readings } };
  yield { of: 'besides', card: { ...modelCard, steps: [] } };
  yield { of: 'besides', card: { ...modelCard, bowls: [], steps: [] } };
}

/** Plans with several things otherwise at once: bowls, steps, questions and readings each from another careless plan. */
export function* severalAtOnce(modelCard: RecordCard, count: number): Generator<CarelessPlan> {
  const all = [...carelessPlans(modelCard)];
  const ofKind = (kind: CarelessPlan['of']) => all.flatMap(({ of, card }) => (of === kind ? [card] : []));
  const kinds = {
    bowls: ofKind('bowls'),
    steps: ofKind('steps'),
    consult: ofKind('consult'),
    read: ofKind('read'),
  };
  // Strides without a common factor with the lists, so that the pairs differ.
  const nth = (cards: readonly RecordCard[], at: number) => cards[at % cards.length] ?? modelCard;
  for (let i = 0; i < count; i++) {
    const { bowls } = nth(kinds.bowls, 7 * i);
    const { steps } = nth(kinds.steps, 11 * i + 1);
    const { asked, tests, decision, visits } = nth(kinds.consult, 5 * i);
    const { readings } = nth(kinds.read, 13 * i);
    yield { of: 'several', card: { ...modelCard, bowls, steps, asked, tests, decision, visits, readings } };
  }
}
