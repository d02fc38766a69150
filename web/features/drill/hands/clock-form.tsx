import type { Term } from '@cimbel/core/drill';
import { X } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Button } from '../../../ui/button';
import { termWords } from '../words';
import { ClockStrands } from './clock-strands';
import '../../../lib/words/reading';

/** Minutes from one figure under the clock to the next. */
const TICK = 10;

export interface Clocked {
  starts: number[];
  checks: number[];
  rinse: number;
}

/** One clock for all zones: where each begins, when a strand is looked at, when all of it is rinsed. */
export function ClockForm({
  zones,
  needs,
  most,
  value,
  onChange,
  closed,
}: {
  zones: readonly Term[];
  /** Minutes each zone needs; null where it is done in words, without strands. */
  needs: readonly number[] | null;
  most: number;
  value: Clocked;
  onChange: (value: Clocked) => void;
  closed: boolean;
}) {
  const { t } = useTranslation(['ui', 'drill']);
  const [look, setLook] = useState(10);
  /** Zones wiped at the minute that the clock shows. */
  const [wiped, setWiped] = useState<number[]>([]);
  const { starts, checks, rinse } = value;
  const names = zones.map((zone) => termWords(t, zone));
  const addLook = () => {
    if (!checks.includes(look)) onChange({ ...value, checks: [...checks, look].sort((a, b) => a - b) });
  };
  const share = (minute: number) => `${(minute / most) * 100}%`;
  const slider = (label: string, minute: number, set: (minute: number) => void) => (
    <label key={label} className="contents">
      <span>{label}</span>
      <input
        type="range"
        className="accent-ink h-11"
        min={0}
        max={most}
        step={1}
        disabled={closed}
        value={minute}
        aria-valuetext={t('reading.hands.minute', { minute })}
        onChange={({ target }) => set(Number(target.value))}
      />
      <output className="w-12 text-end font-semibold">{minute}</output>
    </label>
  );
  return (
    <div className="flex max-w-xl flex-col gap-3">
      <div aria-hidden className="border-line relative flex flex-col gap-1 border-y py-2">
        {names.map((name, i) => (
          <div key={name} className="bg-sheet relative h-6">
            <div
              className="bg-surround text-on-surround absolute inset-y-0 overflow-hidden px-1 text-xs leading-6 whitespace-nowrap"
              style={{ insetInlineStart: share(starts[i]), width: share(Math.max(0, rinse - starts[i])) }}
            >
              {name}
            </div>
          </div>
        ))}
        <div className="relative h-4 text-xs">
          {Array.from({ length: Math.floor(most / TICK) + 1 }, (_, i) => (
            <span key={i} className="absolute" style={{ insetInlineStart: share(i * TICK) }}>
              {i * TICK}
            </span>
          ))}
        </div>
        {checks.map((minute) => (
          <span
            key={minute}
            className="bg-ink absolute inset-y-1 w-0.5"
            style={{ insetInlineStart: share(minute) }}
          />
        ))}
      </div>
      <div className="grid grid-cols-[auto_1fr_auto] items-center gap-x-3">
        {names.map((name, i) =>
          slider(t('reading.hands.begin', { zone: name }), starts[i], (minute) =>
            onChange({ ...value, starts: starts.map((own, j) => (j === i ? minute : own)) }),
          ),
        )}
        {slider(t('reading.hands.rinse'), rinse, (minute) => onChange({ ...value, rinse: minute }))}
        {slider(t('reading.hands.lookAt'), look, (minute) => {
          setWiped([]);
          setLook(minute);
        })}
      </div>
      {needs ? (
        <ClockStrands
          zones={zones}
          needs={needs}
          starts={starts}
          rinse={rinse}
          minute={look}
          wiped={wiped}
          onWipe={(zone) => {
            setWiped([...wiped, zone]);
            // Whoever wipes a strand has looked.
            addLook();
          }}
        />
      ) : null}
      <div className="flex flex-wrap items-center gap-2">
        <Button disabled={closed || checks.includes(look)} onClick={addLook}>
          {t('reading.hands.addLook', { minute: look })}
        </Button>
        {checks.length === 0 ? (
          <span className="text-quiet text-sm">{t('reading.hands.noLooks')}</span>
        ) : null}
        {checks.map((minute) => (
          <button
            key={minute}
            type="button"
            disabled={closed}
            aria-label={t('reading.hands.removeLook', { minute })}
            className="border-strong-line bg-raised inline-flex min-h-11 items-center gap-1 rounded-sm border px-3"
            onClick={() => onChange({ ...value, checks: checks.filter((own) => own !== minute) })}
          >
            {minute}
            <X aria-hidden className="size-4" />
          </button>
        ))}
      </div>
    </div>
  );
}
