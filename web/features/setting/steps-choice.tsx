import type { TypicalError, Misconception } from '@cimbel/core/mark';
import { CARD_STEPS } from '@cimbel/core/exercise';
import { useTranslation } from 'react-i18next';
import { Choice } from '../../ui/choice';
import { Field, Select } from '../../ui/field';
import { CARD, QUOTE, SETS, setOf, type ExerciseForm } from './exercise-form';
import '../../lib/words/craft';
import '../../lib/words/bench';

/** How much of the service is worked: all, a few steps, or a card with a slip on it. */
export function StepsChoice({
  form,
  misses,
  settled,
  onChange: set,
}: {
  form: ExerciseForm;
  /** Slips that the case leaves room for. */
  misses: readonly TypicalError[];
  /** Whether the case has been computed, so that a slip without room is one. */
  settled: boolean;
  onChange: (part: Partial<ExerciseForm>) => void;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const { slip } = form;
  const miss = misses.find(({ misconception }) => misconception === slip);
  return (
    <>
      <Choice
        label={t('bench.steps')}
        value={setOf(form)}
        options={[...Object.keys(SETS), ...(misses.length > 0 ? [CARD] : [])].map((value) => ({
          value,
          text: t(`bench.sets.${value}`),
        }))}
        onChange={(name) =>
          set(
            name === CARD
              ? { open: [...CARD_STEPS], slip: misses[0].misconception, rubric: null }
              : {
                  open: SETS[name],
                  slip: null,
                  rubric: null,
                  // Who is to quote is asked for a price.
                  ...(name === QUOTE ? { clientCase: { ...form.clientCase, quote: true } } : {}),
                },
          )
        }
      />
      {slip ? (
        <Field
          label={t('bench.slipOnCard')}
          hint={t('bench.slipHint')}
          error={miss || !settled ? null : t('bench.noRoom')}
        >
          <Select
            value={miss ? slip : ''}
            onChange={({ target }) => set({ slip: target.value as Misconception, rubric: null })}
          >
            {miss ? null : <option value="">{t('answer.none')}</option>}
            {misses.map(({ misconception }) => (
              <option key={misconception} value={misconception}>
                {t(`craft:slip.${misconception}`)}
              </option>
            ))}
          </Select>
        </Field>
      ) : null}
    </>
  );
}
