import { type Aftercare, type Quote, costOfCard, quoteOf } from '../../card';
import { uppermostHistory } from '../../case';
import { NEEDED_QUESTIONS, type StopName } from '../../method';
import type { Line } from '../../product';
import type { ModelAnswer } from '../../solve';
import { PRICES, GROWTH, lossAt, priceListOf } from '../../rules';
import { type MarkingContext, whatItPutsOn } from '../context';
import { type Finding, finding } from '../finding';
import { fault, type FaultOf } from '../faults';

const { safety: price } = PRICES;
const QUESTION_PRICE: Partial<Record<string, number>> = {
  reactions: price.allergy,
  lastColour: price.smaller,
  upkeep: price.smaller,
};
const TEST_PRICE: Partial<Record<string, number>> = { patch: price.patch, porosity: price.smaller };

/** Which finding of consultation would have shown why a service stops. */
const FOUND_BY: Record<StopName, (card: MarkingContext['card']) => boolean> = {
  reaction: ({ asked, tests }) => asked.includes('reactions') || tests.includes('patch'),
  scalp: ({ asked }) => asked.includes('scalp'),
  metallicSalts: ({ asked, tests }) => asked.includes('metallicSalts') || tests.includes('incompatibility'),
  hairGivesWay: ({ tests }) => tests.includes('elasticity'),
  relaxed: ({ asked }) => asked.includes('chemical'),
  tooSoon: ({ asked }) => asked.includes('chemical'),
};

/**
 * What may be done today for a client whose wish has to be declined, by what stops it: colour that only deposits on hair
 * that bears no more; nothing with peroxide on hair just reshaped; nothing at a scalp that is sore.
 */
const GENTLE: Record<StopName, (line: Line, atScalp: boolean) => boolean> = {
  reaction: () => false,
  metallicSalts: () => false,
  scalp: (_line, atScalp) => !atScalp,
  hairGivesWay: ({ kind }) => DEPOSITS.includes(kind),
  relaxed: ({ kind }) => DEPOSITS.includes(kind),
  tooSoon: ({ kind }) => kind === 'acidGloss' || kind === 'direct',
};
const DEPOSITS: readonly Line['kind'][] = ['demi', 'acidGloss', 'direct', 'filler'];

/** Whether a service that had to be declined goes on with what hurts nothing, and says when the wish is looked at again. */
function isGentle(context: MarkingContext): boolean {
  const { card, modelAnswer } = context;
  if (card.decision !== 'goOn' || card.nextVisitWeeks === null || card.steps.length === 0) return false;
  return card.steps.every((application) => {
    const put = whatItPutsOn(context, application);
    return put !== null && modelAnswer.stops.every(({ stop }) => GENTLE[stop](put.line, put.atScalp));
  });
}

/** Findings on consultation, tests, decision and appointments (C3, C4). */
export function markSafety(context: MarkingContext): Finding[] {
  const { card, modelAnswer, clientCase } = context;
  const { card: best, stops, visits } = modelAnswer;
  const is = (loss: number, code: FaultOf<'safety'>, rule: string, params = {}) =>
    finding(null, loss, fault(`safety.${code}`, rule, params));
  const found: Finding[] = [];
  for (const question of NEEDED_QUESTIONS)
    if (!card.asked.includes(question))
      found.push(is(QUESTION_PRICE[question] ?? price.question, 'notAsked', 'C3', { question }));
  for (const test of best.tests) {
    const worked = clientCase.head.zones.some((zone) => uppermostHistory(zone).kind !== 'untouched');
    const dear = TEST_PRICE[test] ?? (test === 'elasticity' && !worked ? price.smaller : price.test);
    if (!card.tests.includes(test)) found.push(is(dear, 'notTested', 'C3', { test }));
  }
  for (const item of best.station ?? [])
    if (!card.station?.includes(item))
      found.push(finding(null, price.smaller, fault('safety.notReady', undefined, { item })));
  if (card.decision === null) found.push(is(price.decision, 'undecided', 'C3'));
  else if (card.decision !== best.decision && isGentle(context))
    found.push(is(0, 'gentleInstead', 'C4', { stop: stops[0]?.code ?? '' }));
  else if (card.decision !== best.decision)
    found.push(
      is(price.decision, card.decision === 'decline' ? 'needlessDecline' : 'shouldDecline', 'C3', {
        stop: stops[0]?.code ?? '',
      }),
    );
  else {
    found.push(is(0, best.decision === 'decline' ? 'declined' : 'goesOn', 'C3'));
    if (stops.length > 0 && !stops.some(({ stop }) => FOUND_BY[stop](card)))
      found.push(is(price.declinedUnasked, 'declinedUnasked', 'C3', { stop: stops[0].code }));
  }
  if (best.decision !== 'decline') {
    const [expected, given] = [visits.length, card.visits ?? 0];
    const params = { expected, given };
    if (given === expected) found.push(is(0, 'visits', 'C4', params));
    else if (given === 0) found.push(is(price.visitsOpen, 'visitsOpen', 'C4', params));
    else
      found.push(
        given < expected
          ? is(price.tooFewVisits, 'tooFewVisits', 'C4', params)
          : is(price.tooManyVisits, 'tooManyVisits', 'C4', params),
      );
  }
  return found;
}

/** Care that harms where the other is needed: blue over yellow turns it green, violet does nothing for orange. */
const HARMS: readonly Aftercare[] = ['violetCare', 'blueCare'];
/** Weeks either side of the model answer's date that are still the client's rhythm. */
const DATE_WITHIN = 2;
/** Who comes sooner than that, when hair is retouched at the latest, loses nothing by it but a free evening (A5). */
const NEVER_TOO_SOON = GROWTH.retouchWeeks.max;

/** Weeks between which the next appointment is right. */
function datesAround({ card: { nextVisitWeeks }, visits }: ModelAnswer): { from: number; to: number } {
  const expected = nextVisitWeeks ?? GROWTH.retouchWeeks.max;
  // What goes on has to rest in between (C4).
  const soonest = visits.length > 1 ? expected : Math.min(expected, NEVER_TOO_SOON);
  return { from: Math.max(1, soonest - DATE_WITHIN), to: expected + DATE_WITHIN };
}

/** What is told too low or too high, by what it is of. */
const QUOTED = {
  price: { under: 'priceTooLow', over: 'priceTooHigh' },
  minutes: { under: 'minutesTooFew', over: 'minutesTooMany' },
} as const satisfies Record<keyof Quote, Record<'under' | 'over', FaultOf<'aftercare'>>>;

/**
 * Findings on what the client was told it costs and how long it takes: by what the own card takes, whatever it should have
 * been (C11).
 */
function markQuote({ card, clientCase, lineOf, rules }: MarkingContext): Finding[] {
  if (!clientCase.quote || card.decision === 'decline') return [];
  const is = (loss: number, code: FaultOf<'aftercare'>, params = {}) =>
    finding(null, loss, fault(`aftercare.${code}`, 'C11', params));
  const { quote } = card;
  if (!quote || quote.price === null || quote.minutes === null)
    return [is(PRICES.aftercare.quoteOpen, 'quoteOpen')];
  const prices = priceListOf(rules);
  const { currency } = prices;
  const takes = quoteOf(costOfCard(clientCase.head, card, lineOf, prices));
  const off = (['price', 'minutes'] as const).flatMap((of) => {
    const [given, expected] = [quote[of]!, takes[of]!];
    const loss = lossAt(PRICES.aftercare.quote, Math.abs(given - expected) / Math.max(1, expected));
    return loss > 0
      ? [is(loss, QUOTED[of][given < expected ? 'under' : 'over'], { given, expected, currency })]
      : [];
  });
  return off.length > 0 ? off : [is(0, 'quoted', quote)];
}

/** Findings on home care and the next date. */
export function markAftercare(context: MarkingContext): Finding[] {
  const { card, modelAnswer } = context;
  const { card: best } = modelAnswer;
  if (best.aftercare.length === 0 && best.nextVisitWeeks === null) return [];
  if (card.aftercare.length === 0 && card.nextVisitWeeks === null)
    return [finding(null, 1, fault('aftercare.open', undefined))];
  const is = (loss: number, code: FaultOf<'aftercare'>, rule: string | undefined, params = {}) =>
    finding(null, loss, fault(`aftercare.${code}`, rule, params));
  const findings = best.aftercare.flatMap((care) =>
    card.aftercare.includes(care) ? [] : [is(PRICES.aftercare.missing, 'missing', undefined, { care })],
  );
  for (const care of card.aftercare)
    if (HARMS.includes(care) && !best.aftercare.includes(care))
      findings.push(is(PRICES.aftercare.harms, 'besides', undefined, { care }));
  const weeks = card.nextVisitWeeks;
  const { from, to } = datesAround(modelAnswer);
  if (weeks === null) findings.push(is(PRICES.aftercare.date, 'noDate', 'A5'));
  else if (weeks < from || weeks > to)
    findings.push(is(PRICES.aftercare.date, 'otherDate', 'A5', { given: weeks, from, to }));
  return [...findings, ...markQuote(context)];
}
