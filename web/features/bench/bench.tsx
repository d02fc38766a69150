import { workStepsOf, type StudentAssignment, type WorkStep } from '@cimbel/contract';
import type { Light } from '@cimbel/core/colour';
import { lastMinute, type RecordCard } from '@cimbel/core/card';
import type { PlaceId } from '@cimbel/core/hair';
import { NotebookText } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { useSearchParams } from 'react-router';
import { dateTime } from '../../lib/i18n';
import { useShortcuts } from '../../lib/shortcuts';
import { Button } from '../../ui/button';
import { Key } from '../../ui/key';
import { PageTitle } from '../../ui/page-title';
import { Notice } from '../../ui/panel';
import { StepLine } from '../../ui/step-line';
import type { DraftOf } from './use-draft';
import { Apply } from './apply';
import { CardDialog } from './card-dialog';
import { ClientGiven } from './client-panel';
import { Consult } from './consult';
import { DeveloperAlone } from './developer-alone';
import { Finish } from './finish';
import { HeadStrand } from './head-strand';
import { MixStep } from './mix';
import { RecordCardView } from './record-card';
import { regionAt } from '../head/places';
import { frameAt, looksAt, looksAtEnd, usePacedClock } from './process-clock';
import { Process } from './process';
import { ReadStep } from './read';
import { isStepComplete } from './steps';
import type { Reveals } from './use-reveals';
import type { Play } from './use-simulation';
import '../../lib/words/craft';
import '../../lib/words/bench';

export function BenchTitle({ assignment }: { assignment: StudentAssignment }) {
  const { t } = useTranslation();
  return (
    <div className="flex flex-wrap items-baseline justify-between gap-x-4">
      <PageTitle back={{ to: '/due', text: t('nav.exercises') }} className="text-xl">
        {assignment.title}
      </PageTitle>
      <p className="text-quiet text-sm">{t('student.due', { when: dateTime(assignment.dueAt) })}</p>
    </div>
  );
}

export const SHELL = 'grid min-h-full grid-cols-[76px_minmax(0,1fr)] wide:grid-cols-[320px_minmax(0,1fr)]';
export const BODY = 'flex min-w-0 flex-col gap-3 px-4 pt-3 wide:px-8';

/** The bench: the strand in view, the service line from consult to hand-in, and the step one is at. */
export function Bench({
  assignment,
  draft,
  reveals,
  play,
  title,
  saveLine,
  end,
}: {
  assignment: StudentAssignment;
  /** With what the exercise gives already in it. */
  draft: DraftOf<RecordCard>;
  reveals: Reveals;
  /** The plan on the head, played wherever the head's figures are known. */
  play: Play;
  /** Stands over the bench; by default what the exercise is called and the way back to all that is due. */
  title?: ReactNode;
  saveLine: ReactNode;
  /** The last step. */
  end: ReactNode;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const steps = workStepsOf(assignment.open);
  const [params, setParams] = useSearchParams();
  const step = steps.find((workStep) => workStep === params.get('step')) ?? steps[0];
  const [light, setLight] = useState<Light>('daylight');
  const [zone, setZone] = useState<PlaceId>(assignment.regions[0].zones[0].zone);
  const region = regionAt(assignment.regions, zone);
  const [wiped, setWiped] = useState<PlaceId | null>(null);
  const card = draft.answer;
  const control = usePacedClock(lastMinute(card));
  const [cardShown, setCardShown] = useState(false);
  const goTo = (next: WorkStep) => {
    setParams((before) => {
      const params = new URLSearchParams(before);
      params.set('step', next);
      return params;
    });
    window.scrollTo({ top: 0 });
  };
  const at = steps.indexOf(step);
  const move = (by: number) => {
    const next = steps[at + by];
    if (next) goTo(next);
  };
  useShortcuts({
    ']': () => move(1),
    '[': () => move(-1),
    'mod+z': () => draft.undo?.(),
    'mod+shift+z': () => draft.redo?.(),
    c: () => setCardShown(true),
  });
  const minute = control.clock.minute;
  const onClock = step === 'process' && minute !== null && play.shown && card.steps.length > 0;
  const atEnd = step === 'finish' && play.shown && card.steps.length > 0;
  const wipedZones = wiped ? [wiped] : [];
  const played = onClock
    ? looksAt(play.shown!, minute, assignment, wipedZones)
    : atEnd
      ? looksAtEnd(play.shown!, assignment)
      : null;
  const now = played
    ? played.map((look) => ({ look }))
    : step === 'read'
      ? assignment.lit[light].now
      : assignment.looks.now;
  const parts = { assignment, draft };
  const isClosed = assignment.given.bowls.length > 0 || assignment.given.steps.length > 0;
  return (
    <div className={SHELL}>
      <HeadStrand
        regions={assignment.regions}
        at={region}
        onRegion={(at) => setZone(assignment.regions[at].zones[0].zone)}
        looks={{ now, target: step === 'read' ? assignment.lit[light].target : assignment.looks.target }}
        areas={
          onClock ? frameAt(play.shown!, minute).areas : atEnd ? play.shown!.frames.at(-1)!.areas : undefined
        }
        active={step === 'read' ? zone : null}
        nowLabel={t('bench.nowOf', { name: assignment.client.name })}
        caption={onClock ? t('bench.atMinute', { minute }) : t(atEnd ? 'bench.yours' : 'bench.now')}
      />
      <div className={BODY}>
        {title ?? <BenchTitle assignment={assignment} />}
        <StepLine
          label={t('bench.service')}
          steps={steps}
          current={step}
          complete={(workStep) => isStepComplete(workStep, card, assignment)}
          name={(workStep) => t(workStep === 'handIn' ? 'bench.step.handIn' : `craft:benchStep.${workStep}`)}
          onGo={goTo}
        />
        {!assignment.open.includes('consult') && step !== 'handIn' ? (
          <details className="border-line bg-sheet rounded-sm border p-3" open={at === 0}>
            <summary className="cursor-pointer font-semibold">{t('bench.consult.title')}</summary>
            <div className="mt-3">
              <ClientGiven assignment={assignment} reveals={reveals} />
            </div>
          </details>
        ) : null}
        {assignment.toCorrect && step !== 'handIn' ? (
          <>
            <Notice kind="warn">{t('bench.toCorrect')}</Notice>
            <details className="border-line bg-sheet rounded-sm border p-3">
              <summary className="cursor-pointer font-semibold">{t('bench.asWritten')}</summary>
              <RecordCardView plan={assignment.given} lines={assignment.lines} />
            </details>
          </>
        ) : isClosed && step !== 'handIn' ? (
          // What is poured and what is quoted depend on what the card says, so that it lies open there.
          <details
            className="border-line bg-sheet rounded-sm border p-3"
            open={step === 'developer' || (step === 'finish' && assignment.quote)}
          >
            <summary className="cursor-pointer font-semibold">{t('bench.givenNote')}</summary>
            <RecordCardView plan={assignment.given} lines={assignment.lines} />
          </details>
        ) : null}
        <div className="flex-1">
          {step === 'consult' ? <Consult {...parts} reveals={reveals} /> : null}
          {step === 'read' ? (
            <ReadStep {...parts} zone={zone} onZone={setZone} light={light} onLight={setLight} />
          ) : null}
          {step === 'mix' ? <MixStep {...parts} /> : null}
          {step === 'developer' ? <DeveloperAlone {...parts} /> : null}
          {step === 'apply' ? <Apply {...parts} minute={minute} /> : null}
          {step === 'process' ? (
            <Process {...parts} play={play} control={control} wiped={wipedZones} onWipe={setWiped} />
          ) : null}
          {step === 'finish' ? <Finish {...parts} play={play} /> : null}
          {step === 'handIn' ? end : null}
        </div>
        <div className="border-strong-line bg-room sticky bottom-0 -mx-4 flex flex-wrap items-center gap-2 border-t px-4 py-2 wide:-mx-8 wide:px-8">
          {saveLine}
          <div className="ms-auto flex flex-wrap justify-end gap-2">
            <Button
              icon={<NotebookText aria-hidden className="size-5" />}
              aria-label={t('bench.card')}
              aria-keyshortcuts="C"
              title={`${t('bench.card')} (C)`}
              onClick={() => setCardShown(true)}
            >
              <span className="max-wide:hidden">
                <Key>C</Key>
              </span>
            </Button>
            {at > 0 ? (
              <Button onClick={() => move(-1)} aria-keyshortcuts="[">
                {t('action.back')}
              </Button>
            ) : null}
            {at < steps.length - 1 ? (
              <Button weight="main" onClick={() => move(1)} aria-keyshortcuts="]">
                {t('action.next')}:{' '}
                {t(steps[at + 1] === 'handIn' ? 'bench.step.handIn' : `craft:benchStep.${steps[at + 1]}`)}
              </Button>
            ) : null}
          </div>
        </div>
        <CardDialog
          assignment={assignment}
          card={card}
          open={cardShown}
          onClose={() => setCardShown(false)}
        />
      </div>
    </div>
  );
}
