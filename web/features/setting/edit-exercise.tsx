import {
  libraryExerciseSchema,
  type ClassSummary,
  type Exercise,
  type ExerciseVersion,
  type ShadeBooks,
} from '@cimbel/contract';
import { DEFAULT_HOUSE_RULES } from '@cimbel/core/rules';
import { useQuery } from '@tanstack/react-query';
import { Save, Send } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { api } from '../../lib/api';
import { dateTime } from '../../lib/i18n';
import '../../lib/words/assigning';
import { Button } from '../../ui/button';
import { Field, Select } from '../../ui/field';
import { Notice } from '../../ui/panel';
import { AssignDialog } from '../assigning/assign-dialog';
import { useClass } from '../people/use-class';
import { ExerciseEditor, linesOf } from './exercise-editor';
import { ofExercise, ofLibrary, type ExerciseForm } from './exercise-form';
import { useFaultsBeside } from './faults-beside';
import { SETTING_FORM } from './setting-steps';
import { useComposed } from './use-composed';
import { useSaveExercise } from './use-save-exercise';
import '../../lib/words/educating';

const PLACE = 'cimbel.library-exercise';

/** What an exercise has been, with the way back to each. */
function Versions({
  exercise,
  onUse,
}: {
  exercise: Pick<Exercise, 'id' | 'version'>;
  onUse: (content: ExerciseVersion['content']) => void;
}) {
  const { t } = useTranslation('assigning');
  const query = useQuery({
    queryKey: ['exercises', exercise.id, 'versions', exercise.version],
    queryFn: () => api<ExerciseVersion[]>('GET', `/api/exercises/${exercise.id}/versions`),
  });
  if (!query.data || query.data.length < 2) return null;
  return (
    <details className="border-line rounded-sm border p-3">
      <summary className="cursor-pointer font-semibold">{t('library.versions')}</summary>
      <ul className="mt-2 flex flex-col gap-1">
        {query.data.map(({ version, madeAt, content, assignments }) => (
          <li key={version} className="flex flex-wrap items-center gap-x-3">
            <span className="me-auto">
              {t('library.versionOf', { version, when: dateTime(madeAt) })} · {content.title}
              {assignments > 0 ? (
                <span className="text-quiet"> · {t('library.used', { count: assignments })}</span>
              ) : null}
            </span>
            {version === exercise.version ? (
              <span className="text-quiet">{t('library.versionNow')}</span>
            ) : (
              <Button
                weight="quiet"
                aria-label={t('library.useVersionOf', { version })}
                onClick={() => onUse(content)}
              >
                {t('library.useVersion')}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </details>
  );
}

/** An exercise of the library: composed, tried under a class's rules, saved, and assigned from here. */
export function EditExercise({
  exercise,
  start,
  from,
  books,
  own,
  classes,
}: {
  /** What is edited; null for a new one. */
  exercise: Exercise | null;
  /** What a new one begins with; null for an empty head. */
  start: Partial<ExerciseForm> | null;
  /** Name of what it begins with, to keep a draft by; null for an empty head. */
  from: string | null;
  books: ShadeBooks;
  own: readonly Exercise[];
  classes: readonly ClassSummary[];
}) {
  const { t } = useTranslation(['ui', 'assigning']);
  const [tried, setTried] = useState(false);
  const [assigning, setAssigning] = useState(false);
  const [classId, setClassId] = useState(classes[0]?.id ?? '');
  const { data: inClass } = useClass(classId, classId !== '');
  const houseRules = inClass?.houseRules ?? DEFAULT_HOUSE_RULES;
  const composed = useComposed(
    exercise ? ofLibrary(exercise) : start,
    [PLACE, exercise ? `${exercise.id}.${exercise.version}` : from].filter(Boolean).join('.'),
    linesOf(books),
    houseRules,
  );
  const faultsBeside = useFaultsBeside();
  const { form, set } = composed;
  const save = useSaveExercise(composed);
  const parsed = libraryExerciseSchema.safeParse(composed.exercise);
  const saved = own.find(({ id }) => id === form.own);
  return (
    <>
      <ExerciseEditor
        composed={composed}
        houseRules={houseRules}
        books={books}
        own={own}
        title={t(exercise ? 'assigning:library.editTitle' : 'assigning:library.newTitle')}
        back={{ to: '/library', text: t('assigning:library.title') }}
        note={
          <>
            {saved && saved.assignments > 0 ? (
              <Notice kind="info">{t('assigning:library.usedNote', { count: saved.assignments })}</Notice>
            ) : null}
            {saved ? (
              <Versions
                exercise={saved}
                onUse={(content) => set({ ...ofExercise(content), caseId: `own:${saved.id}` })}
              />
            ) : null}
            {classes.length > 0 ? (
              <Field label={t('assigning:library.rulesOf')}>
                <Select value={classId} onChange={({ target }) => setClassId(target.value)}>
                  {classes.map(({ id, name }) => (
                    <option key={id} value={id}>
                      {name}
                    </option>
                  ))}
                  <option value="">{t('assigning:library.ownRules')}</option>
                </Select>
              </Field>
            ) : null}
          </>
        }
        faults={tried && !parsed.success ? faultsBeside(parsed.error.issues) : []}
        error={save.error}
        onSubmit={() => {
          setTried(true);
          if (parsed.success) save.mutate(undefined, { onSuccess: composed.done });
        }}
        said={
          save.isSuccess && !save.isPending ? (
            <Notice kind="good">{t('assigning:library.saved', { version: save.data.version })}</Notice>
          ) : null
        }
        buttons={
          <>
            <Button
              type="submit"
              form={SETTING_FORM}
              weight="main"
              icon={<Save aria-hidden className="size-4" />}
              disabled={save.isPending || composed.faults.length > 0}
            >
              {t('assigning:library.save')}
            </Button>
            {saved ? (
              <Button icon={<Send aria-hidden className="size-4" />} onClick={() => setAssigning(true)}>
                {t('assigning:library.assign')}
              </Button>
            ) : null}
          </>
        }
      />
      {assigning && saved ? (
        <AssignDialog exercise={saved} classes={classes} onClose={() => setAssigning(false)} />
      ) : null}
    </>
  );
}
