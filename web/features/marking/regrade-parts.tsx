import type { Regrade, RegradePreview } from '@cimbel/contract';
import { useTranslation } from 'react-i18next';
import '../../lib/words/educating';
import '../../lib/words/bench';

/** How far marking again has come. */
export function RegradeProgress({ regrade }: { regrade: Regrade }) {
  const { t } = useTranslation();
  return (
    <div role="status" className="flex flex-col gap-2">
      <progress
        className="[&::-webkit-progress-bar]:bg-line [&::-webkit-progress-value]:bg-accent h-4 w-full appearance-none"
        max={Math.max(1, regrade.total)}
        value={regrade.done}
      />
      <p>
        {t(regrade.finished ? 'bench.regradeDone' : 'bench.regradeRuns', {
          done: regrade.done,
          total: regrade.total,
          changed: regrade.changed,
        })}
      </p>
    </div>
  );
}

/** Whose points would be others, before anything is done. */
export function RegradeChanges({ preview: { total, changes } }: { preview: RegradePreview }) {
  const { t } = useTranslation();
  return (
    <div
      role="status"
      className="flex flex-col gap-2"
      // It stands above the fields, which may have been scrolled past it.
      ref={(element) => element?.scrollIntoView({ block: 'nearest' })}
    >
      <p className="font-semibold">{t('regrade.would', { count: changes.length, total })}</p>
      {changes.length > 0 ? (
        <table className="w-full text-sm">
          <thead>
            <tr className="text-quiet border-line border-b text-start">
              <th scope="col" className="py-1 text-start font-normal">
                {t('regrade.student')}
              </th>
              <th scope="col" className="py-1 text-end font-normal">
                {t('regrade.before')}
              </th>
              <th scope="col" className="py-1 text-end font-normal">
                {t('regrade.after')}
              </th>
            </tr>
          </thead>
          <tbody>
            {changes.map(({ attemptId, studentName, before, after, max }) => (
              <tr key={attemptId} className="border-line border-b last:border-b-0">
                <th scope="row" className="py-1 text-start font-normal">
                  {studentName}
                </th>
                <td className="py-1 text-end tabular-nums">{t('regrade.points', { points: before })}</td>
                <td className="py-1 text-end font-semibold tabular-nums">
                  {t('regrade.pointsOf', { points: after, max })}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      ) : null}
    </div>
  );
}
