import { bowlGrams, lastMinute } from '@cimbel/core/card';
import { conditionOfZone, presentLevel, type ClientCase } from '@cimbel/core/case';
import type { Line } from '@cimbel/core/product';
import { caseOfVisit, type ModelAnswer } from '@cimbel/core/solve';
import { useTranslation } from 'react-i18next';
import { Button } from '../../ui/button';
import { Sheet } from '../../ui/panel';
import { RecordCardView } from '../bench/record-card';
import { useWishes } from '../bench/words';
import '../../lib/words/bench';

/** Which of how many visits, from 1. */
export interface WhichVisit {
  count: number;
  of: number;
}

/** Where one visit is not enough: each with what it comes with, what it is for, what it takes, and its card. */
export function Visits({
  solution,
  lines,
  onSet,
}: {
  solution: ModelAnswer;
  lines: readonly Line[];
  /** Takes a visit as a case of its own; left out where nothing is being set. */
  onSet?: (clientCase: ClientCase, which: WhichVisit) => void;
}) {
  const { t } = useTranslation();
  const wishes = useWishes();
  const { visits } = solution;
  if (visits.length < 2 || visits.some(({ card }) => !card)) return null;
  return (
    <Sheet className="flex flex-col gap-2">
      <h2 className="text-lg">{t('visits.title')}</h2>
      {visits.map(({ afterWeeks, wish, placements, head, card }, at) => {
        const clientCase = caseOfVisit(solution, at)!;
        const weight = card!.bowls.reduce((sum, bowl) => sum + bowlGrams(bowl), 0);
        const count = { count: at + 1, of: visits.length };
        return (
          <details key={at} className="border-line border-t pt-2 text-sm first-of-type:border-t-0">
            <summary className="cursor-pointer">
              <strong>{t('visits.nth', count)}</strong>{' '}
              {afterWeeks > 0 ? t('visits.after', { weeks: afterWeeks }) : t('visits.today')}
            </summary>
            <p>
              {t('visits.comes', {
                state: head!.zones
                  .map((zone) =>
                    t('visits.place', {
                      place: zone.zone,
                      level: presentLevel(zone),
                      condition: conditionOfZone(zone),
                    }),
                  )
                  .join('; '),
              })}
            </p>
            <p>
              {t('visits.goal', {
                goal: wishes({ wish, placements })
                  .map(({ name, text }) => `${name}: ${text}`)
                  .join('; '),
              })}
            </p>
            <p>{t('visits.takes', { minutes: lastMinute(card!), weight })}</p>
            <RecordCardView plan={card!} lines={lines} />
            {onSet ? (
              <Button className="mt-2" onClick={() => onSet(clientCase, count)}>
                {t('visits.set')}
              </Button>
            ) : null}
          </details>
        );
      })}
    </Sheet>
  );
}
