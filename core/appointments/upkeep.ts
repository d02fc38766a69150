import { type LineOf, type RecordCard, complete, costOfCard, lastMinute, productOf, stepsOn } from '../card';
import { type ClientCase, type Part, type Target, amountFor, shareOfPart } from '../case';
import { TOP_OF_TEN } from '../colour';
import { type PlaceId, type Region, type ZoneOfHead, placeIn, placeParts, regionsOf } from '../hair';
import { type Condition, CONDITIONS, isLightener } from '../process';
import type { Line } from '../product';
import type { HouseRules, PriceList } from '../rules';
import {
  type DueAgain,
  type GrowthLine,
  type HairLife,
  type HeadLater,
  type PartOutcome,
  fadingOf,
  growthLines,
  headAfterWeeks,
  simulateCard,
  soonest,
} from '../simulate';
import { solveCase } from '../solve';

/** Places that are due within so many times as long are coloured again with the one that is due first. Judgement. */
const TOGETHER = 1.5;
/** What a service takes each time. */
interface Work {
  /** Mixed grams each time. */
  grams: number;
  /** Price of them. */
  price: number;
  /** Minutes on the hair. */
  minutes: number;
}
/** New growth. */
export interface RetouchNeed extends GrowthLine, Work {
  /** Whether it is lightened: then over two centimetres are worked as two (A5). */
  lightens: boolean;
  /** Whether the lines at hand can do it; then what it takes is that of the search's own card, else nothing. */
  canBeDone: boolean;
}
/** What a head asks for after a service, each by itself; null where it does not. */
export interface UpkeepNeeds {
  retouch: RetouchNeed | null;
  /** Colour that fades by more than a client notices. */
  refresh: (DueAgain & Work) | null;
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
  { habits, growthCm }: HairLife,
): HeadLater => headAfterWeeks(clientCase, outcomes, weeks, habits, growthCm);

/** The bowl that was put on a part last, as it is mixed again: what a gram of it costs, and its minutes; null where none was. */
function lastBowlOn({ clientCase, card }: DoneHead, part: Part, lineOf: LineOf, prices: PriceList) {
  const last = stepsOn(complete(card), part).at(-1);
  if (!last) return null;
  const { bowls } = costOfCard(clientCase.head, card, lineOf, prices);
  const bowl = bowls.find(({ name }) => name === last.bowl);
  if (!bowl || bowl.mixedGrams <= 0) return null;
  return { pricePerGram: bowl.price / bowl.mixedGrams, minutes: last.minutes };
}

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
 */
export function upkeepNeeds(done: DoneHead, school: School, life: HairLife): UpkeepNeeds {
  const { clientCase, outcomes } = done;
  const { head } = clientCase;
  const lineOf: LineOf = (id) => school.lines.find((line) => line.id === id);
  const shareOf = (part: Part) => (part.woven ? shareOfPart(clientCase, part) : 1);
  const lines = growthLines(clientCase, outcomes, life);
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

  const fading = outcomes.flatMap((outcome): (DueAgain & Work)[] => {
    const { part } = outcome;
    const bowl = lastBowlOn(done, part, lineOf, school.prices);
    // Hair that nobody worked on fades too, but that is not what the client came for.
    const due = part.target && bowl ? fadingOf(outcome, life) : null;
    if (!due) return [];
    const { minGrams, maxGrams } = amountFor(head, [part.zone], shareOf(part));
    const grams = (minGrams + maxGrams) / 2;
    return [{ ...due, grams, price: grams * bowl!.pricePerGram, minutes: bowl!.minutes }];
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
