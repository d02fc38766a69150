import { HARD_CASES } from './hard';
import type { ShippedCase } from './make';
import { MIDDLE_CASES } from './middle';
import { PLAIN_CASES } from './plain';

/** The twenty cases that ship with the application, easiest first. */
export const SHIPPED_CASES: readonly ShippedCase[] = [...PLAIN_CASES, ...MIDDLE_CASES, ...HARD_CASES];
export const shippedCase = (id: string) => SHIPPED_CASES.find((one) => one.id === id);
export type { ShippedCase } from './make';
