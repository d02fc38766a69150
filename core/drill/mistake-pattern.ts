import type { Light } from '../colour';
import { type Reason, reason } from '../reason';
import type { DrillMark } from './mark';
import type { Skill } from './skill';

/**
 * The idea behind a mistake, so that two of a kind are seen as one: the code of what the answer showed, and for a reading
 * the lamp it was made under. Null where nothing was wrong.
 */
export function ideaOf(skill: Skill, { slip }: Pick<DrillMark, 'slip'>, light: Light): string | null {
  if (!slip) return null;
  // Which surface or tone deceived is one thing; that it was read too light is the idea.
  const code = slip.code
    .replace(/^(drill\.level\.readToo(?:Light|Dark))\..*$/, '$1')
    .replace(/\.(over|under)$/, '');
  return slip.code.startsWith('drill.level.readToo') ? `${skill} ${code} ${light}` : `${skill} ${code}`;
}

/** Times a mistake has to be made in one sitting before it is spoken of as a pattern. */
const A_PATTERN = 2;

/**
 * What the last answers of a sitting have in common, where the very last one repeats an earlier mistake: a sentence about
 * the pattern rather than about the one answer. Null where there is none.
 */
export function patternOf(ideas: readonly (string | null)[]): Reason | null {
  const last = ideas.at(-1);
  if (!last) return null;
  const times = ideas.filter((idea) => idea === last).length;
  if (times < A_PATTERN) return null;
  const [, code, light] = last.split(' ');
  if (code === 'drill.level.readTooLight') return reason(`drill.pattern.tooLight.${light}`, 'L2', { times });
  if (code === 'drill.level.readTooDark') return reason(`drill.pattern.tooDark.${light}`, 'L2', { times });
  if (code === 'drill.grey.readTooMuch') return reason('drill.pattern.greyTooMuch', 'L3', { times });
  if (code === 'drill.grey.readTooLittle') return reason('drill.pattern.greyTooLittle', 'L3', { times });
  if (code === 'drill.label.otherLine') return reason('drill.pattern.otherLine', 'T2', { times });
  if (code.startsWith('drill.zones.past')) return reason('drill.pattern.pastTheLine', 'A1', { times });
  return reason('drill.pattern.same', undefined, { times });
}
