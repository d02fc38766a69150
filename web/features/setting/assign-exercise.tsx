import {
  exerciseSchema,
  newAssignmentSchema,
  type ClassDetail,
  type EducatorAssignment,
  type Exercise,
  type ShadeBooks,
} from '@cimbel/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Save } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useLocation, useNavigate } from 'react-router';
import { api } from '../../lib/api';
import '../../lib/words/assigning';
import { Button } from '../../ui/button';
import { Notice, Sheet } from '../../ui/panel';
import { TermsFields } from '../assigning/terms-fields';
import { formOfTerms, termsFaults, termsOfForm } from '../assigning/terms-form';
import { ExerciseEditor, linesOf } from './exercise-editor';
import { ofExercise, type ExerciseForm } from './exercise-form';
import { useFaultsBeside } from './faults-beside';
import type { AssignedFrom } from './just-assigned';
import { SetAsField } from './set-as-field';
import { SETTING_FORM } from './setting-steps';
import { useComposed } from './use-composed';
import { useSaveExercise } from './use-save-exercise';
import '../../lib/words/educating';
import '../../lib/words/bench';

const NO_FAULTS: ReadonlyMap<string, string> = new Map();

/** Composes an exercise and assigns it to a class, or changes one that is assigned and that nobody has begun. */
export function AssignExercise({
  detail,
  books,
  own,
  start,
  from,
  editing,
}: {
  detail: ClassDetail;
  books: ShadeBooks;
  own: readonly Exercise[];
  /** The exercise to begin with; null for an empty head. */
  start: Partial<ExerciseForm> | null;
  /** Name of what it begins with, to keep a draft by; null for an empty head. */
  from: string | null;
  /** The assignment that is changed; null where a new one is made. */
  editing: EducatorAssignment | null;
}) {
  const { t } = useTranslation(['ui', 'assigning']);
  const client = useQueryClient();
  const navigate = useNavigate();
  const { pathname, search } = useLocation();
  const [tried, setTried] = useState(false);
  const place = ['cimbel.new-exercise', detail.id, editing && `${editing.id}.${editing.version}`, from]
    .filter(Boolean)
    .join('.');
  const composed = useComposed(
    editing
      ? {
          ...ofExercise(editing),
          tags: own.find(({ id }) => id === editing.exerciseId)?.tags ?? [],
          caseId: `own:${editing.exerciseId}`,
          own: editing.exerciseId,
          terms: formOfTerms(editing.terms),
          setAs: editing.setAs,
        }
      : start,
    place,
    linesOf(books),
    detail.houseRules,
  );
  const { form, exercise, set } = composed;
  const terms = termsOfForm(form.terms);
  const wanted = {
    exercise,
    ...(form.own ? { exerciseId: form.own } : {}),
    variants: form.setAs,
    ...terms,
  };
  const parsed = newAssignmentSchema.safeParse(wanted);
  const faultsBeside = useFaultsBeside();
  const saveDraft = useSaveExercise(composed);
  const assign = useMutation({
    mutationFn: async (): Promise<{ id: string }> => {
      if (!editing) return api<{ id: string }>('POST', `/api/classes/${detail.id}/assignments`, wanted);
      const path = `/api/assignments/${editing.id}`;
      await api('PUT', `${path}/exercise`, exercise);
      await api('PUT', `${path}/terms`, terms);
      return { id: editing.id };
    },
    onSuccess: async ({ id }) => {
      composed.done();
      for (const queryKey of [['class', detail.id], ['exercises'], ['assignment', id]])
        await client.invalidateQueries({ queryKey });
      const from: AssignedFrom = { assigned: { back: `${pathname}${search}`, place, form } };
      await navigate(`/assignments/${id}`, { state: editing ? null : from });
    },
  });
  return (
    <ExerciseEditor
      composed={composed}
      houseRules={detail.houseRules}
      books={books}
      own={own}
      title={t(editing ? 'bench.editTitle' : 'bench.setTitle')}
      back={
        editing
          ? { to: `/assignments/${editing.id}`, text: editing.title }
          : { to: `/classes/${detail.id}`, text: detail.name }
      }
      faults={tried && !parsed.success ? faultsBeside(parsed.error.issues) : []}
      error={assign.error ?? saveDraft.error}
      onSubmit={() => {
        setTried(true);
        if (parsed.success) assign.mutate();
      }}
      more={
        <Sheet className="flex flex-col gap-4">
          <h2 className="text-lg">{t('assigning:terms.title')}</h2>
          <SetAsField value={form.setAs} fixed={editing !== null} onChange={(setAs) => set({ setAs })} />
          <TermsFields
            terms={form.terms}
            students={detail.students}
            faults={tried ? termsFaults(form.terms) : NO_FAULTS}
            onChange={(next) => set({ terms: next })}
          />
        </Sheet>
      }
      said={
        saveDraft.isSuccess && !saveDraft.isPending ? (
          <Notice kind="good">{t('bench.draftSaved')}</Notice>
        ) : null
      }
      buttons={
        <>
          {editing ? null : (
            <Button
              icon={<Save aria-hidden className="size-4" />}
              aria-label={t('bench.saveDraft')}
              disabled={saveDraft.isPending || !exerciseSchema.safeParse(exercise).success}
              onClick={() => saveDraft.mutate()}
            >
              <span className="max-wide:hidden">{t('bench.saveDraft')}</span>
            </Button>
          )}
          <Button
            type="submit"
            form={SETTING_FORM}
            weight="main"
            disabled={assign.isPending || !composed.settled}
          >
            {t(assign.isPending ? 'set.assigning' : editing ? 'bench.saveChanges' : 'set.assign')}
          </Button>
        </>
      }
    />
  );
}
