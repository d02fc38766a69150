/** Cautions, in the order they matter at the chair. Each is shown where it applies; the words are the interface's. */
export const CAUTIONS = [
  'caution.learningAid',
  'caution.patchTest',
  'caution.scalp',
  'caution.metallicSalts',
  'caution.gloves',
  'caution.notLashes',
  'caution.age',
  'caution.openBowl',
] as const;

/**
 * What plant and metal colours mean for a service (C8): plain plant henna coats and stains and takes permanent colour
 * unevenly; compound henna and progressive colours hold metal, and forbid oxidative colour and lightener.
 * @rule C8
 */
export const SALTS = ['none', 'plainHenna', 'metallic'] as const;
export type Salts = (typeof SALTS)[number];

/** Whether what is on the hair forbids peroxide (C8). */
export const forbidsPeroxide = (salts: Salts): boolean => salts === 'metallic';
/** Both are told apart by asking and by an incompatibility test on cut hair, never by the strand test (C3). */
export const asksIncompatibilityTest = (salts: Salts): boolean => salts !== 'none';

/**
 * Care that keeps cool blondes and browns: violet where yellow shows, from level 8 up, blue where orange shows, 5 to 7.
 * The wrong one of the two harms: blue over yellow turns it green.
 */
export const VIOLET_CARE_FROM = 8;
export const BLUE_CARE_FROM = 5;

/**
 * What fingers up the strand feel, by porosity (C2); uneven tone from root to tip says the same to the eye.
 * @rule C2
 */
export const FEELS = { low: 'smooth', normal: 'slightDrag', high: 'rough' } as const;
