import { SHAMPOOS, WATERS, type Habits } from '@cimbel/core/process';
import { useTranslation } from 'react-i18next';
import { HairGroup, PickRow, TickRow } from '../hair/rows';
import '../../lib/words/craft';
import '../../lib/words/lab';

const WASHES = [0, 1, 2, 3, 4, 5, 6, 7];
const TIMES = [0, 0.5, 1, 2, 3];

/** How hair is treated in the weeks after a service. */
export function HabitFields({ habits, onChange }: { habits: Habits; onChange: (habits: Habits) => void }) {
  const { t } = useTranslation(['ui', 'craft']);
  const set = (part: Partial<Habits>) => onChange({ ...habits, ...part });
  return (
    <HairGroup legend={t('lab.habits')}>
      <PickRow
        label={t('lab.washes')}
        value={habits.washes}
        options={WASHES}
        onPick={(washes) => set({ washes })}
      />
      <PickRow
        label={t('lab.water')}
        value={habits.water}
        options={WATERS}
        text={(water) => t(`craft:water.${water}`)}
        onPick={(water) => set({ water })}
      />
      <PickRow
        label={t('lab.shampoo')}
        value={habits.shampoo}
        options={SHAMPOOS}
        text={(shampoo) => t(`craft:shampoo.${shampoo}`)}
        onPick={(shampoo) => set({ shampoo })}
      />
      {(['clarifying', 'violet', 'blue', 'pool'] as const).map((name) => (
        <PickRow
          key={name}
          label={t(`lab.${name}`)}
          value={habits[name]}
          options={TIMES}
          onPick={(times) => set({ [name]: times })}
        />
      ))}
      <TickRow label={t('lab.sun')} value={habits.sun} onTick={(sun) => set({ sun })} />
    </HairGroup>
  );
}
