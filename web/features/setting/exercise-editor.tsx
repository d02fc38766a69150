import type { Exercise, ShadeBooks } from '@cimbel/contract';
import type { ClientCase } from '@cimbel/core/case';
import { NO_RULING } from '@cimbel/core/mark';
import type { Line } from '@cimbel/core/product';
import type { HouseRules } from '@cimbel/core/rules';
import { useQueryClient } from '@tanstack/react-query';
import { Eye } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { asApiError } from '../../lib/api';
import { useRefusalWords } from '../../lib/form';
import { capital, placeWord } from '../../lib/i18n';
import { InUnits } from '../../lib/units';
import { Button } from '../../ui/button';
import { Field, Input, Tick } from '../../ui/field';
import { PageTitle } from '../../ui/page-title';
import { Notice, Sheet } from '../../ui/panel';
import { isoOf } from '../assigning/terms-form';
import { PracticeBench } from '../bench/practice-bench';
import { ReasonList } from '../marking/reasons';
import { download } from '../shade-books/download';
import { CaseFields } from './case-fields';
import { fieldOfFault } from '@cimbel/core/case';
import { CaseStrand } from './case-strand';
import { EMPTY_HEAD } from './exercise-form';
import { LiveAnswer } from './live-answer';
import { packOf } from './pack';
import { RubricFields } from './rubric-fields';
import { StartFrom } from './start-from';
import { StepsChoice } from './steps-choice';
import { TagsField } from './tags-field';
import type { Composed } from './use-composed';
import '../../lib/words/craft';
import '../../lib/words/educating';
import '../../lib/words/bench';

/** Every line an educator can put on the shelf. */
export const linesOf = (books: ShadeBooks): Line[] => [
  ...books.shipped,
  ...books.own.map(({ line }) => line),
];

/** What is missing or does not fit in a case, by the name of its field and the place. */
function FaultWords({ clientCase, fault }: { clientCase: ClientCase; fault: string }) {
  const { t } = useTranslation(['ui', 'craft']);
  const { field, place } = fieldOfFault(clientCase, fault);
  const words = t([`bench.fault.${field}`, 'bench.fault.other']);
  return place === null ? words : `${capital(placeWord(t, place))}: ${words}`;
}

/** Composes an exercise beside its strand and its answer; what becomes of it is up to the page it is on. */
export function ExerciseEditor({
  composed,
  houseRules,
  books,
  own,
  title,
  back,
  note,
  more,
  buttons,
  wrong,
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
  /** Fields after the points: for whom it is set, say. */
  more?: ReactNode;
  buttons: ReactNode;
  /** Whether a field has been sent and is wrong. */
  wrong: (field: string) => boolean;
  /** What the server said. */
  error: unknown;
  onSubmit: () => void;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const client = useQueryClient();
  const refusal = useRefusalWords();
  const [seeing, setSeeing] = useState(false);
  const { form, set, clientCase, preview, solution, misses, miss, rubric, fault, exercise } = composed;
  const lines = linesOf(books);
  const server = error ? asApiError(error) : null;
  const known = [...new Set(own.flatMap(({ tags }) => tags))].sort();

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
      <CaseStrand
        clientCase={clientCase}
        onChange={(next) => set({ clientCase: next, judgement: NO_RULING })}
      />
      <div className="grid min-w-0 gap-5 px-4 py-4 wide:px-6 xl:grid-cols-[minmax(0,5fr)_minmax(0,4fr)]">
        <form
          className="flex min-w-0 flex-col gap-4"
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            onSubmit();
          }}
        >
          <PageTitle back={back}>{title}</PageTitle>
          {note}
          <StartFrom
            form={form}
            own={own}
            books={books}
            onStart={set}
            onExport={() =>
              download(
                'exercise.json',
                packOf({ ...form, clientCase }, lines, houseRules),
                'application/json',
              )
            }
            onNewLines={() => void client.invalidateQueries({ queryKey: ['shade-books'] })}
          />
          <Field label={t('set.exerciseTitle')} error={wrong('title') ? t('bench.needTitle') : null}>
            <Input
              maxLength={120}
              value={form.title}
              aria-invalid={wrong('title')}
              onChange={({ target }) => set({ title: target.value })}
            />
          </Field>
          <TagsField tags={form.tags} known={known} onChange={(tags) => set({ tags })} />
          <details
            className="flex flex-col gap-3"
            open={form.caseId === EMPTY_HEAD || Boolean(form.own) || undefined}
          >
            <summary className="cursor-pointer py-1 font-semibold">{t('bench.changeCase')}</summary>
            <CaseFields
              clientCase={clientCase}
              lines={lines}
              scale={houseRules.levelScale}
              // What was judged of another case holds no more for this one.
              onChange={(next) => set({ clientCase: next, judgement: NO_RULING })}
            />
          </details>
          <Sheet className="flex flex-col gap-4">
            <h2 className="text-lg">{t('bench.steps')}</h2>
            <p className="text-quiet text-sm">{t('bench.stepsHint')}</p>
            <StepsChoice form={form} misses={misses} settled={solution !== null} onChange={set} />
            {Object.keys(rubric).length > 0 ? (
              <RubricFields rubric={rubric} open={form.open} onChange={(next) => set({ rubric: next })} />
            ) : (
              <p className="text-quiet text-sm">{t('bench.pointsWait')}</p>
            )}
          </Sheet>
          {more}
          {fault ? (
            <Notice kind="bad">
              <FaultWords clientCase={clientCase} fault={fault} />
            </Notice>
          ) : null}
          {server ? (
            <Notice kind="bad">
              {refusal(server)}
              <ReasonList reasons={server.reasons} />
            </Notice>
          ) : null}
          {composed.missed ? (
            <Tick label={t('set.allTheSame')} on={composed.allTheSame} onChange={composed.setAllTheSame} />
          ) : null}
          <div className="flex flex-wrap gap-3">
            {buttons}
            <Button
              icon={<Eye aria-hidden className="size-4" />}
              disabled={!solution || preview.isBehind}
              onClick={() => setSeeing(true)}
            >
              {t('bench.seeAsStudent')}
            </Button>
          </div>
        </form>
        <LiveAnswer
          preview={preview}
          waiting={fault !== null}
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
          onWish={(wish) => set({ clientCase: { ...form.clientCase, wish }, judgement: NO_RULING })}
        />
      </div>
    </div>
  );
}
