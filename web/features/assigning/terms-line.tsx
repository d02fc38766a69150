import { USUAL_PLAYS, type Terms } from '@cimbel/contract';
import { useTranslation } from 'react-i18next';
import { dateTime } from '../../lib/i18n';
import '../../lib/words/assigning';

/** Terms in a line: what is not as usual. */
export function TermsLine({ terms }: { terms: Terms }) {
  const { t } = useTranslation('assigning');
  const { opensAt, everyone, students, attempts, counted, minutes, plays } = terms;
  const parts = [
    ...(opensAt ? [t('terms.opensLine', { when: dateTime(opensAt) })] : []),
    ...(everyone ? [] : [t('terms.forSome', { count: students.length })]),
    ...(attempts > 1
      ? [t('terms.attemptsLine', { count: attempts, counted: t(`terms.countedOf.${counted}`) })]
      : []),
    ...(minutes ? [t('terms.minutesLine', { minutes })] : []),
    ...(plays === USUAL_PLAYS ? [] : [t('terms.playsLine', { count: plays })]),
  ];
  return parts.length > 0 ? <> · {parts.join(' · ')}</> : null;
}
