import type { Criterion } from '@cimbel/core/exercise';
import type { Skill } from '@cimbel/core/drill';
import { useTranslation } from 'react-i18next';
import { ButtonLink } from '../../ui/button';
import '../../lib/words/craft';
import '../../lib/words/bench';

/** Drills that practise what a criterion asks for. */
const SKILLS_OF: Record<Criterion, readonly Skill[]> = {
  reading: ['level', 'tone', 'grey'],
  prediction: ['underlay', 'predict'],
  route: ['product', 'correction'],
  depth: ['toner', 'formula'],
  tone: ['toner', 'label'],
  greyShare: ['grey'],
  developer: ['developer', 'dilution'],
  ratio: ['ratio'],
  amount: ['ratio'],
  order: ['application', 'zones'],
  timing: ['timing'],
  safety: ['condition', 'care'],
  aftercare: ['care'],
};

/** Five minutes of what lost marks. */
export function PractiseThis({ criterion }: { criterion: Criterion }) {
  const { t } = useTranslation(['ui', 'craft']);
  return (
    <ButtonLink
      to={`/reading/practice?skills=${SKILLS_OF[criterion].join(',')}&minutes=5`}
      weight="quiet"
      className="-ms-2 text-sm"
      aria-label={t('result.practiseOf', { criterion: t(`craft:criterion.${criterion}`) })}
    >
      {t('result.practise')}
    </ButtonLink>
  );
}
