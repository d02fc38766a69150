import { SKILLS, type Skill } from '@cimbel/core/drill';
import { useTranslation } from 'react-i18next';
import { Button, ButtonLink } from '../../ui/button';
import { Notice, Sheet } from '../../ui/panel';
import { PageTitle } from '../../ui/page-title';
import '../../lib/words/drills';
import '../../lib/words/reading';

export interface Done {
  skill: Skill;
  score: number;
  seconds: number;
}

/** What a sitting came to, by skill. */
export function PracticeSummary({
  done,
  waiting,
  onLeave,
  preview,
}: {
  done: readonly Done[];
  waiting: number;
  onLeave: () => void;
  preview: boolean;
}) {
  const { t } = useTranslation(['ui', 'drill']);
  const points = (some: readonly Done[]) => some.reduce((sum, { score }) => sum + score, 0);
  const minutes = done.reduce((sum, { seconds }) => sum + seconds, 0) / 60;
  return (
    <div className="mx-auto flex max-w-2xl flex-col gap-4 p-4 py-6">
      <PageTitle>{t('reading.summary.title')}</PageTitle>
      {done.length === 0 ? (
        <p>{t('reading.summary.none')}</p>
      ) : (
        <>
          <p className="text-lg">
            {t('reading.summary.line', { count: done.length, points: points(done), minutes })}
          </p>
          <Sheet>
            <table className="w-full">
              <caption className="sr-only">{t('reading.summary.table')}</caption>
              <thead className="text-quiet text-sm">
                <tr>
                  <th scope="col" className="py-1 text-start">
                    {t('reading.skill')}
                  </th>
                  <th scope="col" className="py-1 text-end">
                    {t('reading.right')}
                  </th>
                  <th scope="col" className="py-1 text-end">
                    {t('reading.pace')}
                  </th>
                </tr>
              </thead>
              <tbody>
                {SKILLS.filter((skill) => done.some((done) => done.skill === skill)).map((skill) => {
                  const own = done.filter((done) => done.skill === skill);
                  return (
                    <tr key={skill} className="border-line border-t">
                      <th scope="row" className="py-1 text-start font-normal">
                        {t(`drill:skill.${skill}`)}
                      </th>
                      <td className="py-1 text-end">
                        {t('reading.of', { points: points(own), max: own.length })}
                      </td>
                      <td className="py-1 text-end">
                        {t('reading.seconds', {
                          seconds: own.reduce((sum, { seconds }) => sum + seconds, 0) / own.length,
                        })}
                      </td>
                    </tr>
                  );
                })}
              </tbody>
            </table>
          </Sheet>
        </>
      )}
      {waiting > 0 ? <Notice kind="warn">{t('reading.waiting', { count: waiting })}</Notice> : null}
      <div className="flex flex-wrap gap-3">
        <Button weight="main" onClick={onLeave}>
          {t(preview ? 'reading.set.closePreview' : 'reading.backToRoom')}
        </Button>
        {preview ? null : <ButtonLink to="/reading/reading-profile">{t('reading.profile.title')}</ButtonLink>}
      </div>
    </div>
  );
}
