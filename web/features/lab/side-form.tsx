import { DIAMETERS, POROSITIES, HAIR_FORMS } from '@cimbel/core/hair';
import { MOST_COATS, MOST_PAST, type LabCoat, type Side } from '@cimbel/core/simulate';
import { Plus, Trash2 } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { Button } from '../../ui/button';
import { CoatFields } from './coat-fields';
import { HabitFields } from './habit-fields';
import { PastFields } from '../hair/past-fields';
import { HairGroup, HALF_LEVELS, PickRow, TENTHS, TickRow } from '../hair/rows';
import '../../lib/words/craft';
import '../../lib/words/lab';

/** Minutes after the one before is rinsed that the next coat begins. */
const NEXT_AFTER = 5;

/** The coat that comes after another: the same mix, begun when that is rinsed. */
function next(coat: LabCoat): LabCoat {
  const at = Math.min(60, (coat.rinseAt ?? 0) + NEXT_AFTER);
  return { ...coat, starts: { root: at, mids: at, ends: at }, rinseAt: Math.min(120, at + 20), heat: 'none' };
}

/** Everything about one side, small and dense: the picture in the middle is what counts. */
export function SideForm({
  name,
  side,
  onChange,
}: {
  name: string;
  side: Side;
  onChange: (part: Partial<Side>) => void;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const craft = (list: string) => (value: string) => t(`craft:${list}.${value}`);
  const setCoat = (at: number) => (part: Partial<LabCoat>) =>
    onChange({ coats: side.coats.map((coat, i) => (i === at ? { ...coat, ...part } : coat)) });
  return (
    <section
      aria-label={t('lab.side', { side: name })}
      className="bg-sheet border-line flex flex-col gap-2 rounded-sm border p-3"
    >
      <h2 className="text-lg">{t('lab.side', { side: name })}</h2>
      <HairGroup legend={t('lab.hair')}>
        <PickRow
          label={t('lab.natural')}
          value={side.natural}
          options={HALF_LEVELS}
          onPick={(natural) => onChange({ natural })}
        />
        <PickRow
          label={t('lab.white')}
          value={side.white}
          options={TENTHS}
          text={(share) => t('lab.percent', { share })}
          onPick={(white) => onChange({ white })}
        />
        {side.white > 0 ? (
          <TickRow
            label={t('lab.resistant')}
            value={side.resistant}
            onTick={(resistant) => onChange({ resistant })}
          />
        ) : null}
        <PickRow
          label={t('lab.form')}
          value={side.form}
          options={HAIR_FORMS}
          text={craft('form')}
          onPick={(form) => onChange({ form })}
        />
        <PickRow
          label={t('lab.diameter')}
          value={side.diameter}
          options={DIAMETERS}
          text={craft('diameter')}
          onPick={(diameter) => onChange({ diameter })}
        />
        <PickRow
          label={t('lab.porosity')}
          value={side.porosity}
          options={POROSITIES}
          text={craft('porosity')}
          onPick={(porosity) => onChange({ porosity })}
        />
        <PickRow
          label={t('lab.endsPorosity')}
          value={side.endsPorosity}
          options={POROSITIES}
          text={craft('porosity')}
          onPick={(endsPorosity) => onChange({ endsPorosity })}
        />
      </HairGroup>
      <HairGroup legend={t('lab.history')}>
        <PastFields past={side.past} most={MOST_PAST} onChange={(past) => onChange({ past })} />
        {side.past.length > 0 ? (
          <TickRow
            label={t('lab.historyAtRoot')}
            value={side.pastAtRoot}
            onTick={(pastAtRoot) => onChange({ pastAtRoot })}
          />
        ) : null}
      </HairGroup>
      {side.coats.map((coat, i) => (
        <div key={i} className="flex flex-col gap-1">
          {side.coats.length > 1 ? (
            <h3 className="flex items-center justify-between text-base">
              {t('lab.coat', { n: i + 1 })}
              <button
                type="button"
                className="hover:bg-line grid size-8 place-items-center rounded-sm"
                aria-label={t('lab.removeCoat', { n: i + 1 })}
                onClick={() => onChange({ coats: side.coats.filter((_, at) => at !== i) })}
              >
                <Trash2 aria-hidden className="size-4" />
              </button>
            </h3>
          ) : null}
          <CoatFields coat={coat} onChange={setCoat(i)} />
        </div>
      ))}
      {side.coats.length < MOST_COATS ? (
        <Button
          className="px-2 text-sm"
          icon={<Plus aria-hidden className="size-4" />}
          onClick={() => onChange({ coats: [...side.coats, next(side.coats[side.coats.length - 1])] })}
        >
          {t('lab.addCoat')}
        </Button>
      ) : null}
      <HabitFields habits={side.habits} onChange={(habits) => onChange({ habits })} />
    </section>
  );
}
