import { CRITERIA, type Criterion } from '@cimbel/core/grade';
import type { Key } from '@cimbel/core/solve';
import { useTranslation } from 'react-i18next';
import { Facts } from '../../ui/panel';
import { useKeyWords } from './answer-words';
import { ReasonList } from './reasons';

/** Shades stand once, under depth; natural share only where grey asks for it. */
const shown = (key: Key): Criterion[] =>
  CRITERIA.filter(
    (criterion) =>
      criterion !== 'tone' &&
      criterion !== 'levelReading' &&
      (criterion !== 'greyShare' || key.need.naturalShare.min > 0),
  );

export function KeyCard({ computed, naturalLevel }: { computed: Key; naturalLevel: number }) {
  const { t } = useTranslation(['ui', 'craft']);
  const keyWords = useKeyWords();
  const term = (criterion: Criterion) =>
    criterion === 'depth' ? t('key.shades') : t(`craft:criterion.${criterion}`);
  return (
    <div className="flex flex-col gap-4">
      <Facts
        rows={shown(computed).map((criterion) => ({
          term: term(criterion),
          value: keyWords(criterion, computed, naturalLevel),
        }))}
      />
      <div>
        <h3 className="text-base">{t('result.whyTitle')}</h3>
        <div className="text-sm">
          <ReasonList reasons={computed.reasons} />
        </div>
      </div>
      {computed.notes.length > 0 ? (
        <div>
          <h3 className="text-base">{t('result.notesTitle')}</h3>
          <div className="text-sm">
            <ReasonList reasons={computed.notes} />
          </div>
        </div>
      ) : null}
    </div>
  );
}

/** Which of two good schools the class follows, wherever a result rested on it. */
export function HouseRulesUsed({ uses }: { uses: Key['houseRules'] }) {
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
