import { type LineOf, type RecordCard, complete, costOfCard, lastMinute, productOf, stepsOn } from '../card';
import { type ClientCase, type Part, type Target, amountFor, shareOfPart } from '../case';
import { TOP_OF_TEN, differenceOf } from '../colour';
import {
  type PlaceId,
  type Region,
  type ZoneOfHead,
  beginsAtScalp,
  labOfStrand,
  placeIn,
  placeParts,
  regionsOf,
} from '../hair';
import { type Condition, CONDITIONS, type Habits, isLightener } from '../process';
import type { Line } from '../product';
import { GROWTH, type HouseRules, OUTCOME_AT, type PriceList } from '../rules';
import { type HeadLater, type PartOutcome, grownCm, headAfterWeeks, simulateCard } from '../simulate';
import { solveCase } from '../solve';

/** ΔE2000 from the day it was done, or across the line of new growth, from which a client notices. Judgement. */
export const NOTICED_DELTA_E = 6;
/** ΔE2000 from the day it was done from which it is another colour: where what is left is no longer near. */
const FADED_DELTA_E = OUTCOME_AT.deltaE[1][0];
/** ΔE2000 across the line of new growth from which it is stark: then it is retouched at the earliest (A5). Judgement. */
const STARK_DELTA_E = 25;
/** Strands woven out are noticed later by as much as there are fewer of them, but no later than this share would be. */
const LEAST_SHARE = 0.25;
/** Places that are due within so many times as long are coloured again with the one that is due first. Judgement. */
const TOGETHER = 1.5;
/** Longest that any work is looked ahead, weeks. */
export const MOST_WEEKS = 52;

/** What of a service is done again, with what it takes each time. */
interface Need {
  /** The part that asks for it first. */
  part: Part;
  /** Weeks after which it is due. */
  everyWeeks: number;
  /** Weeks after which it is late. */
  latestWeeks: number;
  /** ΔE2000 that decides: across the line, or from the day it was done. */
  deltaE: number;
  /** Mixed grams each time. */
  grams: number;
  /** Price of them. */
  price: number;
  /** Minutes on the hair. */
  minutes: number;
}
/** New growth. */
export interface RetouchNeed extends Need {
  /** Length at which it is due, centimetres. */
  cm: number;
  /** Whether white hair is what shows. */
  grey: boolean;
  /** Whether it is lightened: then over two centimetres are worked as two (A5). */
  lightens: boolean;
  /** Whether the lines at hand can do it; then what it takes is that of the search's own card, else nothing. */
  canBeDone: boolean;
}
/** What a head asks for after a service, each by itself; null where it does not. */
export interface UpkeepNeeds {
  retouch: RetouchNeed | null;
  /** Colour that fades by more than a client notices. */
  refresh: Need | null;
  /** Worst condition of what was worked (C1). */
  condition: Condition;
}

/** A head on the day it was done, ready to be taken on in time. */
export interface DoneHead {
  clientCase: ClientCase;
  card: RecordCard;
  /** Hair of every part at the end of the service. */
  outcomes: PartOutcome[];
}

/** A card on its head as it is when the client leaves. */
export function doneHead(clientCase: ClientCase, card: RecordCard, lineOf: LineOf): DoneHead {
  const played = simulateCard(clientCase, complete(card), lineOf);
  return { clientCase, card, outcomes: played.outcomeAt(played.minutes) };
}

/** Such a head some weeks on, by the habits and the growth of the client. */
export const doneHeadLater = (
  { clientCase, outcomes }: DoneHead,
  weeks: number,
  habits: Habits,
  rate: number,
): HeadLater => headAfterWeeks(clientCase, outcomes, weeks, habits, rate);

const GREY_SHOWS_FROM = 0.15;

/** Centimetres of new growth at which a line of so much difference is retouched (A5): four weeks' where it is stark, six where it is soft. */
function retouchCm(deltaE: number): number {
  const { min, max } = GROWTH.retouchWeeks;
  const soft = (STARK_DELTA_E - deltaE) / (STARK_DELTA_E - NOTICED_DELTA_E);
  return grownCm(min + (max - min) * Math.min(1, Math.max(0, soft)));
}

/** The bowl that was put on a part last, as it is mixed again: what a gram of it costs, and its minutes; null where none was. */
function lastBowlOn({ clientCase, card }: DoneHead, part: Part, lineOf: LineOf, prices: PriceList) {
  const last = stepsOn(complete(card), part).at(-1);
  if (!last) return null;
  const { bowls } = costOfCard(clientCase.head, card, lineOf, prices);
  const bowl = bowls.find(({ name }) => name === last.bowl);
  if (!bowl || bowl.mixedGrams <= 0) return null;
  return { pricePerGram: bowl.price / bowl.mixedGrams, minutes: last.minutes };
}

/** First week, by halves of a day, at which a part has gone so far from the day it was done, ΔE2000; null where it does not within a year. */
function weekOfFading(done: DoneHead, at: number, far: number, habits: Habits, rate: number): number | null {
  const one = { ...done, outcomes: [done.outcomes[at]] };
  const off = (weeks: number) => doneHeadLater(one, weeks, habits, rate).places[0].deltaE;
  if (off(MOST_WEEKS) < far) return null;
  let [low, high] = [0, MOST_WEEKS];
  while (high - low > 1 / 14) {
    const middle = (low + high) / 2;
    if (off(middle) < far) low = middle;
    else high = middle;
  }
  return high;
}

/** The part of the needs that comes first. */
const soonest = <Of extends Pick<Need, 'everyWeeks'>>(needs: readonly Of[]): Of | null =>
  needs.reduce<Of | null>(
    (first, need) => (first && first.everyWeeks <= need.everyWeeks ? first : need),
    null,
  );

/** Hair below new growth as the search takes it: what shows of it, for it is not worked. */
function lengthsOf({ zones, name }: Region, outcomes: readonly PartOutcome[]): ZoneOfHead {
  const [first] = zones;
  const { level, tone, strand } = outcomes.find(({ part }) => part.zone === first.zone && !part.woven)!;
  const shows = Math.min(TOP_OF_TEN, Math.max(1, half(level)));
  const isLightened = shows > first.naturalLevel + 1;
  return {
    ...first,
    zone: placeIn(name, 'mids'),
    lengthCm: zones.reduce((sum, { lengthCm }) => sum + lengthCm, 0),
    history: [
      ...(isLightened ? [{ kind: 'lightened' as const, level: shows }] : []),
      {
        kind: isLightened ? ('demi' as const) : ('permanent' as const),
        level: shows,
        tone: { primary: tone },
      },
    ],
    damage: strand.damage,
  };
}
const half = (level: number) => Math.round(level * 2) / 2;

/** The retouch as a case of its own: new growth of a length that is to be as the hair at the scalp was wished, or as it shows. */
export function retouchCase(
  { clientCase, outcomes }: DoneHead,
  parts: readonly Part[],
  lengthCm: number,
): ClientCase {
  const { melts: _melts, placements: before = [], ...rest } = clientCase;
  const { head } = clientCase;
  const zones = regionsOf(head).flatMap((region): ZoneOfHead[] => {
    const [{ naturalLevel, greyShare, resistant, porosity, history }] = region.zones;
    const grown: ZoneOfHead = {
      zone: placeIn(region.name, 'regrowth'),
      lengthCm,
      naturalLevel,
      greyShare,
      ...(resistant ? { resistant } : {}),
      porosity: history.length === 0 ? porosity : 'normal',
      history: [],
      damage: 0,
    };
    return [grown, lengthsOf(region, outcomes)];
  });
  const grownAt = (place: PlaceId) => placeIn(placeParts(place).region, 'regrowth');
  const wish = Object.fromEntries(
    parts.flatMap((part): [PlaceId, Target][] => {
      if (part.woven) return [];
      const { level, tone } = outcomes.find((outcome) => outcome.part === part)!;
      return [[grownAt(part.zone), part.target ?? { level: half(level), tone: { primary: tone } }]];
    }),
  );
  const woven = parts.filter((part) => part.woven).map(({ zone }) => zone);
  const placements = before.flatMap((placement) => {
    const again = placement.zones.filter((zone) => woven.includes(zone)).map(grownAt);
    return again.length > 0 ? [{ ...placement, zones: again }] : [];
  });
  return { ...rest, head: { ...head, zones }, wish, ...(placements.length > 0 ? { placements } : {}) };
}

/** What a retouch takes, by the search; null where the lines at hand cannot do it, 'nothing' where it would be left as it grows. */
function workOfRetouch(
  retouch: ClientCase,
  { lines, rules, prices }: School,
): Pick<RetouchNeed, 'grams' | 'price' | 'minutes' | 'lightens'> | 'nothing' | null {
  const solved = solveCase(retouch, lines, rules);
  if (!solved.ok || solved.modelAnswer.card.decision === 'decline') return null;
  const { card } = solved.modelAnswer;
  if (card.steps.length === 0) return 'nothing';
  const lineOf: LineOf = (id) => lines.find((line) => line.id === id);
  const cost = costOfCard(retouch.head, card, lineOf, prices);
  return {
    grams: cost.bowls.reduce((sum, { mixedGrams }) => sum + mixedGrams, 0),
    price: cost.productPrice,
    minutes: lastMinute(card),
    lightens: card.bowls.some(({ lineId }) => {
      const line = lineId === null ? undefined : lineOf(lineId);
      return line !== undefined && isLightener(productOf(line, []));
    }),
  };
}

const NOT_HERE = { grams: 0, price: 0, minutes: 0, lightens: false };

/** What a plan of appointments is reckoned by: lines at hand, house rules, prices. */
export interface School {
  /** Lines of colour at hand. */
  lines: readonly Line[];
  /** House rules of the class. */
  rules: HouseRules;
  /** What the school reckons costs with. */
  prices: PriceList;
}

/**
 * What a head asks for after a service: a retouch where new growth shows (by its length, the step of colour, the share of
 * hair), reckoned by the search's card for it; the colour again where it has faded by more than a client notices, reckoned by
 * the bowl that was used there and the guide of amounts (M2).
 *
 * @param rate Growth in thirty days, centimetres.
 */
export function upkeepNeeds(done: DoneHead, school: School, habits: Habits, rate: number): UpkeepNeeds {
  const { clientCase, outcomes } = done;
  const { head } = clientCase;
  const lineOf: LineOf = (id) => school.lines.find((line) => line.id === id);
  const { growth } = doneHeadLater(done, 1, habits, rate);
  const weeksToGrow = (cm: number) => cm / grownCm(1, rate);
  const shareOf = (part: Part) => (part.woven ? shareOfPart(clientCase, part) : 1);

  const lines = outcomes.flatMap(({ part, strand }) => {
    if (!beginsAtScalp(head, part.zone)) return [];
    const grown = growth.find(({ region }) => region === placeParts(part.zone).region)!;
    const deltaE = differenceOf(labOfStrand(grown.strand), labOfStrand(strand));
    if (deltaE < NOTICED_DELTA_E) return [];
    const share = Math.max(LEAST_SHARE, shareOf(part));
    const cm = retouchCm(deltaE) / share;
    const latestWeeks = weeksToGrow(grownCm(GROWTH.retouchWeeks.max) / share);
    const grey = grown.strand.white >= GREY_SHOWS_FROM;
    return [{ part, everyWeeks: weeksToGrow(cm), latestWeeks, deltaE, cm, grey }];
  });
  const line = soonest(lines);
  const work =
    line &&
    workOfRetouch(
      retouchCase(
        done,
        lines.map(({ part }) => part),
        line.cm,
      ),
      school,
    );

  const fading = outcomes.flatMap((outcome, at): Need[] => {
    const { part } = outcome;
    const bowl = lastBowlOn(done, part, lineOf, school.prices);
    // Hair that nobody worked on fades too, but that is not what the client came for.
    if (!part.target || !bowl) return [];
    const week = (far: number) => weekOfFading(done, at, far, habits, rate);
    const everyWeeks = week(NOTICED_DELTA_E);
    if (everyWeeks === null) return [];
    const { minGrams, maxGrams } = amountFor(head, [part.zone], shareOf(part));
    const grams = (minGrams + maxGrams) / 2;
    return [
      {
        part,
        everyWeeks,
        latestWeeks: week(FADED_DELTA_E) ?? MOST_WEEKS,
        deltaE: NOTICED_DELTA_E,
        grams,
        price: grams * bowl.pricePerGram,
        minutes: bowl.minutes,
      },
    ];
  });
  const first = soonest(fading);
  const together = fading.filter(({ everyWeeks }) => first && everyWeeks <= first.everyWeeks * TOGETHER);
  const sum = (of: 'grams' | 'price') => together.reduce((all, need) => all + need[of], 0);
  const ranks = outcomes
    .filter(({ part }) => part.target)
    .map(({ condition }) => CONDITIONS.indexOf(condition));
  return {
    retouch: line && work !== 'nothing' ? { ...line, ...(work ?? NOT_HERE), canBeDone: work !== null } : null,
    refresh: first && {
      ...first,
      grams: sum('grams'),
      price: sum('price'),
      minutes: Math.max(...together.map(({ minutes }) => minutes)),
    },
    condition: CONDITIONS[Math.max(0, ...ranks)],
  };
}
