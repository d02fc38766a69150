import type { HouseRuleUse } from '@cimbel/core/rules';
import { useTranslation } from 'react-i18next';
import '../../lib/words/craft';
import '../../lib/words/bench';

/** Which of two good schools the class follows, wherever a result rested on it. */
export function HouseRulesUsed({ uses }: { uses: readonly HouseRuleUse[] }) {
  const { t } = useTranslation(['ui', 'craft']);
  return (
    <div>
      <h3 className="text-base">{t('result.houseTitle')}</h3>
      <p className="text-quiet text-sm">{t('result.houseNote')}</p>
      <ul className="mt-1 text-sm">
        {uses.map(({ rule, choice }) => (
          <li key={rule}>
            <span className="text-quiet">{t(`craft:houseRule.${rule}.name`)}:</span>{' '}
            {t(`craft:houseRule.${rule}.${choice}`)}
          </li>
        ))}
      </ul>
    </div>
  );
}
