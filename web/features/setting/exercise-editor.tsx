import type { Exercise, ShadeBooks } from '@cimbel/contract';
import { fieldOfFault, type ClientCase } from '@cimbel/core/case';
import { NO_RULING } from '@cimbel/core/mark';
import type { Line } from '@cimbel/core/product';
import type { HouseRules } from '@cimbel/core/rules';
import { useQueryClient } from '@tanstack/react-query';
import { Eye, Redo2, RotateCcw, Undo2 } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { flushSync } from 'react-dom';
import { useTranslation } from 'react-i18next';
import { asApiError } from '../../lib/api';
import { useRefusalWords } from '../../lib/form';
import { capital, placeWord } from '../../lib/i18n';
import { useShortcuts } from '../../lib/shortcuts';
import { InUnits } from '../../lib/units';
import { Button } from '../../ui/button';
import { Field, Input, Tick } from '../../ui/field';
import { PageTitle } from '../../ui/page-title';
import { Notice, Sheet } from '../../ui/panel';
import { StepLine } from '../../ui/step-line';
import { isoOf } from '../assigning/terms-form';
import { PracticeBench } from '../bench/practice-bench';
import { ReasonList } from '../marking/reasons';
import { download, textFile } from '../../lib/download';
import { CaseStrand } from './case-strand';
import { ClientFields } from './client-fields';
import { LiveAnswer } from './live-answer';
import { packOf } from './pack';
import { RubricFields } from './rubric-fields';
import {
  SETTING_FORM,
  SETTING_STEPS,
  focusField,
  placeOfFault,
  type SettingFault,
  type SettingStep,
} from './setting-steps';
import { StartFrom } from './start-from';
import { StepsChoice } from './steps-choice';
import { TagsField } from './tags-field';
import type { Composed } from './use-composed';
import { WishAndShelf } from './wish-and-shelf';
import '../../lib/words/craft';
import '../../lib/words/educating';
import '../../lib/words/bench';

/** Every line an educator can put on the shelf. */
export const linesOf = (books: ShadeBooks): Line[] => [
  ...books.shipped,
  ...books.own.map(({ line }) => line),
];

/** What is missing or does not fit in a case, by the name of its field and the place, and where it is put right. */
function useCaseFaults(clientCase: ClientCase, faults: readonly string[]): SettingFault[] {
  const { t } = useTranslation(['ui', 'craft']);
  return faults.map((fault) => {
    const { field, place } = fieldOfFault(clientCase, fault);
    const words = t([`bench.fault.${field}`, 'bench.fault.other']);
    return {
      ...placeOfFault(clientCase, fault),
      text: place === null ? words : `${capital(placeWord(t, place))}: ${words}`,
    };
  });
}

/** All that is missing, each with the way to where it is put right. */
function StillMissing({
  faults,
  onGo,
}: {
  faults: readonly SettingFault[];
  onGo: (fault: SettingFault) => void;
}) {
  const { t } = useTranslation();
  if (faults.length === 0) return null;
  return (
    <section
      aria-label={t('bench.stillMissing')}
      className="flex max-h-28 w-full flex-wrap items-center gap-x-4 overflow-y-auto text-sm"
    >
      <h2 className="font-sans text-sm font-semibold">{t('bench.stillMissing')}</h2>
      <ul className="contents">
        {faults.map((fault) => (
          <li key={`${fault.field} ${fault.text}`}>
            <button
              type="button"
              className="min-h-8 text-start underline underline-offset-4"
              onClick={() => onGo(fault)}
            >
              {fault.text}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Composes an exercise step by step beside its strand and its answer; what becomes of it is up to the page it is on. */
export function ExerciseEditor({
  composed,
  houseRules,
  books,
  own,
  title,
  back,
  note,
  more,
  said,
  buttons,
  faults: moreFaults,
  error,
  onSubmit,
}: {
  composed: Composed;
  /** The rules that its answer is searched by. */
  houseRules: HouseRules;
  books: ShadeBooks;
  own: readonly Exercise[];
  title: string;
  back: { to: string; text: string };
  note?: ReactNode;
  /** The last step: for whom it is set, say. */
  more?: ReactNode;
  /** What has become of it, above the buttons. */
  said?: ReactNode;
  buttons: ReactNode;
  /** What is wrong beside the case, once it has been tried. */
  faults: readonly SettingFault[];
  /** What the server said. */
  error: unknown;
  onSubmit: () => void;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const client = useQueryClient();
  const refusal = useRefusalWords();
  const [seeing, setSeeing] = useState(false);
  const [step, setStep] = useState<SettingStep>('client');
  /** Steps that were gone on from. */
  const [seen, setSeen] = useState<readonly SettingStep[]>([]);
  const { form, set, clientCase, preview, solution, misses, miss, rubric, exercise, undo, redo } = composed;
  const lines = linesOf(books);
  const server = error ? asApiError(error) : null;
  const known = [...new Set(own.flatMap(({ tags }) => tags))].sort();
  const faults = [...useCaseFaults(clientCase, composed.faults), ...moreFaults];
  const steps = SETTING_STEPS.filter((one) => one !== 'assign' || more !== undefined);
  const next = steps[steps.indexOf(step) + 1];
  useShortcuts({ 'mod+z': () => undo?.(), 'mod+shift+z': () => redo?.() });
  const go = (to: SettingStep) => {
    setSeen((was) => (was.includes(step) ? was : [...was, step]));
    setStep(to);
    // A step begins at its head.
    window.scrollTo(0, 0);
  };
  const goTo = (fault: SettingFault) => {
    flushSync(() => go(fault.step));
    focusField(fault.field);
  };
  // What was judged of another case holds no more for this one.
  const setCase = (changed: ClientCase) => set({ clientCase: changed, judgement: NO_RULING });

  if (seeing && solution)
    return (
      <InUnits units={houseRules.units}>
        <PracticeBench
          exercise={{
            id: form.caseId,
            title: form.title || clientCase.title,
            clientCase: solution.clientCase,
            modelAnswer: solution,
            lines: lines.filter(({ id }) => clientCase.lineIds.includes(id)),
            houseRules,
            open: form.open,
            slip: miss ? form.slip : null,
            dueAt: isoOf(form.terms.due) || null,
          }}
          note={t('bench.previewNote')}
          back={{ text: t('bench.backToSetting'), onBack: () => setSeeing(false) }}
          end={() => <Button onClick={() => setSeeing(false)}>{t('bench.backToSetting')}</Button>}
        />
      </InUnits>
    );
  return (
    <div className="grid min-h-full grid-cols-[76px_minmax(0,1fr)] wide:grid-cols-[320px_minmax(0,1fr)]">
      <CaseStrand clientCase={clientCase} onChange={setCase} />
      <div className="flex min-w-0 flex-col gap-4 px-4 pt-4 wide:px-6">
        <PageTitle back={back}>{title}</PageTitle>
        {composed.isResumed ? <Notice kind="info">{t('bench.resumed')}</Notice> : null}
        {note}
        <StepLine
          label={t('bench.settingSteps')}
          steps={steps}
          current={step}
          complete={(one) => seen.includes(one) && faults.every((fault) => fault.step !== one)}
          name={(one) => t(`bench.settingStep.${one}`)}
          onGo={go}
        />
        <div className="grid min-w-0 flex-1 content-start gap-5 xl:grid-cols-[minmax(0,5fr)_minmax(0,4fr)]">
          <form
            id={SETTING_FORM}
            className="flex min-w-0 flex-col gap-4"
            noValidate
            onSubmit={(event) => {
              event.preventDefault();
              onSubmit();
            }}
          >
            <div className="flex flex-col gap-4">
              {step === 'client' ? (
                <>
                  <StartFrom
                    form={form}
                    own={own}
                    books={books}
                    onStart={set}
                    onExport={() =>
                      download(
                        'exercise.json',
                        textFile(packOf({ ...form, clientCase }, lines, houseRules), 'application/json'),
                      )
                    }
                    onNewLines={() => void client.invalidateQueries({ queryKey: ['shade-books'] })}
                  />
                  <Field
                    label={t('set.exerciseTitle')}
                    error={moreFaults.some(({ field }) => field === 'title') ? t('bench.needTitle') : null}
                  >
                    <Input
                      data-field="title"
                      maxLength={120}
                      value={form.title}
                      aria-invalid={moreFaults.some(({ field }) => field === 'title')}
                      onChange={({ target }) => set({ title: target.value })}
                    />
                  </Field>
                  <TagsField tags={form.tags} known={known} onChange={(tags) => set({ tags })} />
                  <ClientFields clientCase={clientCase} onChange={setCase} />
                </>
              ) : null}
              {step === 'wish' ? (
                <WishAndShelf
                  clientCase={clientCase}
                  lines={lines}
                  scale={houseRules.levelScale}
                  onChange={setCase}
                />
              ) : null}
              {step === 'work' ? (
                <Sheet className="flex flex-col gap-4">
                  <h2 className="text-lg">{t('bench.steps')}</h2>
                  <p className="text-quiet text-sm">{t('bench.stepsHint')}</p>
                  <StepsChoice form={form} misses={misses} settled={solution !== null} onChange={set} />
                </Sheet>
              ) : null}
              {step === 'marks' ? (
                <Sheet className="flex flex-col gap-4">
                  <div data-field="rubric">
                    {Object.keys(rubric).length > 0 ? (
                      <RubricFields
                        rubric={rubric}
                        open={form.open}
                        onChange={(points) => set({ rubric: points })}
                      />
                    ) : (
                      <p className="text-quiet text-sm">{t('bench.pointsWait')}</p>
                    )}
                  </div>
                </Sheet>
              ) : null}
              {step === 'assign' ? <div data-field="terms">{more}</div> : null}
            </div>
          </form>
          <div className={step === 'marks' ? 'min-w-0' : 'min-w-0 max-xl:hidden'}>
            <LiveAnswer
              preview={preview}
              waiting={composed.faults.length > 0}
              card={miss?.card ?? null}
              lines={lines}
              houseRules={houseRules}
              judgement={exercise.judgement}
              onJudgement={(ruling) => set({ judgement: ruling })}
              onVisit={(visit, which) => {
                const of = t('visits.titleOf', { title: form.title || clientCase.title, ...which });
                set({
                  clientCase: { ...visit, client: form.clientCase.client, title: of.slice(0, 80) },
                  title: of.slice(0, 120),
                  judgement: NO_RULING,
                  rubric: null,
                  slip: null,
                });
              }}
              onWish={(wish) => setCase({ ...form.clientCase, wish })}
            />
          </div>
        </div>
        <div className="border-strong-line bg-room sticky bottom-0 z-10 -mx-4 flex flex-wrap items-center gap-2 border-t px-4 py-2 wide:-mx-6 wide:px-6">
          <StillMissing faults={faults} onGo={goTo} />
          {server ? (
            <Notice kind="bad">
              {refusal(server)}
              <ReasonList reasons={server.reasons} />
            </Notice>
          ) : null}
          {composed.missed ? (
            <Tick label={t('set.allTheSame')} on={composed.allTheSame} onChange={composed.setAllTheSame} />
          ) : null}
          {said}
          <div className="flex w-full flex-wrap items-center gap-2">
            {(
              [
                ['action.undo', undo, Undo2],
                ['action.redo', redo, Redo2],
              ] as const
            ).map(([name, act, Icon]) => (
              <Button
                key={name}
                weight="quiet"
                className="px-2!"
                aria-label={t(name)}
                title={t(name)}
                disabled={!act}
                icon={<Icon aria-hidden className="size-5 rtl:-scale-x-100" />}
                onClick={() => act?.()}
              />
            ))}
            <Button
              weight="quiet"
              className="px-2!"
              aria-label={t('set.startOver')}
              title={t('set.startOver')}
              disabled={composed.isAsBegun}
              icon={<RotateCcw aria-hidden className="size-5" />}
              onClick={composed.startOver}
            />
            <Button
              className="ms-auto"
              aria-label={t('bench.seeAsStudent')}
              icon={<Eye aria-hidden className="size-4" />}
              disabled={!solution || preview.isBehind}
              onClick={() => setSeeing(true)}
            >
              <span className="max-wide:hidden">{t('bench.seeAsStudent')}</span>
            </Button>
            {buttons}
            {next ? (
              <Button onClick={() => go(next)}>
                {t('action.next')}: {t(`bench.settingStep.${next}`)}
              </Button>
            ) : null}
          </div>
        </div>
      </div>
    </div>
  );
}
