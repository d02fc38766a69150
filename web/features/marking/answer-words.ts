import type { Answer, Criterion } from '@cimbel/core/grade';
import type { Key } from '@cimbel/core/solve';
import { useTranslation } from 'react-i18next';

type Translate = ReturnType<typeof useTranslation>['t'];

function shadesWords(t: Translate, shades: Answer['shades']): string | null {
  if (shades.length === 0) return null;
  return shades
    .map(({ label, parts }) => (shades.length === 1 ? label : t('key.parts', { count: parts, parts, label })))
    .join(', ');
}

function pourWords(t: Translate, pour: Answer['developer']): string | null {
  const name = (vol: number) => (vol === 0 ? t('answer.water') : t('answer.pour', { vol }));
  const [first, second] = pour;
  if (!first) return null;
  if (!second) return name(first.vol);
  return t('answer.pourParts', {
    parts: first.parts,
    otherParts: second.parts,
    name: name(first.vol),
    otherName: name(second.vol),
  });
}

/** What was given for a criterion, in the craft's notation; null where it is open. */
export function useAnswerWords(): (criterion: Criterion, answer: Answer) => string | null {
  const { t } = useTranslation(['ui', 'craft', 'reasons']);
  return (criterion, answer) => {
    switch (criterion) {
      case 'levelReading':
        return answer.naturalLevel === null ? null : String(answer.naturalLevel);
      case 'underlay':
        return answer.underlay === null ? null : t(`craft:underlay.${answer.underlay}`);
      case 'counterTone':
        return answer.counter === null ? null : t(`craft:counter.${answer.counter}`);
      case 'depth':
      case 'tone':
      case 'greyShare':
        return shadesWords(t as Translate, answer.shades);
      case 'developer':
        return pourWords(t as Translate, answer.developer);
      case 'ratio':
        return answer.ratio === null ? null : `1 : ${answer.ratio}`;
      case 'amount':
        return answer.totalGrams === null ? null : t('answer.amount', { grams: answer.totalGrams });
      case 'minutes':
        return answer.minutes === null ? null : `${answer.minutes} min`;
    }
  };
}

/** What the key says for a criterion. */
export function useKeyWords(): (criterion: Criterion, key: Key, naturalLevel: number) => string {
  const { t } = useTranslation(['ui', 'craft']);
  const percent = new Intl.NumberFormat(undefined, { style: 'percent' });
  return (criterion, key, naturalLevel) => {
    switch (criterion) {
      case 'levelReading':
        return String(naturalLevel);
      case 'underlay':
        return t(`craft:underlay.${key.underlay}`);
      case 'counterTone':
        return t(`craft:counter.${key.counter}`);
      case 'depth':
      case 'tone':
        return shadesWords(t as Translate, key.shades) ?? '';
      case 'greyShare': {
        const { min, max } = key.need.naturalShare;
        if (max - min >= 1) return t('key.natural_any');
        return min === max ? percent.format(min) : t('key.span', { min, max });
      }
      case 'developer':
        return key.alsoVol.length > 0
          ? t('key.developerOr', { vol: key.developerVol, also: key.alsoVol[0].vol })
          : t('answer.pour', { vol: key.developerVol });
      case 'ratio':
        return `1 : ${key.ratio}`;
      case 'amount':
        return t('key.amountSpan', { min: key.amount.minGrams, max: key.amount.maxGrams });
      case 'minutes':
        return `${key.minutes} min`;
    }
  };
}
