import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { keep, readKept } from '../../lib/storage';
import { Button } from '../../ui/button';
import { Notice } from '../../ui/panel';
import { PageTitle } from '../../ui/page-title';
import '../../lib/words/reading';

const PLACE = 'cimbel.screenCheck';
const today = () => new Date().toISOString().slice(0, 10);

/** Whether this device's screen was looked at today, and whether a just-visible step was seen on it. */
export function screenCheckToday(): 'good' | 'poor' | 'open' {
  const kept = readKept<{ day: string; good: boolean }>(PLACE);
  if (kept?.day !== today()) return 'open';
  return kept.good ? 'good' : 'poor';
}

/** Grounds of three lightnesses with one patch a little lighter: about two L*, which a fair screen in fair light shows. */
const ROUNDS = [
  { ground: '#303030', odd: '#383838' },
  { ground: '#777777', odd: '#7e7e7e' },
  { ground: '#d2d2d2', odd: '#d8d8d8' },
] as const;
const PATCHES = 5;
const drawPlaces = () => ROUNDS.map(() => Math.floor(Math.random() * PATCHES));

/** Before the first reading of the day: brightness, surround, light, and a step that is just visible. */
export function ScreenCheck({ onDone }: { onDone: () => void }) {
  const { t } = useTranslation();
  const [places, setPlaces] = useState(drawPlaces);
  const [chosen, setChosen] = useState<(number | null)[]>(ROUNDS.map(() => null));
  const [missed, setMissed] = useState<number | null>(null);
  const all = chosen.every((place) => place !== null);
  const finish = (good: boolean) => {
    keep(PLACE, { day: today(), good });
    onDone();
  };
  const judge = () => {
    const wrong = chosen.filter((place, i) => place !== places[i]).length;
    if (wrong === 0) return finish(true);
    setMissed(wrong);
    setChosen(ROUNDS.map(() => null));
    setPlaces(drawPlaces());
  };
  return (
    <div className="mx-auto flex max-w-2xl flex-col gap-4 p-4 py-6">
      <PageTitle>{t('reading.check.title')}</PageTitle>
      <ol className="list-decimal space-y-1 ps-5">
        {(['brightness', 'night', 'light', 'surround'] as const).map((line) => (
          <li key={line}>{t(`reading.check.${line}`)}</li>
        ))}
      </ol>
      <h2 className="text-lg">{t('reading.check.find')}</h2>
      {ROUNDS.map(({ ground, odd }, round) => (
        <div
          key={ground}
          role="radiogroup"
          aria-label={t('reading.check.row', { row: round + 1 })}
          className="flex rounded-sm"
          style={{ background: ground }}
        >
          {Array.from({ length: PATCHES }, (_, place) => (
            <button
              key={place}
              type="button"
              role="radio"
              aria-checked={chosen[round] === place}
              aria-label={t('reading.check.patch', { patch: place + 1 })}
              onClick={() => setChosen((before) => before.map((was, i) => (i === round ? place : was)))}
              className="flex h-20 flex-1 items-center justify-center"
            >
              <span
                className={`size-14 rounded-full ${chosen[round] === place ? 'ring-accent ring-4' : ''}`}
                style={{ background: place === places[round] ? odd : ground }}
              />
            </button>
          ))}
        </div>
      ))}
      {missed !== null ? <Notice kind="warn">{t('reading.check.missed', { count: missed })}</Notice> : null}
      <div className="flex flex-wrap gap-3">
        <Button weight="main" disabled={!all} onClick={judge}>
          {t('reading.check.done')}
        </Button>
        <Button weight="quiet" onClick={() => finish(false)}>
          {t('reading.check.skip')}
        </Button>
      </div>
    </div>
  );
}
