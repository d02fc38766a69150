import {
  RELEASES,
  newExerciseSchema,
  type ClassDetail,
  type KeyPreview,
  type NewExercise,
} from '@cimbel/contract';
import { defaultRubric } from '@cimbel/core/grade';
import { DENSITIES, DIAMETERS, POROSITIES, SERVICES } from '@cimbel/core/hair';
import { familiesOf, type Line } from '@cimbel/core/shades';
import { hasGreyToCover } from '@cimbel/core/theory';
import { naturalLook, toneLook } from '@cimbel/core/tress';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { addDays, format, setHours, startOfHour } from 'date-fns';
import { useDeferredValue, useEffect, useState } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { useTranslation } from 'react-i18next';
import { useNavigate, useParams } from 'react-router';
import type { ExerciseFormValues as Form } from '../features/setting/form-values';
import { RubricFields } from '../features/setting/rubric-fields';
import { LevelRing } from '../features/bench/level-ring';
import { Strand } from '../features/bench/strand';
import { HouseRulesUsed, KeyCard } from '../features/marking/key-card';
import { ReasonList } from '../features/marking/reasons';
import { api, asApiError } from '../lib/api';
import { useFieldWords } from '../lib/form';
import { forget, keep, readKept } from '../lib/storage';
import { InUnits } from '../lib/units';
import { Button } from '../ui/button';
import { Choice, Field, Input, Textarea, Select } from '../ui/field';
import { Failure, Loading, Notice, Sheet } from '../ui/panel';
import { PageTitle } from '../ui/page-title';

const LOCAL = "yyyy-MM-dd'T'HH:mm";
const GREY_STEPS = Array.from({ length: 11 }, (_, i) => i / 10);

const fresh = (lineId: string): Form => ({
  title: '',
  kase: {
    client: { name: '', note: '' },
    zone: { naturalLevel: 5, greyShare: 0, porosity: 'normal', diameter: 'medium' },
    service: 'shortAllOver',
    density: 'medium',
    target: { level: 6, tone: { primary: 'neutral' } },
    lineId,
  },
  rubric: defaultRubric(false),
  dueAt: format(setHours(startOfHour(addDays(new Date(), 7)), 18), LOCAL),
  release: 'onDue',
});

function Keyed({ preview, naturalLevel }: { preview: ReturnType<typeof usePreview>; naturalLevel: number }) {
  const { t } = useTranslation();
  if (preview.isPending) return <Loading />;
  if (preview.isError) return <Notice kind="bad">{t(`error.${asApiError(preview.error).code}`)}</Notice>;
  const result = preview.data;
  if (!result.ok) {
    return (
      <Notice kind="bad">
        <strong>{t('set.noAnswer')}</strong>
        <ReasonList reasons={result.reasons} />
      </Notice>
    );
  }
  return (
    <>
      <KeyCard computed={result.key} naturalLevel={naturalLevel} />
      <HouseRulesUsed uses={result.key.houseRules} />
    </>
  );
}

/** The server computes, so that what is shown is what will be assigned; the last answer stays while the next is made. */
function usePreview(classId: string, kase: Form['kase']) {
  // A client's name and note do not change the answer.
  const { client: _, ...rest } = kase;
  const settled = useDeferredValue(JSON.stringify(rest));
  return useQuery({
    queryKey: ['key-preview', classId, settled],
    queryFn: () =>
      api<KeyPreview>('POST', `/api/classes/${classId}/key-preview`, {
        kase: { ...JSON.parse(settled), client: { name: '-', note: '' } },
      }),
    placeholderData: (previous) => previous,
  });
}

function ExerciseForm({ detail, lines }: { detail: ClassDetail; lines: Line[] }) {
  const { t } = useTranslation(['ui', 'craft']);
  const words = useFieldWords();
  const client = useQueryClient();
  const navigate = useNavigate();
  const place = `cimbel.new-exercise.${detail.id}`;
  const [kept] = useState(() => readKept<Form>(place));
  const form = useForm<Form>({ defaultValues: kept ?? fresh(lines[0].id) });
  const { control, register, setValue, setError, clearErrors, formState } = form;
  const values = useWatch({ control }) as Form;
  const { kase } = values;
  const line = lines.find(({ id }) => id === kase.lineId) ?? lines[0];
  const hasGrey = hasGreyToCover(kase.zone.greyShare);
  const preview = usePreview(detail.id, kase);

  useEffect(() => keep(place, values), [place, values]);

  const assign = useMutation({
    mutationFn: (body: NewExercise) =>
      api<{ id: string }>('POST', `/api/classes/${detail.id}/exercises`, body),
    onSuccess: async ({ id }) => {
      forget(place);
      await client.invalidateQueries({ queryKey: ['class', detail.id] });
      await navigate(`/exercises/${id}`);
    },
    onError: (error) => {
      for (const { path, code } of asApiError(error).fields) setError(path as 'title', { type: code });
    },
  });
  const submit = () => {
    clearErrors();
    const due = new Date(values.dueAt);
    const parsed = newExerciseSchema.safeParse({
      ...values,
      dueAt: Number.isNaN(due.getTime()) ? '' : due.toISOString(),
    });
    if (!parsed.success) {
      for (const issue of parsed.error.issues)
        setError(issue.path.join('.') as 'title', { type: issue.code });
      return;
    }
    assign.mutate(parsed.data);
  };
  const { errors } = formState;
  const families = familiesOf(line);
  const choice = <T extends string>(
    name: 'kase.zone.porosity' | 'kase.zone.diameter' | 'kase.density' | 'kase.service' | 'release',
    label: string,
    options: readonly T[],
    text: (value: T) => string,
  ) => (
    <Field label={label}>
      <Controller
        control={control}
        name={name}
        render={({ field }) => (
          <Choice
            label={label}
            value={field.value as T}
            onChange={field.onChange}
            options={options.map((value) => ({ value, text: text(value) }))}
          />
        )}
      />
    </Field>
  );
  const ring = (name: 'kase.zone.naturalLevel' | 'kase.target.level', label: string) => (
    <Field label={label}>
      <Controller
        control={control}
        name={name}
        render={({ field }) => <LevelRing value={field.value} onChange={field.onChange} label={label} />}
      />
    </Field>
  );
  const changeGrey = (greyShare: number) => {
    setValue('kase.zone.greyShare', greyShare);
    // The rubric follows as long as nobody has changed it.
    if (JSON.stringify(values.rubric) === JSON.stringify(defaultRubric(hasGrey)))
      setValue('rubric', defaultRubric(hasGreyToCover(greyShare)));
  };

  return (
    <div className="grid min-h-full grid-cols-[76px_minmax(0,1fr)] wide:grid-cols-[320px_minmax(0,1fr)]">
      <Strand
        looks={{ now: naturalLook(kase.zone, 5), target: toneLook(kase.target.level, kase.target.tone, 6) }}
        service={kase.service}
        nowLabel={t('bench.nowOf', { name: kase.client.name })}
        targetLabel={t('bench.targetOf', { level: kase.target.level, tone: kase.target.tone.primary })}
      />
      <div className="grid min-w-0 gap-5 px-4 py-4 wide:px-6 xl:grid-cols-[minmax(0,5fr)_minmax(0,3fr)]">
        <form
          className="flex min-w-0 flex-col gap-5"
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            submit();
          }}
        >
          <PageTitle back={{ to: `/classes/${detail.id}`, text: detail.name }}>{t('set.title')}</PageTitle>
          <Field label={t('set.exerciseTitle')} error={errors.title ? words('title') : null}>
            <Input maxLength={120} aria-invalid={Boolean(errors.title)} {...register('title')} />
          </Field>
          <Sheet className="flex flex-col gap-4">
            <h2 className="text-lg">{t('set.head')}</h2>
            <Field label={t('set.client')} error={errors.kase?.client?.name ? words('name') : null}>
              <Input
                maxLength={60}
                aria-invalid={Boolean(errors.kase?.client?.name)}
                {...register('kase.client.name')}
              />
            </Field>
            <Field label={t('set.note')}>
              <Textarea rows={2} maxLength={600} {...register('kase.client.note')} />
            </Field>
            {ring('kase.zone.naturalLevel', t('set.natural'))}
            <Field label={t('set.grey')}>
              <Select value={kase.zone.greyShare} onChange={({ target }) => changeGrey(Number(target.value))}>
                {GREY_STEPS.map((share) => (
                  <option key={share} value={share}>
                    {`${Math.round(share * 100)} %`}
                  </option>
                ))}
              </Select>
            </Field>
            <div className="grid gap-4 md:grid-cols-2">
              {choice('kase.zone.porosity', t('bench.consult.porosity'), POROSITIES, (value) =>
                t(`craft:porosity.${value}`),
              )}
              {choice('kase.zone.diameter', t('bench.consult.diameter'), DIAMETERS, (value) =>
                t(`craft:diameter.${value}`),
              )}
              {choice('kase.density', t('bench.consult.density'), DENSITIES, (value) =>
                t(`craft:density.${value}`),
              )}
            </div>
            {choice('kase.service', t('bench.consult.service'), SERVICES, (value) =>
              t(`craft:service.${value}`),
            )}
          </Sheet>
          <Sheet className="flex flex-col gap-4">
            <h2 className="text-lg">{t('set.wish')}</h2>
            <Field label={t('set.line')}>
              <Select {...register('kase.lineId')}>
                {lines.map(({ id, name, kind }) => (
                  <option key={id} value={id}>
                    {t('set.lineKind', { name, kind: t(`craft:kind.${kind}`) })}
                  </option>
                ))}
              </Select>
            </Field>
            {ring('kase.target.level', t('set.target'))}
            <div className="grid gap-4 md:grid-cols-2">
              <Field label={t('set.tone')}>
                <Select {...register('kase.target.tone.primary')}>
                  {families.map((family) => (
                    <option key={family} value={family}>
                      {t(`craft:tone.${family}`)}
                    </option>
                  ))}
                </Select>
              </Field>
              <Field label={t('set.secondary')}>
                <Select
                  {...register('kase.target.tone.secondary', {
                    setValueAs: (value: string) => value || undefined,
                  })}
                >
                  <option value="">{t('set.none')}</option>
                  {families
                    .filter((family) => family !== 'neutral')
                    .map((family) => (
                      <option key={family} value={family}>
                        {t(`craft:tone.${family}`)}
                      </option>
                    ))}
                </Select>
              </Field>
            </div>
          </Sheet>
          <Sheet className="flex flex-col gap-4">
            <h2 className="text-lg">{t('set.marks')}</h2>
            <RubricFields control={control} hasGrey={hasGrey} />
            <Field
              label={t('set.due')}
              error={errors.dueAt ? words('dueAt', errors.dueAt.type === 'past' ? 'past' : undefined) : null}
            >
              <Input
                type="datetime-local"
                className="max-w-64"
                aria-invalid={Boolean(errors.dueAt)}
                {...register('dueAt')}
              />
            </Field>
            {choice('release', t('set.release'), RELEASES, (value) => t(`set.releases.${value}`))}
          </Sheet>
          {assign.isError ? <Notice kind="bad">{t(`error.${asApiError(assign.error).code}`)}</Notice> : null}
          {Object.keys(errors).length > 0 && !assign.isError ? (
            <Notice kind="bad">{t('error.request.invalid')}</Notice>
          ) : null}
          <div className="flex flex-wrap gap-3">
            <Button type="submit" weight="main" disabled={assign.isPending || preview.data?.ok === false}>
              {t(assign.isPending ? 'set.assigning' : 'set.assign')}
            </Button>
            <Button onClick={() => form.reset(fresh(lines[0].id))}>{t('set.clear')}</Button>
          </div>
        </form>
        <Sheet
          aria-label={t('set.keyLive')}
          tabIndex={0}
          className="top-16 flex h-fit flex-col gap-3 xl:sticky xl:max-h-[calc(100dvh-5rem)] xl:overflow-y-auto"
        >
          <h2 className="text-lg">{t('set.keyLive')}</h2>
          <InUnits units={detail.houseRules.units}>
            <Keyed preview={preview} naturalLevel={kase.zone.naturalLevel} />
          </InUnits>
        </Sheet>
      </div>
    </div>
  );
}

export function NewExercisePage() {
  const { classId } = useParams();
  const detail = useQuery({
    queryKey: ['class', classId],
    queryFn: () => api<ClassDetail>('GET', `/api/classes/${classId}`),
  });
  const lines = useQuery({
    queryKey: ['lines'],
    queryFn: () => api<Line[]>('GET', '/api/lines'),
    staleTime: Infinity,
  });
  if (detail.isPending || lines.isPending) return <Loading />;
  const failed = detail.isError ? detail : lines.isError ? lines : null;
  if (failed) return <Failure error={failed.error} onRetry={() => void failed.refetch()} />;
  return <ExerciseForm detail={detail.data!} lines={lines.data!} />;
}
