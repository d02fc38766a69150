import type { Line } from '../shades';
import type { HouseRules } from './house-rules';

export const DILUTION_RULINGS = ['lineAllows', 'lineForbids', 'alwaysHere', 'neverHere'] as const;
export type DilutionRuling = (typeof DILUTION_RULINGS)[number];

/** Whether a class may thin or mix the developers of a line (D5). */
export function mayDilute(
  line: Pick<Line, 'mayDilute'>,
  rules: Pick<HouseRules, 'diluteDeveloper'>,
): boolean {
  const ruling = dilutionRuling(line, rules);
  return ruling === 'alwaysHere' || ruling === 'lineAllows';
}

/**
 * D5. Whether a line's developer may be thinned with water in this class, and on whose word.
 * @rule D5
 */
export function dilutionRuling(
  line: Pick<Line, 'mayDilute'>,
  rules: Pick<HouseRules, 'diluteDeveloper'>,
): DilutionRuling {
  if (rules.diluteDeveloper === 'always') return 'alwaysHere';
  if (rules.diluteDeveloper === 'never') return 'neverHere';
  return line.mayDilute ? 'lineAllows' : 'lineForbids';
}
