import type { DrillContext } from './context';
import { facetsOf, generate } from './generate';
import type { ItemSpec, Item } from './item';
import { type Memory, facetKey, reachedIn, recallOf, isDue } from './memory';
import { drawFrom } from './random-draw';
import { type Skill, isByEye, type DrillStep, SKILLS } from './skill';

export interface PracticeRequest {
  /** Skills of the drills. */
  skills: readonly Skill[];
  /** What is remembered of each facet. */
  memory: Memory;
  /** Milliseconds since 1970. */
  now: number;
  /** Seed of everything random in it. */
  seed: number;
  /** What was asked before in this sitting, the latest last. */
  before: readonly AskedItem[];
}

/** One question of this sitting, as much of it as the next one goes by. */
export interface AskedItem extends Pick<ItemSpec, 'skill' | 'facet'> {
  /** What it asked, by {@link questionName}. */
  name?: string;
  /** The mistake made at it, by {@link ideaOf}; null where there was none. */
  idea?: string | null;
}

/** New facets met in one sitting before what is already known is preferred again. */
const NEW_PER_SITTING = 12;

/** How much a facet wants to be asked: what is due first, what is slipping and weak next, then what is new. */
function wantOf(
  { memory, now, before }: PracticeRequest,
  skill: Skill,
  facet: string,
  place: number,
  isNewHere: (key: string) => boolean,
): number {
  const known = memory.facets[facetKey(skill, facet)];
  const step = reachedIn(memory, skill);
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

/** More than anything else weighs, once the question is not the one just asked. */
const TAKEN_UP = 6;
/** How often mistakes at one facet are taken up again in a sitting; made once more in the same way, twice as often. */
const TAKEN_UP_TIMES = 2;
/**
 * Facets at which a mistake was made and which have not been asked since: each comes up again within the next three
 * questions, with another between, so that it is not the last answer that is remembered. Of two questions running at most
 * one is such a one, so that who errs much goes on to other things as well.
 */
function takenUp({ before }: PracticeRequest): ReadonlySet<string> {
  const facets = new Set<string>();
  const last = before.at(-1);
  const isOf = (one: AskedItem, other: AskedItem) => one.skill === other.skill && one.facet === other.facet;
  if (last && before.slice(0, -1).findLast((asked) => isOf(asked, last))?.idea) return facets;
  before.forEach(({ idea, skill, facet }, i) => {
    const since = before.slice(i + 1);
    const isSame = (asked: AskedItem) => isOf(asked, before[i]);
    if (!idea || since.length === 0 || since.some(isSame)) return;
    const earlier = before.slice(0, i);
    const twice = earlier.some((asked) => asked.idea === idea);
    const times = earlier.filter((asked) => isSame(asked) && asked.idea).length;
    if (times < (twice ? 2 : 1) * TAKEN_UP_TIMES) facets.add(facetKey(skill, facet));
  });
  return facets;
}

/** Over all that a facet wants of itself, under what is taken up again. A chosen skill that was not met for twice as many
 * questions as there are skills is next: none is chosen in vain. */
const OVERDUE = 5;

/** Away from what was just asked, so that one reading does not lean on the last. */
function variety({ before, skills }: PracticeRequest, skill: Skill, facet: string): number {
  const round = 2 * skills.length;
  const isOverdue = before.length >= round && !before.slice(-round).some((spec) => spec.skill === skill);
  const last = before.slice(-3).reverse();
  const sameFacet = last.findIndex((spec) => spec.skill === skill && spec.facet === facet);
  const sameSkill = skills.length > 1 ? last.filter((spec) => spec.skill === skill).length : 0;
  return (sameFacet >= 0 ? -4 + sameFacet : 0) - 0.9 * sameSkill + (isOverdue ? OVERDUE : 0);
}

/** The step of an item for a student between two steps: the nearer one more often. */
function stepFor(reached: number, chance: (share: number) => boolean): DrillStep {
  const low = Math.floor(reached);
  return Math.min(5, Math.max(1, chance(reached - low) ? low + 1 : low)) as DrillStep;
}

/**
 * What to ask next. Null when the scope leaves nothing to ask of these skills. The same question to the same memory at
 * the same time with the same seed has the same answer. `without` leaves facets out, by {@link facetKey}.
 */
export function nextSpec(
  wanted: PracticeRequest,
  context: DrillContext,
  without: ReadonlySet<string> = new Set(),
): ItemSpec | null {
  const draw = drawFrom(wanted.seed);
  const again = takenUp(wanted);
  const candidates = wanted.skills.flatMap((skill) =>
    facetsOf(skill, context)
      .map((facet, place) => ({ skill, facet, place }))
      .filter(({ facet }) => !without.has(facetKey(skill, facet))),
  );
  if (candidates.length === 0) return null;
  const isNewHere = (key: string) => !wanted.memory.facets[key] || wanted.memory.facets[key].card.reps <= 1;
  let best = candidates[0];
  let most = -Infinity;
  for (const candidate of candidates) {
    const { skill, facet, place } = candidate;
    const want =
      wantOf(wanted, skill, facet, place, isNewHere) +
      variety(wanted, skill, facet) +
      draw.int(0, 40) / 100 +
      (again.has(facetKey(skill, facet)) ? TAKEN_UP : 0);
    if (want > most) [best, most] = [candidate, want];
  }
  const { skill, facet } = best;
  return { skill, facet, step: stepFor(reachedIn(wanted.memory, skill), draw.chance), seed: draw.seed() };
}

/** Names what a question asks: two that read and look alike have the same name. */
export const questionName = ({ question: { ask, facts, pictures, form } }: Pick<Item, 'question'>): string =>
  JSON.stringify([
    ask,
    facts,
    pictures.map(({ look: { zones, form: hair, shine } }) => [
      hair,
      shine,
      zones.map(({ from, colour, greyShare }) => [from, colour, greyShare]),
    ]),
    form.kind === 'choice' ? form.options.map((option) => JSON.stringify(option)).sort() : form.kind,
  ]);

/** Seeds tried of one facet for a question that was not asked before in this sitting; then the facet is left for now. */
const TRIES = 8;
const FACETS_TRIED = 6;

/** The next question of a sitting and its item: none is asked twice in the same words while there is another. */
export function nextItem(
  wanted: PracticeRequest,
  context: DrillContext,
): { spec: ItemSpec; item: Item } | null {
  const asked = new Set(wanted.before.map(({ name }) => name));
  const spent = new Set<string>();
  let first: { spec: ItemSpec; item: Item } | null = null;
  for (let facets = 0; facets < FACETS_TRIED; facets++) {
    const spec = nextSpec(wanted, context, spent);
    if (!spec) break;
    const draw = drawFrom(spec.seed);
    for (let i = 0; i < TRIES; i++) {
      const another = { ...spec, seed: i === 0 ? spec.seed : draw.seed() };
      const made = { spec: another, item: generate(another, context) };
      first ??= made;
      if (!asked.has(questionName(made.item))) return made;
    }
    spent.add(facetKey(spec.skill, spec.facet));
  }
  return first;
}

/** Facets that are due now and that this scope still asks for: what a student sees before beginning. */
export function dueCount(memory: Memory, now: number, context: DrillContext): number {
  const asked = new Set(
    SKILLS.flatMap((skill) => facetsOf(skill, context).map((facet) => facetKey(skill, facet))),
  );
  return Object.entries(memory.facets).filter(([key, facet]) => asked.has(key) && isDue(facet, now)).length;
}
