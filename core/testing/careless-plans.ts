import { type RecordCard, type Bowl, type Step, EMPTY_CARD } from '../card';
import { UNDERLAYS, COUNTERS } from '../rules';

/** A plan with what is other than in the one it was made from. */
export interface Careless {
  of: 'bowls' | 'steps' | 'consult' | 'read' | 'besides' | 'several';
  plan: RecordCard;
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
  (bowl) => ({ ...bowl, lineId: 'quillet', shades: bowl.shades.map((one) => ({ ...one, label: '7-L' })) }),
];

const minutes =
  (by: number) =>
  (step: Step): Step => ({
    ...step,
    minutes: Math.max(1, Math.round(step.minutes * by)),
  });
const STEPS: ((step: Step) => Step)[] = [
  ...[0.3, 0.5, 0.67, 0.85, 1.15, 1.5, 2.2].map(minutes),
  ...[-1, 1, 3].map((by) => (step: Step): Step => ({ ...step, minutes: Math.max(1, step.minutes + by) })),
  ...[5, 12, 30].map((by) => (step: Step): Step => ({ ...step, start: step.start + by })),
  (step) => ({ ...step, areas: [...step.areas].reverse() }),
  (step) => ({ ...step, areas: step.areas.slice(0, 1) }),
  (step) => ({ ...step, stopsAtLine: !step.stopsAtLine }),
  (step) => ({ ...step, wet: !step.wet }),
  (step) => ({ ...step, checkEvery: null }),
  (step) => ({ ...step, checkEvery: 5 }),
  (step) => ({ ...step, checkEvery: 25 }),
  (step) => ({ ...step, checkEvery: null, checkAt: [Math.max(1, step.minutes - 2)] }),
  (step) => ({ ...step, watchedFor: 'tone' }),
  (step) => ({ ...step, ends: step.ends === 'stay' ? 'rinse' : 'stay' }),
  (step) => ({ ...step, heat: { from: 0, to: Math.max(1, step.minutes) } }),
  (step) => ({ ...step, heat: { from: 0, to: 8 } }),
  (step) => ({ ...step, placement: 'foils', share: 0.4, taken: 'slice' }),
  (step) => ({ ...step, placement: 'open', share: 1 }),
  (step) => ({ ...step, partingMm: 20 }),
  (step) => ({ ...step, takesMinutes: 25 }),
];

const without = <T>(list: readonly T[], at: number): T[] => list.filter((_, i) => i !== at);

/** What people do otherwise than in a plan, one thing at a time: believable, careless and wild. Same plan, same list. */
export function* carelessPlans(best: RecordCard): Generator<Careless> {
  for (const [at, bowl] of best.bowls.entries()) {
    for (const change of BOWLS)
      yield {
        of: 'bowls',
        plan: { ...best, bowls: best.bowls.map((one, i) => (i === at ? change(one) : one)) },
      };
    yield { of: 'bowls', plan: { ...best, bowls: without(best.bowls, at) } };
    yield { of: 'bowls', plan: { ...best, bowls: [...best.bowls, { ...bowl, name: 'Z' }] } };
  }
  for (const [at, step] of best.steps.entries()) {
    for (const change of STEPS)
      yield {
        of: 'steps',
        plan: { ...best, steps: best.steps.map((one, i) => (i === at ? change(one) : one)) },
      };
    yield { of: 'steps', plan: { ...best, steps: without(best.steps, at) } };
    yield {
      of: 'steps',
      plan: { ...best, steps: [...best.steps, { ...step, start: step.start + step.minutes + 5 }] },
    };
    for (const bowl of best.bowls)
      if (bowl.name !== step.bowl)
        yield {
          of: 'steps',
          plan: {
            ...best,
            steps: best.steps.map((one, i) => (i === at ? { ...one, bowl: bowl.name } : one)),
          },
        };
  }
  if (best.steps.length > 1) {
    const starts = best.steps.map(({ start }) => start).reverse();
    yield {
      of: 'steps',
      plan: { ...best, steps: best.steps.map((step, i) => ({ ...step, start: starts[i] })) },
    };
    yield { of: 'steps', plan: { ...best, steps: best.steps.map((step) => ({ ...step, start: 0 })) } };
  }
  for (const at of best.asked.keys())
    yield { of: 'consult', plan: { ...best, asked: without(best.asked, at) } };
  for (const at of best.tests.keys())
    yield { of: 'consult', plan: { ...best, tests: without(best.tests, at) } };
  yield { of: 'consult', plan: { ...best, asked: [], tests: [] } };
  yield { of: 'consult', plan: { ...best, decision: best.decision === 'goOn' ? 'decline' : 'goOn' } };
  yield { of: 'consult', plan: { ...best, decision: null } };
  for (const visits of [null, 1, 2, 3, 5]) yield { of: 'consult', plan: { ...best, visits } };
  for (const [place, read] of Object.entries(best.readings)) {
    const reads = (change: Partial<NonNullable<typeof read>>): Careless => ({
      of: 'read',
      plan: {
        ...best,
        readings: { ...best.readings, [place]: { ...read, ...change } } as RecordCard['readings'],
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
  for (const at of best.aftercare.keys())
    yield { of: 'besides', plan: { ...best, aftercare: without(best.aftercare, at) } };
  for (const harm of ['violetCare', 'blueCare'] as const)
    yield { of: 'besides', plan: { ...best, aftercare: [...new Set([...best.aftercare, harm])] } };
  for (const nextVisitWeeks of [null, 1, 4, 8, 16])
    yield { of: 'besides', plan: { ...best, nextVisitWeeks } };
  for (const at of best.care.keys()) yield { of: 'besides', plan: { ...best, care: without(best.care, at) } };
  for (const wash of [null, 'unwashed', 'washed'] as const)
    yield { of: 'besides', plan: { ...best, wash } as RecordCard };
  yield { of: 'besides', plan: EMPTY_CARD };
  yield { of: 'besides', plan: { ...EMPTY_CARD, readings: best.readings } };
  yield { of: 'besides', plan: { ...best, steps: [] } };
  yield { of: 'besides', plan: { ...best, bowls: [], steps: [] } };
}

/** Plans with several things otherwise at once: bowls, steps, questions and readings each from another careless plan. */
export function* severalAtOnce(best: RecordCard, count: number): Generator<Careless> {
  const all = [...carelessPlans(best)];
  const ofKind = (kind: Careless['of']) => all.flatMap(({ of, plan }) => (of === kind ? [plan] : []));
  const kinds = {
    bowls: ofKind('bowls'),
    steps: ofKind('steps'),
    consult: ofKind('consult'),
    read: ofKind('read'),
  };
  // Strides without a common factor with the lists, so that the pairs differ.
  const nth = (plans: readonly RecordCard[], at: number) => plans[at % plans.length] ?? best;
  for (let i = 0; i < count; i++) {
    const { bowls } = nth(kinds.bowls, 7 * i);
    const { steps } = nth(kinds.steps, 11 * i + 1);
    const { asked, tests, decision, visits } = nth(kinds.consult, 5 * i);
    const { readings } = nth(kinds.read, 13 * i);
    yield { of: 'several', plan: { ...best, bowls, steps, asked, tests, decision, visits, readings } };
  }
}
