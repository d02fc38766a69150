import {
  type Application,
  type Complete,
  type HairWork,
  type LineOf,
  bowlOf,
  lookMinutesOf,
  mixOfBowl,
  stepsOn,
  type WatchedFor,
} from '../card';
import { type HeadAndWish, type Part, partsOf, targetLab } from '../case';
import { differenceOf } from '../colour';
import { exposureOf, labOfStrand, levelOfPigmented, type PlaceId, type Strand } from '../hair';
import { isLightener, type Mix, zoneAt } from '../process';
import { areaPlansOf } from './zone-plans';

/** When a step begins and ends at a place, minutes of the service. */
export interface Spell {
  start: number;
  end: number;
}

/** A card as it is worked: what is watched ends at a look, and what follows moves up. */
export interface WatchedCard {
  /** The card with the minutes that its steps really take. */
  card: Complete<HairWork>;
  /** When a step of the card as written begins and ends at a place. */
  spellOf: (application: Application, place: PlaceId) => Spell;
}

/** Level short of the aim that nobody sees on a wiped strand. */
const LEVEL_SEEN = 0.05;
/** ΔE2000 to the wish from which a toner is there. */
const TONE_THERE = 4;
/** A toner is done when so many minutes more would bring it no nearer than this, ΔE2000. */
const TONE_AHEAD = { minutes: 3, deltaE: 0.5 };
/** Lightener is done when it has moved less than this many levels in ten minutes, after twenty (R3). */
const LIFT_DONE = { after: 20, within: 10, levels: 0.25 };
/** Remover and cleanse are done when five minutes change nothing that can be seen, after ten (R3). */
const CHANGE_DONE = { after: 10, within: 5, levels: 0.1, deltaE: 1 };
/** How far the warmth of hair is laid bare, 0–1, from which colour on it is a toner that is watched. */
const BARED = 0.5;
/** From this fraction of white on hair is toned like lightened hair. */
const ALL_WHITE = 0.9;
/** Looks closer than this are this far apart; the closest rhythm that R2 asks, minutes. */
const CLOSEST = { lightener: 5, toner: 2 } as const;
/** Nothing is looked at, and so nothing is taken off, before it has been put on everywhere, minutes. */
const FIRST_LOOK = 3;

/** What a step is watched for by its product where the card does not say it; null where nothing is. */
function signOf(application: Application, mix: Mix, strand: Strand, part: Part): WatchedFor | null {
  if (mix.product === 'remover') return application.watchedFor ?? 'noChange';
  if (isLightener(mix.product)) return application.watchedFor ?? (mix.conditioner ? 'noChange' : 'level');
  const tones = mix.product === 'demi' || mix.product === 'acidGloss';
  const tinted = mix.shades.some(({ shade }) => shade.series !== 'clear');
  // A blend is no colour of its own to be met: it is taken off by the clock.
  if (!tinted || !part.target || part.target.vivid || part.target.grey === 'blend') return null;
  const asToner = tones && (exposureOf(strand) > BARED || strand.white >= ALL_WHITE);
  return asToner ? (application.watchedFor ?? 'tone') : (application.watchedFor ?? null);
}

/** Whether hair has what a step is watched for; `at` gives it after so many minutes of the step. */
function isThere(
  sign: WatchedFor,
  application: Application,
  { target }: Part,
  at: (minute: number) => Strand,
  minute: number,
): boolean {
  if (sign === 'level') {
    const aim = application.untilLevel ?? target?.level;
    if (aim === undefined) return false;
    const level = levelOfPigmented(at(minute));
    if (level >= aim - LEVEL_SEEN) return true;
    const { after, within, levels } = LIFT_DONE;
    return minute >= after && level - levelOfPigmented(at(minute - within)) < levels;
  }
  if (sign === 'tone') {
    if (!target) return false;
    const goal = targetLab(target);
    const away = (time: number) => differenceOf(labOfStrand(at(time)), goal);
    const now = away(minute);
    return now <= TONE_THERE || away(minute + TONE_AHEAD.minutes) > now - TONE_AHEAD.deltaE;
  }
  const { after, within, levels, deltaE } = CHANGE_DONE;
  if (minute < after) return false;
  const [before, now] = [at(minute - within), at(minute)];
  return (
    Math.abs(levelOfPigmented(now) - levelOfPigmented(before)) < levels &&
    differenceOf(labOfStrand(now), labOfStrand(before)) < deltaE
  );
}

/**
 * Minutes after which a watched step is taken off: its aim, and what the look comes late beyond half the closest rhythm;
 * all of its minutes where no look finds the aim met.
 */
function endsAfter(
  application: Application,
  sign: WatchedFor,
  part: Part,
  at: (minute: number) => Strand,
): number {
  const closest = sign === 'tone' ? CLOSEST.toner : CLOSEST.lightener;
  const looks = [
    ...lookMinutesOf(application, closest).filter((look) => look >= FIRST_LOOK),
    application.minutes,
  ];
  let before = 0;
  for (const look of looks) {
    if (!isThere(sign, application, part, at, look)) {
      before = look;
      continue;
    }
    let met = look;
    for (let minute = before + 1; minute < look; minute++)
      if (isThere(sign, application, part, at, minute)) {
        met = minute;
        break;
      }
    const late = Math.max(0, look - met - closest / 2);
    return Math.min(application.minutes, Math.max(FIRST_LOOK, Math.ceil(met + late)));
  }
  return application.minutes;
}

/** Rinsed when its time is up, by itself or by a rinse or wash that is named for then. */
const isRinsed = ({ care }: HairWork, { ends, start, minutes, zones }: Application): boolean =>
  ends === 'rinse' ||
  zones.every((zone) =>
    care.some(
      (step) =>
        (step.do === 'rinse' || step.do === 'wash') &&
        step.start === start + minutes &&
        step.zones.includes(zone),
    ),
  );
const isLookedAt = (card: HairWork, application: Application): boolean =>
  (application.checkEvery !== null || (application.checkAt ?? []).length > 0) && isRinsed(card, application);

/**
 * A card as it is worked. A watched step ends at the first look that finds its aim met (a level, a tone, no change); its
 * minutes are the most it may have. Places in foils end each for itself, places of one open step together, with the last of
 * them to be there. What follows moves up.
 */
export function asWatched(clientCase: HeadAndWish, card: Complete<HairWork>, lineOf: LineOf): WatchedCard {
  const watched = new Set(card.steps.filter((application) => isLookedAt(card, application)));
  if (watched.size === 0) return { card, spellOf: ({ start, minutes }) => ({ start, end: start + minutes }) };
  const parts = partsOf(clientCase);
  const inOrder = [...card.steps].sort((a, b) => a.start - b.start || a.minutes - b.minutes);
  const spells = new Map<Application, Map<PlaceId, Spell>>();
  const worked: Application[] = [];
  const written: { planned: number; real: number }[] = [];
  /** By how much what was to begin at a minute begins earlier. */
  const movedUp = (start: number): number => {
    const over = written.filter(({ planned }) => planned <= start);
    if (over.length === 0) return 0;
    const lastOf = (of: 'planned' | 'real') => Math.max(...over.map((step) => step[of]));
    return lastOf('planned') - lastOf('real');
  };
  /** What is done beside the bowls, moved up with what it follows. */
  const careMoved = () => card.care.map((step) => ({ ...step, start: step.start - movedUp(step.start) }));
  /** What is put where a watched step may still lie waits until that is off: its minutes are only the most it may have. */
  const waitsFor = ({ start, zones, areas, bowl }: Application): number =>
    Math.max(
      0,
      ...inOrder.flatMap((other) =>
        watched.has(other) &&
        other.bowl !== bowl &&
        other.start < start &&
        other.start + other.minutes > start &&
        other.areas.some((area) => areas.includes(area))
          ? zones.map((zone) => spells.get(other)?.get(zone)?.end ?? 0)
          : [],
      ),
    );
  for (const application of inOrder) {
    const start = Math.max(application.start - movedUp(application.start), waitsFor(application));
    const moved = { ...application, start };
    const bySpell = minutesOf(moved, watched.has(application));
    spells.set(
      application,
      new Map(bySpell.map(({ zone, minutes }) => [zone, { start: moved.start, end: moved.start + minutes }])),
    );
    for (const minutes of new Set(bySpell.map((spell) => spell.minutes))) {
      const zones = bySpell.filter((spell) => spell.minutes === minutes).map(({ zone }) => zone);
      worked.push({ ...moved, zones, minutes });
    }
    const longest = Math.max(...bySpell.map(({ minutes }) => minutes));
    written.push({ planned: application.start + application.minutes, real: moved.start + longest });
  }
  return {
    card: { ...card, steps: worked, care: careMoved() },
    spellOf: (application, place) => {
      const { start, minutes } = application;
      return spells.get(application)?.get(place) ?? { start, end: start + minutes };
    },
  };

  /** How long a step lies on each of its places. */
  function minutesOf(moved: Application, isWatched: boolean): { zone: PlaceId; minutes: number }[] {
    const whole = moved.zones.map((zone) => ({ zone, minutes: moved.minutes }));
    if (!isWatched) return whole;
    const bowl = bowlOf(card, moved);
    const line = bowl?.lineId ? lineOf(bowl.lineId) : undefined;
    const mix = bowl && line ? mixOfBowl(bowl, line) : null;
    if (!mix) return whole;
    // Looked ahead of, it is not rinsed yet.
    const longer = { ...moved, minutes: moved.minutes + TONE_AHEAD.minutes };
    const there = { ...card, steps: [...worked, longer], care: careMoved() };
    const needed = (zone: PlaceId): number[] =>
      parts.flatMap((part) => {
        if (part.zone !== zone || !stepsOn({ steps: [moved] }, part).length) return [];
        // The aim is read where the bowl went on last.
        const plans = areaPlansOf(clientCase.head, there, part, lineOf);
        const last = moved.areas.filter((area) => plans.some(({ areas }) => areas.includes(area))).at(-1);
        const own = plans.find(({ areas }) => last !== undefined && areas.includes(last));
        if (!own) return [];
        const at = (minute: number) => zoneAt(own.plan, moved.start + minute).strand;
        const sign = signOf(moved, mix, at(0), part);
        return sign === null ? [] : [endsAfter(moved, sign, part, at)];
      });
    if (moved.placement === 'foils')
      return moved.zones.map((zone) => ({ zone, minutes: Math.max(0, ...needed(zone)) || moved.minutes }));
    const longest = Math.max(0, ...moved.zones.flatMap(needed)) || moved.minutes;
    return moved.zones.map((zone) => ({ zone, minutes: longest }));
  }
}
