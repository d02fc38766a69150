import type { ExerciseContent } from '@cimbel/contract';
import { fromOlderCards } from '@cimbel/core/card';
import type { ClientCase } from '@cimbel/core/case';
import { cardRubric } from '@cimbel/core/exercise';
import { defaultRubric } from '@cimbel/core/mark';
import type { Line } from '@cimbel/core/product';
import type { HouseRules } from '@cimbel/core/rules';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { keep, readKept } from '../../lib/storage';
import { firstCaseFault } from '@cimbel/core/case';
import { fresh, type ExerciseForm } from './exercise-form';
import { usePreview } from './use-preview';
import '../../lib/words/bench';

/** A form left half made on this device. What an older version of the application kept is not of today's shape. */
function keptForm(place: string): Partial<ExerciseForm> | null {
  const kept = fromOlderCards(readKept(place)) as Partial<ExerciseForm> | null;
  return kept?.clientCase && firstCaseFault(kept.clientCase)?.includes('history') ? null : kept;
}

/**
 * An exercise while it is composed: the form, the answer that its case has under a school's rules, and what it comes to.
 *
 * @param start What the form begins with; what was left half made on this device where it is null.
 * @param place Where it is kept on this device; null where what is changed stands on the server.
 */
export function useComposed(
  start: Partial<ExerciseForm> | null,
  place: string | null,
  lines: readonly Line[],
  houseRules: HouseRules,
) {
  const { t } = useTranslation();
  const [form, setForm] = useState<ExerciseForm>(() => ({
    ...fresh(),
    // What was kept by an older version of the form lacks what has been added since.
    ...(start ?? (place === null ? null : keptForm(place))),
  }));
  const [allTheSame, setAllTheSame] = useState(false);
  useEffect(() => {
    if (place !== null) keep(place, form);
  }, [place, form]);
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
  const fault = firstCaseFault(clientCase);
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
    set: (part: Partial<ExerciseForm>) => setForm((before) => ({ ...before, ...part })),
    clear: () => setForm(fresh()),
    clientCase,
    preview,
    solution: modelAnswer,
    misses,
    miss,
    rubric,
    /** The first thing that is wrong with the case; null where nothing is. */
    fault,
    missed,
    allTheSame,
    setAllTheSame,
    exercise,
    /** Whether its answer is known and is of what stands in the form, so that it may be assigned. */
    settled:
      !preview.isBehind &&
      fault === null &&
      preview.data?.ok !== false &&
      (!missed || allTheSame) &&
      (slip === null || miss !== undefined),
  };
}
export type Composed = ReturnType<typeof useComposed>;
