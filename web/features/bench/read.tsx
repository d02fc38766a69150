import type { StudentExercise } from '@cimbel/contract';
import { COUNTERS } from '@cimbel/core/theory';
import { useTranslation } from 'react-i18next';
import { Choice } from '../../ui/field';
import { Sheet } from '../../ui/panel';
import { LevelRing } from './level-ring';
import type { Draft } from './use-draft';

export function Read({ exercise, draft }: { exercise: StudentExercise; draft: Draft }) {
  const { t } = useTranslation(['ui', 'craft']);
  const { answer, change } = draft;
  const { level } = exercise.facts.target;
  return (
    <div className="flex flex-col gap-5">
      <h2 className="text-2xl">{t('bench.read.title')}</h2>
      <div className="flex flex-col gap-2">
        <h3 className="text-lg">{t('bench.read.level')}</h3>
        <p className="text-quiet text-sm">{t('bench.read.levelHint')}</p>
        <LevelRing
          value={answer.naturalLevel}
          onChange={(naturalLevel) => change({ naturalLevel })}
          label={t('bench.read.level')}
        />
      </div>
      <Sheet className="flex flex-col gap-3">
        <h3 className="text-lg">{t('bench.read.pigment', { level })}</h3>
        <Choice
          label={t('bench.read.pigment', { level })}
          value={answer.underlay}
          onChange={(underlay) => change({ underlay })}
          options={exercise.underlayChoices.map((value) => ({ value, text: t(`craft:underlay.${value}`) }))}
        />
        <p className="text-quiet text-sm">{t('bench.read.school')}</p>
      </Sheet>
      <Sheet className="flex flex-col gap-3">
        <h3 className="text-lg">{t('bench.read.counter')}</h3>
        <Choice
          label={t('bench.read.counter')}
          value={answer.counter}
          onChange={(counter) => change({ counter })}
          options={(['keep', ...COUNTERS] as const).map((value) => ({
            value,
            text: t(`craft:counter.${value}`),
          }))}
        />
      </Sheet>
    </div>
  );
}
