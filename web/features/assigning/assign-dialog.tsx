import type { ClassSummary, Exercise } from '@cimbel/contract';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import '../../lib/words/assigning';
import { Button, ButtonLink } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import '../../lib/words/educating';

/** Asks which class an exercise of the library is for; dates and the rest are said on the page that follows. */
export function AssignDialog({
  exercise: { id, title },
  classes,
  onClose,
}: {
  exercise: Pick<Exercise, 'id' | 'title'>;
  classes: readonly ClassSummary[];
  onClose: () => void;
}) {
  const { t } = useTranslation(['assigning', 'ui']);
  return (
    <Dialog
      open
      onClose={onClose}
      title={t('library.assignTitle', { title })}
      actions={<Button onClick={onClose}>{t('ui:action.cancel')}</Button>}
    >
      {classes.length === 0 ? (
        <div className="flex flex-col items-start gap-3">
          <p>{t('library.noClass')}</p>
          <ButtonLink to="/classes">{t('library.toClasses')}</ButtonLink>
        </div>
      ) : (
        <ul className="flex flex-col gap-2">
          {classes.map((classSummary) => (
            <li key={classSummary.id}>
              <Link
                to={`/classes/${classSummary.id}/new-exercise?exercise=${id}`}
                className="border-strong-line bg-raised hover:bg-sheet flex min-h-11 items-center justify-between gap-3 rounded-sm border px-4 py-2"
              >
                <span className="font-semibold">{classSummary.name}</span>
                <span className="text-quiet text-sm">
                  {t('ui:classes.students', { count: classSummary.students })}
                </span>
              </Link>
            </li>
          ))}
        </ul>
      )}
    </Dialog>
  );
}
