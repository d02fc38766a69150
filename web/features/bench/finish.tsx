import type { StudentAssignment } from '@cimbel/contract';
import { AFTERCARES, type RecordCard } from '@cimbel/core/card';
import { priceListOf } from '@cimbel/core/rules';
import { useTranslation } from 'react-i18next';
import { capital } from '../../lib/i18n';
import { Field, NumberInput, Tick } from '../../ui/field';
import { Notice, Sheet } from '../../ui/panel';
import { Tress } from '../../ui/tress';
import { QuoteFields } from '../appointments/quote-fields';
import type { DraftOf } from './use-draft';
import { PlayLine } from './play-line';
import { looksAtEnd } from './process-clock';
import type { Play } from './use-simulation';
import '../../lib/words/craft';
import '../../lib/words/bench';

/** What came of it beside the wish, and what the client takes home. */
export function Finish({
  assignment,
  draft,
  play,
}: {
  assignment: StudentAssignment;
  draft: DraftOf<RecordCard>;
  play: Play;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const { answer, change } = draft;
  const { shown } = play;
  const end = shown && answer.steps.length > 0 ? looksAtEnd(shown, assignment) : null;
  const failing = shown?.frames[shown.frames.length - 1]?.failing ?? [];
  return (
    <div className="flex flex-col gap-4">
      <h2 className="text-2xl">{t('bench.finishTitle')}</h2>
      <div className="grid items-start gap-4 lg:grid-cols-2">
        <Sheet className="flex flex-col gap-3">
          <h3 className="text-lg">{t('bench.evaluate')}</h3>
          {answer.steps.length > 0 ? <PlayLine play={play} /> : null}
          {end ? (
            <div className="bg-surround text-on-surround flex flex-wrap justify-around rounded-sm px-3 pb-3">
              {assignment.regions.flatMap(({ name: region }, at) =>
                [
                  { look: end[at], name: t('bench.yours') },
                  { look: assignment.looks.target[at], name: t('bench.target') },
                ].map(({ look, name }) => {
                  const full = region === null ? name : `${capital(t(`craft:region.${region}`))}: ${name}`;
                  return (
                    <figure key={full} className="flex flex-col items-center">
                      <Tress look={look} width={96} height={region === null ? 250 : 180} label={full} />
                      <figcaption className="text-center font-semibold">{full}</figcaption>
                    </figure>
                  );
                }),
              )}
            </div>
          ) : answer.steps.length === 0 ? (
            <p className="text-quiet">{t('bench.nothingPutOn')}</p>
          ) : null}
          {failing.length > 0 ? <Notice kind="bad">{t('bench.stopAtOnce')}</Notice> : null}
          <p className="text-quiet text-sm">{t('bench.evaluateHint')}</p>
        </Sheet>
        <Sheet className="flex flex-col gap-3">
          <fieldset className="flex flex-col gap-1">
            <legend className="font-display mb-1 text-lg font-semibold">{t('bench.aftercare')}</legend>
            {AFTERCARES.map((care) => (
              <Tick
                key={care}
                label={<span className="first-letter:uppercase">{t(`craft:aftercare.${care}`)}</span>}
                on={answer.aftercare.includes(care)}
                onChange={(on) =>
                  change({
                    aftercare: AFTERCARES.filter((aftercare) =>
                      aftercare === care ? on : answer.aftercare.includes(aftercare),
                    ),
                  })
                }
              />
            ))}
          </fieldset>
          <Field label={t('bench.nextVisit')}>
            <NumberInput
              aria-label={t('bench.nextVisit')}
              value={answer.nextVisitWeeks}
              min={1}
              max={26}
              step={1}
              className="w-20!"
              unit={t('bench.weeksUnit')}
              onValue={(weeks) =>
                change({ nextVisitWeeks: weeks === null ? null : Math.min(26, Math.round(weeks)) })
              }
            />
          </Field>
          {assignment.quote ? (
            <QuoteFields
              quote={answer.quote}
              prices={priceListOf(assignment.houseRules)}
              lines={assignment.lines}
              onChange={(quote) => change({ quote })}
            />
          ) : null}
        </Sheet>
      </div>
    </div>
  );
}
