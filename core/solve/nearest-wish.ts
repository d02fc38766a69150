import { type Target, targetLab, type ClientCase } from '../case';
import { TONE_FAMILIES, differenceOf } from '../colour';
import type { PlaceId } from '../hair';
import type { Line } from '../product';
import type { HouseRules } from '../rules';
import { oneVisit } from './one-visit';

/** Levels round a wish that are looked at for one that can be reached. */
const LEVELS_ROUND = [-2, -1.5, -1, -0.5, 0, 0.5, 1, 1.5, 2] as const;
/** Wishes tried, nearest first; each is a search of its own. */
const MOST_TRIED = 14;
const HIGHEST = 12;

/** Every plain wish round another, nearest to the eye first; the wish itself is left out. */
function wishesRound(wish: Target): Target[] {
  const goal = targetLab(wish);
  return LEVELS_ROUND.flatMap((by) =>
    TONE_FAMILIES.map((primary): Target => ({ ...wish, level: wish.level + by, tone: { primary } })),
  )
    .filter(
      ({ level, tone }) => level >= 1 && level <= HIGHEST && (level !== wish.level || tone !== wish.tone),
    )
    .map((target) => ({ target, deltaE: differenceOf(targetLab(target), goal) }))
    .filter(({ deltaE }) => deltaE > 0)
    .sort((a, b) => a.deltaE - b.deltaE)
    .map(({ target }) => target);
}

/**
 * The wish nearest to one that cannot be reached on a zone, with the lines at hand and in one visit; null where none of
 * those nearby can. Same input, same answer.
 */
export function nearestWish(
  clientCase: ClientCase,
  zone: PlaceId,
  lines: readonly Line[],
  rules: HouseRules,
): Target | null {
  const wish = clientCase.wish[zone];
  if (!wish || wish.vivid) return null;
  for (const target of wishesRound(wish).slice(0, MOST_TRIED)) {
    const alone = { ...clientCase, placements: undefined, wish: { [zone]: target } };
    const found = oneVisit(alone, lines, rules, 1);
    if (found.ok && found.places.length > 0) return target;
  }
  return null;
}
