import type { StudentAssignment } from '@cimbel/contract';
import { areasOf } from '@cimbel/core/hair';
import { lastMinute, type RecordCard, type Application } from '@cimbel/core/card';
import { AREA_ORDERS, WASHES } from '@cimbel/core/rules';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Button } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { Empty } from '../../ui/panel';
import { fittedOrder, headLook, placesOf } from '../head/places';
import type { DraftOf } from './use-draft';
import { CareForm } from './care-form';
import { newStep } from './schedule';
import { StepForm } from './step-form';
import { Timeline } from './timeline';
import '../../lib/words/craft';
import '../../lib/words/bench';

/** What goes where, in which order, and when it begins. */
export function Apply({
  assignment,
  draft,
  minute,
}: {
  assignment: StudentAssignment;
  draft: DraftOf<RecordCard>;
  /** Where the clock stands; null while it has not been started. */
  minute: number | null;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const { answer, change } = draft;
  const [chosen, setChosen] = useState<number | null>(answer.steps.length > 0 ? 0 : null);
  const zones = placesOf(assignment).map(({ zone }) => zone);
  const set = (index: number, application: Application) =>
    change({ steps: answer.steps.map((one, i) => (i === index ? application : one)) });
  const add = (bowl: string) => {
    const line = assignment.lines.find(
      ({ id }) => id === answer.bowls.find(({ name }) => name === bowl)?.lineId,
    );
    const untouched = zones.filter(
      (zone) => !answer.steps.some((application) => application.zones.includes(zone)),
    );
    const first = [untouched[0] ?? zones[0]];
    const areas = fittedOrder(AREA_ORDERS.napeUp, areasOf(assignment.regions, first));
    change({ steps: [...answer.steps, newStep(bowl, line, first, areas, answer)] });
    setChosen(answer.steps.length);
  };
  const step = chosen === null ? undefined : answer.steps[chosen];
  return (
    <div className="flex flex-col gap-4">
      <h2 className="text-2xl">{t('bench.applyTitle')}</h2>
      <div className="flex flex-wrap items-center gap-x-8 gap-y-3">
        <div className="flex flex-wrap items-center gap-3">
          <span className="text-sm font-semibold">{t('bench.washFirst')}</span>
          <Choice
            label={t('bench.washFirst')}
            value={answer.wash}
            options={WASHES.map((value) => ({ value, text: t(`craft:wash.${value}`) }))}
            onChange={(wash) => change({ wash })}
          />
        </div>
        {answer.bowls.length > 0 ? (
          <div className="flex flex-wrap items-center gap-2">
            <span className="text-sm font-semibold">{t('bench.putOn')}</span>
            {answer.bowls.map(({ name }) => (
              <Button key={name} icon={<Plus aria-hidden className="size-4" />} onClick={() => add(name)}>
                {t('bench.bowlName', { name })}
              </Button>
            ))}
          </div>
        ) : null}
      </div>
      {answer.bowls.length === 0 ? <Empty>{t('bench.noBowlsYet')}</Empty> : null}
      {answer.steps.length > 0 ? (
        <>
          <Timeline
            zones={zones}
            steps={answer.steps}
            chosen={chosen}
            minute={minute}
            onChoose={setChosen}
            onMove={set}
          />
          <p className="text-quiet text-sm">{t('bench.timelineHint')}</p>
        </>
      ) : answer.bowls.length > 0 ? (
        <Empty>{t('bench.noSteps')}</Empty>
      ) : null}
      {step && chosen !== null ? (
        <StepForm
          step={step}
          regions={assignment.regions}
          headLook={headLook(assignment.regions, assignment.looks.now)}
          bowls={answer.bowls}
          lines={assignment.lines}
          placements={assignment.placements}
          onChange={(next) => set(chosen, next)}
          onRemove={() => {
            change({ steps: answer.steps.filter((_, i) => i !== chosen) });
            setChosen(null);
          }}
        />
      ) : null}
      <CareForm
        care={answer.care}
        places={zones}
        atMinute={lastMinute(answer)}
        onChange={(care) => change({ care })}
      />
    </div>
  );
}
