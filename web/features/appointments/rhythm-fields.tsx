import type { ClientRhythm } from '@cimbel/core/appointments';
import { GROWTH_RATES, MOST_WEEKS } from '@cimbel/core/simulate';
import { useTranslation } from 'react-i18next';
import { Field, NumberInput } from '../../ui/field';
import { HabitFields } from '../lab/habit-fields';
import '../../lib/words/appointments';

/** What a plan of appointments is asked with. */
export interface PlanWish {
  rhythm: ClientRhythm;
  /** How far ahead, weeks. */
  weeks: number;
}

const within = (value: number, least: number, most: number) => Math.min(most, Math.max(least, value));

/** How often a client comes, how fast the hair grows, what may be spent, and how it is treated at home. */
export function RhythmFields({
  wish: { rhythm, weeks },
  currency,
  onChange,
}: {
  wish: PlanWish;
  currency: string;
  onChange: (wish: PlanWish) => void;
}) {
  const { t } = useTranslation('appointments');
  const set = (part: Partial<ClientRhythm>) => onChange({ rhythm: { ...rhythm, ...part }, weeks });
  return (
    <div className="flex flex-col gap-3">
      <div className="flex flex-wrap gap-x-6 gap-y-3">
        <Field label={t('client.every')}>
          <NumberInput
            value={rhythm.everyWeeks}
            min={1}
            max={MOST_WEEKS}
            className="w-20!"
            unit={t('client.weeks')}
            onValue={(value) =>
              value !== null && set({ everyWeeks: within(Math.round(value), 1, MOST_WEEKS) })
            }
          />
        </Field>
        <Field label={t('client.growth')}>
          <NumberInput
            value={rhythm.growthCm}
            min={GROWTH_RATES.least}
            max={GROWTH_RATES.most}
            step={0.05}
            className="w-20!"
            unit={t('client.cm')}
            onValue={(value) =>
              value !== null && set({ growthCm: within(value, GROWTH_RATES.least, GROWTH_RATES.most) })
            }
          />
        </Field>
        <Field label={t('client.purse')} hint={t('client.noLimit')}>
          <NumberInput
            value={rhythm.purseAYear}
            min={0}
            step={50}
            className="w-24!"
            unit={currency}
            onValue={(purseAYear) => set({ purseAYear })}
          />
        </Field>
        <Field label={t('client.ahead')}>
          <NumberInput
            value={weeks}
            min={1}
            max={MOST_WEEKS}
            step={4}
            className="w-20!"
            unit={t('client.weeks')}
            onValue={(value) =>
              value !== null && onChange({ rhythm, weeks: within(Math.round(value), 1, MOST_WEEKS) })
            }
          />
        </Field>
      </div>
      <HabitFields habits={rhythm.habits} onChange={(habits) => set({ habits })} />
    </div>
  );
}
