import type { StudentExercise } from '@cimbel/contract';
import { useTranslation } from 'react-i18next';
import { Field, NumberInput } from '../../ui/field';
import { Sheet } from '../../ui/panel';
import type { Draft } from './use-draft';

export function Process({ exercise, draft }: { exercise: StudentExercise; draft: Draft }) {
  const { t } = useTranslation(['ui', 'craft']);
  const { line, houseRules } = exercise;
  return (
    <div className="flex flex-col gap-5">
      <h2 className="text-2xl">{t('bench.process.title')}</h2>
      <div className="grid gap-5 lg:grid-cols-2">
        <Sheet className="flex flex-col gap-3">
          <Field
            label={t('bench.process.minutes')}
            hint={t('bench.process.timer', { start: houseRules.timerStarts })}
          >
            <NumberInput
              aria-label={t('bench.process.minutes')}
              value={draft.answer.minutes}
              min={1}
              max={240}
              step={1}
              unit="min"
              onValue={(minutes) => draft.change({ minutes })}
            />
          </Field>
        </Sheet>
        <Sheet className="flex flex-col gap-1">
          <h3 className="text-lg">{t('bench.process.times', { line: line.name })}</h3>
          <p>{t('bench.process.standard', { minutes: line.minutes.standard })}</p>
          <p>{t('bench.process.grey', { minutes: line.minutes.grey })}</p>
          <p>{t('bench.process.active', { minutes: line.activeMinutes })}</p>
        </Sheet>
      </div>
      <p className="text-quiet text-sm">{t('craft:caution.openBowl')}</p>
    </div>
  );
}
