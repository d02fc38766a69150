import { type LineOf, type RecordCard, chairMinutesOf, chairPriceOf, costOfCard } from '../card';
import type { ClientCase, Part } from '../case';
import { type Condition, CONDITIONS } from '../process';
import { GROWTH, type PriceList, inHundredths } from '../rules';
import { type HairLife, type HeadLater, MOST_WEEKS, grownCm, inRhythm } from '../simulate';
import { type ModelAnswer, caseOfVisit } from '../solve';
import { type DoneHead, type School, type UpkeepNeeds, doneHead, doneHeadLater, upkeepNeeds } from './upkeep';

/**
 * What an appointment is for: a visit of the answer on the way to the wish, new growth, colour that has faded, condition,
 * what has built up (C6).
 */
export const SERVICES = ['visit', 'retouch', 'refresh', 'treatment', 'cleanse'] as const;
export type ServiceName = (typeof SERVICES)[number];

/** Why a service is due. */
export interface BookedService {
  /** What is done. */
  service: ServiceName;
  /** The part that asks for it; null where it is all of the hair. */
  part: Part | null;
  /** Of new growth its length on the day, centimetres; else 0. */
  cm: number;
  /** Across the line of new growth, or from the day it was done, ΔE2000; else 0. */
  deltaE: number;
  /** Whether white hair is what shows. */
  grey: boolean;
  /** Weeks after the day from which it is late; 0 where it is in time. */
  lateWeeks: number;
}

/** One appointment of a plan. */
export interface Appointment {
  /** Weeks from the first one. */
  week: number;
  /** What it is for. */
  services: BookedService[];
  /** Minutes in the chair. */
  minutes: number;
  /** Price, to the hundredth. */
  price: number;
  /** The head as it comes to it: grown and faded since the last; null for the first. */
  before: HeadLater | null;
  /** The case whose end that head is; null for the first. */
  comesFrom: ClientCase | null;
}

/** What a client lives by. */
export interface ClientRhythm extends HairLife {
  /** Weeks after which the client is ready to come back, or a multiple of them. */
  everyWeeks: number;
  /** What may be spent in a year, in the currency of the list; null for no limit. */
  purseAYear: number | null;
}

/** What is given up to keep a plan within a purse, in this order. */
export const GIVEN_UP = ['cleanse', 'refresh', 'treatment', 'rhythm'] as const;
export type GivenUp = (typeof GIVEN_UP)[number];

/** What it is like where an appointment is missed. */
export interface MissedAppointment {
  /** Length of new growth, centimetres. */
  cm: number;
  /** Furthest that what was coloured has gone, ΔE2000. */
  deltaE: number;
  /** Whether new growth has to be lightened as two by now, for it reaches out of the warmth of the scalp (A5). */
  twoZones: boolean;
}

/** Appointments of a client over a time. */
export interface AppointmentPlan {
  /** In their order; the first is today. */
  appointments: Appointment[];
  /** What the head asks for. */
  needs: UpkeepNeeds;
  /** Weeks from one appointment to the next, once the wish is reached; null where nothing has to be kept up. */
  everyWeeks: number | null;
  /** Price of all of them. */
  price: number;
  /** What is reckoned for a year of upkeep. */
  yearly: number;
  /** What had to be given up for the purse, the last thing last. */
  givenUp: GivenUp[];
  /** Whether it stays within the purse. */
  withinPurse: boolean;
  /** The first appointment of upkeep missed by four weeks; null where there is none. */
  missed: MissedAppointment | null;
}

/** Weeks by which the plan says what a missed appointment means. */
export const MISSED_WEEKS = 4;
/** A cleanse so often, where colour is laid over colour (C6): twice a year. */
const CLEANSE_WEEKS = 26;
/** Refreshed oftener than this within that time, colour builds up. Judgement. */
const BUILDS_UP_FROM = 4;
/** Minutes of a treatment, and of a cleanse, at the basin. Judgement. */
const BASIN_MINUTES = 10;
/** Longest that anybody is told to wait, weeks. */
const MOST_APART = 16;
/** From this condition on hair is treated at every appointment (C1, C4). */
const TREATED_FROM: Condition = 'weak';

type Answer = Pick<ModelAnswer, 'clientCase' | 'visits' | 'card'>;

/** The appointments on the way to the wish, each played on the head as the one before left it. */
function visitsOf(
  answer: Answer,
  lineOf: LineOf,
  prices: PriceList,
  life: ClientRhythm,
): { appointments: Appointment[]; last: DoneHead } {
  const appointments: Appointment[] = [];
  const known = answer.visits.every(({ card }) => card);
  const visits = known ? answer.visits : answer.visits.slice(0, 1);
  let last: DoneHead | null = null;
  let week = 0;
  visits.forEach(({ afterWeeks, card }, at) => {
    // The first is the card that is told, which may be another than the search's.
    const own: { clientCase: ClientCase; card: RecordCard } =
      at === 0
        ? { clientCase: answer.clientCase, card: answer.card }
        : { clientCase: caseOfVisit(answer, at)!, card: card! };
    const before = last && doneHeadLater(last, afterWeeks, life);
    week += at === 0 ? 0 : afterWeeks;
    const { chairMinutes, total } = costOfCard(own.clientCase.head, own.card, lineOf, prices);
    appointments.push({
      week,
      services: [{ ...PLAIN, service: 'visit' }],
      minutes: chairMinutes,
      price: total,
      before,
      comesFrom: last && last.clientCase,
    });
    last = doneHead(own.clientCase, own.card, lineOf);
  });
  return { appointments, last: last! };
}

/** Weeks from one appointment of upkeep to the next: the first that is due, in the rhythm of the client. */
function rhythmOf({ retouch, refresh }: UpkeepNeeds, { everyWeeks }: ClientRhythm): number | null {
  const due = Math.min(retouch?.everyWeeks ?? Infinity, refresh?.everyWeeks ?? Infinity);
  if (!Number.isFinite(due) || due > MOST_WEEKS) return null;
  return inRhythm(due, everyWeeks);
}

interface UpkeepChoice {
  /** Weeks from one appointment to the next. */
  every: number;
  /** What is given up. */
  dropped: readonly GivenUp[];
}

/** An appointment of upkeep as it is reckoned: what is done, and the weeks since it was done last. */
interface Reckoned {
  week: number;
  services: ServiceName[];
  waited: { retouch: number; refresh: number };
  minutes: number;
  price: number;
}

/** What is due is done at the appointment that is nearest to its day. */
const isDue = ({ everyWeeks }: { everyWeeks: number }, waited: number, every: number): boolean =>
  waited + every / 2 >= everyWeeks;

/** Appointments of upkeep after a week, until the plan ends. */
function reckon(
  needs: UpkeepNeeds,
  prices: PriceList,
  growthCm: number,
  { every, dropped }: UpkeepChoice,
  from: number,
  until: number,
): Reckoned[] {
  const appointments: Reckoned[] = [];
  const { retouch, refresh } = needs;
  const since = { retouch: 0, refresh: 0, cleanse: 0 };
  let refreshed = 0;
  for (let week = from + every; week <= until; week += every) {
    for (const name of ['retouch', 'refresh', 'cleanse'] as const) since[name] += every;
    const waited = { retouch: since.retouch, refresh: since.refresh };
    const services: ServiceName[] = [];
    let [work, basin, product] = [0, 0, 0];
    if (retouch && isDue(retouch, since.retouch, every)) {
      services.push('retouch');
      work = Math.max(work, retouch.minutes);
      // Longer growth takes more.
      product += retouch.price * Math.max(1, grownCm(since.retouch, growthCm) / retouch.cm);
      since.retouch = 0;
    }
    // Given up, it is done every other time.
    if (
      refresh &&
      isDue(
        dropped.includes('refresh') ? { everyWeeks: 2 * refresh.everyWeeks } : refresh,
        since.refresh,
        every,
      )
    ) {
      services.push('refresh');
      work = Math.max(work, refresh.minutes);
      product += refresh.price;
      since.refresh = 0;
      refreshed += 1;
    }
    // Nobody comes for nothing.
    if (services.length === 0) continue;
    if (since.cleanse >= CLEANSE_WEEKS && refreshed >= BUILDS_UP_FROM && !dropped.includes('cleanse')) {
      services.unshift('cleanse');
      basin += BASIN_MINUTES;
      since.cleanse = 0;
      refreshed = 0;
    }
    const worn = CONDITIONS.indexOf(needs.condition) >= CONDITIONS.indexOf(TREATED_FROM);
    if (worn && !dropped.includes('treatment')) {
      services.push('treatment');
      basin += BASIN_MINUTES;
    }
    const minutes = chairMinutesOf(work + basin, prices);
    const price = inHundredths(chairPriceOf(minutes, prices) + product + prices.sundries);
    appointments.push({ week, services, waited, minutes, price });
  }
  return appointments;
}

const priceOf = (appointments: readonly { price: number }[]) =>
  inHundredths(appointments.reduce((sum, { price }) => sum + price, 0));

/** The upkeep that stays within a purse, or comes nearest: what saves is given up in its order, then the rhythm. */
function withinPurse(
  every: number,
  { everyWeeks, purseAYear: purse }: ClientRhythm,
  yearOf: (choice: UpkeepChoice) => number,
): { choice: UpkeepChoice; yearly: number } {
  let choice: UpkeepChoice = { every, dropped: [] };
  let yearly = yearOf(choice);
  const take = (tried: UpkeepChoice) => {
    const year = yearOf(tried);
    if (year < yearly) [choice, yearly] = [tried, year];
  };
  const isOver = () => purse !== null && yearly > purse;
  for (const given of GIVEN_UP)
    if (given !== 'rhythm' && isOver()) take({ every, dropped: [...choice.dropped, given] });
  const { dropped } = choice;
  for (let longer = every + everyWeeks; longer <= MOST_APART && isOver(); longer += everyWeeks)
    take({ every: longer, dropped: [...dropped, 'rhythm'] });
  return { choice, yearly };
}

/** The head as it comes to an appointment: grown since the last retouch, faded since the last refresh. */
function headBefore(done: DoneHead, { retouch, refresh }: Reckoned['waited'], life: ClientRhythm): HeadLater {
  const faded = doneHeadLater(done, refresh, life);
  const grown = doneHeadLater(done, retouch, life);
  return {
    ...faded,
    places: faded.places.map((place, i) => ({ ...place, regrowthCm: grown.places[i].regrowthCm })),
    growth: grown.growth,
  };
}

/** An appointment as it is told: each service with what asks for it on the day. */
function told(done: DoneHead, needs: UpkeepNeeds, reckoned: Reckoned, rhythm: ClientRhythm): Appointment {
  const { week, services, waited, minutes, price } = reckoned;
  const before = headBefore(done, waited, rhythm);
  const { retouch, refresh } = needs;
  return {
    week,
    services: services.map((service): BookedService => {
      const need = service === 'retouch' ? retouch : service === 'refresh' ? refresh : null;
      if (!need) return { ...PLAIN, service };
      const since = service === 'retouch' ? waited.retouch : waited.refresh;
      const faded = before.places.find(
        ({ part }) => part.zone === need.part.zone && part.woven === need.part.woven,
      )!;
      return {
        service,
        part: need.part,
        cm: service === 'retouch' ? grownCm(since, rhythm.growthCm) : 0,
        deltaE: service === 'retouch' ? need.deltaE : faded.deltaE,
        grey: service === 'retouch' && retouch!.grey,
        lateWeeks: Math.max(0, Math.round(since - need.latestWeeks)),
      };
    }),
    minutes,
    price,
    before,
    comesFrom: done.clientCase,
  };
}
const PLAIN = { part: null, cm: 0, deltaE: 0, grey: false, lateWeeks: 0 };

/**
 * Appointments from today on: those on the way to the wish, then what keeps it, by growth, fading and condition as the hair
 * model has them, in the rhythm of the client and within the purse where that can be.
 *
 * @param answer What is done today, and the visits after it; a card alone is one visit.
 * @param weeks How far ahead, 1 to 52.
 */
export function planAppointments(
  answer: Answer,
  school: School,
  rhythm: ClientRhythm,
  weeks: number,
): AppointmentPlan {
  const { lines, prices } = school;
  const lineOf: LineOf = (id) => lines.find((line) => line.id === id);
  const { appointments: first, last } = visitsOf(answer, lineOf, prices, rhythm);
  const needs = upkeepNeeds(last, school, rhythm);
  const every = rhythmOf(needs, rhythm);
  const from = first.at(-1)!.week;
  const end = Math.max(from, Math.min(MOST_WEEKS, weeks));
  const { purseAYear: purse } = rhythm;
  const reckoned = (choice: UpkeepChoice, after: number, until: number) =>
    reckon(needs, prices, rhythm.growthCm, choice, after, until);
  const fitted =
    every === null ? null : withinPurse(every, rhythm, (choice) => priceOf(reckoned(choice, 0, MOST_WEEKS)));
  const upkeep = fitted
    ? reckoned(fitted.choice, from, end).map((one) => told(last, needs, one, rhythm))
    : [];
  const appointments = [...first, ...upkeep];
  const apart = fitted?.choice.every ?? null;
  const yearly = fitted?.yearly ?? 0;
  return {
    appointments,
    needs,
    everyWeeks: apart,
    price: priceOf(appointments),
    yearly,
    givenUp: [...(fitted?.choice.dropped ?? [])],
    withinPurse: purse === null || yearly <= purse,
    missed: apart === null ? null : missedUntil(last, needs, rhythm, apart + MISSED_WEEKS),
  };
}

/** What it is like so many weeks after the head was done. */
function missedUntil(
  done: DoneHead,
  { retouch }: UpkeepNeeds,
  life: ClientRhythm,
  week: number,
): MissedAppointment {
  const { places } = doneHeadLater(done, week, life);
  const cm = retouch ? grownCm(week, life.growthCm) : 0;
  return {
    cm,
    deltaE: Math.max(0, ...places.flatMap(({ part, deltaE }) => (part.target ? [deltaE] : []))),
    twoZones: retouch !== null && retouch.lightens && cm > GROWTH.twoZonesFromCm,
  };
}
