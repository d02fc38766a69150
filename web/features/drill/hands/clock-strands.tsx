import { CLOCK_HEAD, lookOnClock, type Term } from '@cimbel/core/drill';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { Button } from '../../../ui/button';
import { HairPicture } from '../../../ui/hair-picture';
import { termWords } from '../words';
import '../../../lib/words/reading';

const SIZE = { width: 72, height: 132 };

/** Minutes each zone needs, as the question says. */
export const needsOf = (zones: readonly Term[], facts: readonly Term[]): number[] =>
  zones.map(({ code }) => {
    const zone = code.split('.').at(-1);
    const fact = facts.find((term) => term.code === 'fact.zoneNeeds' && term.params.zone === zone);
    return Number(fact?.params.minutes ?? 0);
  });

/** The strands as they are at a minute of the clock: foam hides how far they are until one is wiped. */
export function ClockStrands({
  zones,
  needs,
  starts,
  rinse,
  minute,
  wiped,
  onWipe,
}: {
  zones: readonly Term[];
  needs: readonly number[];
  starts: readonly number[];
  rinse: number;
  minute: number;
  /** Zones that are wiped at this minute. */
  wiped: readonly number[];
  onWipe: (zone: number) => void;
}) {
  const { t } = useTranslation(['ui', 'drill']);
  const looks = useMemo(
    () =>
      zones.map((_, i) => {
        const lying = Math.min(minute, rinse) - starts[i];
        const covered = lying > 0 && minute < rinse && !wiped.includes(i);
        return { lying, covered, look: lookOnClock(lying, needs[i], 61 + i, covered) };
      }),
    [zones, needs, starts, rinse, minute, wiped],
  );
  return (
    <div className="flex flex-col gap-1">
      <p className="text-sm">{t('reading.hands.watchFor', { level: CLOCK_HEAD.to })}</p>
      <div className="bg-surround text-on-surround flex gap-3 rounded-sm p-2">
        {looks.map(({ lying, covered, look }, i) => {
          const name = termWords(t, zones[i]);
          const state = lying <= 0 ? 'notBegun' : covered ? 'covered' : minute >= rinse ? 'rinsed' : 'wiped';
          return (
            <figure key={name} className="flex min-w-0 flex-1 flex-col items-center gap-1">
              <HairPicture
                hair={{ look }}
                {...SIZE}
                label={t(`reading.hands.strand.${state}`, { zone: name, minute })}
              />
              <figcaption className="text-sm">{name}</figcaption>
              <Button
                disabled={!covered}
                aria-label={t('reading.hands.wipe', { zone: name })}
                onClick={() => onWipe(i)}
              >
                {t('reading.hands.wipeShort')}
              </Button>
            </figure>
          );
        })}
      </div>
    </div>
  );
}
