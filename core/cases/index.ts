import type { ShippedCase } from './case-maker';
import { HARD_CASES } from './hard';
import { MIDDLE_CASES } from './intermediate';
import { PLAIN_CASES } from './plain';
import { CORRECT_CASES } from './practice/corrections';
import { DARK_BACK_CASES } from './practice/dark-back';
import { GREY_CASES } from './practice/grey';
import { LIFT_CASES } from './practice/lift';
import { MONTHS_CASES } from './practice/months';
import { SAFETY_CASES } from './practice/safety';
import { TONING_CASES } from './practice/toning';
import { REGION_CASES } from './regions';
import { SMALL_CASES } from './small';

/** The cases that ship with the application, easiest first. */
export const SHIPPED_CASES: readonly ShippedCase[] = [
  ...SMALL_CASES,
  ...PLAIN_CASES,
  ...MIDDLE_CASES,
  ...HARD_CASES,
  ...GREY_CASES,
  ...LIFT_CASES,
  ...CORRECT_CASES,
  ...REGION_CASES,
  ...DARK_BACK_CASES,
  ...TONING_CASES,
  ...SAFETY_CASES,
  ...MONTHS_CASES,
];
export const shippedCase = (id: string) => SHIPPED_CASES.find((shippedCase) => shippedCase.id === id);
export { makeCase, zone, type ShippedCase } from './case-maker';
