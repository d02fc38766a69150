import { newPracticeSchema, type ClassDetail, type NewPractice } from '@cimbel/contract';
import { emptyMemory, FULL_SCOPE, SKILLS, skillsIn } from '@cimbel/core/drill';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { PracticeRun } from '../features/drill/practice-run';
import { ScopeFields } from '../features/reading/scope-fields';
import { SetActions } from '../features/reading/set-actions';
import { WithClass } from '../features/reading/with-class';
import { api } from '../lib/api';
import { useStored } from '../lib/use-stored';
import { useChecked } from '../lib/use-checked';
import { Field, Input, NumberInput } from '../ui/field';
import { Sheet } from '../ui/panel';
import { PageTitle } from '../ui/page-title';
import '../lib/words/drills';
import '../lib/words/reading';

const fresh = (): NewPractice => ({
  title: '',
  skills: ['level', 'tone', 'underlay'],
  scope: FULL_SCOPE,
  minutesAWeek: 20,
});

function PracticeForm({ detail }: { detail: ClassDetail }) {
  const { t } = useTranslation(['ui', 'drill']);
  const { check, refused, errorOf } = useChecked(newPracticeSchema);
  const navigate = useNavigate();
  const client = useQueryClient();
  const [draft, setDraft, dropDraft] = useStored<NewPractice>(`cimbel.new-practice.${detail.id}`, fresh);
  const [previewing, setPreviewing] = useState(false);
  const context = useMemo(
    () => ({ rules: detail.houseRules, scope: draft.scope, ownLines: detail.ownLines }),
    [detail.houseRules, detail.ownLines, draft.scope],
  );
  const [possible, run] = useMemo(
    () => [
      skillsIn(context),
      { skills: draft.skills, minutes: 5, context, classId: detail.id, practiceId: null },
    ],
    [context, draft.skills, detail.id],
  );
  const set = useMutation({
    mutationFn: (body: NewPractice) =>
      api<{ id: string }>('POST', `/api/classes/${detail.id}/practices`, body),
    onSuccess: async () => {
      dropDraft();
      await client.invalidateQueries({ queryKey: ['reading-desk', detail.id] });
      await navigate(`/classes/${detail.id}/reading`);
    },
    onError: refused,
  });
  if (previewing)
    return (
      <PracticeRun
        run={run}
        memory={emptyMemory()}
        waiting={0}
        onAnswer={() => undefined}
        onLeave={() => setPreviewing(false)}
        preview
      />
    );
  return (
    <div className="mx-auto flex max-w-4xl flex-col gap-4 p-4 py-6">
      <PageTitle back={{ to: `/classes/${detail.id}/reading`, text: detail.name }}>
        {t('reading.set.newPractice')}
      </PageTitle>
      <Sheet className="flex flex-col gap-4">
        <Field label={t('reading.set.title')} error={errorOf('title', 'title')}>
          <Input
            value={draft.title}
            maxLength={120}
            onChange={({ target }) => setDraft({ ...draft, title: target.value })}
          />
        </Field>
        <fieldset>
          <legend className="text-sm font-semibold">{t('reading.set.skills')}</legend>
          <ul className="grid gap-x-6 sm:grid-cols-2 wide:grid-cols-3">
            {SKILLS.map((skill) => (
              <li key={skill}>
                <label className="flex min-h-10 items-center gap-2">
                  <input
                    type="checkbox"
                    className="accent-accent size-5"
                    checked={draft.skills.includes(skill)}
                    disabled={!possible.includes(skill)}
                    onChange={() =>
                      setDraft({
                        ...draft,
                        skills: SKILLS.filter((one) =>
                          one === skill ? !draft.skills.includes(one) : draft.skills.includes(one),
                        ),
                      })
                    }
                  />
                  {t(`drill:skill.${skill}`)}
                  {possible.includes(skill) ? null : (
                    <span className="text-quiet text-sm">{t('reading.set.notHere')}</span>
                  )}
                </label>
              </li>
            ))}
          </ul>
          {errorOf('skills') ? (
            <p role="alert" className="text-bad text-sm font-semibold">
              {errorOf('skills')}
            </p>
          ) : null}
        </fieldset>
        <ScopeFields
          scope={draft.scope}
          onChange={(scope) => setDraft({ ...draft, scope })}
          error={errorOf('scope.maxLevel', 'scope')}
        />
        <Field
          label={t('reading.set.minutesAWeek')}
          error={errorOf('minutesAWeek', 'minutesAWeek')}
          className="self-start"
        >
          <NumberInput
            value={draft.minutesAWeek}
            min={5}
            max={240}
            step={5}
            unit={t('reading.set.minutesUnit')}
            aria-label={t('reading.set.minutesAWeek')}
            onValue={(minutes) => setDraft({ ...draft, minutesAWeek: minutes ?? 0 })}
          />
        </Field>
        <SetActions
          error={set.error}
          busy={set.isPending}
          set={t('reading.set.setPractice')}
          onSet={() => {
            const body = check(draft);
            if (body) set.mutate(body);
          }}
          canPreview={draft.skills.length > 0}
          onPreview={() => setPreviewing(true)}
        />
      </Sheet>
    </div>
  );
}

export const NewPracticePage = () => <WithClass>{(detail) => <PracticeForm detail={detail} />}</WithClass>;
