import type { ShownSimulation, StudentAssignment } from '@cimbel/contract';
import type { PlaceId } from '@cimbel/core/hair';
import { type RecordCard, lastMinute } from '@cimbel/core/card';
import type { TressLook } from '@cimbel/core/draw';
import { Pause, Play, RotateCcw, TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { placeWord } from '../../lib/i18n';
import { useClock } from '../../lib/use-clock';
import { Button } from '../../ui/button';
import { Select } from '../../ui/field';
import { MinuteSlider } from '../../ui/minute-slider';
import { Notice, Sheet } from '../../ui/panel';
import { Tress } from '../../ui/tress';
import { placesOf } from '../head/places';
import '../../lib/words/craft';
import '../../lib/words/bench';

/** Seconds that a minute of the service takes on the clock. */
const PACES = [1, 0.5, 0.2] as const;

export const frameAt = (shown: ShownSimulation, minute: number) =>
  shown.frames.reduce((best, frame) => (frame.minute <= minute ? frame : best), shown.frames[0]);

/** A tress of each region under the clock: a product hides its zone until a strand is wiped. */
export function looksAt(
  shown: ShownSimulation,
  minute: number,
  { regions }: Pick<StudentAssignment, 'regions'>,
  wiped: readonly PlaceId[],
): TressLook[] {
  const frame = frameAt(shown, minute);
  return regions.map(({ zones }, at) => ({
    ...frame.strands[at],
    zones: frame.strands[at].zones.map((zone, i) => {
      const { zone: name } = zones[i];
      return wiped.includes(name) ? zone : { ...zone, under: frame.covered[name] };
    }),
  }));
}

/** The finished head, dried: level and tone are judged on dry hair. */
export const looksAtEnd = (
  shown: ShownSimulation,
  assignment: Pick<StudentAssignment, 'regions'>,
): TressLook[] => looksAt(shown, shown.minutes, assignment, []).map((look) => ({ ...look, wet: false }));

const swatch = (look: TressLook, at: number): TressLook => ({
  ...look,
  cut: 'swatch',
  zones: [{ ...look.zones[at], from: 0, to: 1 }],
});

/** The clock of the service, as fast as one likes. */
export function usePacedClock(last: number) {
  const [pace, setPace] = useState<number>(PACES[1]);
  return { ...useClock(last, pace), pace, setPace };
}

/** The clock of the service: let it run, wipe a strand, look, and rinse zone by zone or let it lie. */
export function ProcessClock({
  assignment,
  plan,
  shown,
  control,
  wiped,
  onWipe,
  onRinse,
}: {
  assignment: StudentAssignment;
  plan: RecordCard;
  shown: ShownSimulation;
  control: ReturnType<typeof usePacedClock>;
  wiped: readonly PlaceId[];
  onWipe: (zone: PlaceId | null) => void;
  onRinse: (zone: PlaceId, minute: number) => void;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const { clock, setClock, pace, setPace } = control;
  const last = lastMinute(plan);
  const minute = Math.min(clock.minute ?? 0, last);
  const frame = frameAt(shown, minute);
  const places = placesOf(assignment);
  const bare = looksAt(
    shown,
    minute,
    assignment,
    places.map(({ zone }) => zone),
  );
  const hidden = looksAt(shown, minute, assignment, []);
  const swatchesOf = (looks: readonly TressLook[]) =>
    looks.flatMap((look) => look.zones.map((_, i) => swatch(look, i)));
  const swatches = { bare: swatchesOf(bare), hidden: swatchesOf(hidden) };
  return (
    <Sheet className="flex flex-col gap-3">
      <div className="flex flex-wrap items-center gap-3">
        <h3 className="text-lg">{t('bench.clock')}</h3>
        <Button
          icon={
            clock.running ? <Pause aria-hidden className="size-5" /> : <Play aria-hidden className="size-5" />
          }
          onClick={() => setClock({ minute: minute >= last ? 0 : minute, running: !clock.running })}
        >
          {t(clock.running ? 'bench.pause' : 'bench.run')}
        </Button>
        <Button
          weight="quiet"
          icon={<RotateCcw aria-hidden className="size-4" />}
          onClick={() => setClock({ minute: 0, running: false })}
        >
          {t('bench.fromStart')}
        </Button>
        <label className="ms-auto flex items-center gap-2 text-sm">
          {t('bench.pace')}
          <span className="w-52">
            <Select value={String(pace)} onChange={({ target }) => setPace(Number(target.value))}>
              {PACES.map((seconds) => (
                <option key={seconds} value={seconds}>
                  {t('bench.paceOf', { seconds })}
                </option>
              ))}
            </Select>
          </span>
        </label>
      </div>
      <MinuteSlider minute={minute} last={last} onMinute={(to) => setClock({ minute: to, running: false })} />
      <ul className="grid gap-2 sm:grid-cols-2 xl:grid-cols-4">
        {places.map(({ zone }, i) => {
          const covered = frame.covered[zone];
          const open = !covered || wiped.includes(zone);
          const toldHair = frame.told?.[zone];
          return (
            <li key={zone} className="bg-surround text-on-surround flex flex-col gap-1 rounded-sm p-2">
              <strong className="first-letter:uppercase">{placeWord(t, zone)}</strong>
              <div className="flex items-center gap-2">
                <Tress
                  look={(open ? swatches.bare : swatches.hidden)[i]}
                  width={54}
                  height={54}
                  label={open ? t('bench.wipedLook', { zone }) : ''}
                />
                <span className="text-sm">
                  {t(covered ? 'bench.covered' : minute > 0 ? 'bench.free' : 'bench.before')}
                  {open && toldHair ? (
                    <strong className="block">
                      {t(toldHair.white ? 'bench.toldWithWhite' : 'bench.told', { ...toldHair })}
                    </strong>
                  ) : null}
                </span>
              </div>
              {covered ? (
                <div className="flex flex-wrap gap-1">
                  <button
                    type="button"
                    className="border-on-surround min-h-11 flex-1 rounded-sm border px-2 text-sm font-semibold hover:bg-white/25"
                    onClick={() => {
                      setClock({ minute, running: false });
                      onWipe(wiped.includes(zone) ? null : zone);
                    }}
                  >
                    {t(wiped.includes(zone) ? 'bench.coverAgain' : 'bench.wipe')}
                  </button>
                  <button
                    type="button"
                    disabled={minute === 0}
                    className="border-on-surround min-h-11 flex-1 rounded-sm border px-2 text-sm font-semibold hover:bg-white/25 disabled:opacity-50"
                    onClick={() => onRinse(zone, minute)}
                  >
                    {t('bench.rinse')}
                  </button>
                </div>
              ) : null}
              {frame.failing.includes(zone) ? (
                <p role="alert" className="flex items-start gap-1 text-sm font-bold">
                  <TriangleAlert aria-hidden className="size-5 shrink-0" />
                  {t('bench.failing')}
                </p>
              ) : null}
            </li>
          );
        })}
      </ul>
      {frame.failing.length > 0 ? <Notice kind="bad">{t('bench.stopAtOnce')}</Notice> : null}
      {shown.takenOff
        .filter((off) => off.minute <= minute)
        .map(({ bowl, zones, minute: at }) => (
          <p key={`${bowl} ${zones.join()} ${at}`} className="text-sm">
            {t('bench.takenOff', {
              bowl,
              places: zones.map((zone) => placeWord(t, zone)).join(', '),
              minute: at,
            })}
          </p>
        ))}
      <p className="text-quiet text-sm">{t('bench.clockNote')}</p>
    </Sheet>
  );
}
