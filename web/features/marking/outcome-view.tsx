import { complete } from '@cimbel/core/card';
import type { Result } from '@cimbel/contract';
import { seedFrom } from '@cimbel/core';
import { partName, nowLooks, wishLooks } from '@cimbel/core/case';
import { visibleRegions } from '@cimbel/core/exercise';
import { USUAL_HABITS } from '@cimbel/core/process';
import {
  LAB_WEEKS,
  headAfterWeeks,
  looksLater,
  outcomesLater,
  simulateCard,
  type PartOutcome,
  type SimulatedCard,
} from '@cimbel/core/simulate';
import type { TressLook } from '@cimbel/core/draw';
import { Pause, Play } from 'lucide-react';
import { useDeferredValue, useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { capital, placeWord } from '../../lib/i18n';
import { useClock } from '../../lib/use-clock';
import { MinuteSlider, TimeSlider } from '../../ui/minute-slider';
import { Sheet } from '../../ui/panel';
import { Choice } from '../../ui/choice';
import { Tress } from '../../ui/tress';
import { HeadSheet } from '../head/head-sheet';
import { headLook } from '../head/places';
import '../../lib/words/craft';
import '../../lib/words/bench';
import '../../lib/words/lab';

function Lock({ name, look }: { name: string; look: TressLook }) {
  return (
    <figure className="flex min-w-0 flex-1 flex-col items-center">
      <Tress look={look} width={96} height={250} label={name} />
      <figcaption className="pb-2 text-center font-semibold max-sm:text-sm">{name}</figcaption>
    </figure>
  );
}

const SECONDS_A_MINUTE = 0.09;

/** The handed-in plan on the head, beside the computed one and the wish, under one clock: what each would have done. */
export function OutcomeView({
  result,
}: {
  result: Pick<Result, 'assignmentId' | 'clientCase' | 'lines' | 'answer' | 'modelAnswer'>;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const { clientCase, lines, answer, modelAnswer, assignmentId } = result;
  const played = useMemo(() => {
    const lineOf = (id: string) => lines.find((line) => line.id === id);
    return {
      own: simulateCard(clientCase, complete(answer), lineOf),
      best: simulateCard(clientCase, complete(modelAnswer.card), lineOf),
    };
  }, [clientCase, lines, answer, modelAnswer]);
  const last = Math.max(played.own.minutes, played.best.minutes);
  const { clock, setClock } = useClock(last, SECONDS_A_MINUTE);
  const { running } = clock;
  const minute = Math.min(last, clock.minute ?? last);
  const shown = useDeferredValue(minute);
  const seed = seedFrom(assignmentId);
  const words = ({ level, tone, deltaE, condition, greyShows }: PartOutcome) =>
    t(greyShows ? 'bench.outcomeWordsWithGrey' : 'bench.outcomeWords', {
      level: Math.round(level * 10) / 10,
      tone,
      deltaE,
      condition,
    });
  const [weeksOn, setWeeksOn] = useState(0);
  const weeks = useDeferredValue(weeksOn);
  // Weeks go on from the end of the service.
  const later = (plan: SimulatedCard) =>
    weeks === 0 ? null : headAfterWeeks(clientCase, plan.outcomeAt(plan.minutes), weeks, USUAL_HABITS);
  const [ownLater, bestLater] = [later(played.own), later(played.best)];
  const [own, best] = [
    ownLater ? outcomesLater(clientCase, ownLater) : played.own.outcomeAt(shown),
    bestLater ? outcomesLater(clientCase, bestLater) : played.best.outcomeAt(shown),
  ];
  // The strand of one region at a time; the table below has them all.
  const [at, setAt] = useState(0);
  const regions = visibleRegions(clientCase.head);
  const heads = [
    {
      name: t('outcome.wanted'),
      looks: wishLooks(clientCase, nowLooks(clientCase, 'daylight', seed + 1)),
      areas: [],
    },
    {
      name: t('bench.yours'),
      looks: ownLater
        ? looksLater(clientCase, ownLater, 'daylight', seed)
        : played.own.looksAt(shown, 'daylight', seed),
      areas: ownLater ? [] : played.own.areaStrandsAt(shown, 'daylight', seed),
    },
    {
      name: t('outcome.key'),
      looks: bestLater
        ? looksLater(clientCase, bestLater, 'daylight', seed)
        : played.best.looksAt(shown, 'daylight', seed),
      areas: bestLater ? [] : played.best.areaStrandsAt(shown, 'daylight', seed),
    },
  ];
  return (
    <Sheet className="flex flex-col gap-3">
      <h2 className="text-lg">{t('outcome.title')}</h2>
      {regions.length > 1 ? (
        <Choice
          label={t('head.regions')}
          value={String(at)}
          options={regions.map(({ name }, i) => ({
            value: String(i),
            text: capital(t(`craft:region.${name}`)),
          }))}
          onChange={(value) => setAt(Number(value))}
        />
      ) : null}
      <div className="bg-surround text-on-surround rounded-sm pt-2">
        <div className="flex justify-around gap-x-2 px-2">
          {heads.map(({ name, looks }) => (
            <Lock key={name} name={name} look={looks[at] ?? looks[0]} />
          ))}
        </div>
        {regions.length > 1 || heads.some(({ areas }) => areas.length > 0) ? (
          <div className="grid gap-1 px-2 pb-2 lg:grid-cols-3">
            {heads.map(({ name, looks, areas }) => (
              <HeadSheet
                key={name}
                look={headLook(
                  regions,
                  looks.map((look) => ({ look })),
                  areas,
                )}
                label={t('head.sheetOf', { name })}
                chosen={regions.length > 1 ? regions[at].areas : []}
                onArea={(area) => setAt(regions.findIndex(({ areas }) => areas.includes(area)))}
              />
            ))}
          </div>
        ) : null}
        {last > 0 ? (
          <div className="flex flex-wrap items-center gap-3 px-4 pb-3">
            <button
              type="button"
              aria-label={t(running ? 'bench.pause' : 'bench.run')}
              className="border-on-surround inline-flex size-10 items-center justify-center rounded-sm border"
              onClick={() => {
                setWeeksOn(0);
                setClock({ minute: minute >= last ? 0 : minute, running: !running });
              }}
            >
              {running ? <Pause aria-hidden className="size-5" /> : <Play aria-hidden className="size-5" />}
            </button>
            <MinuteSlider
              dark
              minute={minute}
              last={last}
              onMinute={(to) => {
                setWeeksOn(0);
                setClock({ minute: to, running: false });
              }}
            />
            <TimeSlider
              dark
              label={t('lab.weeks')}
              value={weeksOn}
              last={LAB_WEEKS}
              onChange={(to) => {
                setClock({ minute: last, running: false });
                setWeeksOn(to);
              }}
            />
          </div>
        ) : null}
      </div>
      <table className="w-full text-sm">
        <caption className="sr-only">{t('outcome.title')}</caption>
        <thead>
          <tr className="text-quiet border-line border-b">
            <th scope="col" className="py-1 text-start font-normal">
              {t('bench.zone')}
            </th>
            <th scope="col" className="py-1 text-start font-normal">
              {t('bench.yours')}
            </th>
            <th scope="col" className="py-1 text-start font-normal">
              {t('outcome.key')}
            </th>
          </tr>
        </thead>
        <tbody>
          {own.map((part, i) => (
            <tr key={partName(part.part)} className="border-line border-b align-top last:border-b-0">
              <th scope="row" className="py-1 pe-2 text-start">
                <span className="first-letter:uppercase">{placeWord(t, part.part.zone)}</span>
                {part.part.woven ? ` (${t('bench.wovenShort')})` : ''}
              </th>
              <td className="py-1 pe-2">{words(part)}</td>
              <td className="py-1">{words(best[i])}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-quiet text-sm">
        {t('bench.outcomeNote')}
        {ownLater ? ` ${t('outcome.weeks', { weeks, cm: ownLater.growth[0].lengthCm })}` : ''}
      </p>
    </Sheet>
  );
}
