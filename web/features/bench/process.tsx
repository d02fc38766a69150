import type { StudentAssignment } from '@cimbel/contract';
import { WATCHED_FOR, type RecordCard, type Application } from '@cimbel/core/card';
import { timedApplications, timesWhatIsGiven } from '@cimbel/core/exercise';
import type { PlaceId } from '@cimbel/core/hair';
import { LATE_HEAT_FROM } from '@cimbel/core/process';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { placeWord } from '../../lib/i18n';
import { NumberInput, Select, Tick } from '../../ui/field';
import { Empty, Sheet } from '../../ui/panel';
import { placesOf } from '../head/places';
import { PlayLine } from './play-line';
import { ProcessClock, type usePacedClock } from './process-clock';
import { rinsedAt } from './schedule';
import { Timeline } from './timeline';
import type { DraftOf } from './use-draft';
import type { Play } from './use-simulation';
import { useBowlWords } from './words';
import '../../lib/words/craft';
import '../../lib/words/bench';

const CHECKS = [2, 3, 5, 10, 20];
/** Levels that lightener is watched for. */
const UNTIL_LEVELS = [5, 6, 7, 8, 9, 9.5, 10];
const MOST_MINUTES = 240;
const MOST_CHECKS = 12;

type Timing = Pick<Application, 'minutes' | 'heat' | 'checkEvery' | 'checkAt' | 'watchedFor' | 'untilLevel'>;
/** As an option of the list of checks: at minutes of one's own. */
const AT_MINUTES = 'at';

/** One bowl on the hair, and its times; null while it has none. */
interface Row {
  key: string;
  bowl: string;
  zones: readonly PlaceId[];
  timing: Timing | null;
  onTime: (timing: Timing) => void;
}

/** What is on, by the student's own steps, or by the applications that the exercise gives. */
function rowsOf(assignment: StudentAssignment, draft: DraftOf<RecordCard>): Row[] {
  const { answer: card, change } = draft;
  if (!timesWhatIsGiven(assignment.open))
    return card.steps.map((application, index) => ({
      key: String(index),
      bowl: application.bowl,
      zones: application.zones,
      timing: application,
      onTime: (timing) =>
        change({
          steps: card.steps.map((application, i) =>
            i === index ? { ...application, ...timing } : application,
          ),
        }),
    }));
  return assignment.applications.map((application, index) => {
    const [timed] = timedApplications([{ ...application, after: [], wait: 0 }], card);
    const { after: _a, wait: _w, ...applied } = application;
    return {
      key: String(index),
      bowl: application.bowl,
      zones: application.zones,
      timing: timed ?? null,
      onTime: (timing) => {
        const others = card.steps.filter(
          (step) =>
            timedApplications([{ ...application, after: [], wait: 0 }], { steps: [step] }).length === 0,
        );
        change({ steps: [...others, { ...applied, start: 0, ...timing }] });
      },
    };
  });
}

/** Minutes of one's own, written as one says them: 5, 10, 15. What is no minute is left out when the field is left. */
function MinutesField({
  label,
  minutes,
  onMinutes,
}: {
  label: string;
  minutes: readonly number[];
  onMinutes: (minutes: number[]) => void;
}) {
  const { t } = useTranslation();
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <input
      aria-label={label}
      inputMode="numeric"
      placeholder={t('bench.minutesExample')}
      className="border-strong-line bg-raised min-h-10 w-36 rounded-sm border px-2 tabular-nums"
      value={typed ?? minutes.join(', ')}
      onChange={({ target }) => setTyped(target.value)}
      onBlur={() => {
        if (typed === null) return;
        const found = typed
          .split(/\D+/)
          .map(Number)
          .filter((value) => value >= 1 && value <= MOST_MINUTES);
        onMinutes([...new Set(found)].sort((a, b) => a - b).slice(0, MOST_CHECKS));
        setTyped(null);
      }}
    />
  );
}

/** From when to when heat is on, minutes of the step. */
function HeatFields({
  label,
  heat,
  last,
  onHeat,
}: {
  label: string;
  heat: NonNullable<Application['heat']>;
  last: number;
  onHeat: (heat: NonNullable<Application['heat']>) => void;
}) {
  const { t } = useTranslation();
  const field = (end: 'from' | 'to', least: number, most: number) => (
    <label className="flex items-center gap-1">
      {t(`bench.heatEnds.${end}`)}
      <NumberInput
        aria-label={`${t(`bench.heatEnds.${end}`)}: ${label}`}
        value={heat[end]}
        min={least}
        max={most}
        step={1}
        className="w-18!"
        onValue={(value) => {
          if (value !== null) onHeat({ ...heat, [end]: Math.min(most, Math.max(least, Math.round(value))) });
        }}
      />
    </label>
  );
  return (
    <span className="flex items-center gap-2">
      {field('from', 0, heat.to - 1)}
      {field('to', heat.from + 1, last)}
    </span>
  );
}

function TimingRow({ row, name }: { row: Row; name: string }) {
  const { t } = useTranslation(['ui', 'craft']);
  const timing: Timing = row.timing ?? { minutes: 0, heat: null, checkEvery: null };
  const isChecked = timing.checkEvery !== null || timing.checkAt !== undefined;
  const zones = row.zones.map((zone) => placeWord(t, zone)).join(', ');
  const label = t('bench.process.of', { bowl: row.bowl, zones });
  return (
    <li className="border-line flex flex-wrap items-center gap-x-5 gap-y-2 border-b py-2 last:border-b-0">
      <span className="min-w-48 flex-1">
        <strong>{t('bench.bowlName', { name: row.bowl })}</strong>{' '}
        <span className="first-letter:uppercase">{zones}</span>
        <span className="text-quiet block text-sm">{name}</span>
      </span>
      <label className="flex items-center gap-2 font-semibold">
        {t('bench.lies')}
        <NumberInput
          aria-label={`${t('bench.lies')}: ${label}`}
          value={row.timing ? timing.minutes : null}
          min={1}
          max={MOST_MINUTES}
          step={1}
          className="w-20!"
          unit={t('unit.min')}
          onValue={(minutes) => {
            if (minutes !== null)
              row.onTime({ ...timing, minutes: Math.min(MOST_MINUTES, Math.max(1, Math.round(minutes))) });
          }}
        />
      </label>
      <label className="flex items-center gap-2">
        {t('bench.checkEvery')}
        <span className="w-36">
          <Select
            aria-label={`${t('bench.checkEvery')}: ${label}`}
            disabled={!row.timing}
            value={timing.checkAt ? AT_MINUTES : timing.checkEvery === null ? '' : String(timing.checkEvery)}
            onChange={({ target }) =>
              row.onTime(
                target.value === AT_MINUTES
                  ? { ...timing, checkEvery: null, checkAt: [] }
                  : {
                      ...timing,
                      checkEvery: target.value === '' ? null : Number(target.value),
                      checkAt: undefined,
                      ...(target.value === '' ? { watchedFor: undefined, untilLevel: undefined } : {}),
                    },
              )
            }
          >
            <option value="">{t('bench.noCheck')}</option>
            {CHECKS.map((minutes) => (
              <option key={minutes} value={minutes}>
                {t('bench.every', { minutes })}
              </option>
            ))}
            <option value={AT_MINUTES}>{t('bench.atMinutes')}</option>
          </Select>
        </span>
      </label>
      {timing.checkAt ? (
        <MinutesField
          label={`${t('bench.atMinutes')}: ${label}`}
          minutes={timing.checkAt}
          onMinutes={(checkAt) => row.onTime({ ...timing, checkAt })}
        />
      ) : null}
      {isChecked ? (
        <label className="flex items-center gap-2">
          {t('bench.watchedFor')}
          <span className="w-40">
            <Select
              aria-label={`${t('bench.watchedFor')}: ${label}`}
              value={timing.watchedFor ?? ''}
              onChange={({ target }) =>
                row.onTime({
                  ...timing,
                  watchedFor: WATCHED_FOR.find((watchedFor) => watchedFor === target.value),
                  ...(target.value === 'level' ? {} : { untilLevel: undefined }),
                })
              }
            >
              <option value="">{t('answer.none')}</option>
              {WATCHED_FOR.map((sign) => (
                <option key={sign} value={sign}>
                  {t(`craft:watchedFor.${sign}`)}
                </option>
              ))}
            </Select>
          </span>
        </label>
      ) : null}
      {isChecked && timing.watchedFor === 'level' ? (
        <label className="flex items-center gap-2">
          {t('bench.untilLevel')}
          <span className="w-48">
            <Select
              aria-label={`${t('bench.untilLevel')}: ${label}`}
              value={timing.untilLevel === undefined ? '' : String(timing.untilLevel)}
              onChange={({ target }) =>
                row.onTime({
                  ...timing,
                  untilLevel: target.value === '' ? undefined : Number(target.value),
                })
              }
            >
              <option value="">{t('bench.untilWish')}</option>
              {UNTIL_LEVELS.map((level) => (
                <option key={level} value={level}>
                  {t('bench.untilLevelWords', { level })}
                </option>
              ))}
            </Select>
          </span>
        </label>
      ) : null}
      <Tick
        label={t('bench.heat')}
        on={timing.heat !== null}
        onChange={(on) =>
          row.timing
            ? row.onTime({
                ...timing,
                heat: on ? { from: 0, to: Math.min(LATE_HEAT_FROM, Math.max(1, timing.minutes)) } : null,
              })
            : undefined
        }
      />
      {timing.heat ? (
        <HeatFields
          label={label}
          heat={timing.heat}
          last={Math.max(1, timing.minutes)}
          onHeat={(heat) => row.onTime({ ...timing, heat })}
        />
      ) : null}
    </li>
  );
}

/** How long each bowl works, how often it is looked at, and the clock that shows what it does. */
export function Process({
  assignment,
  draft,
  play,
  control,
  wiped,
  onWipe,
}: {
  assignment: StudentAssignment;
  draft: DraftOf<RecordCard>;
  play: Play;
  control: ReturnType<typeof usePacedClock>;
  wiped: readonly PlaceId[];
  onWipe: (zone: PlaceId | null) => void;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const bowlWords = useBowlWords();
  const { answer: card, change } = draft;
  const [chosen, setChosen] = useState<number | null>(null);
  const rows = rowsOf(assignment, draft);
  const lines = assignment.lines.filter(({ id }) => card.bowls.some(({ lineId }) => lineId === id));
  const { shown } = play;
  const nameOf = (name: string) => {
    const bowl = card.bowls.find((bowl) => bowl.name === name);
    return bowl ? bowlWords(bowl, assignment.lines) : t('bench.noSuchBowl', { name });
  };
  return (
    <div className="flex flex-col gap-4">
      <h2 className="text-2xl">{t('bench.process.title')}</h2>
      {rows.length === 0 ? <Empty>{t('bench.noSteps')}</Empty> : null}
      {rows.length > 0 ? (
        <Sheet>
          <ul aria-label={t('bench.process.title')}>
            {rows.map((row) => (
              <TimingRow key={row.key} row={row} name={nameOf(row.bowl)} />
            ))}
          </ul>
        </Sheet>
      ) : null}
      {card.steps.length > 0 ? (
        <>
          <Timeline
            zones={placesOf(assignment).map(({ zone }) => zone)}
            steps={card.steps}
            chosen={chosen}
            minute={control.clock.minute}
            onChoose={setChosen}
            onMove={(index, application) =>
              change({ steps: card.steps.map((one, i) => (i === index ? application : one)) })
            }
          />
          <p className="text-quiet text-sm">{t('bench.timelineHint')}</p>
        </>
      ) : null}
      {lines.map((line) => (
        <p key={line.id} className="text-quiet text-sm">
          <strong>{t('bench.process.times', { line: line.name })}</strong>{' '}
          {t('bench.process.standard', { minutes: line.minutes.standard })}{' '}
          {t('bench.process.grey', { minutes: line.minutes.grey })}{' '}
          {t('bench.process.active', { minutes: line.activeMinutes })}
        </p>
      ))}
      {card.steps.length > 0 && (play.request || play.error) ? (
        <Sheet>
          <PlayLine play={play} />
        </Sheet>
      ) : null}
      {shown && card.steps.length > 0 ? (
        <ProcessClock
          assignment={assignment}
          plan={card}
          shown={shown}
          control={control}
          wiped={wiped}
          onWipe={onWipe}
          onRinse={(zone, minute) => {
            change({ steps: rinsedAt(card.steps, zone, minute) });
            onWipe(null);
          }}
        />
      ) : null}
    </div>
  );
}
