import { TONE_FAMILIES } from '@cimbel/core/colour';
import type { Term } from '@cimbel/core/drill';
import { shippedLine } from '@cimbel/core/product';
import type { TFunction } from 'i18next';
import '../../lib/words/questions';
import '../../lib/words/craft';

/** A term of the core in words. */
export const termWords = (t: TFunction, { code, params }: Term): string =>
  t(code, { ns: 'drill', ...params });

/** What is practised within a skill, in a word or two. */
export function facetWords(t: TFunction, facet: string): string {
  const [name, lineId] = facet.split(':');
  if (lineId) return t(`facet.${name}`, { ns: 'drill', line: shippedLine(lineId)?.name ?? lineId });
  if (/^\d+$/.test(facet)) return t('facet.level', { ns: 'drill', level: facet });
  if (TONE_FAMILIES.some((family) => family === facet)) return t(`tone.${facet}`, { ns: 'craft' });
  return t(`facet.${facet}`, { ns: 'drill' });
}
