import type { Result, StudentAssignment } from '@cimbel/contract';
import { seedFrom } from '@cimbel/core';
import { LIGHTS, type Light } from '@cimbel/core/colour';
import { markCard, slip, withGiven } from '@cimbel/core/mark';
import {
  EMPTY_CARD,
  applicationsOf,
  timesWhatIsGiven,
  answerTo,
  showsIn,
  stretchesOf,
  type RecordCard,
} from '@cimbel/core/card';
import { simulateCard, showSimulation, wishLook } from '@cimbel/core/simulate';
import { underlayChoices } from '@cimbel/core/theory';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useMemo, useReducer, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useParams } from 'react-router';
import { draftReducer } from '../features/bench/draft-state';
import type { DraftOf } from '../features/bench/use-draft';
import { PointsLine } from '../features/marking/result-headings';
import { RecordCardView } from '../features/bench/record-card';
import { Bench } from '../features/bench/bench';
import { ResultView } from '../features/marking/result-view';
import type { Reveals } from '../features/bench/use-reveals';
import { api } from '../lib/api';
import { InUnits } from '../lib/units';
import { Button, ButtonLink } from '../ui/button';
import { Failure, Loading } from '../ui/panel';
import { PageTitle } from '../ui/page-title';

/** The card as it was handed out, where there was a slip on it. */
const cardOf = ({ slip: name, solution, lines }: Result): RecordCard | null =>
  name ? slip(name, { plan: solution.best, solution, lines }) : null;

/** The released exercise as it was set: everything is known now, so nothing has to be asked of the server. */
function asSet(result: Result): StudentAssignment {
  const { clientCase, solution, open, houseRules, lines } = result;
  const { diameter, density, length, form, zones } = clientCase.head;
  const stretches = stretchesOf(clientCase.head);
  const seed = seedFrom(result.assignmentId);
  const looksIn = (light: Light) => ({
    now: simulateCard(clientCase, EMPTY_CARD, () => undefined).lookAt(0, light, seed),
    target: wishLook(clientCase, light, seed + 1),
  });
  return {
    id: result.assignmentId,
    title: result.title,
    className: '',
    client: clientCase.client,
    looks: looksIn('daylight'),
    lit: Object.fromEntries(LIGHTS.map((light) => [light, looksIn(light)])) as StudentAssignment['lit'],
    zones: zones.map(({ zone, lengthCm }, i) => ({
      zone,
      lengthCm,
      from: stretches[i].from,
      to: stretches[i].to,
    })),
    hair: { diameter, density, length, form },
    wish: clientCase.wish,
    weave: clientCase.weave ?? null,
    lines,
    houseRules,
    underlayChoices: underlayChoices(houseRules),
    open,
    given: withGiven(cardOf(result) ?? EMPTY_CARD, solution.best, open),
    applications: timesWhatIsGiven(open) ? applicationsOf(solution.best.steps) : [],
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
function Again({ result }: { result: Result }) {
  const { t } = useTranslation();
  const assignment = useMemo(() => asSet(result), [result]);
  const { clientCase, lines, solution, houseRules, open } = result;
  const [{ past, present, future }, dispatch] = useReducer(draftReducer<RecordCard>, {
    past: [],
    present: assignment.given,
    future: [],
  });
  const [known, setKnown] = useState<Reveals['known']>({});
  const [marked, setMarked] = useState<RecordCard | null>(null);
  const reveals: Reveals = {
    known,
    busy: null,
    failed: null,
    ask: async (asked) => {
      const told =
        'question' in asked ? answerTo(clientCase, asked.question) : showsIn(clientCase, asked.test);
      setKnown({ ...known, ['question' in asked ? asked.question : asked.test]: told });
      return true;
    },
  };
  const answer = withGiven(present, assignment.given, open, assignment.applications);
  const settled = useDeferredValue(answer);
  const shown = useMemo(
    () =>
      showSimulation(
        clientCase,
        settled,
        (id) => lines.find((line) => line.id === id),
        seedFrom(assignment.id),
      ),
    [clientCase, settled, lines, assignment.id],
  );
  const draft: DraftOf<RecordCard> = {
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
    const grade = markCard({ solution, rules: houseRules, rubric, lines, open }, marked);
    return (
      <ResultView
        result={{ ...result, answer: withGiven(marked, solution.best, open), grade, changes: [] }}
        heading={
          <div className="flex flex-wrap items-end justify-between gap-3">
            <div>
              <PageTitle
                back={{ to: `/due/${assignment.id}/result`, text: t('service.backToResult') }}
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
    <Bench
      assignment={assignment}
      draft={draft}
      reveals={reveals}
      play={{ data: shown, error: null }}
      saveLine={<p className="text-quiet text-sm">{t('service.practiceNote')}</p>}
      end={
        <div className="flex flex-col gap-4">
          <h2 className="text-2xl">{t('bench.handIn.title')}</h2>
          <RecordCardView plan={answer} lines={lines} title={t('service.card')} />
          <div className="flex gap-3">
            <Button weight="main" onClick={() => setMarked(answer)}>
              {t('service.markIt')}
            </Button>
            <ButtonLink to={`/due/${assignment.id}/result`}>{t('service.backToResult')}</ButtonLink>
          </div>
        </div>
      }
    />
  );
}

export function StudentAgainPage() {
  const { assignmentId } = useParams();
  const query = useQuery({
    queryKey: ['my-result', assignmentId],
    queryFn: () => api<Result>('GET', `/api/my/assignments/${assignmentId}/result`),
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
