import { type Application, type RecordCard, type Bowl, STATION, bowlGrams } from '../card';
import { type ClientCase, shareOfPart, placementOn } from '../case';
import { type Head, type PlaceId, regionsOf, areasOf, neighboursOf, type Area } from '../hair';
import { HEAD_START, tonesBared, NEEDED_QUESTIONS, neededTests } from '../method';
import type { Line } from '../product';
import {
  RINSE_MINUTES,
  startsToEndTogether,
  CHECKS,
  type HouseRules,
  LIFTING,
  areasInOrder,
  washBefore,
} from '../rules';
import { careOf, firstMinute } from './care';
import type { PlannedPlace, GroupPlan, ChosenMix } from './group-plans';
import { readingsOf, aftercareFor } from './readings';
import { sameTone } from './right-mixes';
import { formulaOf, weigh, leftOver, enlarged, thinned } from './weighing';

/** Jobs that share their bowls, and the way chosen for them. */
export interface Group {
  /** Places that are done from the same bowls. */
  places: PlannedPlace[];
  /** The way chosen for them. */
  plan: GroupPlan;
}

const NAMES = 'ABCDEFGH';
/** Nothing is planned to lie for less: that long it takes to put on, look and rinse. Judgement. */
const LEAST_MINUTES = 5;

/** Hair that others are woven out of: it is coloured between their foils, or the colour would reach them too (A6). */
const isBetween = ({ goal: { part } }: PlannedPlace, plannedPlaces: readonly PlannedPlace[]): boolean =>
  !part.woven && plannedPlaces.some(({ goal }) => goal.part.woven && goal.part.zone === part.zone);
/** Share of the hair that is covered for a planned place. */
const shareOf = (
  planned: PlannedPlace,
  plannedPlaces: readonly PlannedPlace[],
  clientCase: ClientCase,
): number =>
  planned.goal.part.woven || isBetween(planned, plannedPlaces)
    ? Math.round(shareOfPart(clientCase, planned.goal.part) * 100) / 100
    : 1;

/**
 * Phase in which the bowls of a group begin. Work with fewer bowls joins at the end, so that all is rinsed and looked
 * at together; what goes between foils goes on while they are in.
 */
function beginsIn(
  { places, plan }: Group,
  groups: readonly Group[],
  all: readonly PlannedPlace[],
  phases: number,
): number {
  const own = phases - plan.mixes.length;
  if (!places.some((planned) => isBetween(planned, all))) return own;
  const foils = groups.filter((group) => group.places.some(({ goal }) => goal.part.woven));
  const foilsIn = Math.min(...foils.map((group) => phases - group.plan.mixes.length));
  return Math.max(0, Math.min(own, foilsIn - plan.mixes.length + 1));
}

interface Placed {
  planned: PlannedPlace;
  chosen: ChosenMix;
  minutes: number;
  bowl: string;
  start: number;
  wet: boolean;
}

/**
 * The bowl that ends are refreshed from where the school uses up what is left of the one for the regrowth (A1); null
 * where no such bowl was mixed, and a gloss is used in every school.
 */
function leftoverFor(
  { places }: Group,
  groups: readonly Group[],
  refresh: HouseRules['endsRefresh'],
): Group | null {
  if (refresh === 'gloss' || places.some(({ technique }) => technique !== 'refresh')) return null;
  const { target } = places[0].goal;
  return (
    groups.find((other) => {
      const last = other.plan.mixes.at(-1);
      if (!last || last.role !== 'colour' || !LIFTING.includes(last.line.kind)) return false;
      return other.places.some(
        ({ goal, technique }) =>
          technique !== 'refresh' &&
          !goal.part.woven &&
          goal.target.level === target.level &&
          sameTone(goal.target.tone, target.tone),
      );
    }) ?? null
  );
}

/** Colour that would lift or cover by itself, mixed afresh to refresh with: thinned as a leftover would be. */
const isThinned = ({ places, plan }: Group) =>
  places.every(({ technique }) => technique === 'refresh') &&
  plan.mixes.every(({ line }) => LIFTING.includes(line.kind));

/**
 * Lightening hair that has never been coloured: the warm root waits (A2).
 * @rule A9
 */
export const rootWaits = (
  { goal, technique }: Pick<PlannedPlace, 'goal' | 'technique'>,
  mix: { role: string },
): boolean =>
  goal.scalpContact === 'onScalp' &&
  goal.history.kind === 'untouched' &&
  (mix.role === 'lighten' || technique === 'liftWithColour' || technique === 'highLift');

/** Lengths that the warm root waits for: off the scalp, untouched, and lifted themselves; in a retouch it never waits (A9). */
export const isWaitedFor = ({ goal, technique }: Pick<PlannedPlace, 'goal' | 'technique'>): boolean =>
  goal.scalpContact === 'offScalp' &&
  !goal.part.woven &&
  goal.history.kind === 'untouched' &&
  (technique === 'lightenThenTone' || technique === 'liftWithColour' || technique === 'highLift');

/** Starts within one phase: all end together, the root of untouched hair waits at least its head start. */
function schedule(placed: Placed[], from: number): void {
  const starts = startsToEndTogether(placed.map(({ minutes }) => minutes));
  const firstLength = Math.min(
    ...placed.flatMap(({ planned }, i) => (isWaitedFor(planned) ? [starts[i]] : [])),
  );
  placed.forEach((placed, i) => {
    placed.start = from + starts[i];
    if (rootWaits(placed.planned, placed.chosen) && Number.isFinite(firstLength)) {
      const waited = Math.min(HEAD_START.most, Math.max(HEAD_START.least, starts[i] - firstLength));
      placed.start = from + firstLength + waited;
    }
  });
}

function stepsOf(
  placed: Placed[],
  clientCase: ClientCase,
  plannedPlaces: readonly PlannedPlace[],
): Application[] {
  const steps: Application[] = [];
  for (const { planned, chosen, minutes, bowl, start, wet } of placed) {
    const { zone, woven } = planned.goal.part;
    const share = shareOf(planned, plannedPlaces, clientCase);
    const placement = woven ? 'foils' : isBetween(planned, plannedPlaces) ? 'between' : 'open';
    const toner =
      chosen.role === 'colour' &&
      (chosen.line.kind === 'demi' || chosen.line.kind === 'acidGloss') &&
      tonesBared(planned.goal, planned.technique) &&
      planned.technique !== 'fillThenColour';
    const same = steps.find(
      (application) =>
        application.bowl === bowl &&
        application.start === start &&
        application.minutes === minutes &&
        application.share === share &&
        application.placement === placement &&
        application.taken === (woven ? takenOn(clientCase, zone).taken : undefined) &&
        application.wet === wet,
    );
    if (same) {
      same.zones.push(zone);
      continue;
    }
    steps.push({
      bowl,
      zones: [zone],
      placement,
      share,
      areas: [],
      ...(woven ? takenOn(clientCase, zone) : {}),
      stopsAtLine: true,
      wet,
      start,
      minutes,
      heat: null,
      checkEvery:
        chosen.role === 'lighten' || chosen.role === 'cleanse'
          ? CHECKS.lightener.best
          : toner
            ? CHECKS.toner.best
            : null,
      ends: chosen.line.kind === 'filler' ? 'stay' : 'rinse',
    });
  }
  for (const application of steps) {
    const coversGrey = placed.some(
      ({ bowl, chosen, planned }) =>
        bowl === application.bowl &&
        application.zones.includes(planned.goal.part.zone) &&
        chosen.role === 'colour' &&
        planned.technique !== 'refresh',
    );
    application.areas = orderOf(clientCase.head, application.zones, coversGrey);
  }
  return steps;
}

/** The areas of some places in the order they are worked: by the white that is to be covered, or by how dense they grow. */
function orderOf(head: Head, places: readonly PlaceId[], coversGrey: boolean): Area[] {
  const regions = regionsOf(head);
  return areasInOrder(areasOf(regions, places), (area) => {
    const { zones, density } = regions.find(({ areas }) => areas.includes(area))!;
    return { grey: coversGrey ? Math.max(...zones.map(({ greyShare }) => greyShare)) : 0, density };
  });
}

/** How the hair of a place is to be taken, where the case says so (A6). */
const takenOn = (clientCase: ClientCase, place: PlaceId): Pick<Application, 'taken'> => {
  const taken = placementOn(clientCase, place)?.taken;
  return taken ? { taken } : {};
};

/** Only lightener asks for it; before colour it is left open. */
function washOf(groups: readonly Group[], rules: HouseRules): RecordCard['wash'] {
  const lightener = groups.flatMap(({ plan }) => plan.mixes).find(({ role }) => role === 'lighten');
  return lightener ? washBefore(lightener.line, rules) : null;
}

/** Kinds of line that must not run into another beside them (C5). */
const RUNS: readonly Line['kind'][] = ['lightenerStrong', 'lightenerGentle', 'remover'];

/**
 * Two products that work at once on places that meet, each in foils of its own: two powders, or a remover below a powder
 * (A6, C5, P3).
 */
function keptApart(
  steps: readonly Application[],
  /** Kinds of line in the bowls, by their names. */
  kinds: ReadonlyMap<string, Line['kind']>,
  head: Head,
): Application[] {
  const meets = (a: Application, b: Application) =>
    a.start < b.start + b.minutes &&
    b.start < a.start + a.minutes &&
    a.zones.some((zone) => neighboursOf(head, zone).some((near) => b.zones.includes(near)));
  const runs = (application: Application) => {
    const kind = kinds.get(application.bowl);
    return application.placement === 'open' && kind !== undefined && RUNS.includes(kind) ? kind : null;
  };
  return steps.map((application) => {
    const kind = runs(application);
    const beside =
      kind !== null &&
      steps.some((other) => {
        const theirs = runs(other);
        return other !== application && theirs !== null && theirs !== kind && meets(application, other);
      });
    return beside ? { ...application, placement: 'foils' as const } : application;
  });
}

/** The card for a head: bowls weighed, zones in order, times that end together. */
export function assemble(
  clientCase: ClientCase,
  groups: readonly Group[],
  rules: HouseRules,
  visits: number,
  /** How ends are refreshed with the lines at hand. */
  refresh: HouseRules['endsRefresh'],
): RecordCard {
  const plannedPlaces = groups.flatMap((group) => group.places);
  const phases = Math.max(0, ...groups.map(({ plan }) => plan.mixes.length));
  const bowls: Bowl[] = [];
  const kinds = new Map<string, Line['kind']>();
  const steps: Application[] = [];
  let from = firstMinute(clientCase);
  const begins = new Map(groups.map((group) => [group, beginsIn(group, groups, plannedPlaces, phases)]));
  const endsIn = (group: Group) => begins.get(group)! + group.plan.mixes.length;
  // A leftover is there only where its bowl is mixed for the same part of the service; else the ends get their gloss.
  const donors = new Map(
    groups.flatMap((group) => {
      const donor = leftoverFor(group, groups, refresh);
      return donor && endsIn(donor) === endsIn(group) ? [[group, donor] as const] : [];
    }),
  );
  // What is made of a leftover comes after the bowl it is left from.
  const inOrder = [...groups].sort((a, b) => Number(donors.has(a)) - Number(donors.has(b)));
  for (let phase = 0; phase < phases; phase++) {
    const placed: Placed[] = [];
    const mixed = new Map<Group, string>();
    const byFormula = new Map<string, { name: string; zones: PlaceId[]; share: number }>();
    for (const group of inOrder) {
      const own = group.plan.mixes[phase - begins.get(group)!];
      if (!own) continue;
      const donor = donors.get(group);
      const emulsified = donor && refresh === 'waterEmulsify' ? mixed.get(donor) : undefined;
      const chosen = donor ? { ...donor.plan.mixes.at(-1)!, minutes: own.minutes } : own;
      const isThin = donor !== undefined || isThinned(group);
      const shared = isThin ? undefined : byFormula.get(formulaOf(chosen));
      const name = emulsified ?? shared?.name ?? NAMES[bowls.length];
      const zones = group.places.map(({ goal }) => goal.part.zone);
      const share = Math.max(...group.places.map((planned) => shareOf(planned, plannedPlaces, clientCase)));
      if (emulsified === undefined) {
        const serves = {
          name,
          zones: [...(shared?.zones ?? []), ...zones],
          share: Math.max(shared?.share ?? 0, share),
        };
        const bowl = weigh(name, chosen, clientCase.head, serves.zones, serves.share);
        const origin = donor && bowls.findIndex((bowl) => bowl.name === mixed.get(donor));
        if (shared) bowls[bowls.findIndex((bowl) => bowl.name === name)] = bowl;
        else if (origin !== undefined && origin >= 0) {
          const left = leftOver(name, bowls[origin], bowlGrams(bowl));
          bowls[origin] = enlarged(bowls[origin], left.from!.grams);
          bowls.push(left);
        } else {
          bowls.push(isThin ? thinned(bowl) : bowl);
          kinds.set(name, chosen.line.kind);
        }
        if (!isThin) byFormula.set(formulaOf(chosen), serves);
      }
      mixed.set(group, name);
      group.places.forEach((planned, i) =>
        placed.push({
          planned,
          chosen,
          minutes: Math.max(LEAST_MINUTES, chosen.minutes[i]),
          bowl: name,
          start: 0,
          wet: emulsified !== undefined || chosen.role === 'cleanse',
        }),
      );
    }
    schedule(placed, from);
    steps.push(...stepsOf(placed, clientCase, plannedPlaces));
    const end = Math.max(...placed.map(({ start, minutes }) => start + minutes));
    const stays = placed.every(({ chosen }) => chosen.line.kind === 'filler');
    from = end + (stays ? 0 : RINSE_MINUTES);
  }
  return {
    readings: readingsOf(clientCase, plannedPlaces, rules),
    asked: [...NEEDED_QUESTIONS],
    tests: neededTests(plannedPlaces, clientCase),
    ...(clientCase.station ? { station: [...STATION] } : {}),
    decision: 'goOn',
    visits,
    bowls,
    wash: washOf(groups, rules),
    steps: keptApart(
      steps.sort((a, b) => a.start - b.start),
      kinds,
      clientCase.head,
    ),
    care: careOf(
      clientCase,
      groups,
      steps,
      new Set([...kinds].flatMap(([name, kind]) => (RUNS.includes(kind) ? [name] : []))),
    ),
    aftercare: aftercareFor(plannedPlaces),
    // When to come back is known once the card is played.
    nextVisitWeeks: null,
  };
}
