import {
  type RecordCard,
  type Bowl,
  type HairWork,
  type Application,
  bowlGrams,
  gramsFor,
  mixOfBowl,
  type LineOf,
  bowlOf,
  stepsOn,
  reachedAt,
  isProtectedAt,
} from '../card';
import { type Part, strandOfZone, uppermostHistory } from '../case';
import { type Area, AREA_BEARS, type Head, type PlaceId, regionOf, zoneOf } from '../hair';
import { type ZoneEvent, EMULSIFIED, type ZonePlan, type Mix } from '../process';

/** Areas of a place whose hair is treated alike, and what happens to them. */
export interface AreaPlan {
  /** Areas of the scalp. */
  areas: readonly Area[];
  /** Fraction 0–1 of the hair of the place that they bear. */
  bears: number;
  /** What happens to them, for the hair model. */
  plan: ZonePlan;
}

/**
 * How much of a bowl there is against what its places need (M2, R8): 1 is all of it. What is worked through wet hair at the
 * end takes no product of its own.
 */
function amountFound(head: Head, plan: Pick<RecordCard, 'steps'>, bowl: Bowl): number {
  const own = plan.steps.filter((application) => application.bowl === bowl.name);
  const dry = own.filter((application) => !application.wet);
  const steps = dry.length > 0 ? dry : own;
  if (steps.length === 0) return 1;
  const needed = gramsFor(head, steps).minGrams;
  return needed > 0 ? bowlGrams(bowl) / needed : 1;
}

const amounts = new WeakMap<Pick<RecordCard, 'steps'>, WeakMap<Head, Map<string, number>>>();

/** The same, found once for a card on a head: every area of every place asks for it. */
function amountOf(head: Head, plan: Pick<RecordCard, 'steps'>, bowl: Bowl): number {
  const onHeads = amounts.get(plan) ?? new WeakMap<Head, Map<string, number>>();
  amounts.set(plan, onHeads);
  const byBowl = onHeads.get(head) ?? new Map<string, number>();
  onHeads.set(head, byBowl);
  const amount = byBowl.get(bowl.name) ?? amountFound(head, plan, bowl);
  byBowl.set(bowl.name, amount);
  return amount;
}

/** What is done to a place beside the bowls that changes the hair. */
const careEvents = ({ care }: Pick<HairWork, 'care'>, place: PlaceId): ZoneEvent[] =>
  care.flatMap((step): ZoneEvent[] => {
    if (!step.zones.includes(place)) return [];
    const at = step.start;
    if (step.do === 'wash') return [{ at, do: 'wash', how: step.how, times: step.times }];
    if (step.do === 'emulsify' || step.do === 'rinse') return [{ at, do: step.do }];
    if (step.do === 'treat') return [{ at, do: 'treat', treatment: step.treatment }];
    return step.do === 'seal' ? [{ at, do: 'seal' }] : [];
  });

const heatOf = ({ heat, start }: Application): ZoneEvent[] =>
  heat
    ? [
        { at: start + heat.from, do: 'heat', on: true },
        { at: start + heat.to, do: 'heat', on: false },
      ]
    : [];

/** Partings up to which every hair is reached, mm: all-over gloss runs where colour and lightener have to be laid (A4). */
const THICKEST_PARTING_MM = { gloss: 25, other: 12 };
/** Fraction 0–1 of the hair of a parting as thick as this that a bowl reaches (R8). */
const reachedBy = ({ partingMm }: Application, { product }: Mix): number => {
  const thickest = THICKEST_PARTING_MM[product === 'acidGloss' || product === 'demi' ? 'gloss' : 'other'];
  return partingMm === undefined ? 1 : Math.min(1, thickest / partingMm);
};

/**
 * What emulsifying brings to a place on which nothing lies: what lies beside it, thinned and wet, until that is rinsed (A1).
 */
function pulledThrough(
  head: Head,
  card: HairWork,
  { zone }: Pick<Part, 'zone'>,
  lineOf: LineOf,
): ZoneEvent[] {
  const lies = ({ start, minutes }: Application, at: number) => start <= at && at < start + minutes;
  return card.care.flatMap((care): ZoneEvent[] => {
    if (care.do !== 'emulsify' || !care.zones.includes(zone)) return [];
    const at = care.start;
    if (card.steps.some((application) => application.zones.includes(zone) && lies(application, at)))
      return [];
    const donor = card.steps.find(
      (application) => lies(application, at) && application.zones.some((zone) => care.zones.includes(zone)),
    );
    const bowl = donor && bowlOf(card, donor);
    const line = bowl?.lineId ? lineOf(bowl.lineId) : undefined;
    const mix = bowl && line ? mixOfBowl(bowl, line) : null;
    if (!donor || !mix) return [];
    return [
      {
        at,
        do: 'apply',
        coat: {
          mix: { ...mix, thinned: (mix.thinned ?? 0) + EMULSIFIED },
          wet: true,
          amount: amountOf(head, card, bowl!),
          ageMinutes: at - donor.start,
        },
      },
      { at: donor.start + donor.minutes, do: 'rinse' },
    ];
  });
}

/**
 * Centimetres that cream or oil on a joint spares: about what a hand lays on of hair that was coloured or lightened before,
 * and hardly any of the hair that is to be worked (H53).
 */
const SPARED_CM = { workedBefore: 1.25, toBeWorked: 0.2 } as const;
/** Whether cream on the joint of a place spares most of it; longer hair is coloured or lightened below the cream all the same. */
function isAllJoint(head: Head, place: PlaceId): boolean {
  const zone = zoneOf(head, place);
  if (!zone) return false;
  const spares = uppermostHistory(zone).kind === 'untouched' ? SPARED_CM.toBeWorked : SPARED_CM.workedBefore;
  return spares >= zone.lengthCm / 2;
}

/** What an application does to an area of a place; nothing where it does not come there, or has no finished bowl. */
function eventsOf(
  head: Head,
  card: HairWork,
  application: Application,
  zone: PlaceId,
  area: Area,
  lineOf: LineOf,
): ZoneEvent[] {
  if (!application.areas.includes(area)) return [];
  const bowl = bowlOf(card, application);
  const line = bowl?.lineId ? lineOf(bowl.lineId) : undefined;
  const mix = bowl && line ? mixOfBowl(bowl, line) : null;
  if (!mix) return [];
  const at = reachedAt(application, area);
  const end = application.start + application.minutes;
  // Rinsed before anyone came to it.
  if (at >= end) return [];
  // However much there is, the middle of a thick slice gets too little.
  const reach = reachedBy(application, mix);
  const weighed = amountOf(head, card, bowl!);
  const amount = reach < 1 ? Math.min(1, weighed) * reach : weighed;
  const isProtected = isProtectedAt(card, zone, at) && isAllJoint(head, zone);
  return [
    ...heatOf(application),
    { at, do: 'apply', coat: { mix, wet: application.wet, amount, isProtected } },
    // What stays is not rinsed here; it goes on until something is (R8).
    ...(application.ends === 'rinse' ? [{ at: end, do: 'rinse' as const }] : []),
  ];
}

/**
 * What happens to a part of the head, area by area: what a step leaves out is not coloured, and what it comes to later lies
 * so much shorter (A4). Areas that are treated alike stand together, the one that bears most of the hair first.
 */
export function areaPlansOf(
  head: Head,
  card: HairWork,
  part: Pick<Part, 'zone' | 'woven'>,
  lineOf: LineOf,
): AreaPlan[] {
  const { areas } = regionOf(head, part.zone);
  const all = areas.reduce((sum, area) => sum + AREA_BEARS[area].fraction, 0);
  const start = strandOfZone(head, part.zone);
  const applications = stepsOn(card, part);
  const elsewhere = [...pulledThrough(head, card, part, lineOf), ...careEvents(card, part.zone)];
  const byEvents = new Map<string, { areas: Area[]; events: ZoneEvent[] }>();
  for (const area of areas) {
    // Which steps come to an area, and when: areas of the same answer are played once.
    const key = applications
      .map((application) => (application.areas.includes(area) ? reachedAt(application, area) : ''))
      .join();
    const alike = byEvents.get(key);
    if (alike) alike.areas.push(area);
    else {
      const events = applications.flatMap((application) =>
        eventsOf(head, card, application, part.zone, area, lineOf),
      );
      byEvents.set(key, { areas: [area], events: [...events, ...elsewhere] });
    }
  }
  return [...byEvents.values()]
    .map(({ areas: alike, events }) => ({
      areas: alike,
      bears: alike.reduce((sum, area) => sum + AREA_BEARS[area].fraction, 0) / all,
      plan: { start, events },
    }))
    .sort((a, b) => b.bears - a.bears);
}
