import type { Criterion } from '@cimbel/core/exercise';
import { useTranslation } from 'react-i18next';
import { ButtonLink } from '../../ui/button';
import { SKILLS_FOR_CRITERION } from './skills-for';
import '../../lib/words/craft';
import '../../lib/words/bench';

/** Five minutes of what lost marks. */
export function PractiseThis({ criterion }: { criterion: Criterion }) {
  const { t } = useTranslation(['ui', 'craft']);
  return (
    <ButtonLink
      to={`/reading/practice?skills=${SKILLS_FOR_CRITERION[criterion].join(',')}&minutes=5`}
      weight="quiet"
      className="-ms-2 text-sm"
      aria-label={t('result.practiseOf', { criterion: t(`craft:criterion.${criterion}`) })}
    >
      {t('result.practise')}
    </ButtonLink>
  );
}
