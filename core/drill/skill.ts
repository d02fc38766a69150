import { z } from 'zod';

/** The skills of reading, reckoning and judging, in the order a colourist learns them. */
export const SKILLS = [
  'level',
  'tone',
  'underlay',
  'predict',
  'grey',
  'zones',
  'order',
  'label',
  'developer',
  'dilution',
  'ratio',
  'timing',
  'condition',
  'toner',
  'product',
  'formula',
  'application',
  'correction',
  'care',
] as const;
export const skillSchema = z.enum(SKILLS);
export type Skill = (typeof SKILLS)[number];

/** The skills that are read by eye from a picture of hair; the others are knowledge and arithmetic. */
export const EYE_SKILLS: readonly Skill[] = ['level', 'tone', 'underlay', 'grey', 'zones', 'order', 'toner'];
/** Whether a skill is read from a picture. */
export const isByEye = (skill: Skill) => EYE_SKILLS.includes(skill);

/** Difficulty, 1 wide apart and plain to 5 close together and in bad light. */
export const DRILL_STEPS = [1, 2, 3, 4, 5] as const;
export const drillStepSchema = z.literal(DRILL_STEPS);
export type DrillStep = (typeof DRILL_STEPS)[number];
