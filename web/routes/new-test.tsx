import {
  newTestSchema,
  TEST_FEEDBACK,
  TEST_VARIANTS,
  type ClassDetail,
  type NewTest,
} from '@cimbel/contract';
import { FULL_SCOPE, SKILLS, skillsIn, DRILL_STEPS, type Skill, type DrillStep } from '@cimbel/core/drill';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { addDays, format, setHours, startOfHour } from 'date-fns';
import { Minus, Plus } from 'lucide-react';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { ScopeFields } from '../features/reading/scope-fields';
import { SetActions } from '../features/reading/set-actions';
import { WithClass } from '../features/reading/with-class';
import { TestPreview } from '../features/reading/test-preview';
import { api } from '../lib/api';
import { useStored } from '../lib/use-stored';
import { useChecked } from '../lib/use-checked';
import { Button } from '../ui/button';
import { Choice } from '../ui/choice';
import { Field, Input, NumberInput } from '../ui/field';
import { Sheet } from '../ui/panel';
import { PageTitle } from '../ui/page-title';
import '../lib/words/drills';
import '../lib/words/reading';

const LOCAL = "yyyy-MM-dd'T'HH:mm";
const MOST_OF_A_SKILL = 20;

type Draft = Omit<NewTest, 'dueAt'> & { dueAt: string };
const fresh = (): Draft => ({
  title: '',
  parts: [
    { skill: 'level', count: 5 },
    { skill: 'tone', count: 4 },
    { skill: 'underlay', count: 3 },
  ],
  step: 3,
  scope: FULL_SCOPE,
  variants: 'own',
  minutes: 10,
  feedback: 'atEnd',
  attempts: 1,
  dueAt: format(setHours(startOfHour(addDays(new Date(), 7)), 18), LOCAL),
});

function PartFields({
  draft,
  possible,
  onChange,
  wrong,
}: {
  draft: Draft;
  possible: readonly Skill[];
  onChange: (parts: Draft['parts']) => void;
  wrong: string | null;
}) {
  const { t } = useTranslation(['ui', 'drill']);
  const countOf = (skill: Skill) => draft.parts.find((part) => part.skill === skill)?.count ?? 0;
  const put = (skill: Skill, count: number) =>
    onChange(
      SKILLS.flatMap((one) => {
        const next = one === skill ? count : countOf(one);
        return next > 0 ? [{ skill: one, count: next }] : [];
      }),
    );
  return (
    <fieldset>
      <legend className="text-sm font-semibold">{t('reading.set.parts')}</legend>
      <ul className="grid gap-x-8 wide:grid-cols-2">
        {SKILLS.map((skill) => {
          const name = t(`drill:skill.${skill}`);
          const here = possible.includes(skill);
          return (
            <li key={skill} className="border-line flex min-h-11 items-center gap-2 border-b">
              <span className={`me-auto ${here ? '' : 'text-quiet'}`}>
                {name} {here ? '' : t('reading.set.notHere')}
              </span>
              <Button
                className="size-9 min-h-9 px-0!"
                aria-label={t('reading.set.fewer', { skill: name })}
                disabled={countOf(skill) === 0}
                onClick={() => put(skill, countOf(skill) - 1)}
              >
                <Minus aria-hidden className="size-4" />
              </Button>
              <output
                className="w-6 text-center font-semibold"
                aria-label={t('reading.set.countOf', { skill: name })}
              >
                {countOf(skill)}
              </output>
              <Button
                className="size-9 min-h-9 px-0!"
                aria-label={t('reading.set.more', { skill: name })}
                disabled={!here || countOf(skill) >= MOST_OF_A_SKILL}
                onClick={() => put(skill, countOf(skill) + 1)}
              >
                <Plus aria-hidden className="size-4" />
              </Button>
            </li>
          );
        })}
      </ul>
      <p className="pt-1 text-sm">
        {t('reading.set.total', { count: draft.parts.reduce((sum, { count }) => sum + count, 0) })}
      </p>
      {wrong ? (
        <p role="alert" className="text-bad text-sm font-semibold">
          {wrong}
        </p>
      ) : null}
    </fieldset>
  );
}

function TestForm({ detail }: { detail: ClassDetail }) {
  const { t } = useTranslation();
  const { check, refused, errorOf } = useChecked(newTestSchema);
  const navigate = useNavigate();
  const client = useQueryClient();
  const [draft, setDraft, dropDraft] = useStored<Draft>(`cimbel.new-test.${detail.id}`, fresh);
  const [preview, setPreview] = useState<NewTest | null>(null);
  const context = useMemo(
    () => ({ rules: detail.houseRules, scope: draft.scope, ownLines: detail.ownLines }),
    [detail.houseRules, detail.ownLines, draft.scope],
  );
  const possible = useMemo(() => skillsIn(context), [context]);
  const change = (part: Partial<Draft>) => setDraft({ ...draft, ...part });
  const set = useMutation({
    mutationFn: (body: NewTest) =>
      api<{ id: string }>('POST', `/api/classes/${detail.id}/reading-tests`, body),
    onSuccess: async ({ id }) => {
      dropDraft();
      await client.invalidateQueries({ queryKey: ['reading-desk', detail.id] });
      await navigate(`/reading-tests/${id}`);
    },
    onError: refused,
  });
  const toSend = () => {
    const due = new Date(draft.dueAt);
    return { ...draft, dueAt: Number.isNaN(due.getTime()) ? '' : due.toISOString() };
  };
  if (preview) return <TestPreview test={preview} context={context} onClose={() => setPreview(null)} />;
  return (
    <div className="mx-auto flex max-w-4xl flex-col gap-4 p-4 py-6">
      <PageTitle back={{ to: `/classes/${detail.id}/reading`, text: detail.name }}>
        {t('reading.set.newTest')}
      </PageTitle>
      <Sheet className="flex flex-col gap-5">
        <Field label={t('reading.set.title')} error={errorOf('title')}>
          <Input
            value={draft.title}
            maxLength={120}
            onChange={({ target }) => change({ title: target.value })}
          />
        </Field>
        <PartFields
          draft={draft}
          possible={possible}
          onChange={(parts) => change({ parts })}
          wrong={errorOf('parts')}
        />
        <div className="flex flex-col gap-1">
          <span className="text-sm font-semibold">{t('reading.set.step')}</span>
          <Choice
            label={t('reading.set.step')}
            value={String(draft.step)}
            onChange={(step) => change({ step: Number(step) as DrillStep })}
            options={DRILL_STEPS.map((step) => ({
              value: String(step),
              text: t(`reading.set.steps.${step}`),
            }))}
          />
        </div>
        <ScopeFields
          scope={draft.scope}
          onChange={(scope) => change({ scope })}
          error={errorOf('scope.maxLevel', 'scope')}
        />
        <div className="flex flex-col gap-1">
          <span className="text-sm font-semibold">{t('reading.set.variants')}</span>
          <Choice
            label={t('reading.set.variants')}
            value={draft.variants}
            onChange={(variants) =>
              change({ variants, feedback: variants === 'same' ? 'onRelease' : draft.feedback })
            }
            options={TEST_VARIANTS.map((value) => ({ value, text: t(`reading.set.variant.${value}`) }))}
          />
          <p className="text-quiet text-sm">{t(`reading.set.variantHint.${draft.variants}`)}</p>
        </div>
        <div className="flex flex-col gap-1">
          <span className="text-sm font-semibold">{t('reading.set.feedback')}</span>
          <Choice
            label={t('reading.set.feedback')}
            value={draft.feedback}
            disabled={draft.variants === 'same'}
            onChange={(feedback) => change({ feedback })}
            options={TEST_FEEDBACK.map((value) => ({ value, text: t(`reading.test.feedback.${value}`) }))}
          />
          {errorOf('feedback') ? (
            <p role="alert" className="text-bad text-sm font-semibold">
              {errorOf('feedback')}
            </p>
          ) : null}
        </div>
        <div className="flex flex-wrap gap-x-6 gap-y-3">
          <Field label={t('reading.set.limit')} error={errorOf('minutes', 'limit')}>
            <NumberInput
              value={draft.minutes}
              min={1}
              max={180}
              unit={t('reading.set.minutesUnit')}
              aria-label={t('reading.set.limit')}
              onValue={(minutes) => change({ minutes: minutes ?? 0 })}
            />
          </Field>
          <Field label={t('reading.set.attempts')} error={errorOf('attempts')}>
            <NumberInput
              value={draft.attempts}
              min={1}
              max={5}
              aria-label={t('reading.set.attempts')}
              onValue={(attempts) => change({ attempts: attempts ?? 0 })}
            />
          </Field>
          <Field label={t('reading.set.dueAt')} error={errorOf('dueAt')}>
            <Input
              type="datetime-local"
              value={draft.dueAt}
              onChange={({ target }) => change({ dueAt: target.value })}
            />
          </Field>
        </div>
        <SetActions
          error={set.error}
          busy={set.isPending}
          set={t('reading.set.setTest')}
          onSet={() => {
            const body = check(toSend());
            if (body) set.mutate(body);
          }}
          canPreview={draft.parts.length > 0 && draft.parts.every(({ skill }) => possible.includes(skill))}
          onPreview={() => setPreview({ ...draft, dueAt: new Date().toISOString() })}
        />
      </Sheet>
    </div>
  );
}

export const NewTestPage = () => <WithClass>{(detail) => <TestForm detail={detail} />}</WithClass>;
