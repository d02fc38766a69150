import { TONE_FAMILIES } from '@cimbel/core/colour';
import {
  CHEMICAL_SERVICES,
  DIRECT_DYES,
  HISTORY_KINDS,
  TREATMENTS,
  YELLOWS,
  type HistoryLayer,
  type Yellow,
} from '@cimbel/core/hair';
import { Plus, Trash2 } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { Button } from '../../ui/button';
import { HALF_LEVELS, PickRow, TENTHS } from './rows';
import '../../lib/words/craft';
import '../../lib/words/lab';

type Kind = HistoryLayer['kind'];
const TIMES = [1, 2, 3, 4, 6, 8];
const WEEKS_AGO = [0, 1, 2, 4, 6, 8, 12, 26, 52];
const YELLOW_NAMES = Object.keys(YELLOWS) as Yellow[];

/** A layer of a kind as it is when it is first chosen. */
function fresh(kind: Kind): HistoryLayer {
  switch (kind) {
    case 'lightened':
      return { kind, level: 8 };
    case 'direct':
      return { kind, dye: 'directPink' };
    case 'treated':
      return { kind, treatment: 'bond' };
    case 'chemical':
      return { kind, service: 'perm', weeksAgo: 6 };
    case 'mineral':
      return { kind, amount: 0.5 };
    default:
      return { kind, level: kind === 'permanent' ? 5 : 8, tone: { primary: 'neutral' } };
  }
}

function LayerFields({ layer, onChange }: { layer: HistoryLayer; onChange: (layer: HistoryLayer) => void }) {
  const { t } = useTranslation(['ui', 'craft']);
  const percent = (share: number) => t('lab.percent', { share });
  const fading = (of: Extract<HistoryLayer, { faded?: number }>) => (
    <>
      <PickRow
        label={t('lab.faded')}
        value={of.faded ?? 0}
        options={TENTHS}
        text={percent}
        onPick={(faded) => onChange({ ...of, faded })}
      />
      <PickRow
        label={t('lab.held')}
        value={of.held ?? 0}
        options={TENTHS}
        text={percent}
        onPick={(held) => onChange({ ...of, held })}
      />
    </>
  );
  switch (layer.kind) {
    case 'lightened':
      return (
        <>
          <PickRow
            label={t('lab.level')}
            value={layer.level}
            options={[...HALF_LEVELS, 10.5, 11]}
            onPick={(level) => onChange({ ...layer, level })}
          />
          <PickRow
            label={t('lab.yellow')}
            value={layer.yellow ?? 'usual'}
            options={YELLOW_NAMES}
            text={(yellow) => t(`craft:yellow.${yellow}`)}
            onPick={(yellow) => onChange({ ...layer, yellow })}
          />
        </>
      );
    case 'treated':
      return (
        <PickRow
          label={t('lab.treatment')}
          value={layer.treatment}
          options={TREATMENTS}
          text={(treatment) => t(`craft:treatment.${treatment}`)}
          onPick={(treatment) => onChange({ ...layer, treatment })}
        />
      );
    case 'chemical':
      return (
        <>
          <PickRow
            label={t('lab.chemical')}
            value={layer.service}
            options={CHEMICAL_SERVICES}
            text={(service) => t(`craft:chemical.${service}`)}
            onPick={(service) => onChange({ ...layer, service })}
          />
          <PickRow
            label={t('lab.weeksAgo')}
            value={layer.weeksAgo}
            options={WEEKS_AGO}
            onPick={(weeksAgo) => onChange({ ...layer, weeksAgo })}
          />
        </>
      );
    case 'mineral':
      return (
        <PickRow
          label={t('lab.minerals')}
          value={layer.amount}
          options={TENTHS.filter((tenth) => tenth > 0)}
          text={percent}
          onPick={(amount) => onChange({ ...layer, amount })}
        />
      );
    case 'direct':
      return (
        <>
          <PickRow
            label={t('lab.vivid')}
            value={layer.dye}
            options={DIRECT_DYES}
            text={(dye) => t(`craft:vivid.${dye}`)}
            onPick={(dye) => onChange({ ...layer, dye })}
          />
          {fading(layer)}
        </>
      );
    default:
      return (
        <>
          <PickRow
            label={t('lab.level')}
            value={layer.level}
            options={HALF_LEVELS}
            onPick={(level) => onChange({ ...layer, level })}
          />
          <PickRow
            label={t('lab.tone')}
            value={layer.tone.primary}
            options={TONE_FAMILIES}
            text={(tone) => t(`craft:tone.${tone}`)}
            onPick={(primary) => onChange({ ...layer, tone: { primary } })}
          />
          <PickRow
            label={t('lab.times')}
            value={layer.times ?? 1}
            options={TIMES}
            onPick={(times) => onChange({ ...layer, times })}
          />
          {fading(layer)}
        </>
      );
  }
}

/** What was done to the hair before, layer by layer, oldest first. */
export function PastFields({
  past,
  most,
  onChange: set,
}: {
  past: readonly HistoryLayer[];
  /** Layers that there may be. */
  most: number;
  onChange: (past: HistoryLayer[]) => void;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  return (
    <>
      {past.length === 0 ? <p className="text-quiet text-sm">{t('lab.noPast')}</p> : null}
      <ol className="flex flex-col gap-1">
        {past.map((layer, i) => (
          <li key={i} className="border-line flex flex-col gap-1 border-s-2 ps-2">
            <span className="flex items-end justify-between gap-1">
              <span className="grow">
                <PickRow
                  label={t('lab.pastLayer', { n: i + 1 })}
                  value={layer.kind}
                  options={HISTORY_KINDS}
                  text={(kind) => t(`craft:past.${kind}`)}
                  onPick={(kind) => set(past.map((layer, at) => (at === i ? fresh(kind) : layer)))}
                />
              </span>
              <button
                type="button"
                className="hover:bg-line grid size-8 place-items-center rounded-sm"
                aria-label={t('lab.removePast', { n: i + 1 })}
                onClick={() => set(past.filter((_, at) => at !== i))}
              >
                <Trash2 aria-hidden className="size-4" />
              </button>
            </span>
            <LayerFields
              layer={layer}
              onChange={(next) => set(past.map((layer, at) => (at === i ? next : layer)))}
            />
          </li>
        ))}
      </ol>
      {past.length < most ? (
        <Button
          className="px-2 text-sm"
          icon={<Plus aria-hidden className="size-4" />}
          onClick={() => set([...past, fresh(past.length === 0 ? 'permanent' : 'demi')])}
        >
          {t('lab.addPast')}
        </Button>
      ) : null}
    </>
  );
}
