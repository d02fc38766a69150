import { drawFrom } from './draw';
import type { DrillContext } from './context';
import { facetsOf } from './generate';
import type { ItemSpec } from './item';
import { facetKey, isDue, recallOf, type Memory } from './memory';
import { isByEye, type Skill, type Step } from './skill';

export interface Wanted {
  skills: readonly Skill[];
  memory: Memory;
  /** Milliseconds since 1970. */
  now: number;
  seed: number;
  /** What was asked before in this sitting, the latest last. */
  before: readonly Pick<ItemSpec, 'skill' | 'facet'>[];
}

/** New facets met in one sitting before what is already known is preferred again. */
const NEW_PER_SITTING = 12;

/** How much a facet wants to be asked: what is due first, what is slipping and weak next, then what is new. */
function wantOf(
  { memory, now, before }: Wanted,
  skill: Skill,
  facet: string,
  place: number,
  isNewHere: (key: string) => boolean,
): number {
  const known = memory.facets[facetKey(skill, facet)];
  const { step } = memory.reach[skill];
  const weakness = (5 - step) / 5;
  if (known) {
    const slipping = 1 - recallOf(known, now);
    return isDue(known, now) ? 2.2 + slipping + 0.5 * weakness : slipping + 0.6 * weakness;
  }
  const met = new Set(before.map((spec) => facetKey(spec.skill, spec.facet)).filter(isNewHere)).size;
  const fresh = met >= NEW_PER_SITTING ? 0.2 : 1.6;
  // Easiest to meet first.
  return fresh - 0.06 * place + (isByEye(skill) ? 0.1 : 0);
}

/** Away from what was just asked, so that one reading does not lean on the last. */
function variety({ before, skills }: Wanted, skill: Skill, facet: string): number {
  const last = before.slice(-3).reverse();
  const sameFacet = last.findIndex((spec) => spec.skill === skill && spec.facet === facet);
  const sameSkill = skills.length > 1 ? last.filter((spec) => spec.skill === skill).length : 0;
  return (sameFacet >= 0 ? -4 + sameFacet : 0) - 0.9 * sameSkill;
}

/** The step of an item for a student between two steps: the nearer one more often. */
function stepFor(reached: number, chance: (share: number) => boolean): Step {
  const low = Math.floor(reached);
  return Math.min(5, Math.max(1, chance(reached - low) ? low + 1 : low)) as Step;
}

/**
 * What to ask next. Null when the scope leaves nothing to ask of these skills. The same question to the same memory at
 * the same time with the same seed has the same answer.
 */
export function nextSpec(wanted: Wanted, context: DrillContext): ItemSpec | null {
  const draw = drawFrom(wanted.seed);
  const candidates = wanted.skills.flatMap((skill) =>
    facetsOf(skill, context).map((facet, place) => ({ skill, facet, place })),
  );
  if (candidates.length === 0) return null;
  const isNewHere = (key: string) => !wanted.memory.facets[key] || wanted.memory.facets[key].card.reps <= 1;
  let best = candidates[0];
  let most = -Infinity;
  for (const candidate of candidates) {
    const { skill, facet, place } = candidate;
    const want =
      wantOf(wanted, skill, facet, place, isNewHere) + variety(wanted, skill, facet) + draw.int(0, 40) / 100;
    if (want > most) [best, most] = [candidate, want];
  }
  const { skill, facet } = best;
  return { skill, facet, step: stepFor(wanted.memory.reach[skill].step, draw.chance), seed: draw.seed() };
}

/** Facets that are due now, by skill: what a student sees before beginning. */
export function dueCount(memory: Memory, now: number): number {
  return Object.values(memory.facets).filter((facet) => isDue(facet, now)).length;
}
