import type { StudentAssignment } from '@cimbel/contract';
import { useTranslation } from 'react-i18next';
import { Sheet } from '../../ui/panel';
import { RuleChip } from '../handbook/rule-chip';
import { PractiseThis } from '../marking/practise-this';
import '../../lib/words/craft';
import '../../lib/words/bench';

/** Between attempts: the points so far, and by criterion and rule what kind of thing lost some, with where it is practised. */
export function SoFar({ soFar: { points, max, lost } }: { soFar: NonNullable<StudentAssignment['soFar']> }) {
  const { t } = useTranslation(['ui', 'craft']);
  return (
    <>
      <p>{t('student.another.soFar', { points, max })}</p>
      {lost.length > 0 ? (
        <Sheet className="flex w-full flex-col gap-2">
          <h2 className="text-lg">{t('student.another.lost')}</h2>
          <ul>
            {lost.map(({ criterion, rules }) => (
              <li
                key={criterion}
                className="border-line flex flex-wrap items-center gap-x-2 border-b py-1 last:border-b-0"
              >
                <span className="me-auto">
                  {t(`craft:criterion.${criterion}`)}
                  {rules.map((rule) => (
                    <RuleChip key={rule} rule={rule} />
                  ))}
                </span>
                <PractiseThis criterion={criterion} />
              </li>
            ))}
          </ul>
        </Sheet>
      ) : null}
    </>
  );
}
