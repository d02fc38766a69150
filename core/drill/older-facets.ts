import type { Skill } from './skill';

const OF_TONES: Readonly<Record<string, string>> = {
  ash: 'cools',
  matte: 'cools',
  pearl: 'cools',
  violet: 'cools',
  beige: 'warms',
  gold: 'warms',
  warmBrown: 'warms',
  copper: 'warms',
  red: 'reds',
  mahogany: 'reds',
};
/** What was asked apart and is asked among others now. */
const AMONG_OTHERS: Partial<Record<Skill, Readonly<Record<string, string>>>> = {
  grey: { low: 'share', middle: 'share', high: 'share' },
  developer: { lift: 'task', deposit: 'task', grey: 'task', artificial: 'dyed' },
  timing: { check: 'looks' },
};
const BY_LEVEL: readonly Skill[] = ['level', 'underlay', 'predict', 'toner'];

/**
 * What a facet is practised under today: once each level, each tone and each task was a facet of its own, and so said what the
 * answer is. What was learnt of one counts for the group it is in.
 */
export function facetToday(skill: Skill, facet: string): string {
  if (skill === 'tone') return OF_TONES[facet] ?? facet;
  const among = AMONG_OTHERS[skill]?.[facet];
  if (among) return among;
  if (!BY_LEVEL.includes(skill) || !/^\d+$/.test(facet)) return facet;
  const level = Number(facet);
  return level < 5 ? 'darkLevels' : level < 8 ? 'mediumLevels' : 'lightLevels';
}
