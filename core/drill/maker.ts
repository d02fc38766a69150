import type { DrillContext } from './context';
import type { Question, Item } from './item';
import type { Draw } from './random-draw';
import type { DrillStep } from './skill';

/** What a skill's maker is given, and what it gives back; the rest of the item is filled in for it. */
export interface ItemRequest extends DrillContext {
  /** Source of chance for this item. */
  draw: Draw;
  /** What is practised, finer than the skill. */
  facet: string;
  /** Difficulty, 1 to 5. */
  step: DrillStep;
}
export type MadeItem = Omit<
  Question,
  'skill' | 'step' | 'facts' | 'pictures' | 'light' | 'lineId' | 'hands'
> &
  Partial<Pick<Question, 'facts' | 'pictures' | 'light' | 'lineId' | 'hands'>> &
  Pick<Item, 'solution' | 'why'> &
  Partial<
    Pick<Item, 'slips' | 'means' | 'deceits' | 'subject' | 'reads' | 'optionSubjects' | 'about' | 'apart'>
  >;

export interface SkillMaker {
  /** The facets this scope and these rules have items for, easiest to meet first. */
  facets: (context: DrillContext) => string[];
  /** Makes an item; the same request makes the same item. */
  make: (making: ItemRequest) => MadeItem;
}

/** Gaps that shrink with difficulty: a figure for each step, 1 to 5. */
export type BySteps = readonly [number, number, number, number, number];
/** The figure of a difficulty, 1 to 5. */
export const at = (steps: BySteps, step: DrillStep) => steps[step - 1];
