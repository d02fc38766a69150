import { seedFrom } from '../random';
import type { DrillContext } from './context';
import type { ItemSpec, Item } from './item';
import { drawFrom, Unfit } from './random-draw';
import { type Skill, SKILLS } from './skill';
import { MAKERS } from './skills';

/** Draws after which a spec is given up; a spec that needs so many is a defect, and a test looks for it. */
const MOST_DRAWS = 200;

/** The facets of a skill within a scope; empty when the scope leaves nothing to ask. */
export const facetsOf = (skill: Skill, context: DrillContext) => MAKERS[skill].facets(context);
/** Skills that have items in a scope. */
export const skillsIn = (context: DrillContext) =>
  SKILLS.filter((skill) => facetsOf(skill, context).length > 0);

/**
 * Makes the item that a spec names, the same each time. Draws that could be answered in two ways are thrown away.
 * @throws RangeError for a facet that the skill does not have in this scope, or when no draw is fit.
 */
export function generate(spec: ItemSpec, context: DrillContext): Item {
  const { skill, facet, step, seed } = spec;
  if (!facetsOf(skill, context).includes(facet))
    throw new RangeError(`${skill} has no facet ${facet} in this scope`);
  for (let draws = 0; draws < MOST_DRAWS; draws++) {
    const draw = drawFrom(seedFrom(`${skill} ${facet} ${step} ${seed} ${draws}`));
    try {
      const { ask, form, facts, pictures, light, lineId, hands, solution, why, ...secret } = MAKERS[
        skill
      ].make({
        ...context,
        draw,
        facet,
        step,
      });
      return {
        seed,
        facet,
        question: {
          skill,
          step,
          ask,
          facts: facts ?? [],
          pictures: pictures ?? [],
          light: light ?? 'daylight',
          lineId: lineId ?? null,
          form,
          hands: hands ?? null,
        },
        solution,
        why,
        slips: secret.slips ?? [],
        means: secret.means ?? null,
        deceits: secret.deceits ?? [],
        subject: secret.subject ?? null,
        reads: secret.reads ?? null,
        optionSubjects: secret.optionSubjects ?? null,
        about: secret.about ?? null,
        apart: secret.apart ?? null,
      };
    } catch (error) {
      if (!(error instanceof Unfit)) throw error;
    }
  }
  throw new RangeError(`${skill} ${facet} has no item at step ${step} in this scope`);
}
