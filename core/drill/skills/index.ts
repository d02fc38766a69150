import type { SkillMaker } from '../maker';
import type { Skill } from '../skill';
import { application } from './application';
import { care } from './care';
import { condition } from './condition';
import { correction } from './correction';
import { developer } from './developer';
import { dilution } from './dilution';
import { formula } from './formula';
import { greyShare } from './grey';
import { label } from './label';
import { level } from './level';
import { order } from './order';
import { predict } from './predict';
import { product } from './product';
import { ratio } from './ratio';
import { timing } from './timing';
import { tone } from './tone';
import { toner } from './toner';
import { underlay } from './underlay';
import { zones } from './zones';

export const MAKERS: Record<Skill, SkillMaker> = {
  level,
  tone,
  underlay,
  predict,
  grey: greyShare,
  zones,
  order,
  label,
  developer,
  dilution,
  ratio,
  timing,
  condition,
  toner,
  product,
  formula,
  application,
  correction,
  care,
};
