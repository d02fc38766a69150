import type { StudentAssignment } from '@cimbel/contract';
import { CONSULTATION_QUESTIONS, TESTS } from '@cimbel/core/case';
import { STATION, type RecordCard } from '@cimbel/core/card';
import { Check } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { capital } from '../../lib/i18n';
import { Choice } from '../../ui/choice';
import { Field, NumberInput, Tick } from '../../ui/field';
import { Notice, Sheet } from '../../ui/panel';
import { ClientFacts } from './client-panel';
import type { DraftOf } from './use-draft';
import { ReasonText } from '../marking/reasons';
import type { Reveals } from './use-reveals';
import '../../lib/words/craft';
import '../../lib/words/bench';

interface Asking {
  name: string;
  label: string;
  done: boolean;
  ask: () => void;
}

/** Things to ask or to test; what came of each stands under it once it is done. */
function AskList({
  title,
  hint,
  items,
  reveals,
}: {
  title: string;
  hint: string;
  items: Asking[];
  reveals: Reveals;
}) {
  return (
    <Sheet className="flex flex-col gap-2">
      <h3 className="text-lg">{title}</h3>
      <p className="text-quiet text-sm">{hint}</p>
      <ul className="flex flex-col gap-1.5">
        {items.map(({ name, label, done, ask }) => (
          <li key={name}>
            <button
              type="button"
              disabled={done || reveals.busy !== null}
              onClick={ask}
              className="border-strong-line bg-raised flex min-h-10 w-full items-center gap-2 rounded-sm border px-3 py-1 text-start font-semibold enabled:hover:bg-sheet disabled:border-transparent"
            >
              {done ? <Check aria-hidden className="text-good size-4 shrink-0" /> : null}
              {label}
            </button>
            {done && reveals.known[name] ? (
              <ul className="border-line ms-3 mt-1 border-s-4 ps-3 text-sm">
                {reveals.known[name].map((reason) => (
                  <li key={JSON.stringify(reason)}>
                    <ReasonText reason={reason} />
                  </li>
                ))}
              </ul>
            ) : null}
          </li>
        ))}
      </ul>
    </Sheet>
  );
}

export function Consult({
  assignment,
  draft,
  reveals,
}: {
  assignment: StudentAssignment;
  draft: DraftOf<RecordCard>;
  reveals: Reveals;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const { answer, change } = draft;
  return (
    <div className="flex flex-col gap-4">
      <h2 className="text-2xl">{t('bench.consult.title')}</h2>
      <div className="grid items-start gap-4 lg:grid-cols-2">
        <ClientFacts assignment={assignment} />
        <AskList
          title={t('bench.ask')}
          hint={t('bench.askHint')}
          reveals={reveals}
          items={CONSULTATION_QUESTIONS.map((question) => ({
            name: question,
            label: capital(t(`craft:question.${question}`)),
            done: answer.asked.includes(question),
            ask: () =>
              void reveals
                .ask({ question })
                .then((told) => told && change({ asked: [...answer.asked, question] })),
          }))}
        />
        <AskList
          title={t('bench.test')}
          hint={t('bench.testHint')}
          reveals={reveals}
          items={TESTS.map((test) => ({
            name: test,
            label: capital(t(`craft:hairTest.${test}`)),
            done: answer.tests.includes(test),
            ask: () =>
              void reveals.ask({ test }).then((told) => told && change({ tests: [...answer.tests, test] })),
          }))}
        />
      </div>
      {reveals.failed ? (
        <Notice kind="bad">
          {t(reveals.failed === 'network' ? 'bench.askOffline' : `error.${reveals.failed}`)}
        </Notice>
      ) : null}
      {assignment.station ? (
        <Sheet className="flex flex-col gap-2">
          <h3 className="text-lg">{t('bench.stationTitle')}</h3>
          <p className="text-quiet text-sm">{t('bench.stationHint')}</p>
          <div className="flex flex-wrap gap-x-6">
            {STATION.map((item) => (
              <Tick
                key={item}
                label={capital(t(`craft:station.${item}`))}
                on={answer.station?.includes(item) ?? false}
                onChange={(on) =>
                  change({
                    station: STATION.filter((stationItem) =>
                      stationItem === item ? on : answer.station?.includes(stationItem),
                    ),
                  })
                }
              />
            ))}
          </div>
        </Sheet>
      ) : null}
      <Sheet className="flex flex-col gap-3">
        <h3 className="text-lg">{t('bench.decide')}</h3>
        <Choice
          label={t('bench.decide')}
          value={answer.decision}
          options={[
            { value: 'goOn' as const, text: t('bench.goOn') },
            { value: 'decline' as const, text: t('bench.decline') },
          ]}
          onChange={(decision) => change(decision === 'decline' ? { decision, visits: null } : { decision })}
        />
        {answer.decision === 'goOn' ? (
          <Field label={t('bench.visits')} hint={t('bench.visitsHint')}>
            <NumberInput
              aria-label={t('bench.visits')}
              value={answer.visits}
              min={1}
              max={8}
              step={1}
              className="w-20!"
              onValue={(visits) =>
                change({ visits: visits === null ? null : Math.min(8, Math.round(visits)) })
              }
            />
          </Field>
        ) : null}
      </Sheet>
    </div>
  );
}
