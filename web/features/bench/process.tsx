import type { ShownSimulation, StudentAssignment } from '@cimbel/contract';
import { timedBy, timesWhatIsGiven, type PlaceId, type RecordCard, type Step } from '@cimbel/core/card';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { asApiError } from '../../lib/api';
import { placeWord } from '../../lib/i18n';
import { NumberInput, Select, Tick } from '../../ui/field';
import { Empty, Notice, Sheet } from '../../ui/panel';
import { placesOf } from '../head/places';
import { ProcessClock, type usePacedClock } from './process-clock';
import { rinsedAt } from './schedule';
import { Timeline } from './timeline';
import type { DraftOf } from './use-draft';
import { useBowlWords } from './words';

const CHECKS = [2, 3, 5, 10, 20];
const MOST_MINUTES = 240;

/** One bowl on the hair, and its times; null while it has none. */
interface Row {
  key: string;
  bowl: string;
  zones: readonly PlaceId[];
  timing: Pick<Step, 'minutes' | 'warmth' | 'checkEvery'> | null;
  onTime: (timing: Pick<Step, 'minutes' | 'warmth' | 'checkEvery'>) => void;
}

/** What is on, by the student's own steps, or by the applications that the exercise gives. */
function rowsOf(assignment: StudentAssignment, draft: DraftOf<RecordCard>): Row[] {
  const { answer: card, change } = draft;
  if (!timesWhatIsGiven(assignment.open))
    return card.steps.map((step, index) => ({
      key: String(index),
      bowl: step.bowl,
      zones: step.zones,
      timing: step,
      onTime: (timing) =>
        change({ steps: card.steps.map((one, i) => (i === index ? { ...one, ...timing } : one)) }),
    }));
  return assignment.applications.map((application, index) => {
    const [timed] = timedBy([{ ...application, after: [], wait: 0 }], card);
    const { after: _a, wait: _w, ...applied } = application;
    return {
      key: String(index),
      bowl: application.bowl,
      zones: application.zones,
      timing: timed ?? null,
      onTime: (timing) => {
        const others = card.steps.filter(
          (step) => timedBy([{ ...application, after: [], wait: 0 }], { steps: [step] }).length === 0,
        );
        change({ steps: [...others, { ...applied, start: 0, ...timing }] });
      },
    };
  });
}

function TimingRow({ row, name }: { row: Row; name: string }) {
  const { t } = useTranslation(['ui', 'craft']);
  const timing = row.timing ?? { minutes: 0, warmth: false, checkEvery: null };
  const zones = row.zones.map((zone) => placeWord(t, zone)).join(', ');
  const label = t('bench.process.of', { bowl: row.bowl, zones });
  return (
    <li className="border-line flex flex-wrap items-center gap-x-5 gap-y-2 border-b py-2 last:border-b-0">
      <span className="min-w-48 flex-1">
        <strong>{t('service.bowlName', { name: row.bowl })}</strong>{' '}
        <span className="first-letter:uppercase">{zones}</span>
        <span className="text-quiet block text-sm">{name}</span>
      </span>
      <label className="flex items-center gap-2 font-semibold">
        {t('service.lies')}
        <NumberInput
          aria-label={`${t('service.lies')}: ${label}`}
          value={row.timing ? timing.minutes : null}
          min={1}
          max={MOST_MINUTES}
          step={1}
          className="w-20!"
          unit="min"
          onValue={(minutes) => {
            if (minutes !== null)
              row.onTime({ ...timing, minutes: Math.min(MOST_MINUTES, Math.max(1, Math.round(minutes))) });
          }}
        />
      </label>
      <label className="flex items-center gap-2">
        {t('service.checkEvery')}
        <span className="w-32">
          <Select
            aria-label={`${t('service.checkEvery')}: ${label}`}
            disabled={!row.timing}
            value={timing.checkEvery === null ? '' : String(timing.checkEvery)}
            onChange={({ target }) =>
              row.onTime({ ...timing, checkEvery: target.value === '' ? null : Number(target.value) })
            }
          >
            <option value="">{t('service.noCheck')}</option>
            {CHECKS.map((minutes) => (
              <option key={minutes} value={minutes}>
                {t('service.every', { minutes })}
              </option>
            ))}
          </Select>
        </span>
      </label>
      <Tick
        label={t('service.warmth')}
        on={timing.warmth}
        onChange={(warmth) => (row.timing ? row.onTime({ ...timing, warmth }) : undefined)}
      />
    </li>
  );
}

/** How long each bowl works, how often it is looked at, and the clock that shows what it does. */
export function Process({
  assignment,
  draft,
  shown,
  error,
  control,
  wiped,
  onWipe,
}: {
  assignment: StudentAssignment;
  draft: DraftOf<RecordCard>;
  shown: ShownSimulation | undefined;
  error: unknown;
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
  const failed = error ? asApiError(error) : null;
  const nameOf = (name: string) => {
    const bowl = card.bowls.find((one) => one.name === name);
    return bowl ? bowlWords(bowl, assignment.lines) : t('service.noSuchBowl', { name });
  };
  return (
    <div className="flex flex-col gap-4">
      <h2 className="text-2xl">{t('bench.process.title')}</h2>
      {rows.length === 0 ? <Empty>{t('service.noSteps')}</Empty> : null}
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
            onMove={(index, step) =>
              change({ steps: card.steps.map((one, i) => (i === index ? step : one)) })
            }
          />
          <p className="text-quiet text-sm">{t('service.timelineHint')}</p>
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
      {failed ? (
        <Notice kind="warn">
          {failed.offline
            ? t('service.playOffline')
            : (failed.fields[0]?.message ?? t(`error.${failed.code}`))}
        </Notice>
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
