import { CRITERIA, type Criterion, type Rubric } from '@cimbel/core/grade';
import { Controller, type Control } from 'react-hook-form';
import { useTranslation } from 'react-i18next';
import { NumberInput } from '../../ui/field';
import type { ExerciseFormValues } from './form-values';

/** Points for each criterion; empty means that it is not marked. */
export function RubricFields({
  control,
  hasGrey,
}: {
  control: Control<ExerciseFormValues>;
  hasGrey: boolean;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  return (
    <Controller
      control={control}
      name="rubric"
      render={({ field }) => {
        const rubric = field.value as Rubric;
        const set = (criterion: Criterion, points: number | null) => {
          const { [criterion]: _, ...others } = rubric;
          field.onChange(points === null ? others : { ...others, [criterion]: points });
        };
        const total = Object.values(rubric).reduce<number>((sum, points) => sum + (points ?? 0), 0);
        return (
          <fieldset className="flex flex-col gap-2">
            <legend className="text-sm font-semibold">
              {t('set.points')}: {t('set.total', { total })}
            </legend>
            <div className="grid gap-x-6 gap-y-1 sm:grid-cols-2">
              {CRITERIA.filter((criterion) => hasGrey || criterion !== 'greyShare').map((criterion) => (
                <label key={criterion} className="flex items-center justify-between gap-2">
                  {t(`craft:criterion.${criterion}`)}
                  <NumberInput
                    aria-label={t('set.pointsOf', { criterion: t(`craft:criterion.${criterion}`) })}
                    value={rubric[criterion] ?? null}
                    min={0}
                    max={100}
                    step={0.5}
                    className="w-20"
                    onValue={(points) => set(criterion, points)}
                  />
                </label>
              ))}
            </div>
          </fieldset>
        );
      }}
    />
  );
}
