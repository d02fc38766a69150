import type { ServiceResult, StudentService } from '@cimbel/contract';
import { seedFrom } from '@cimbel/core';
import { LIGHTS, type Light } from '@cimbel/core/colour';
import { gradeService, slip, withGiven } from '@cimbel/core/grade';
import {
  EMPTY_PLAN,
  answerTo,
  playPlan,
  showPlay,
  showsIn,
  stretchesOf,
  wishLook,
  type ServicePlan,
} from '@cimbel/core/plan';
import { underlayChoices } from '@cimbel/core/theory';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useMemo, useReducer, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useParams } from 'react-router';
import { draftReducer } from '../features/bench/draft-state';
import type { DraftOf } from '../features/bench/use-draft';
import { PointsLine } from '../features/marking/result-view';
import { PlanCard } from '../features/service/plan-card';
import { ServiceBench } from '../features/service/service-bench';
import { ServiceResultView } from '../features/service/service-result-view';
import type { Reveals } from '../features/service/use-reveals';
import { api } from '../lib/api';
import { InUnits } from '../lib/units';
import { Button, ButtonLink } from '../ui/button';
import { Failure, Loading } from '../ui/panel';
import { PageTitle } from '../ui/page-title';

/** The card as it was handed out, where there was a slip on it. */
const cardOf = ({ slip: name, solution, lines }: ServiceResult): ServicePlan | null =>
  name ? slip(name, { plan: solution.best, solution, lines }) : null;

/** The released exercise as it was set: everything is known now, so nothing has to be asked of the server. */
function asSet(result: ServiceResult): StudentService {
  const { kase, solution, open, houseRules, lines } = result;
  const { diameter, density, length, form, zones } = kase.head;
  const stretches = stretchesOf(kase.head);
  const seed = seedFrom(result.exerciseId);
  const looksIn = (light: Light) => ({
    now: playPlan(kase, EMPTY_PLAN, () => undefined).lookAt(0, light, seed),
    target: wishLook(kase, light, seed + 1),
  });
  return {
    id: result.exerciseId,
    title: result.title,
    className: '',
    client: kase.client,
    looks: looksIn('daylight'),
    lit: Object.fromEntries(LIGHTS.map((light) => [light, looksIn(light)])) as StudentService['lit'],
    zones: zones.map(({ zone, lengthCm }, i) => ({
      zone,
      lengthCm,
      from: stretches[i].from,
      to: stretches[i].to,
    })),
    hair: { diameter, density, length, form },
    wish: kase.wish,
    weave: kase.weave ?? null,
    lines,
    houseRules,
    underlayChoices: underlayChoices(houseRules),
    open,
    given: withGiven(cardOf(result) ?? EMPTY_PLAN, solution.best, open),
    toCorrect: result.slip !== null,
    rubric: {},
    reveals: {},
    dueAt: result.submittedAt,
    late: false,
    draft: null,
    submittedAt: null,
    resultReady: false,
  };
}

/** The same head again, for practice: nothing is kept and nothing counts. */
function Again({ result }: { result: ServiceResult }) {
  const { t } = useTranslation();
  const service = useMemo(() => asSet(result), [result]);
  const { kase, lines, solution, houseRules, open } = result;
  const [{ past, present, future }, dispatch] = useReducer(draftReducer<ServicePlan>, {
    past: [],
    present: service.given,
    future: [],
  });
  const [known, setKnown] = useState<Reveals['known']>({});
  const [marked, setMarked] = useState<ServicePlan | null>(null);
  const reveals: Reveals = {
    known,
    busy: null,
    failed: null,
    ask: async (asked) => {
      const told = 'question' in asked ? answerTo(kase, asked.question) : showsIn(kase, asked.test);
      setKnown({ ...known, ['question' in asked ? asked.question : asked.test]: told });
      return true;
    },
  };
  const answer = withGiven(present, service.given, open);
  const settled = useDeferredValue(answer);
  const shown = useMemo(
    () => showPlay(kase, settled, (id) => lines.find((line) => line.id === id), seedFrom(service.id)),
    [kase, settled, lines, service.id],
  );
  const draft: DraftOf<ServicePlan> = {
    answer,
    change: (part) => dispatch({ type: 'change', part }),
    undo: past.length > 0 ? () => dispatch({ type: 'undo' }) : null,
    redo: future.length > 0 ? () => dispatch({ type: 'redo' }) : null,
    save: 'saved',
    savedAt: null,
    settle: async () => undefined,
  };
  if (marked) {
    const rubric = Object.fromEntries(result.grade.criteria.map(({ criterion, max }) => [criterion, max]));
    const grade = gradeService({ solution, rules: houseRules, rubric, lines, open }, marked);
    return (
      <ServiceResultView
        result={{ ...result, answer: withGiven(marked, solution.best, open), grade, changes: [] }}
        heading={
          <div className="flex flex-wrap items-end justify-between gap-3">
            <div>
              <PageTitle
                back={{ to: `/bench/${service.id}/result`, text: t('service.backToResult') }}
                className="text-xl"
              >
                {t('service.practiceOf', { title: result.title })}
              </PageTitle>
              <p className="text-quiet text-sm">{t('service.practiceNote')}</p>
            </div>
            <div className="flex items-center gap-4">
              <Button onClick={() => setMarked(null)}>{t('service.backToBench')}</Button>
              <PointsLine result={{ grade }} />
            </div>
          </div>
        }
      />
    );
  }
  return (
    <ServiceBench
      service={service}
      draft={draft}
      reveals={reveals}
      play={{ data: shown, error: null }}
      saveLine={<p className="text-quiet text-sm">{t('service.practiceNote')}</p>}
      end={
        <div className="flex flex-col gap-4">
          <h2 className="text-2xl">{t('bench.handIn.title')}</h2>
          <PlanCard plan={answer} lines={lines} title={t('service.card')} />
          <div className="flex gap-3">
            <Button weight="main" onClick={() => setMarked(answer)}>
              {t('service.markIt')}
            </Button>
            <ButtonLink to={`/bench/${service.id}/result`}>{t('service.backToResult')}</ButtonLink>
          </div>
        </div>
      }
    />
  );
}

export function ServiceAgainPage() {
  const { exerciseId } = useParams();
  const query = useQuery({
    queryKey: ['my-service-result', exerciseId],
    queryFn: () => api<ServiceResult>('GET', `/api/my/services/${exerciseId}/result`),
    staleTime: Infinity,
  });
  if (query.isPending) return <Loading />;
  if (query.isError) return <Failure error={query.error} onRetry={() => void query.refetch()} />;
  return (
    <InUnits units={query.data.houseRules.units}>
      <Again result={query.data} />
    </InUnits>
  );
}
