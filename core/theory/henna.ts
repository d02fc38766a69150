/**
 * What plant and metal colours mean for a service (C8): plain plant henna coats and stains and takes permanent colour
 * unevenly; compound henna and progressive colours hold metal, and forbid oxidative colour and lightener.
 * @rule C8
 */
export const SALTS = ['none', 'plainHenna', 'metallic'] as const;
export type Salts = (typeof SALTS)[number];

export const forbidsPeroxide = (salts: Salts): boolean => salts === 'metallic';
/** Both are told apart by asking and by an incompatibility test on cut hair, never by the strand test (C3). */
export const asksIncompatibilityTest = (salts: Salts): boolean => salts !== 'none';
