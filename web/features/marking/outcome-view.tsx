import type { Result } from '@cimbel/contract';
import { seedFrom } from '@cimbel/core';
import { answerOfKey, outcomeReasons, play, type Played } from '@cimbel/core/grade';
import type { TressLook } from '@cimbel/core/tress';
import { useDeferredValue, useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Sheet } from '../../ui/panel';
import { Tress } from '../../ui/tress';
import { ReasonList } from './reasons';

function Lock({ name, look, words }: { name: string; look: TressLook; words: string }) {
  return (
    <figure className="flex flex-col items-center">
      <Tress look={look} width={104} height={250} label={name} />
      <figcaption className="pb-2 text-center">
        <strong className="block">{name}</strong>
        <span className="text-sm">{words}</span>
      </figcaption>
    </figure>
  );
}

/**
 * The formula on the head it was made for, by the hair model: beside the wish, and beside the computed answer under the
 * same clock. It shows what a slip would have done; the marks do not come from it.
 */
export function OutcomeView({ result }: { result: Result }) {
  const { t } = useTranslation(['ui', 'craft']);
  const { kase, line, answer, key, looks } = result;
  const played = useMemo(
    () => ({ own: play(kase, line, answer), key: play(kase, line, answerOfKey(kase, key)) }),
    [kase, line, answer, key],
  );
  const last = Math.max(played.own?.minutes ?? 0, played.key?.minutes ?? 0);
  const [minute, setMinute] = useState(last);
  const shown = useDeferredValue(minute);
  const seed = seedFrom(result.exerciseId);
  const words = (one: Played) => {
    const { level, tone, away, greyShows } = one.at(shown);
    return t(greyShows ? 'outcome.readsWithGrey' : 'outcome.reads', {
      level: Math.round(level * 10) / 10,
      tone,
      away,
    });
  };
  const { own } = played;
  return (
    <Sheet className="flex flex-col gap-3">
      <h2 className="text-lg">{t('outcome.title')}</h2>
      <div className="bg-surround text-on-surround rounded-sm pt-2">
        <div className="flex flex-wrap justify-around gap-x-2 px-2">
          <Lock
            name={t('outcome.wanted')}
            look={looks.target}
            words={t('outcome.wish', { level: kase.target.level, tone: kase.target.tone.primary })}
          />
          {own ? <Lock name={t('outcome.own')} look={own.lookAt(shown, seed)} words={words(own)} /> : null}
          {played.key ? (
            <Lock name={t('outcome.key')} look={played.key.lookAt(shown, seed)} words={words(played.key)} />
          ) : null}
        </div>
        <label className="flex items-center gap-3 px-4 pb-3 font-semibold">
          {t('lab.minute')}
          <input
            type="range"
            className="accent-on-surround h-8 flex-1"
            min={0}
            max={last}
            step={1}
            value={minute}
            onChange={({ target }) => setMinute(Number(target.value))}
          />
          <output className="font-display w-10 text-end text-xl">{minute}</output>
        </label>
      </div>
      {own ? <ReasonList reasons={outcomeReasons(kase, own.at(own.minutes))} /> : <p>{t('outcome.open')}</p>}
      <p className="text-quiet text-sm">{t('outcome.note')}</p>
    </Sheet>
  );
}
