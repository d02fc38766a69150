import { rightResponse, type Item, type Response } from '@cimbel/core/drill';
import type { TFunction } from 'i18next';
import { i18n } from '../../lib/i18n';
import { termWords } from './words';
import '../../lib/words/reading';
import '../../lib/words/bench';

/** An answer in words, in the terms of its question. */
export function answerWords(t: TFunction, item: Item, which: Response | 'right'): string {
  const { form, pictures } = item.question;
  const response = which === 'right' ? rightResponse(item) : which;
  if (form.kind === 'choice' && response.kind === 'choice') return termWords(t, form.options[response.index]);
  if (form.kind === 'order' && response.kind === 'order')
    return response.order
      .map((i) => (pictures[i].caption ? termWords(t, pictures[i].caption) : ''))
      .join(' ');
  if (form.kind === 'mark' && response.kind === 'mark')
    return response.at.map((share) => t('reading.markAt', { ns: 'ui', share })).join(', ');
  const amount = (value: number) =>
    `${new Intl.NumberFormat(i18n.language, { maximumFractionDigits: 1 }).format(value)} ${t('unit.grams', { ns: 'drill' })}`;
  if (form.kind === 'amounts' && response.kind === 'amounts')
    return form.things.map((thing, i) => `${termWords(t, thing)} ${amount(response.grams[i])}`).join(', ');
  if (form.kind === 'shares' && response.kind === 'shares')
    return [
      ...form.places.map(
        (place, i) => `${termWords(t, place)} ${t('reading.share', { ns: 'ui', share: response.shares[i] })}`,
      ),
      termWords(t, form.naturals[response.natural]),
    ].join(', ');
  if (form.kind === 'clock' && response.kind === 'clock')
    return t('reading.hands.clockAnswer', {
      ns: 'ui',
      zones: form.zones.map((zone, i) => `${termWords(t, zone)} ${response.starts[i]}`).join(', '),
      looks:
        response.checks.length > 0 ? response.checks.join(', ') : t('reading.hands.noLooks', { ns: 'ui' }),
      rinse: response.rinse,
    });
  if (response.kind !== 'figure') return '';
  const { value } = response;
  if (form.kind === 'level') return t('answer.level', { ns: 'drill', value });
  if (form.kind === 'share') return t('answer.share', { ns: 'drill', value });
  if (form.kind !== 'figure') return '';
  const figure = new Intl.NumberFormat(i18n.language, { maximumFractionDigits: form.decimals }).format(value);
  return `${figure} ${t(`unit.${form.unit}`, { ns: 'drill' })}`;
}
