import type { HouseRule, HouseRules } from '../theory';
import { term, type Term } from './item';

/**
 * The school that holds in this class on a point where good schools differ, said beside every question whose answer
 * rests on it; the words say that another school exists.
 */
export const houseFact = (rules: HouseRules, rule: HouseRule): Term =>
  term(`fact.house.${rule}.${rules[rule]}`, { rule });
