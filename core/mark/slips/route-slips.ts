import { type RecordCard, type Bowl, type Step, bowlGrams } from '../../card';
import { pastOf } from '../../case';
import { areasOf, regionsOf } from '../../hair';
import { tasksOf, rulingsFor } from '../../method';
import { type Line, writeLabel } from '../../product';
import { CHECKS } from '../../rules';
import type { Misconception } from '../misconception';
import {
  type SlipContext,
  ofKind,
  lineOf,
  tenth,
  bowlWhere,
  withBowl,
  withSteps,
  ofLine,
  type Slip,
} from './context';

/** How long lightener can lie, minutes. */
const TO_THE_END = 50;

const WORKS: readonly Line['kind'][] = ['lightenerStrong', 'lightenerGentle', 'remover'];

/** One bowl of a line, one shade, on the zones that were to be lightened or cleared first. */
function colourAlone(context: SlipContext, vol: number, kinds: Line['kind'][]): RecordCard | null {
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

/** Slips of what is done at all: the route, the visits, the decision. */
export const ROUTE_SLIPS = {
  colourLiftsColour: (context) => {
    const coloured = context.solution.visit.head.zones.some((zone) => pastOf(zone).kind === 'coloured');
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
        solution.visit.head.zones.some((zone) => zone.zone === part && pastOf(zone).kind === 'lightened'),
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
    if (!solution.proof.some(({ code }) => code === 'route.beyondCondition')) return null;
    // Left on to the end, so that all that comes after it waits.
    const lightens = (step: Step) => step.checkEvery === CHECKS.lightener.best;
    const longer = Math.max(0, ...plan.steps.filter(lightens).map(({ minutes }) => TO_THE_END - minutes));
    const later = (step: Step) =>
      lightens(step) ? { ...step, minutes: TO_THE_END } : { ...step, start: step.start + longer };
    return { ...withSteps(plan, later), visits: 1 };
  },
  powderOnVivid: (context) => {
    const { plan, solution } = context;
    const vivid = solution.visit.head.zones.some((zone) => pastOf(zone).kind === 'vivid');
    const removes = bowlWhere(context, ({ kind }) => kind === 'remover');
    const powder = ofKind(context, 'lightenerStrong') ?? ofKind(context, 'lightenerGentle');
    const own = removes && lineOf(context, removes);
    const made = own && powder && ofLine(removes, own, powder, 20);
    if (!vivid || !made) return null;
    const others = plan.bowls.filter(
      (bowl) => bowl !== removes && WORKS.includes(lineOf(context, bowl)?.kind ?? 'demi'),
    );
    const cleared = plan.steps.filter(({ bowl }) => bowl === removes.name).flatMap(({ zones }) => zones);
    return {
      ...plan,
      bowls: plan.bowls.map((bowl) => (bowl === removes ? made : bowl)),
      steps: plan.steps
        .filter(
          ({ bowl, zones }) =>
            !(others.some(({ name }) => name === bowl) && zones.every((zone) => cleared.includes(zone))),
        )
        .map((step) => (step.bowl === removes.name ? { ...step, checkEvery: CHECKS.lightener.best } : step)),
    };
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
          areas: areasOf(regionsOf(solution.visit.head), [task.part.zone]),
          stopsAtLine: true,
          wet: false,
          start: 0,
          minutes: line.minutes.standard,
          heat: null,
          checkEvery: null,
          ends: 'rinse',
        },
      ],
    };
  },
} satisfies Partial<Record<Misconception, Slip>>;
