import type { HouseRules } from './house-rules';

export const PLACES = ['onScalp', 'offScalp'] as const;
export type Place = (typeof PLACES)[number];

type LightenerRules = Pick<HouseRules, 'lightenerOnScalp' | 'tenVolLightener' | 'fortyVolLightener'>;

/**
 * Strengths, in volumes, that lightener may be mixed with in this place under the class's rules (D4).
 * @rule D4
 */
export function lightenerVols(place: Place, rules: LightenerRules): number[] {
  const scalpLimit = rules.lightenerOnScalp === 'max20' ? 20 : 30;
  const forty =
    rules.fortyVolLightener === 'always' || (rules.fortyVolLightener === 'offScalp' && place === 'offScalp');
  return [10, 20, 30, 40].filter((vol) => {
    if (vol === 10) return rules.tenVolLightener === 'allowed';
    if (vol === 40) return forty && (place === 'offScalp' || scalpLimit >= 30);
    return place === 'offScalp' || vol <= scalpLimit;
  });
}
