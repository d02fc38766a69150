import type { StudentService } from '@cimbel/contract';
import { QUESTIONS, TESTS, type ServicePlan } from '@cimbel/core/plan';
import { CAUTIONS } from '@cimbel/core/theory';
import { Check } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { Choice, Field, NumberInput } from '../../ui/field';
import { Facts, Notice, Sheet } from '../../ui/panel';
import type { DraftOf } from '../bench/use-draft';
import { ReasonText } from '../marking/reasons';
import type { Reveals } from './use-reveals';
import { useWishes } from './words';

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
  service,
  draft,
  reveals,
}: {
  service: StudentService;
  draft: DraftOf<ServicePlan>;
  reveals: Reveals;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const { answer: plan, change } = draft;
  const wishes = useWishes();
  const { client, hair } = service;
  const capital = (text: string) => text.charAt(0).toLocaleUpperCase() + text.slice(1);
  return (
    <div className="flex flex-col gap-4">
      <h2 className="text-2xl">{t('bench.consult.title')}</h2>
      <div className="grid items-start gap-4 lg:grid-cols-2">
        <Sheet className="flex flex-col gap-2">
          <h3 className="text-lg">{client.name}</h3>
          <p>{client.note || t('bench.consult.noHistory')}</p>
          <h3 className="mt-2 text-lg">{t('bench.consult.wish')}</h3>
          <Facts rows={wishes(service).map(({ name, text }) => ({ term: capital(name), value: text }))} />
        </Sheet>
        <Sheet className="flex flex-col gap-2">
          <h3 className="text-lg">{t('bench.consult.facts')}</h3>
          <Facts
            rows={[
              { term: t('bench.consult.diameter'), value: t(`craft:diameter.${hair.diameter}`) },
              { term: t('bench.consult.density'), value: t(`craft:density.${hair.density}`) },
              { term: t('bench.consult.service'), value: t(`craft:service.${hair.length}`) },
              {
                term: t('service.linesAtHand'),
                value: service.lines.map(({ name }) => name).join(', '),
              },
            ]}
          />
          <details className="mt-1 text-sm">
            <summary className="cursor-pointer font-semibold">{t('bench.consult.cautions')}</summary>
            <ul className="mt-1 list-disc ps-5">
              {CAUTIONS.map((caution) => (
                <li key={caution}>{t(`craft:${caution}`)}</li>
              ))}
            </ul>
          </details>
        </Sheet>
        <AskList
          title={t('service.ask')}
          hint={t('service.askHint')}
          reveals={reveals}
          items={QUESTIONS.map((question) => ({
            name: question,
            label: capital(t(`craft:question.${question}`)),
            done: plan.asked.includes(question),
            ask: () =>
              void reveals
                .ask({ question })
                .then((told) => told && change({ asked: [...plan.asked, question] })),
          }))}
        />
        <AskList
          title={t('service.test')}
          hint={t('service.testHint')}
          reveals={reveals}
          items={TESTS.map((test) => ({
            name: test,
            label: capital(t(`craft:hairTest.${test}`)),
            done: plan.tests.includes(test),
            ask: () =>
              void reveals.ask({ test }).then((told) => told && change({ tests: [...plan.tests, test] })),
          }))}
        />
      </div>
      {reveals.failed ? (
        <Notice kind="bad">
          {t(reveals.failed === 'network' ? 'service.askOffline' : `error.${reveals.failed}`)}
        </Notice>
      ) : null}
      <Sheet className="flex flex-col gap-3">
        <h3 className="text-lg">{t('service.decide')}</h3>
        <Choice
          label={t('service.decide')}
          value={plan.decision}
          options={[
            { value: 'goOn' as const, text: t('service.goOn') },
            { value: 'decline' as const, text: t('service.decline') },
          ]}
          onChange={(decision) => change(decision === 'decline' ? { decision, visits: null } : { decision })}
        />
        {plan.decision === 'goOn' ? (
          <Field label={t('service.visits')} hint={t('service.visitsHint')}>
            <NumberInput
              aria-label={t('service.visits')}
              value={plan.visits}
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
