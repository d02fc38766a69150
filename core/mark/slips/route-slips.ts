import { type RecordCard, type Bowl, type Application, bowlGrams } from '../../card';
import { uppermostHistory } from '../../case';
import { areasOf, regionsOf } from '../../hair';
import { goalsOf, rulingCode, techniqueRulings } from '../../method';
import { type Line, writeLabel } from '../../product';
import { CHECKS, DEFAULT_HOUSE_RULES } from '../../rules';
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
  type SlipMaker,
} from './context';

/** How long lightener can lie, minutes. */
/** What it is watched for by somebody who wants all of it today. */
const PALEST = 10;
const TO_THE_END = 50;

const WORKS: readonly Line['kind'][] = ['lightenerStrong', 'lightenerGentle', 'remover'];

/** One bowl of a line, one shade, on the zones that were to be lightened or cleared first. */
function colourAlone(context: SlipContext, vol: number, kinds: Line['kind'][]): RecordCard | null {
  const { card, modelAnswer } = context;
  const line = ofKind(context, ...kinds);
  const worked = card.bowls.filter((bowl) => WORKS.includes(lineOf(context, bowl)?.kind ?? 'demi'));
  if (!line || worked.length === 0) return null;
  const steps = card.steps.filter(({ bowl }) => worked.some(({ name }) => name === bowl));
  const zones = [...new Set(steps.flatMap((application) => application.zones))];
  const goal = goalsOf(modelAnswer.clientCase)
    .filter(({ part, target }) => zones.includes(part.zone) && !target.vivid)
    .sort((a, b) => b.target.level - a.target.level)[0];
  if (!goal) return null;
  const { level, tone } = goal.target;
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
    ...card,
    bowls: [bowl],
    steps: [{ ...steps[0], bowl: 'A', zones, start: 0, minutes: line.minutes.standard, checkEvery: null }],
  };
}

/** Slips of what is done at all: the route, the visits, the decision. */
export const ROUTE_SLIPS = {
  colourLiftsColour: (context) => {
    const coloured = context.modelAnswer.clientCase.head.zones.some(
      (zone) => uppermostHistory(zone).kind === 'coloured',
    );
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
    const { card, modelAnswer } = context;
    const line = ofKind(context, 'permanent');
    const tones = bowlWhere(context, ({ kind }) => kind === 'demi' || kind === 'acidGloss');
    const lightened = modelAnswer.choices.some(
      ({ part, technique }) =>
        technique === 'deposit' &&
        modelAnswer.clientCase.head.zones.some(
          (zone) => zone.zone === part && uppermostHistory(zone).kind === 'lightened',
        ),
    );
    if (!line || !tones || !lightened) return null;
    const goal = goalsOf(modelAnswer.clientCase).find(({ history }) => history.kind === 'lightened');
    const label = goal && writeLabel(line, Math.floor(goal.target.level), goal.target.tone);
    if (!label || !line.shades.includes(label)) return null;
    const total = bowlGrams(tones);
    const colour = total / (1 + line.ratios[0]);
    return {
      ...withBowl(card, tones.name, (bowl) => ({
        ...bowl,
        lineId: line.id,
        shades: [{ label, grams: tenth(colour) }],
        developer: [{ vol: 20, grams: tenth(total - colour) }],
      })),
      steps: card.steps.map((application) =>
        application.bowl === tones.name ? { ...application, minutes: line.minutes.standard } : application,
      ),
    };
  },
  noFiller: (context) => {
    const fills = bowlWhere(context, ({ kind }) => kind === 'filler');
    if (!fills) return null;
    const { card } = context;
    return {
      ...card,
      bowls: card.bowls.filter((bowl) => bowl !== fills),
      steps: card.steps.filter(({ bowl }) => bowl !== fills.name),
    };
  },
  tooFarByColour: (context) => {
    const goals = goalsOf(context.modelAnswer.clientCase);
    // What no school lifts by colour alone; they differ only on what comes first (F3).
    const forbidden = goals.some((goal) =>
      techniqueRulings(goal, DEFAULT_HOUSE_RULES).some(
        ({ technique, allowed }) =>
          technique === 'liftWithColour' && !allowed && goal.history.kind === 'untouched',
      ),
    );
    return forbidden ? colourAlone(context, 40, ['permanent']) : null;
  },
  tooMuchAtOnce: ({ card, modelAnswer }) => {
    if (modelAnswer.visits.length < 2) return null;
    if (!modelAnswer.proof.some(({ code }) => code === rulingCode('beyondCondition'))) return null;
    // Left on to the end, so that all that comes after it waits.
    const lightens = (application: Application) => application.checkEvery === CHECKS.lightener.best;
    const longer = Math.max(0, ...card.steps.filter(lightens).map(({ minutes }) => TO_THE_END - minutes));
    const later = (application: Application) =>
      lightens(application)
        ? { ...application, minutes: TO_THE_END, untilLevel: PALEST }
        : { ...application, start: application.start + longer };
    const care = card.care.map((step) =>
      step.do === 'protect' ? step : { ...step, start: step.start + longer },
    );
    return { ...withSteps(card, later), care, visits: 1 };
  },
  powderOnVivid: (context) => {
    const { card, modelAnswer } = context;
    const vivid = modelAnswer.clientCase.head.zones.some((zone) => uppermostHistory(zone).kind === 'vivid');
    const removes = bowlWhere(context, ({ kind }) => kind === 'remover');
    const powder = ofKind(context, 'lightenerStrong') ?? ofKind(context, 'lightenerGentle');
    const own = removes && lineOf(context, removes);
    const made = own && powder && ofLine(removes, own, powder, 20);
    if (!vivid || !made) return null;
    const others = card.bowls.filter(
      (bowl) => bowl !== removes && WORKS.includes(lineOf(context, bowl)?.kind ?? 'demi'),
    );
    const cleared = card.steps.filter(({ bowl }) => bowl === removes.name).flatMap(({ zones }) => zones);
    return {
      ...card,
      bowls: card.bowls.map((bowl) => (bowl === removes ? made : bowl)),
      steps: card.steps
        .filter(
          ({ bowl, zones }) =>
            !(others.some(({ name }) => name === bowl) && zones.every((zone) => cleared.includes(zone))),
        )
        .map((application) =>
          application.bowl === removes.name
            ? { ...application, checkEvery: CHECKS.lightener.best }
            : application,
        ),
    };
  },
  oneVisitPromise: ({ card, modelAnswer }) => (modelAnswer.visits.length > 1 ? { ...card, visits: 1 } : null),
  servedInSpite: (context) => {
    const { card, modelAnswer } = context;
    const line = ofKind(context, 'permanent');
    const goal = goalsOf(modelAnswer.clientCase)[0];
    if (modelAnswer.stops.length === 0 || !line || !goal) return null;
    const label = writeLabel(line, Math.floor(goal.target.level), goal.target.tone) ?? line.shades[0];
    return {
      ...card,
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
          zones: [goal.part.zone],
          placement: 'open',
          share: 1,
          areas: areasOf(regionsOf(modelAnswer.clientCase.head), [goal.part.zone]),
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
} satisfies Partial<Record<Misconception, SlipMaker>>;
