import type { RosterSeat } from '@cimbel/contract';
import { UserCheck } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import {} from '../../lib/api';
import { dateTime } from '../../lib/i18n';
import '../../lib/words/people';
import { Button } from '../../ui/button';
import { Refused, Sheet } from '../../ui/panel';
import { usePlaceChange } from './use-roster';

/** Who has asked to join by the class code. */
export function WaitingList({ classId, places }: { classId: string; places: readonly RosterSeat[] }) {
  const { t } = useTranslation(['people', 'ui']);
  const change = usePlaceChange(classId);
  if (places.length === 0) return null;
  const letIn = (who: readonly RosterSeat[]) =>
    change.mutate(who.map(({ id }) => ({ id, change: { state: 'active' as const } })));
  return (
    <Sheet className="flex flex-col gap-2">
      <div className="flex flex-wrap items-center gap-3">
        <h2 className="me-auto text-lg">{t('roster.waitingTitle', { count: places.length })}</h2>
        <Button
          weight="main"
          icon={<UserCheck aria-hidden className="size-5" />}
          disabled={change.isPending}
          onClick={() => letIn(places)}
        >
          {t('roster.letAllIn')}
        </Button>
      </div>
      <Refused error={change.error} />
      <ul>
        {places.map((place) => (
          <li key={place.id} className="border-line flex flex-wrap items-center gap-2 border-t py-1">
            <span className="me-auto">
              {place.name} <span className="text-quiet text-sm">{dateTime(place.joinedAt)}</span>
            </span>
            <Button
              disabled={change.isPending}
              aria-label={t('roster.refuseOf', { name: place.name })}
              onClick={() => change.mutate([{ id: place.id, change: { state: 'removed' } }])}
            >
              {t('roster.refuse')}
            </Button>
            <Button
              disabled={change.isPending}
              aria-label={t('roster.letInOf', { name: place.name })}
              onClick={() => letIn([place])}
            >
              {t('roster.letIn')}
            </Button>
          </li>
        ))}
      </ul>
    </Sheet>
  );
}
