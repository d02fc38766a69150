import {
  RELEASES,
  newAssignmentSchema,
  type ClassDetail,
  type NewAssignment,
  type ExercisePreview,
  type ShadeBooks,
} from '@cimbel/contract';
import { SHIPPED_CASES } from '@cimbel/core/cases';
import { readExercisePack, writeExercisePack } from '@cimbel/core/formats';
import { cardRubric, defaultRubric } from '@cimbel/core/mark';
import { BENCH_STEPS } from '@cimbel/core/card';
import { EMPTY_CARD, stretchesOf, type ClientCase } from '@cimbel/core/card';
import { simulateCard, wishLook } from '@cimbel/core/simulate';
import type { Line } from '@cimbel/core/shades';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Download, Upload } from 'lucide-react';
import { useDeferredValue, useEffect, useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { ReasonList } from '../features/marking/reasons';
import { WithClass } from '../features/reading/with-class';
import { CaseFields } from '../features/setting/case-fields';
import { firstFault } from '../features/setting/case-form';
import { HeadStrand } from '../features/bench/head-strand';
import { ModelAnswerPanel } from '../features/marking/model-answer';
import { RecordCardView } from '../features/bench/record-card';
import { EMPTY_HEAD, fresh, type Form } from '../features/setting/exercise-form';
import { RubricFields } from '../features/setting/rubric-fields';
import { StepsChoice } from '../features/setting/steps-choice';
import { download } from '../features/shade-books/download';
import { api, asApiError } from '../lib/api';
import { forget, keep, readKept } from '../lib/storage';
import { InUnits } from '../lib/units';
import { Button } from '../ui/button';
import { Choice, Field, Input, Select } from '../ui/field';
import { Failure, Loading, Notice, Sheet } from '../ui/panel';
import { PageTitle } from '../ui/page-title';

/** The server computes, so that what is shown is what will be set. */
function usePreview(classId: string, clientCase: ClientCase) {
  const { client: _, title: _t, ...rest } = clientCase;
  const now = JSON.stringify(rest);
  const settled = useDeferredValue(now);
  const whole = { ...(JSON.parse(settled) as ClientCase), title: '-', client: { name: '-', note: '' } };
  const query = useQuery({
    queryKey: ['exercise-preview', classId, settled],
    queryFn: () =>
      api<ExercisePreview>('POST', `/api/classes/${classId}/exercise-preview`, { clientCase: whole }),
    placeholderData: (previous) => previous,
    enabled: firstFault(whole) === null,
    retry: false,
  });
  // What is shown may still be of the case before; points must not be taken from that, nor anything assigned.
  return { ...query, isBehind: query.isPlaceholderData || settled !== now };
}

function ExerciseForm({ detail, lines }: { detail: ClassDetail; lines: Line[] }) {
  const { t } = useTranslation(['ui', 'craft']);
  const client = useQueryClient();
  const navigate = useNavigate();
  const file = useRef<HTMLInputElement>(null);
  const place = `cimbel.new-exercise.${detail.id}`;
  const [form, setForm] = useState<Form>(() => ({
    ...fresh(SHIPPED_CASES[0].id),
    // What was kept by an older version of the form lacks what has been added since.
    ...readKept<Partial<Form>>(place),
  }));
  const [tried, setTried] = useState(false);
  const [badFile, setBadFile] = useState<string | null>(null);
  const { open, slip, due, release, title } = form;
  // A head that began empty bears the name of its exercise.
  const clientCase: ClientCase = form.clientCase.title
    ? form.clientCase
    : { ...form.clientCase, title: title.trim().slice(0, 80) || t('service.emptyHead') };
  const set = (part: Partial<Form>) => setForm((before) => ({ ...before, ...part }));
  useEffect(() => keep(place, form), [place, form]);
  const preview = usePreview(detail.id, clientCase);
  const solution = preview.data?.ok ? preview.data.solution : null;
  const misses = preview.data?.ok ? preview.data.nearMisses : [];
  const miss = misses.find(({ misconception }) => misconception === slip);
  const rubric =
    form.rubric ??
    (miss ? cardRubric(miss.grade, open) : solution ? defaultRubric(solution, clientCase, open) : {});
  const fault = firstFault(clientCase);
  const dueDate = new Date(due);
  const wanted: NewAssignment = {
    exercise: { title, clientCase, open, slip, rubric },
    dueAt: Number.isNaN(dueDate.getTime()) ? '' : dueDate.toISOString(),
    release,
  };
  const assign = useMutation({
    mutationFn: (body: NewAssignment) =>
      api<{ id: string }>('POST', `/api/classes/${detail.id}/assignments`, body),
    onSuccess: async ({ id }) => {
      forget(place);
      await client.invalidateQueries({ queryKey: ['class', detail.id] });
      await navigate(`/assignments/${id}`);
    },
  });
  const parsed = newAssignmentSchema.safeParse(wanted);
  const submit = () => {
    setTried(true);
    if (parsed.success) assign.mutate(wanted);
  };
  const takeFile = async (chosen: File) => {
    const read = readExercisePack(await chosen.text());
    if (!read.ok) {
      const [{ code, path = '' }] = read.problems;
      setBadFile(t('service.badPack', { name: chosen.name, path, code }));
      return;
    }
    const [first] = read.value.cases;
    setBadFile(null);
    set({
      clientCase: first.case,
      title: first.case.title,
      open: first.open ?? [...BENCH_STEPS],
      slip: first.slip ?? null,
      rubric: first.rubric ?? null,
    });
  };
  const saveFile = () =>
    download(
      `${form.caseId}.json`,
      writeExercisePack({
        format: 'cimbel.exercise-pack',
        formatVersion: 1,
        name: title || clientCase.title,
        houseRules: detail.houseRules,
        lines: lines.filter(({ id }) => clientCase.lineIds.includes(id)),
        cases: [
          {
            id: form.caseId,
            case: clientCase,
            open,
            ...(slip ? { slip } : {}),
            ...(form.rubric ? { rubric: form.rubric } : {}),
          },
        ],
      }),
      'application/json',
    );
  const stretches = stretchesOf(clientCase.head);
  const wrong = (field: string) =>
    tried && !parsed.success && parsed.error.issues.some(({ path }) => path.includes(field));
  const server = assign.isError ? asApiError(assign.error) : null;
  return (
    <div className="grid min-h-full grid-cols-[76px_minmax(0,1fr)] wide:grid-cols-[320px_minmax(0,1fr)]">
      <HeadStrand
        zones={clientCase.head.zones.map(({ zone, lengthCm }, i) => ({
          zone,
          lengthCm,
          from: stretches[i].from,
          to: stretches[i].to,
        }))}
        looks={{
          now: simulateCard(clientCase, EMPTY_CARD, () => undefined).lookAt(0, 'daylight', 5),
          target: wishLook(clientCase, 'daylight', 6),
        }}
        nowLabel={t('bench.nowOf', { name: clientCase.client.name })}
        caption={t('bench.now')}
      />
      <div className="grid min-w-0 gap-5 px-4 py-4 wide:px-6 xl:grid-cols-[minmax(0,5fr)_minmax(0,4fr)]">
        <form
          className="flex min-w-0 flex-col gap-4"
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            submit();
          }}
        >
          <PageTitle back={{ to: `/classes/${detail.id}`, text: detail.name }}>
            {t('service.setTitle')}
          </PageTitle>
          <div className="flex flex-wrap items-end gap-3">
            <Field label={t('service.fromCase')} className="w-full">
              <Select
                value={form.caseId}
                onChange={({ target }) => setForm({ ...fresh(target.value), due, release })}
              >
                <option value={EMPTY_HEAD}>{t('service.emptyHead')}</option>
                {([1, 2, 3] as const).map((difficulty) => (
                  <optgroup key={difficulty} label={t(`service.difficulty.${difficulty}`)}>
                    {SHIPPED_CASES.filter((one) => one.clientCase.difficulty === difficulty).map(
                      ({ id, clientCase: one }) => (
                        <option key={id} value={id}>
                          {one.title}
                        </option>
                      ),
                    )}
                  </optgroup>
                ))}
              </Select>
            </Field>
            <Button icon={<Upload aria-hidden className="size-4" />} onClick={() => file.current?.click()}>
              {t('service.takePack')}
            </Button>
            <Button icon={<Download aria-hidden className="size-4" />} onClick={saveFile}>
              {t('service.savePack')}
            </Button>
            <input
              ref={file}
              type="file"
              accept="application/json,.json"
              aria-label={t('service.takePack')}
              className="hidden"
              onChange={({ target }) => {
                const [chosen] = target.files ?? [];
                if (chosen) void takeFile(chosen);
                target.value = '';
              }}
            />
          </div>
          {badFile ? <Notice kind="bad">{badFile}</Notice> : null}
          <Field label={t('set.exerciseTitle')} error={wrong('title') ? t('service.needTitle') : null}>
            <Input
              maxLength={120}
              value={title}
              aria-invalid={wrong('title')}
              onChange={({ target }) => set({ title: target.value })}
            />
          </Field>
          <Sheet className="flex flex-col gap-4">
            <h2 className="text-lg">{t('service.steps')}</h2>
            <p className="text-quiet text-sm">{t('service.stepsHint')}</p>
            <StepsChoice form={form} misses={misses} settled={solution !== null} onChange={set} />
            <RubricFields rubric={rubric} open={open} onChange={(next) => set({ rubric: next })} />
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
          <details className="flex flex-col gap-3" open={form.caseId === EMPTY_HEAD || undefined}>
            <summary className="cursor-pointer py-1 font-semibold">{t('service.changeCase')}</summary>
            <CaseFields
              clientCase={clientCase}
              lines={lines}
              scale={detail.houseRules.levelScale}
              onChange={(next) => set({ clientCase: next })}
            />
          </details>
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
          {tried && !parsed.success ? <Notice kind="bad">{t('error.request.invalid')}</Notice> : null}
          <div className="flex flex-wrap gap-3">
            <Button
              type="submit"
              weight="main"
              disabled={
                assign.isPending ||
                preview.isBehind ||
                fault !== null ||
                preview.data?.ok === false ||
                (slip !== null && !miss)
              }
            >
              {t(assign.isPending ? 'set.assigning' : 'set.assign')}
            </Button>
            <Button onClick={() => setForm(fresh(form.caseId))}>{t('set.clear')}</Button>
          </div>
        </form>
        <section
          aria-label={t('set.keyLive')}
          tabIndex={0}
          className="top-16 flex h-fit flex-col gap-3 xl:sticky xl:max-h-[calc(100dvh-5rem)] xl:overflow-y-auto"
        >
          {preview.isError ? (
            <Notice kind="bad">{t(`error.${asApiError(preview.error).code}`)}</Notice>
          ) : preview.data === undefined ? (
            <Loading />
          ) : preview.data.ok ? (
            <InUnits units={detail.houseRules.units}>
              {miss ? (
                <RecordCardView plan={miss.plan} lines={lines} title={t('service.asHandedOut')} />
              ) : null}
              <ModelAnswerPanel
                solution={preview.data.solution}
                lines={preview.data.lines}
                houseRules={detail.houseRules}
                nearMisses={preview.data.nearMisses}
              />
            </InUnits>
          ) : (
            <Notice kind="bad">
              <strong>{t('service.noPlan')}</strong>
              <ReasonList reasons={preview.data.reasons} />
            </Notice>
          )}
        </section>
      </div>
    </div>
  );
}

export function NewExercisePage() {
  const books = useQuery({
    queryKey: ['shade-books'],
    queryFn: () => api<ShadeBooks>('GET', '/api/shade-books'),
  });
  if (books.isPending) return <Loading />;
  if (books.isError) return <Failure error={books.error} onRetry={() => void books.refetch()} />;
  const lines = [...books.data.shipped, ...books.data.own.map(({ line }) => line)];
  return <WithClass>{(detail) => <ExerciseForm detail={detail} lines={lines} />}</WithClass>;
}
