import type { ClassDetail, RosterSeat, Slip } from '@cimbel/contract';
import { Undo2 } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { AddPlaces } from '../features/people/add-places';
import { EducatorsPanel } from '../features/people/educators-panel';
import { JoiningPanel } from '../features/people/joining-panel';
import { LogList } from '../features/people/log-list';
import { RosterTable } from '../features/people/roster-table';
import { SlipsSheet } from '../features/people/slips-sheet';
import { TermsPanel } from '../features/people/terms-panel';
import { usePlaceChange, useRoster } from '../features/people/use-roster';
import { WaitingList } from '../features/people/waiting-list';
import { ClassTabs } from '../features/reading/class-tabs';
import { WithClass } from '../features/reading/with-class';
import '../lib/words/people';
import { Button } from '../ui/button';
import { PageTitle } from '../ui/page-title';
import { Empty, Failure, Loading, Sheet } from '../ui/panel';

function Removed({ classId, places }: { classId: string; places: readonly RosterSeat[] }) {
  const { t } = useTranslation('people');
  const change = usePlaceChange(classId);
  if (places.length === 0) return null;
  return (
    <Sheet className="flex flex-col gap-1">
      <h2 className="text-lg">{t('roster.removedTitle')}</h2>
      <ul>
        {places.map(({ id, name, number }) => (
          <li key={id} className="border-line flex flex-wrap items-center gap-2 border-t py-1">
            <span className="me-auto">
              {name} <span className="text-quiet">{number}</span>
            </span>
            <Button
              icon={<Undo2 aria-hidden className="size-4" />}
              aria-label={t('roster.restoreOf', { name })}
              disabled={change.isPending}
              onClick={() => change.mutate([{ id, change: { state: 'active' } }])}
            >
              {t('roster.restore')}
            </Button>
          </li>
        ))}
      </ul>
    </Sheet>
  );
}

function RosterBody({ detail }: { detail: ClassDetail }) {
  const { id, name } = detail;
  const { t } = useTranslation(['people', 'ui']);
  const roster = useRoster(id);
  const [slips, setSlips] = useState<Slip[]>([]);
  const body = () => {
    if (roster.isPending) return <Loading />;
    if (roster.isError) return <Failure error={roster.error} onRetry={() => void roster.refetch()} />;
    const of = (state: RosterSeat['state']) => roster.data.places.filter((place) => place.state === state);
    const active = of('active');
    return (
      <div className="grid items-start gap-4 wide:grid-cols-[minmax(0,1fr)_24rem]">
        <div className="flex flex-col gap-4">
          <WaitingList classId={id} places={of('waiting')} />
          {active.length > 0 ? (
            <RosterTable classId={id} places={active} onSlips={setSlips} />
          ) : (
            <Empty>{t('roster.empty')}</Empty>
          )}
          <Removed classId={id} places={of('removed')} />
        </div>
        <div className="flex flex-col gap-4">
          <JoiningPanel classId={id} roster={roster.data} />
          <AddPlaces classId={id} />
          <EducatorsPanel classId={id} educators={roster.data.educators} />
          <LogList classId={id} />
          <TermsPanel detail={detail} />
        </div>
      </div>
    );
  };
  return (
    <div className="mx-auto flex max-w-7xl flex-col gap-4 p-4">
      <PageTitle back={{ to: '/classes', text: t('ui:nav.classes') }}>
        {t('roster.title', { name })}
      </PageTitle>
      <ClassTabs classId={id} />
      {body()}
      <SlipsSheet slips={slips} className={name} onClose={() => setSlips([])} />
    </div>
  );
}

export const RosterPage = () => <WithClass>{(detail) => <RosterBody detail={detail} />}</WithClass>;
