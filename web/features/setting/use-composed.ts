import type { ExerciseContent } from '@cimbel/contract';
import { fromOlderCards } from '@cimbel/core/card';
import type { ClientCase } from '@cimbel/core/case';
import { cardRubric } from '@cimbel/core/exercise';
import { defaultRubric } from '@cimbel/core/mark';
import type { Line } from '@cimbel/core/product';
import type { HouseRules } from '@cimbel/core/rules';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { forget, keep, readKept } from '../../lib/storage';
import { useUndo } from '../../lib/use-undo';
import { caseFaults } from '@cimbel/core/case';
import { fresh, type ExerciseForm } from './exercise-form';
import { usePreview } from './use-preview';
import '../../lib/words/bench';

/** A form left half made on this device. What an older version of the application kept is not of today's shape. */
function keptForm(place: string): Partial<ExerciseForm> | null {
  const kept = fromOlderCards(readKept(place)) as Partial<ExerciseForm> | null;
  return kept?.clientCase && caseFaults(kept.clientCase).some((fault) => fault.includes('history'))
    ? null
    : kept;
}

/** What a change is of, where letters of one text follow one another; null where it is a step of its own. */
function typedIn(before: ExerciseForm, part: Partial<ExerciseForm>): string | null {
  if (part.title !== undefined && Object.keys(part).length === 1) return 'title';
  const next = part.clientCase;
  if (!next) return null;
  const was = before.clientCase;
  const changed = Object.keys(next).filter(
    (name) => next[name as keyof ClientCase] !== was[name as keyof ClientCase],
  );
  if (changed.join() === 'client') return next.client.name === was.client.name ? 'note' : 'name';
  const said = Object.keys(next.facts.told ?? {}).find(
    (name) =>
      next.facts.told?.[name as keyof typeof next.facts.told] !==
      was.facts.told?.[name as keyof typeof next.facts.told],
  );
  return changed.join() === 'facts' && said ? said : null;
}

/**
 * An exercise while it is composed: the form with its past, the answer that its case has under a school's rules, and what it
 * comes to.
 *
 * @param start What the form begins with where nothing of it was left half made on this device.
 * @param place Where it is kept on this device.
 */
export function useComposed(
  start: Partial<ExerciseForm> | null,
  place: string,
  lines: readonly Line[],
  houseRules: HouseRules,
) {
  const { t } = useTranslation();
  const [kept] = useState(() => keptForm(place));
  const base = JSON.stringify({ ...fresh(), ...start });
  const {
    value: form,
    change,
    undo,
    redo,
  } = useUndo<ExerciseForm>(() => ({
    ...fresh(),
    ...start,
    // What was kept by an older version of the form lacks what has been added since.
    ...kept,
  }));
  const isAsBegun = JSON.stringify(form) === base;
  const [allTheSame, setAllTheSame] = useState(false);
  useEffect(() => {
    // What is as it began is no draft.
    if (isAsBegun) forget(place);
    else keep(place, form);
  }, [place, form, isAsBegun]);
  const { open, slip, title } = form;
  // A head that began empty bears the name of its exercise.
  const clientCase: ClientCase = form.clientCase.title
    ? form.clientCase
    : { ...form.clientCase, title: title.trim().slice(0, 80) || t('bench.emptyHead') };
  const preview = usePreview(clientCase, lines, houseRules);
  const modelAnswer = preview.data?.ok ? preview.data.modelAnswer : null;
  const misses = preview.data?.ok ? preview.data.typicalErrors : [];
  const miss = misses.find(({ misconception }) => misconception === slip);
  const rubric =
    form.rubric ??
    (miss ? cardRubric(miss.grade, open) : modelAnswer ? defaultRubric(modelAnswer, clientCase, open) : {});
  const faults = caseFaults(clientCase);
  const missed = (modelAnswer?.missed ?? []).length > 0;
  const exercise: ExerciseContent & { tags: string[] } = {
    title,
    clientCase,
    open,
    slip,
    rubric,
    judgement: form.judgement,
    tags: form.tags,
    ...(missed && allTheSame ? { missesWish: true } : {}),
  };
  return {
    form,
    set: (part: Partial<ExerciseForm>) => change((before) => ({ ...before, ...part }), typedIn(form, part)),
    /** Back to what it began with: that, too, can be taken back. */
    startOver: () => change({ ...fresh(), ...start }),
    undo,
    redo,
    /** Whether it is as it began. */
    isAsBegun,
    /** Whether it goes on from what was left half made on this device. */
    isResumed: kept !== null && start !== null && !isAsBegun,
    /** It is where it belongs: nothing of it is left on this device. */
    done: () => forget(place),
    clientCase,
    preview,
    solution: modelAnswer,
    misses,
    miss,
    rubric,
    /** What is wrong with the case, by path. */
    faults,
    missed,
    allTheSame,
    setAllTheSame,
    exercise,
    /** Whether its answer is known and is of what stands in the form, so that it may be assigned. */
    settled:
      !preview.isBehind &&
      faults.length === 0 &&
      preview.data?.ok !== false &&
      (!missed || allTheSame) &&
      (slip === null || miss !== undefined),
  };
}
export type Composed = ReturnType<typeof useComposed>;
