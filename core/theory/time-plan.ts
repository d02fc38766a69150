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
