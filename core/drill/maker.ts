import type { DrillContext } from './context';
import type { Question, Item } from './item';
import type { Draw } from './random-draw';
import type { Step } from './skill';

/** What a skill's maker is given, and what it gives back; the rest of the item is filled in for it. */
export interface Making extends DrillContext {
  draw: Draw;
  facet: string;
  step: Step;
}
export type Made = Omit<Question, 'skill' | 'step' | 'facts' | 'pictures' | 'light' | 'lineId' | 'hands'> &
  Partial<Pick<Question, 'facts' | 'pictures' | 'light' | 'lineId' | 'hands'>> &
  Pick<Item, 'solution' | 'why'> &
  Partial<
    Pick<Item, 'slips' | 'means' | 'deceits' | 'subject' | 'reads' | 'optionSubjects' | 'about' | 'apart'>
  >;

export interface SkillMaker {
  /** The facets this scope and these rules have items for, easiest to meet first. */
  facets: (context: DrillContext) => string[];
  make: (making: Making) => Made;
}

/** Gaps that shrink with difficulty: a figure for each step, 1 to 5. */
export type BySteps = readonly [number, number, number, number, number];
export const at = (steps: BySteps, step: Step) => steps[step - 1];
