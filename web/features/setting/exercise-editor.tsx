import {
  RELEASES,
  exerciseSchema,
  newAssignmentSchema,
  type ClassDetail,
  type EducatorAssignment,
  type Exercise,
  type ExerciseContent,
  type ShadeBooks,
} from '@cimbel/contract';
import { fromOlderCards, type ClientCase } from '@cimbel/core/card';
import { NO_JUDGEMENT, cardRubric, defaultRubric, looksOf, regionsAsSet } from '@cimbel/core/mark';
import type { Line } from '@cimbel/core/shades';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Eye, Save } from 'lucide-react';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { api, asApiError } from '../../lib/api';
import { forget, keep, readKept } from '../../lib/storage';
import { InUnits } from '../../lib/units';
import { Button } from '../../ui/button';
import { Choice, Field, Input, Tick } from '../../ui/field';
import { PageTitle } from '../../ui/page-title';
import { Notice, Sheet } from '../../ui/panel';
import { HeadStrand } from '../bench/head-strand';
import { PracticeBench } from '../bench/practice-bench';
import { ReasonList } from '../marking/reasons';
import { download } from '../shade-books/download';
import { CaseFields } from './case-fields';
import { firstFault } from './case-form';
import { EMPTY_HEAD, fresh, localTime, ofExercise, type Form } from './exercise-form';
import { LiveAnswer } from './live-answer';
import { packOf } from './pack';
import { RubricFields } from './rubric-fields';
import { StartFrom } from './start-from';
import { StepsChoice } from './steps-choice';
import { usePreview } from './use-preview';
import { ZoneBorders } from './zone-borders';

const isoOf = (local: string) => {
  const date = new Date(local);
  return Number.isNaN(date.getTime()) ? '' : date.toISOString();
};

/** The hair of the case as it is composed. */
function CaseStrand({
  clientCase,
  onChange,
}: {
  clientCase: ClientCase;
  onChange: (clientCase: ClientCase) => void;
}) {
  const { t } = useTranslation();
  const [at, setAt] = useState(0);
  const regions = regionsAsSet(clientCase.head);
  return (
    <HeadStrand
      regions={regions}
      at={Math.min(at, regions.length - 1)}
      onRegion={setAt}
      looks={looksOf({ id: 'composed', clientCase }, 'daylight')}
      nowLabel={t('bench.nowOf', { name: clientCase.client.name })}
      caption={t('bench.now')}
      onStrand={(zones, height) => (
        <ZoneBorders
          zones={zones}
          height={height}
          onLengths={(lengths) =>
            onChange({
              ...clientCase,
              head: {
                ...clientCase.head,
                zones: clientCase.head.zones.map((zone) => ({
                  ...zone,
                  lengthCm: lengths[zone.zone] ?? zone.lengthCm,
                })),
              },
            })
          }
        />
      )}
    />
  );
}

/** Composes an exercise and sets it to the class, keeps it as a draft, or changes one that nobody has begun. */
export function ExerciseEditor({
  detail,
  books,
  own,
  start,
  editing,
}: {
  detail: ClassDetail;
  books: ShadeBooks;
  own: readonly Exercise[];
  /** The exercise to begin with; what was left half made on this device where there is none. */
  start: Partial<Form> | null;
  /** The assignment that is changed; null where a new one is set. */
  editing: EducatorAssignment | null;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const client = useQueryClient();
  const navigate = useNavigate();
  const lines: Line[] = [...books.shipped, ...books.own.map(({ line }) => line)];
  const place = `cimbel.new-exercise.${detail.id}`;
  const [form, setForm] = useState<Form>(() => ({
    ...fresh(EMPTY_HEAD),
    ...(editing
      ? {
          ...ofExercise(editing),
          caseId: `own:${editing.exerciseId}`,
          own: editing.exerciseId,
          due: localTime(editing.dueAt),
          release: editing.release,
        }
      : // What was kept by an older version of the form lacks what has been added since.
        (start ?? keptForm(place))),
  }));
  const [tried, setTried] = useState(false);
  const [seeing, setSeeing] = useState(false);
  const [allTheSame, setAllTheSame] = useState(false);
  const { open, slip, due, release, title } = form;
  // A head that began empty bears the name of its exercise.
  const clientCase: ClientCase = form.clientCase.title
    ? form.clientCase
    : { ...form.clientCase, title: title.trim().slice(0, 80) || t('service.emptyHead') };
  const set = (part: Partial<Form>) => setForm((before) => ({ ...before, ...part }));
  useEffect(() => {
    if (!editing) keep(place, form);
  }, [place, form, editing]);

  const preview = usePreview(clientCase, lines, detail.houseRules);
  const solution = preview.data?.ok ? preview.data.solution : null;
  const misses = preview.data?.ok ? preview.data.nearMisses : [];
  const miss = misses.find(({ misconception }) => misconception === slip);
  const rubric =
    form.rubric ??
    (miss ? cardRubric(miss.grade, open) : solution ? defaultRubric(solution, clientCase, open) : {});
  const fault = firstFault(clientCase);
  const missed = (solution?.missed ?? []).length > 0;
  const exercise: ExerciseContent = {
    title,
    clientCase,
    open,
    slip,
    rubric,
    judgement: form.judgement,
    ...(missed && allTheSame ? { missesWish: true } : {}),
  };
  const wanted = { exercise, ...(form.own ? { exerciseId: form.own } : {}), dueAt: isoOf(due), release };
  const parsed = newAssignmentSchema.safeParse(wanted);

  const assign = useMutation({
    mutationFn: async (): Promise<{ id: string }> => {
      if (!editing) return api<{ id: string }>('POST', `/api/classes/${detail.id}/assignments`, wanted);
      const path = `/api/assignments/${editing.id}`;
      await api('PUT', `${path}/exercise`, exercise);
      await api('PATCH', path, { dueAt: wanted.dueAt, release });
      return { id: editing.id };
    },
    onSuccess: async ({ id }) => {
      if (!editing) forget(place);
      await client.invalidateQueries({ queryKey: ['class', detail.id] });
      await client.invalidateQueries({ queryKey: ['exercises'] });
      await client.invalidateQueries({ queryKey: ['assignment', id] });
      await navigate(`/assignments/${id}`);
    },
  });
  const saveDraft = useMutation({
    mutationFn: async (): Promise<{ id: string }> => {
      if (!form.own) return api<{ id: string }>('POST', '/api/exercises', exercise);
      await api('PUT', `/api/exercises/${form.own}`, exercise);
      return { id: form.own };
    },
    onSuccess: async ({ id }) => {
      set({ own: id, caseId: `own:${id}` });
      await client.invalidateQueries({ queryKey: ['exercises'] });
    },
  });
  const failed = assign.error ?? saveDraft.error;
  const server = failed ? asApiError(failed) : null;
  const wrong = (field: string) =>
    tried && !parsed.success && parsed.error.issues.some(({ path }) => path.includes(field));

  if (seeing && solution)
    return (
      <InUnits units={detail.houseRules.units}>
        <PracticeBench
          exercise={{
            id: form.caseId,
            title: title || clientCase.title,
            clientCase: solution.visit,
            solution,
            lines: lines.filter(({ id }) => clientCase.lineIds.includes(id)),
            houseRules: detail.houseRules,
            open,
            slip: miss ? slip : null,
            dueAt: isoOf(due) || null,
          }}
          note={t('service.previewNote')}
          back={{ text: t('service.backToSetting'), onBack: () => setSeeing(false) }}
          end={() => <Button onClick={() => setSeeing(false)}>{t('service.backToSetting')}</Button>}
        />
      </InUnits>
    );
  return (
    <div className="grid min-h-full grid-cols-[76px_minmax(0,1fr)] wide:grid-cols-[320px_minmax(0,1fr)]">
      <CaseStrand
        clientCase={clientCase}
        onChange={(next) => set({ clientCase: next, judgement: NO_JUDGEMENT })}
      />
      <div className="grid min-w-0 gap-5 px-4 py-4 wide:px-6 xl:grid-cols-[minmax(0,5fr)_minmax(0,4fr)]">
        <form
          className="flex min-w-0 flex-col gap-4"
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            setTried(true);
            if (parsed.success) assign.mutate();
          }}
        >
          <PageTitle
            back={
              editing
                ? { to: `/assignments/${editing.id}`, text: editing.title }
                : { to: `/classes/${detail.id}`, text: detail.name }
            }
          >
            {t(editing ? 'service.editTitle' : 'service.setTitle')}
          </PageTitle>
          <StartFrom
            form={form}
            own={own}
            books={books}
            onStart={set}
            onExport={() =>
              download(
                'exercise.json',
                packOf({ ...form, clientCase }, lines, detail.houseRules),
                'application/json',
              )
            }
            onNewLines={() => void client.invalidateQueries({ queryKey: ['shade-books'] })}
          />
          <Field label={t('set.exerciseTitle')} error={wrong('title') ? t('service.needTitle') : null}>
            <Input
              maxLength={120}
              value={title}
              aria-invalid={wrong('title')}
              onChange={({ target }) => set({ title: target.value })}
            />
          </Field>
          <details
            className="flex flex-col gap-3"
            open={form.caseId === EMPTY_HEAD || Boolean(form.own) || undefined}
          >
            <summary className="cursor-pointer py-1 font-semibold">{t('service.changeCase')}</summary>
            <CaseFields
              clientCase={clientCase}
              lines={lines}
              scale={detail.houseRules.levelScale}
              // What was judged of another case holds no more for this one.
              onChange={(next) => set({ clientCase: next, judgement: NO_JUDGEMENT })}
            />
          </details>
          <Sheet className="flex flex-col gap-4">
            <h2 className="text-lg">{t('service.steps')}</h2>
            <p className="text-quiet text-sm">{t('service.stepsHint')}</p>
            <StepsChoice form={form} misses={misses} settled={solution !== null} onChange={set} />
            {Object.keys(rubric).length > 0 ? (
              <RubricFields rubric={rubric} open={open} onChange={(next) => set({ rubric: next })} />
            ) : (
              <p className="text-quiet text-sm">{t('service.pointsWait')}</p>
            )}
            <div className="grid gap-4 md:grid-cols-2">
              <Field
                label={t('set.due')}
                error={
                  wrong('dueAt') || server?.fields.some(({ path }) => path === 'dueAt')
                    ? t('service.needDue')
                    : null
                }
              >
                <Input
                  type="datetime-local"
                  value={due}
                  onChange={({ target }) => set({ due: target.value })}
                />
              </Field>
            </div>
            <Field label={t('set.release')}>
              <Choice
                label={t('set.release')}
                value={release}
                options={RELEASES.map((value) => ({ value, text: t(`set.releases.${value}`) }))}
                onChange={(value) => set({ release: value })}
              />
            </Field>
          </Sheet>
          {fault ? (
            <Notice kind="bad">
              {t(fault === 'wish' ? 'service.needWish' : 'service.needField', { path: fault })}
            </Notice>
          ) : null}
          {server ? (
            <Notice kind="bad">
              {t(`error.${server.code}`)} {server.fields.map(({ message }) => message).join(' ')}
              <ReasonList reasons={server.reasons} />
            </Notice>
          ) : null}
          {saveDraft.isSuccess && !saveDraft.isPending ? (
            <Notice kind="good">{t('service.draftSaved')}</Notice>
          ) : null}
          {tried && !parsed.success ? <Notice kind="bad">{t('error.request.invalid')}</Notice> : null}
          {missed ? <Tick label={t('set.allTheSame')} on={allTheSame} onChange={setAllTheSame} /> : null}
          <div className="flex flex-wrap gap-3">
            <Button
              type="submit"
              weight="main"
              disabled={
                assign.isPending ||
                preview.isBehind ||
                fault !== null ||
                preview.data?.ok === false ||
                (missed && !allTheSame) ||
                (slip !== null && !miss)
              }
            >
              {t(assign.isPending ? 'set.assigning' : editing ? 'service.saveChanges' : 'set.assign')}
            </Button>
            <Button
              icon={<Eye aria-hidden className="size-4" />}
              disabled={!solution || preview.isBehind}
              onClick={() => setSeeing(true)}
            >
              {t('service.seeAsStudent')}
            </Button>
            {editing ? null : (
              <>
                <Button
                  icon={<Save aria-hidden className="size-4" />}
                  disabled={saveDraft.isPending || !exerciseSchema.safeParse(exercise).success}
                  onClick={() => saveDraft.mutate()}
                >
                  {t('service.saveDraft')}
                </Button>
                <Button onClick={() => setForm(fresh(EMPTY_HEAD))}>{t('set.clear')}</Button>
              </>
            )}
          </div>
        </form>
        <LiveAnswer
          preview={preview}
          waiting={fault !== null}
          card={miss?.plan ?? null}
          lines={lines}
          houseRules={detail.houseRules}
          judgement={form.judgement}
          onJudgement={(judgement) => set({ judgement })}
          onVisit={(visit, which) => {
            const of = t('visits.titleOf', { title: title || clientCase.title, ...which });
            set({
              clientCase: { ...visit, client: form.clientCase.client, title: of.slice(0, 80) },
              title: of.slice(0, 120),
              judgement: NO_JUDGEMENT,
              rubric: null,
              slip: null,
            });
          }}
          onWish={(wish) => set({ clientCase: { ...form.clientCase, wish }, judgement: NO_JUDGEMENT })}
        />
      </div>
    </div>
  );
}

/** A form left half made on this device. What an older version of the application kept is not of today's shape. */
function keptForm(place: string): Partial<Form> | null {
  const kept = fromOlderCards(readKept(place)) as Partial<Form> | null;
  return kept?.clientCase && firstFault(kept.clientCase)?.includes('history') ? null : kept;
}
