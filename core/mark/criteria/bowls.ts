import { type Bowl, bowlRatio, colourGrams, developerGrams, bowlGrams, gramsFor } from '../../card';
import { type Line, hasDeveloper, hasShades, weighingToleranceGrams, readLabel } from '../../product';
import { lossAt, PRICES } from '../../rules';
import { type MarkingContext, isLeftoverStep } from '../context';
import { type Finding, finding } from '../finding';
import { fault, type FaultOf } from '../faults';
import { isSameBowl } from '../worked-place';

interface UsedBowl {
  bowl: Bowl;
  line: Line;
}

const usedBowls = ({ card, lineOf }: MarkingContext): UsedBowl[] =>
  card.bowls.flatMap((bowl) => {
    const line = bowl.lineId ? lineOf(bowl.lineId) : undefined;
    return line && card.steps.some((application) => application.bowl === bowl.name) ? [{ bowl, line }] : [];
  });

/** Bowls that hold nothing but a leftover with water in it: the water is no part of the ratio. */
const isThinned = ({ parts }: MarkingContext, bowl: Bowl) => {
  const users = parts.filter(({ steps }) => steps.some((worked) => worked.bowl === bowl));
  return users.length > 0 && users.every(({ leftover }) => leftover?.way === 'diluteLeftover');
};
const withoutWater = (bowl: Bowl): Bowl => ({
  ...bowl,
  developer: bowl.developer.filter(({ vol }) => vol > 0),
});

const isHighLift = ({ parts }: MarkingContext, bowl: Bowl) =>
  parts.some(({ steps }) =>
    steps.some(
      (worked) => worked.bowl === bowl && worked.shades.some(({ shade }) => shade.series === 'highLift'),
    ),
  );

/** Findings on the mixing ratio of every bowl (M1). */
export function markRatio(context: MarkingContext): Finding[] {
  const used = usedBowls(context);
  if (used.length === 0)
    return context.modelAnswer.card.bowls.length > 0
      ? [finding(null, 1, fault('ratio.open', undefined))]
      : [];
  return used.flatMap(({ bowl, line }): Finding[] => {
    if (!hasDeveloper(line.kind)) return [];
    const mixed = isThinned(context, bowl) ? withoutWater(bowl) : bowl;
    const given = bowlRatio(mixed);
    const allowed = line.highLift && isHighLift(context, bowl) ? line.highLift.ratios : line.ratios;
    const rounded = given === null ? 0 : Math.round(given * 100) / 100;
    const params = { bowl: bowl.name, line: line.name, expected: allowed[0], given: rounded };
    const is = (loss: number, code: FaultOf<'ratio'>, rule?: string) =>
      finding(null, loss, fault(`ratio.${code}`, rule, params));
    if (given === null || given === 0) return [is(1, 'open')];
    const colour = colourGrams(mixed);
    const developer = developerGrams(mixed);
    // M4: three in a hundred, or the grams that the class allows, is careful weighing.
    const right = allowed.some(
      (ratio) =>
        Math.abs(developer - colour * ratio) <=
        weighingToleranceGrams(colour * ratio, context.rules.weighingTolerance),
    );
    if (right) return [is(0, 'right', 'M1')];
    if (allowed.some((ratio) => ratio !== 1 && Math.abs(1 / ratio - given) < 0.04))
      return [is(1, 'turned', 'M1')];
    const off = Math.min(...allowed.map((ratio) => Math.abs(given - ratio) / ratio));
    return [is(lossAt(PRICES.ratio, off), given < allowed[0] ? 'tooThick' : 'tooThin', 'M1')];
  });
}

/** Two bowls of one mix for the same hair: one that was mixed as two halves, or one too many. */
function twinOf({ card }: Pick<MarkingContext, 'card'>, bowl: Bowl): Bowl | undefined {
  const on = ({ name }: Bowl) =>
    JSON.stringify(
      card.steps.flatMap((application) =>
        application.bowl === name ? [application.zones, application.areas] : [],
      ),
    );
  const before = card.bowls.slice(0, card.bowls.indexOf(bowl));
  return before.find((one) => isSameBowl(one, bowl) && on(one) === on(bowl));
}

/** Faults of the shelf work: bowls that are not used, labels the line does not have. */
export function besides({ card, lineOf }: Pick<MarkingContext, 'card' | 'lineOf'>): Finding[] {
  return card.bowls.flatMap((bowl): Finding[] => {
    const line = bowl.lineId ? lineOf(bowl.lineId) : undefined;
    if (!line || bowlGrams(bowl) <= 0) return [];
    const found: Finding[] = [];
    const params = { bowl: bowl.name };
    const add = (loss: number, code: FaultOf<'amount'>, more = {}) =>
      found.push(finding(null, loss, fault(`amount.${code}`, 'M5', { ...params, ...more })));
    if (!card.steps.some((application) => application.bowl === bowl.name))
      add(PRICES.amount.bowlUnused, 'unused');
    const unread = hasShades(line.kind) && bowl.shades.find(({ label }) => !readLabel(line, label).ok);
    if (unread) add(PRICES.amount.labelUnread, 'unread', { label: unread.label, line: line.name });
    return found;
  });
}

/** Findings on the amount of every bowl (M2). */
export function markAmount(context: MarkingContext): Finding[] {
  const used = usedBowls(context);
  if (used.length === 0)
    return context.modelAnswer.card.bowls.length > 0
      ? [finding(null, 1, fault('amount.open', undefined))]
      : [];
  const weighed = used.flatMap(({ bowl }): Finding[] => {
    // Mixed in two halves it is weighed once, with the first of them.
    if (twinOf(context, bowl)) return [];
    const others = used.filter((one) => twinOf(context, one.bowl) === bowl);
    const mine = context.card.steps.filter((application) => application.bowl === bowl.name);
    // What is emulsified through the ends is left over from what the bowl was mixed for.
    const own = mine.filter((application) => !isLeftoverStep(context, application));
    const steps = own.length > 0 ? own : mine;
    const guide = gramsFor(context.clientCase.head, steps);
    const [min, max] = [Math.round(guide.minGrams), Math.round(guide.maxGrams)];
    const all = [bowl, ...others.map((one) => one.bowl)];
    const given = Math.round(all.reduce((sum, one) => sum + bowlGrams(one), 0) * 10) / 10;
    const params = { bowl: bowl.name, min, max, given };
    const slack = weighingToleranceGrams(given, context.rules.weighingTolerance);
    const is = (loss: number, code: FaultOf<'amount'>) =>
      finding(null, loss, fault(`amount.${code}`, 'M2', params));
    if (given >= min - slack && given <= max + slack) return [is(0, 'right')];
    if (given < min) return [is(lossAt(PRICES.amount.short, (min - given) / min), 'tooLittle')];
    const twice = others.length > 0;
    const over = lossAt(PRICES.amount.over, given / max);
    return twice
      ? [
          finding(
            null,
            Math.max(over, PRICES.amount.bowlTwice),
            fault('amount.twice', 'M5', { bowl: bowl.name, other: others[0].bowl.name }),
          ),
        ]
      : [is(over, 'tooMuch')];
  });
  return [...weighed, ...besides(context)];
}
