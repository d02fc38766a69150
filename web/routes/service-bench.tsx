import type { StudentService } from '@cimbel/contract';
import { withGiven } from '@cimbel/core/grade';
import { useQuery } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { useParams } from 'react-router';
import { ConflictDialog, SaveLine } from '../features/bench/save-line';
import { useDraft } from '../features/bench/use-draft';
import { HandInService } from '../features/service/hand-in';
import { HeadStrand } from '../features/service/head-strand';
import { BODY, BenchTitle, SHELL, ServiceBench } from '../features/service/service-bench';
import { usePlay } from '../features/service/use-play';
import { useReveals } from '../features/service/use-reveals';
import { api } from '../lib/api';
import { dateTime } from '../lib/i18n';
import { useMe } from '../lib/session';
import { InUnits } from '../lib/units';
import { ButtonLink } from '../ui/button';
import { Failure, Loading, Notice } from '../ui/panel';

function Working({ service }: { service: StudentService }) {
  const draft = useDraft(
    { ...service, url: `/api/my/services/${service.id}`, empty: service.given },
    useMe().id,
  );
  const reveals = useReveals(service);
  // What the exercise gives stands in the plan from the start.
  const answer = withGiven(draft.answer, service.given, service.open);
  const play = usePlay(service.id, answer);
  const given = { ...draft, answer };
  return (
    <>
      <ServiceBench
        service={service}
        draft={given}
        reveals={reveals}
        play={play}
        saveLine={<SaveLine draft={draft} />}
        end={<HandInService service={service} draft={given} />}
      />
      <ConflictDialog draft={draft} />
    </>
  );
}

function HandedIn({ service }: { service: StudentService }) {
  const { t } = useTranslation();
  return (
    <div className={SHELL}>
      <HeadStrand
        zones={service.zones}
        looks={service.looks}
        nowLabel={t('bench.nowOf', { name: service.client.name })}
        caption={t('bench.now')}
      />
      <div className={`${BODY} items-start`}>
        <BenchTitle service={service} />
        <h2 className="text-2xl">{t('bench.waitingTitle')}</h2>
        <Notice kind="good">{t('bench.closed', { when: dateTime(service.submittedAt!) })}</Notice>
        {service.resultReady ? (
          <ButtonLink weight="main" to={`/bench/${service.id}/result`}>
            {t('student.seeResult')}
          </ButtonLink>
        ) : (
          <p>{t('bench.waiting')}</p>
        )}
      </div>
    </div>
  );
}

export function ServiceBenchPage() {
  const { exerciseId } = useParams();
  const query = useQuery({
    queryKey: ['my-service', exerciseId],
    queryFn: () => api<StudentService>('GET', `/api/my/services/${exerciseId}`),
    // The device's own copy leads while it is open.
    staleTime: Infinity,
    gcTime: 0,
  });
  if (query.isPending) return <Loading />;
  if (query.isError) return <Failure error={query.error} onRetry={() => void query.refetch()} />;
  return (
    <InUnits units={query.data.houseRules.units}>
      {query.data.submittedAt ? <HandedIn service={query.data} /> : <Working service={query.data} />}
    </InUnits>
  );
}
