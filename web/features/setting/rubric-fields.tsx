import { CRITERIA, isOpenIn, type Rubric, type BenchStep } from '@cimbel/core/exercise';
import { useTranslation } from 'react-i18next';
import { NumberInput } from '../../ui/field';
import '../../lib/words/craft';
import '../../lib/words/educating';

/** Points for each criterion of the steps that are worked; empty means that it is not marked. */
export function RubricFields({
  rubric,
  open,
  onChange,
}: {
  rubric: Rubric;
  open: readonly BenchStep[];
  onChange: (rubric: Rubric) => void;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const total = Object.values(rubric).reduce<number>((sum, points) => sum + (points ?? 0), 0);
  return (
    <fieldset className="flex flex-col gap-2">
      <legend className="mb-1 text-sm font-semibold">
        {t('set.points')}: {t('set.total', { total })}
      </legend>
      <div className="grid gap-x-6 gap-y-1 sm:grid-cols-2">
        {CRITERIA.filter((criterion) => isOpenIn(open, criterion)).map((criterion) => (
          <label key={criterion} className="grid grid-cols-[1fr_5rem] items-center gap-2">
            {t(`craft:criterion.${criterion}`)}
            <NumberInput
              aria-label={t('set.pointsOf', { criterion: t(`craft:criterion.${criterion}`) })}
              value={rubric[criterion] ?? null}
              min={0}
              max={100}
              step={0.5}
              className="w-20!"
              onValue={(points) => {
                const { [criterion]: _, ...others } = rubric;
                onChange(points === null ? others : { ...others, [criterion]: points });
              }}
            />
          </label>
        ))}
      </div>
    </fieldset>
  );
}
