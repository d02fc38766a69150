import type { StudentAssignment } from '@cimbel/contract';
import { seedFrom } from '@cimbel/core';
import { revealOf, type ClientCase } from '@cimbel/core/case';
import { type BenchStep, exerciseForStudent, looksByLight, withGiven } from '@cimbel/core/exercise';
import { type RecordCard, complete } from '@cimbel/core/card';
import { cardWithSlip as slipOn, type Misconception } from '@cimbel/core/mark';
import type { Line } from '@cimbel/core/product';
import { showSimulation } from '@cimbel/core/simulate';
import type { ModelAnswer } from '@cimbel/core/solve';
import type { HouseRules } from '@cimbel/core/rules';
import { useDeferredValue, useMemo, useReducer, useState, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { Button } from '../../ui/button';
import { Bench } from './bench';
import { draftReducer } from './draft-state';
import { RecordCardView } from './record-card';
import type { DraftOf } from './use-draft';
import { nameOf, type Reveals } from './use-reveals';
import { PageTitle } from '../../ui/page-title';
import '../../lib/words/bench';

/** An exercise whose answer is known to who works it: nothing has to be asked of the server. */
export interface KnownExercise {
  /** Seeds the pictures, so that the hair looks as it did or will. */
  id: string;
  title: string;
  clientCase: ClientCase;
  modelAnswer: ModelAnswer;
  lines: Line[];
  houseRules: HouseRules;
  open: BenchStep[];
  slip: Misconception | null;
  /** ISO date and time; null where it has none yet. */
  dueAt: string | null;
}

/** The exercise as a student is sent it, with nothing begun. */
function begun(exercise: KnownExercise): StudentAssignment {
  const { id, title, modelAnswer, lines, slip, dueAt } = exercise;
  const card = slip ? slipOn(slip, { card: modelAnswer.card, modelAnswer, lines }) : null;
  return {
    ...exerciseForStudent({ ...exercise, card }, null, looksByLight(exercise, null)),
    stage: 'work',
    id,
    title,
    className: '',
    rubric: {},
    dueAt: dueAt ?? new Date().toISOString(),
    late: false,
    latePercent: null,
    closed: false,
    handedInAt: null,
    release: 'onSubmit',
    attempts: 1,
    handedIn: 0,
    attempt: 1,
    minutes: null,
    time: null,
    another: false,
    soFar: null,
    draft: null,
    submittedAt: null,
    receipt: null,
    notTaken: null,
    plays: { used: 0, allowed: 0 },
    resultReady: false,
  };
}

/** The bench without an attempt behind it: nothing is kept and nothing counts. */
export function PracticeBench({
  exercise,
  note,
  back,
  end,
}: {
  exercise: KnownExercise;
  /** Said where otherwise stands whether the work is saved. */
  note: string;
  /** The way back, where it is no page of its own. */
  back?: { text: string; onBack: () => void };
  /** What can be done with the card on the last step. */
  end: (card: RecordCard) => ReactNode;
}) {
  const { t } = useTranslation();
  const assignment = useMemo(() => begun(exercise), [exercise]);
  const { clientCase, lines, open } = exercise;
  const [{ past, present, future }, dispatch] = useReducer(draftReducer<RecordCard>, {
    past: [],
    present: assignment.given,
    future: [],
  });
  const [known, setKnown] = useState<Reveals['known']>(assignment.reveals);
  const reveals: Reveals = {
    known,
    busy: null,
    failed: null,
    ask: async (asked) => {
      setKnown((before) => ({ ...before, [nameOf(asked)]: revealOf(clientCase, asked) }));
      return true;
    },
  };
  const answer = withGiven(present, assignment.given, open, assignment.applications);
  const settled = useDeferredValue(answer);
  const shown = useMemo(
    () =>
      showSimulation(
        clientCase,
        complete(settled),
        (id) => lines.find((line) => line.id === id),
        seedFrom(assignment.id),
        !open.includes('read'),
      ),
    [clientCase, settled, lines, assignment.id, open],
  );
  const draft: DraftOf<RecordCard> = {
    answer,
    change: (part) => dispatch({ type: 'change', part }),
    undo: past.length > 0 ? () => dispatch({ type: 'undo' }) : null,
    redo: future.length > 0 ? () => dispatch({ type: 'redo' }) : null,
    save: 'saved',
    savedAt: null,
    settle: async () => undefined,
    seen: async () => ({ version: 0, writer: 'practice' }),
    meetNewer: () => undefined,
  };
  return (
    <Bench
      assignment={assignment}
      draft={draft}
      reveals={reveals}
      play={{ shown, error: null, request: null }}
      title={
        back ? (
          <div className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1">
            <PageTitle className="text-xl">{exercise.title}</PageTitle>
            <Button onClick={back.onBack}>{back.text}</Button>
          </div>
        ) : undefined
      }
      saveLine={<p className="text-quiet text-sm">{note}</p>}
      end={
        <div className="flex flex-col gap-4">
          <h2 className="text-2xl">{t('bench.handIn.title')}</h2>
          <RecordCardView plan={answer} lines={lines} title={t('bench.card')} />
          <div className="flex gap-3">{end(answer)}</div>
        </div>
      }
    />
  );
}
