import type { HouseRules } from './house-rules';

/**
 * Minute at which each zone is begun so that all end together; the one that needs longest begins at 0 (A2).
 * @rule A2
 */
export function startsToEndTogether(neededMinutes: readonly number[]): number[] {
  const longest = Math.max(...neededMinutes);
  return neededMinutes.map((minutes) => longest - minutes);
}

/**
 * R1. Minute of the rinse, counted from the first stroke of the brush.
 * @rule R1
 */
export function rinseMinute(
  applicationMinutes: number,
  developingMinutes: number,
  rules: Pick<HouseRules, 'timerStarts'>,
): number {
  return rules.timerStarts === 'endOfApplication'
    ? applicationMinutes + developingMinutes
    : developingMinutes;
}

/**
 * M5. Minutes of application that a bowl still serves when it was mixed some minutes before the first stroke.
 * @rule M5
 */
export const servesMinutes = (activeMinutes: number, mixedBeforeMinutes: number) =>
  Math.max(0, activeMinutes - mixedBeforeMinutes);

/**
 * How often a strand is wiped and looked at, minutes: lightener every five to ten, a toner every two to three (R2).
 * @rule R2
 */
export const CHECKS = {
  lightener: { best: 5, most: 10 },
  toner: { best: 3, most: 5 },
} as const;

/**
 * Minutes for rinsing and two gentle washes, an acid rinse and a treatment between one bowl and the next (R5).
 * @rule R5
 */
export const RINSE_MINUTES = 5;

/**
 * Reds: 20 vol deposits them on 4 to 6, brighter copper and red ask for 30 on natural hair; on light porous hair a demi
 * with gold or copper beneath. The root is kept a shade deeper, since red fades from the ends (F9).
 * @rule F9
 */
export const REDS = {
  families: ['red', 'copper', 'mahogany'],
  depositVol: 20,
  brightVol: 30,
  depositLevels: { min: 4, max: 6 },
} as const;
/** Whether a family of tones is one of the reds (F9). */
export const isRed = (family: string): boolean => REDS.families.some((one) => one === family);
