import type { Result } from '@cimbel/contract';
import type { CrucialDecision } from '@cimbel/core/mark';
import { CircleCheck, CircleSlash } from 'lucide-react';
import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { placeWord } from '../../lib/i18n';
import { Sheet } from '../../ui/panel';
import { ReasonText } from './reasons';
import { MarkChanges } from './verdict';
import '../../lib/words/craft';
import '../../lib/words/bench';

/** The place a part is named after; woven strands hang in theirs. */
const zoneOf = (part: string) => part.split('.')[0];

/** A crucial decision in words: the shade for the regrowth, the developer for the ends. */
export function useDecisionWords(): (decision: CrucialDecision) => string {
  const { t } = useTranslation('craft');
  return ({ criteria, places, role }) => {
    const name = criteria[0] === 'developer' && role === 'lighten' ? 'lightener' : criteria[0];
    const zones = [...new Set(places.map(zoneOf))].map((zone) => placeWord(t, zone)).join(', ');
    return t(`crucial.${name}`, { places: zones });
  };
}

/** What decided the mark in one line, and the decisions the exercise turns on, right and wrong. */
export function Decided({
  result,
  action,
}: {
  result: Pick<Result, 'grade' | 'changes'>;
  /** What the educator may do about the ceiling. */
  action?: ReactNode;
}) {
  const { t } = useTranslation();
  const words = useDecisionWords();
  const { grade, changes } = result;
  if (!grade.decided) return null;
  const crucial = grade.crucial ?? [];
  return (
    <Sheet className="flex flex-col gap-2">
      <p>
        <strong>{t('result.method', { points: grade.uncapped, max: grade.max })}.</strong>{' '}
        <ReasonText reason={grade.decided} /> {action}
      </p>
      {grade.modelDisagrees ? <p className="text-quiet text-sm">{t('result.disagrees')}</p> : null}
      {changes.some(({ criterion }) => criterion === 'ceiling') ? (
        <ul>
          <MarkChanges changes={changes.filter(({ criterion }) => criterion === 'ceiling')} />
        </ul>
      ) : null}
      {crucial.length > 0 ? (
        <>
          <h2 className="text-base font-semibold">{t('result.decisions')}</h2>
          <ul className="text-sm">
            {crucial.map((crucialMark) => {
              const Icon = crucialMark.wrong ? CircleSlash : CircleCheck;
              return (
                <li key={JSON.stringify(crucialMark)} className="flex items-center gap-2">
                  <Icon
                    aria-hidden
                    className={`size-4 shrink-0 ${crucialMark.wrong ? 'text-bad' : 'text-good'}`}
                  />
                  <span>
                    {words(crucialMark)}:{' '}
                    {t(crucialMark.wrong ? 'result.decisionWrong' : 'result.decisionRight')}
                  </span>
                </li>
              );
            })}
          </ul>
        </>
      ) : null}
    </Sheet>
  );
}
