import {
  bowlGrams,
  bowlRatio,
  colourGrams,
  zoneOf,
  type Bowl,
  type ServicePlan,
  type Step,
} from '../../plan';
import { hasShades, readLabel, writeLabel, type Line } from '../../shades';
import { rulingsFor, tasksOf, type Solution } from '../../solve';
import type { Reason } from '../../reason';
import { gradeService, type ServiceGrade, type ServiceGradeInput } from './grade-service';
import type { ServiceMisconception } from './misconception';

/** What a slip is made from: the right plan, and the lines at hand. */
interface SlipContext {
  plan: ServicePlan;
  solution: Solution;
  lines: readonly Line[];
}
type Slip = (context: SlipContext) => ServicePlan | null;

const tenth = (grams: number) => Math.round(grams * 10) / 10;
const lineOf = ({ lines }: SlipContext, { lineId }: Bowl) => lines.find(({ id }) => id === lineId);
const ofKind = ({ lines, solution }: SlipContext, ...kinds: Line['kind'][]) =>
  lines.find(({ id, kind }) => kinds.includes(kind) && solution.visit.lineIds.includes(id)) ??
  lines.find(({ kind }) => kinds.includes(kind));

const withBowl = (plan: ServicePlan, name: string, change: (bowl: Bowl) => Bowl): ServicePlan => ({
  ...plan,
  bowls: plan.bowls.map((bowl) => (bowl.name === name ? change(bowl) : bowl)),
});
const withSteps = (plan: ServicePlan, change: (step: Step) => Step): ServicePlan => ({
  ...plan,
  steps: plan.steps.map(change),
});

/** First bowl for which something holds. */
const bowlWhere = (context: SlipContext, test: (line: Line, bowl: Bowl) => boolean): Bowl | undefined =>
  context.plan.bowls.find((bowl) => {
    const line = lineOf(context, bowl);
    return line !== undefined && test(line, bowl);
  });

const toVol = (bowl: Bowl, vol: number): Bowl => ({
  ...bowl,
  developer: [{ vol, grams: tenth(bowl.developer.reduce((sum, { grams }) => sum + grams, 0)) }],
});

/** The same bowl with other levels of the same tones, where the line has them. */
function shifted(bowl: Bowl, line: Line, levels: number): Bowl | null {
  const shades = bowl.shades.map(({ label, grams }) => {
    const reading = readLabel(line, label);
    if (!reading.ok || reading.shade.level === null) return { label, grams };
    const written = writeLabel(line, reading.shade.level + levels, reading.shade.tone);
    return written && line.shades.includes(written) ? { label: written, grams } : null;
  });
  return shades.some((shade) => shade === null) ? null : { ...bowl, shades: shades as Bowl['shades'] };
}

const WORKS: readonly Line['kind'][] = ['lightenerStrong', 'lightenerGentle', 'remover'];

/** One bowl of a line, one shade, on the zones that were to be lightened or cleared first. */
function colourAlone(context: SlipContext, vol: number, kinds: Line['kind'][]): ServicePlan | null {
  const { plan, solution } = context;
  const line = ofKind(context, ...kinds);
  const worked = plan.bowls.filter((bowl) => WORKS.includes(lineOf(context, bowl)?.kind ?? 'demi'));
  if (!line || worked.length === 0) return null;
  const steps = plan.steps.filter(({ bowl }) => worked.some(({ name }) => name === bowl));
  const zones = [...new Set(steps.flatMap((step) => step.zones))];
  const task = tasksOf(solution.visit)
    .filter(({ part, target }) => zones.includes(part.zone) && !target.vivid)
    .sort((a, b) => b.target.level - a.target.level)[0];
  if (!task) return null;
  const { level, tone } = task.target;
  const label = writeLabel(line, level, tone) ?? writeLabel(line, level, { primary: 'neutral' });
  const shade =
    label && line.shades.includes(label) ? label : writeLabel(line, level, { primary: 'neutral' });
  if (!shade || !line.shades.includes(shade)) return null;
  const total = worked.reduce((sum, bowl) => sum + bowlGrams(bowl), 0);
  const colour = total / (1 + line.ratios[0]);
  const strength = line.developersVol.includes(vol) ? vol : line.developersVol[0];
  const bowl: Bowl = {
    name: 'A',
    lineId: line.id,
    shades: [{ label: shade, grams: tenth(colour) }],
    productGrams: 0,
    developer: [{ vol: strength, grams: tenth(total - colour) }],
    additive: false,
  };
  return {
    ...plan,
    bowls: [bowl],
    steps: [{ ...steps[0], bowl: 'A', zones, start: 0, minutes: line.minutes.standard, checkEvery: null }],
  };
}

/** One believable slip for each misconception; null where the case leaves no room for it. */
const SLIPS: Record<ServiceMisconception, Slip> = {
  colourLiftsColour: (context) => {
    const coloured = context.solution.visit.head.zones.some(({ history }) => history.kind === 'coloured');
    const clears = bowlWhere(context, ({ kind }) => kind === 'remover');
    return coloured && clears ? colourAlone(context, 30, ['permanent']) : null;
  },
  tonerLightens: (context) => {
    const lightens = bowlWhere(
      context,
      ({ kind }) => kind === 'lightenerStrong' || kind === 'lightenerGentle',
    );
    return lightens ? colourAlone(context, 7, ['demi', 'acidGloss']) : null;
  },
  liftOnLift: (context) => {
    const { plan, solution } = context;
    const line = ofKind(context, 'permanent');
    const tones = bowlWhere(context, ({ kind }) => kind === 'demi' || kind === 'acidGloss');
    const lightened = solution.choices.some(
      ({ part, route }) =>
        route === 'deposit' &&
        solution.visit.head.zones.some(({ zone, history }) => zone === part && history.kind === 'lightened'),
    );
    if (!line || !tones || !lightened) return null;
    const task = tasksOf(solution.visit).find(({ history }) => history.kind === 'lightened');
    const label = task && writeLabel(line, Math.floor(task.target.level), task.target.tone);
    if (!label || !line.shades.includes(label)) return null;
    const total = bowlGrams(tones);
    const colour = total / (1 + line.ratios[0]);
    return {
      ...withBowl(plan, tones.name, (bowl) => ({
        ...bowl,
        lineId: line.id,
        shades: [{ label, grams: tenth(colour) }],
        developer: [{ vol: 20, grams: tenth(total - colour) }],
      })),
      steps: plan.steps.map((step) =>
        step.bowl === tones.name ? { ...step, minutes: line.minutes.standard } : step,
      ),
    };
  },
  noFiller: (context) => {
    const fills = bowlWhere(context, ({ kind }) => kind === 'filler');
    if (!fills) return null;
    const { plan } = context;
    return {
      ...plan,
      bowls: plan.bowls.filter((bowl) => bowl !== fills),
      steps: plan.steps.filter(({ bowl }) => bowl !== fills.name),
    };
  },
  tooFarByColour: (context) => {
    const tasks = tasksOf(context.solution.visit);
    const forbidden = tasks.some((task) =>
      rulingsFor(task).some(
        ({ route, allowed }) => route === 'liftWithColour' && !allowed && task.history.kind === 'untouched',
      ),
    );
    return forbidden ? colourAlone(context, 40, ['permanent']) : null;
  },
  tooMuchAtOnce: ({ plan, solution }) => {
    if (solution.visits.length < 2) return null;
    const limited = solution.proof.some(({ code }) => code === 'route.beyondCondition');
    return limited
      ? { ...withSteps(plan, (step) => (step.checkEvery === 5 ? { ...step, minutes: 50 } : step)), visits: 1 }
      : null;
  },
  tonerLighterThanHair: (context) => {
    const { plan, solution } = context;
    const tones = bowlWhere(context, ({ kind }) => kind === 'demi' || kind === 'acidGloss');
    const bared =
      tasksOf(solution.visit).some(
        ({ history, porosity }) => history.kind === 'lightened' && porosity !== 'high',
      ) || bowlWhere(context, ({ kind }) => kind === 'lightenerStrong' || kind === 'lightenerGentle');
    const line = tones && lineOf(context, tones);
    const filled = solution.choices.some(({ route }) => route === 'fillThenColour');
    if (!tones || !line || !bared || filled) return null;
    const lighter = shifted(tones, line, 2) ?? shifted(tones, line, 1);
    return lighter ? withBowl(plan, tones.name, () => lighter) : null;
  },
  strongerThanNeeded: (context) => {
    const bowl = bowlWhere(
      context,
      ({ kind, developersVol }, { shades }) =>
        (kind === 'permanent' || kind === 'express') && shades.length > 0 && developersVol.length > 1,
    );
    const line = bowl && lineOf(context, bowl);
    const strongest = line && Math.max(...line.developersVol);
    if (!bowl || !strongest || strongest <= bowl.developer[0].vol + 5) return null;
    return withBowl(context.plan, bowl.name, (one) => toVol(one, strongest));
  },
  depositForLift: (context) => {
    const lifts = context.solution.choices.some(({ route }) => route === 'liftWithColour');
    const bowl = bowlWhere(context, ({ kind }) => kind === 'permanent' || kind === 'express');
    return lifts && bowl ? withBowl(context.plan, bowl.name, (one) => toVol(one, 10)) : null;
  },
  strongOnScalp: (context) => {
    const { plan, solution } = context;
    const onScalp = tasksOf(solution.visit).some(
      ({ place, part }) =>
        place === 'onScalp' &&
        plan.steps.some(
          ({ zones, bowl }) =>
            zones.includes(part.zone) &&
            bowlWhere(
              context,
              ({ kind }, { name }) =>
                name === bowl && (kind === 'lightenerStrong' || kind === 'lightenerGentle'),
            ),
        ),
    );
    const bowl = bowlWhere(context, ({ kind }) => kind === 'lightenerStrong' || kind === 'lightenerGentle');
    return onScalp && bowl ? withBowl(plan, bowl.name, (one) => toVol(one, 40)) : null;
  },
  warmOnWarm: (context) => {
    const cool = tasksOf(context.solution.visit).find(
      ({ target }) => !target.vivid && ['ash', 'pearl', 'violet'].includes(target.tone.primary),
    );
    const bowl = bowlWhere(context, ({ kind }) =>
      ['permanent', 'express', 'demi', 'acidGloss'].includes(kind),
    );
    const line = bowl && lineOf(context, bowl);
    if (!cool || !bowl || !line) return null;
    const label = (['gold', 'beige', 'copper'] as const)
      .map((primary) => writeLabel(line, cool.target.level, { primary }))
      .find((one) => one !== null && line.shades.includes(one));
    return label
      ? withBowl(context.plan, bowl.name, (one) => ({
          ...one,
          shades: [{ label, grams: tenth(colourGrams(one)) }],
        }))
      : null;
  },
  otherLinesKey: (context) => {
    const { plan, lines, solution } = context;
    const bowl = bowlWhere(
      context,
      (line, { shades }) =>
        hasShades(line.kind) && shades.length > 0 && Object.keys(line.key.signs).length > 0,
    );
    const own = bowl && lineOf(context, bowl);
    if (!bowl || !own) return null;
    const tone = tasksOf(solution.visit).find(({ part }) =>
      plan.steps.some((step) => step.bowl === bowl.name && step.zones.includes(part.zone)),
    )?.target;
    if (!tone || tone.tone.primary === 'neutral') return null;
    for (const other of lines) {
      if (other.id === own.id) continue;
      const label = writeLabel(other, Math.floor(tone.level), { primary: tone.tone.primary });
      const sign = label?.slice(label.indexOf(other.key.separator) + 1);
      const mistaken = sign && `${Math.floor(tone.level)}${own.key.separator}${sign}`;
      const reading = mistaken && own.shades.includes(mistaken) ? readLabel(own, mistaken) : null;
      if (
        !reading?.ok ||
        reading.shade.tone.primary === tone.tone.primary ||
        reading.shade.tone.primary === 'neutral'
      )
        continue;
      return withBowl(plan, bowl.name, (one) => ({
        ...one,
        shades: [{ label: mistaken!, grams: tenth(colourGrams(one)) }],
      }));
    }
    return null;
  },
  otherLinesRatio: (context) => {
    const bowl = bowlWhere(
      context,
      ({ ratios }, { developer }) => developer.length > 0 && ratios.length === 1,
    );
    const line = bowl && lineOf(context, bowl);
    if (!bowl || !line) return null;
    const other = [1, 1.5, 2].find(
      (ratio) => Math.abs(ratio - line.ratios[0]) > 0.3 && Math.abs(1 / line.ratios[0] - ratio) > 0.1,
    );
    if (!other) return null;
    return withBowl(context.plan, bowl.name, (one) => {
      const total = bowlGrams(one);
      const scale = total / (1 + other) / colourGrams(one);
      return {
        ...one,
        shades: one.shades.map((shade) => ({ ...shade, grams: tenth(shade.grams * scale) })),
        productGrams: tenth(one.productGrams * scale),
        developer: [{ ...one.developer[0], grams: tenth(total - total / (1 + other)) }],
      };
    });
  },
  ratioTurned: (context) => {
    const bowl = context.plan.bowls.find((one) => {
      const ratio = bowlRatio(one);
      return ratio !== null && ratio > 1.2;
    });
    if (!bowl) return null;
    return withBowl(context.plan, bowl.name, (one) => {
      const total = bowlGrams(one);
      const scale = (total - colourGrams(one)) / colourGrams(one);
      return {
        ...one,
        shades: one.shades.map((shade) => ({ ...shade, grams: tenth(shade.grams * scale) })),
        productGrams: tenth(one.productGrams * scale),
        developer: [{ ...one.developer[0], grams: tenth(colourGrams(one)) }],
      };
    });
  },
  noNaturalOnGrey: (context) => {
    const { plan, solution } = context;
    const grey = tasksOf(solution.visit).find(
      ({ greyShare, target }) => greyShare >= 0.25 && target.tone.primary !== 'neutral',
    );
    const bowl = bowlWhere(context, ({ kind }) => kind === 'permanent' || kind === 'express');
    const line = bowl && lineOf(context, bowl);
    if (!grey || !bowl || !line) return null;
    const label = writeLabel(line, Math.floor(grey.target.level), grey.target.tone);
    return label && line.shades.includes(label)
      ? withBowl(plan, bowl.name, (one) => ({ ...one, shades: [{ label, grams: tenth(colourGrams(one)) }] }))
      : null;
  },
  greyTakenOffEarly: ({ plan, solution }) => {
    const grey = solution.visit.head.zones.some(
      ({ zone, greyShare }) =>
        greyShare >= 0.25 && solution.choices.some(({ part, route }) => part === zone && route === 'deposit'),
    );
    const longest = Math.max(0, ...plan.steps.map(({ minutes }) => minutes));
    return grey && longest >= 10
      ? withSteps(plan, (step) =>
          step.minutes === longest ? { ...step, minutes: Math.round(longest / 2) } : step,
        )
      : null;
  },
  tooLittleProduct: ({ plan }) => {
    if (plan.bowls.length === 0) return null;
    const third = (grams: number) => tenth(grams / 3);
    return {
      ...plan,
      bowls: plan.bowls.map((bowl) => ({
        ...bowl,
        productGrams: third(bowl.productGrams),
        shades: bowl.shades.map((shade) => ({ ...shade, grams: third(shade.grams) })),
        developer: bowl.developer.map((part) => ({ ...part, grams: third(part.grams) })),
      })),
    };
  },
  rootsFirst: ({ plan, solution }) => {
    const root = plan.steps.find(({ zones }) => zones.includes('regrowth'));
    const untouched = solution.visit.head.zones.every(({ history }) => history.kind === 'untouched');
    const lengths = plan.steps.some(
      ({ zones, start }) => root && !zones.includes('regrowth') && start < root.start,
    );
    return root && untouched && lengths && root.share === 1
      ? withSteps(plan, (step) => (step === root ? { ...step, start: 0 } : step))
      : null;
  },
  overlap: (context) => {
    const { plan, solution } = context;
    const { head } = solution.visit;
    const step = plan.steps.find(
      (one) =>
        one.zones.includes('regrowth') &&
        bowlWhere(
          context,
          ({ kind }, { name }) => name === one.bowl && kind !== 'demi' && kind !== 'acidGloss',
        ),
    );
    const next = head.zones[1];
    const other =
      next &&
      zoneOf(head, next.zone)!.history.kind !== 'untouched' &&
      step &&
      !step.zones.includes(next.zone);
    return other ? withSteps(plan, (one) => (one === step ? { ...one, stopsAtLine: false } : one)) : null;
  },
  oneVisitPromise: ({ plan, solution }) => (solution.visits.length > 1 ? { ...plan, visits: 1 } : null),
  servedInSpite: (context) => {
    const { plan, solution } = context;
    const line = ofKind(context, 'permanent');
    const task = tasksOf(solution.visit)[0];
    if (solution.stops.length === 0 || !line || !task) return null;
    const label = writeLabel(line, Math.floor(task.target.level), task.target.tone) ?? line.shades[0];
    return {
      ...plan,
      decision: 'goOn',
      visits: 1,
      bowls: [
        {
          name: 'A',
          lineId: line.id,
          shades: [{ label, grams: 30 }],
          productGrams: 0,
          developer: [{ vol: 20, grams: 30 * line.ratios[0] }],
          additive: false,
        },
      ],
      steps: [
        {
          bowl: 'A',
          zones: [task.part.zone],
          placement: 'open',
          share: 1,
          startsAt: 'nape',
          stopsAtLine: true,
          wet: false,
          start: 0,
          minutes: line.minutes.standard,
          warmth: false,
          checkEvery: null,
          ends: 'rinse',
        },
      ],
    };
  },
};

export interface NearMiss {
  misconception: ServiceMisconception;
  plan: ServicePlan;
  grade: ServiceGrade;
  /** The finding that names the rule it breaks. */
  breaks: Reason;
}

/** The plan of someone who thinks so, made from the right one; null where the case leaves no room for it. */
export const slip = (name: ServiceMisconception, context: SlipContext): ServicePlan | null =>
  SLIPS[name](context);

/** Instructive near misses of a solution: one slip each, graded, with the rule it breaks. Cheapest slip first. */
export function nearMisses(input: ServiceGradeInput): NearMiss[] {
  const { solution, lines } = input;
  const found = (Object.keys(SLIPS) as ServiceMisconception[]).flatMap((misconception): NearMiss[] => {
    const plan = slip(misconception, { plan: solution.best, solution, lines });
    if (!plan) return [];
    const grade = gradeService(input, plan);
    const shown = grade.misconceptions.find(({ name }) => name === misconception);
    // A slip that this case and these lines do not show is no instruction.
    return shown ? [{ misconception, plan, grade, breaks: shown.evidence }] : [];
  });
  return found.sort((a, b) => b.grade.points / b.grade.max - a.grade.points / a.grade.max);
}
