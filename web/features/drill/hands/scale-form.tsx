import type { Term } from '@cimbel/core/drill';
import { useState } from 'react';
import { figure } from '../../../lib/i18n';
import { useTranslation } from 'react-i18next';
import { Button } from '../../../ui/button';
import { NumberInput } from '../../../ui/field';
import { usePouring } from '../../bench/use-pouring';
import { termWords } from '../words';
import { BowlPicture } from './bowl-picture';
import '../../../lib/words/reading';
import '../../../lib/words/bench';

/** A drop of corrector, in grams. */
const DROP = 0.2;
const isDropped = ({ code }: Term) => code === 'thing.corrector';
const tenth = (grams: number) => Math.round(grams * 10) / 10;

/**
 * Several things poured into one bowl on a running scale. What is over cannot be taken back; the bowl can be emptied and
 * begun again. In words each is a figure to be written.
 */
export function ScaleForm({
  things,
  inWords,
  closed,
  grams,
  onGrams,
}: {
  things: readonly Term[];
  inWords: boolean;
  closed: boolean;
  grams: readonly number[];
  onGrams: (grams: number[]) => void;
}) {
  const { t } = useTranslation(['ui', 'drill']);
  const [which, setWhich] = useState(0);
  const add = (to: number, more: number) =>
    onGrams(grams.map((own, i) => (i === to ? tenth(own + more) : own)));
  const pouring = usePouring((poured) => add(which, poured));
  const [tared, setTared] = useState(0);
  const names = things.map((thing) => termWords(t, thing));
  if (inWords)
    return (
      <div className="flex flex-col gap-2">
        {names.map((name, i) => (
          <label key={name} className="flex items-center gap-3">
            <span className="min-w-32">{name}</span>
            <NumberInput
              value={grams[i] || null}
              unit={t('drill:unit.grams')}
              disabled={closed}
              step={0.1}
              onValue={(value) => onGrams(grams.map((own, j) => (j === i ? (value ?? 0) : own)))}
            />
          </label>
        ))}
      </div>
    );
  const total = tenth(grams.reduce((a, b) => a + b, 0) + pouring.grams);
  const empty = () => {
    pouring.reset();
    setTared(0);
    onGrams(grams.map(() => 0));
  };
  return (
    <div className="flex max-w-md flex-col gap-2">
      <div className="bg-surround text-on-surround flex justify-center rounded-sm pt-2">
        <BowlPicture
          grams={total}
          shows={figure(total - tared, undefined, 1)}
          unit={t('drill:unit.grams')}
          label={t('bench.scale.shows')}
        />
      </div>
      <p className="text-quiet text-sm">{t('reading.hands.scaleHint')}</p>
      <div className="grid grid-cols-2 gap-2">
        {names.map((name, i) =>
          isDropped(things[i]) ? (
            <Button key={name} disabled={closed} className="min-h-16" onClick={() => add(i, DROP)}>
              {t('reading.hands.drop', { thing: name })}
            </Button>
          ) : (
            <button
              key={name}
              type="button"
              disabled={closed}
              className="bg-surround text-on-surround border-on-surround min-h-16 touch-none rounded-sm border-2 px-2 text-lg font-semibold select-none active:brightness-90"
              {...pouring.handlers(() => {
                // What still drips belongs to what was held before.
                if (pouring.grams > 0) add(which, pouring.grams);
                pouring.reset();
                setWhich(i);
              })}
            >
              {name}
            </button>
          ),
        )}
        <Button onClick={() => setTared(total)} disabled={closed}>
          {t('bench.scale.tare')}
        </Button>
        <Button onClick={empty} disabled={closed}>
          {t('bench.scale.empty')}
        </Button>
      </div>
    </div>
  );
}
