import type { NearMiss } from '@cimbel/core/grade';
import type { Line } from '@cimbel/core/shades';
import { REACHED_AWAY, type Solution } from '@cimbel/core/solve';
import { useTranslation } from 'react-i18next';
import { Notice, Sheet } from '../../ui/panel';
import { ReasonText } from '../marking/reasons';
import { PlanCard } from './plan-card';
import { useBowlWords } from './words';

const zoneName = (part: string) => part.split('.')[0];

/** The computed solution: routes with their reasons, the card, other plans as good, near misses, and the visits. */
export function KeyPanel({
  solution,
  lines,
  nearMisses,
}: {
  solution: Solution;
  lines: readonly Line[];
  nearMisses?: readonly NearMiss[];
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const bowlWords = useBowlWords();
  const { stops, choices, best, equivalents, proof, visits } = solution;
  const short = choices.filter(({ away }) => away > REACHED_AWAY);
  return (
    <div className="flex flex-col gap-4">
      {stops.length > 0 ? (
        <Notice kind="warn">
          <strong>{t('service.mustDecline')}</strong>{' '}
          {stops.map((stop) => (
            <ReasonText key={stop.code} reason={stop} />
          ))}
        </Notice>
      ) : null}
      {visits.length > 1 ? (
        <Notice kind="warn">
          <strong>{t('service.visitsTitle', { count: visits.length })}</strong>{' '}
          {proof.slice(0, 1).map((reason) => (
            <ReasonText key={reason.code} reason={reason} />
          ))}
        </Notice>
      ) : null}
      {short.length > 0 ? <Notice kind="warn">{t('service.apart')}</Notice> : null}
      {choices.length > 0 ? (
        <Sheet className="flex flex-col gap-1">
          <h2 className="text-lg">{t('service.routes')}</h2>
          <ul className="text-sm">
            {choices.map(({ part, route, reason, away }) => (
              <li key={part} className="py-0.5">
                <strong>
                  {t('service.routeOf', { zone: zoneName(part), route })}
                  {part.endsWith('.woven') ? ` (${t('service.wovenShort')})` : ''}
                </strong>{' '}
                <ReasonText reason={reason} />{' '}
                <span className="text-quiet">{t('service.awayOf', { away })}</span>
              </li>
            ))}
          </ul>
        </Sheet>
      ) : null}
      <PlanCard plan={best} lines={lines} title={t('result.keyTitle')} />
      {equivalents.length > 0 ? (
        <Sheet>
          <details>
            <summary className="cursor-pointer font-semibold">
              {t('service.asGood', { count: equivalents.length })}
            </summary>
            <ul className="mt-2 text-sm">
              {equivalents.map((plan) => (
                <li key={JSON.stringify(plan.bowls)} className="border-line border-t py-1">
                  {plan.bowls.map((bowl) => `${bowl.name}: ${bowlWords(bowl, lines)}`).join(' · ')}
                </li>
              ))}
            </ul>
          </details>
        </Sheet>
      ) : null}
      {nearMisses && nearMisses.length > 0 ? (
        <Sheet>
          <details>
            <summary className="cursor-pointer font-semibold">
              {t('service.nearMisses', { count: nearMisses.length })}
            </summary>
            <ul className="mt-2 text-sm">
              {nearMisses.map(({ misconception, breaks, grade }) => (
                <li key={misconception} className="border-line border-t py-1">
                  <strong>{t(`craft:slip.${misconception}`)}</strong>{' '}
                  <span className="text-quiet">
                    {t('result.points', { points: grade.points, max: grade.max })}
                  </span>{' '}
                  <ReasonText reason={breaks} />
                </li>
              ))}
            </ul>
          </details>
        </Sheet>
      ) : null}
    </div>
  );
}
