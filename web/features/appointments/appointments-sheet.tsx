import { type Appointment, type BookedService, MISSED_WEEKS, aftercareCard } from '@cimbel/core/appointments';
import { mainRegion } from '@cimbel/core/exercise';
import { type Condition, USUAL_HABITS } from '@cimbel/core/process';
import type { Line } from '@cimbel/core/product';
import { type HouseRules, priceListOf } from '@cimbel/core/rules';
import { GROWTH_RATES } from '@cimbel/core/simulate';
import type { ModelAnswer } from '@cimbel/core/solve';
import type { TressLook } from '@cimbel/core/draw';
import { House } from 'lucide-react';
import { useDeferredValue, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { fullDate } from '../../lib/i18n';
import { Button } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { Loading, Notice, Sheet } from '../../ui/panel';
import { Tress } from '../../ui/tress';
import { AftercareDialog, todayHere, weeksAfter } from './aftercare-dialog';
import { CostTable } from './cost-table';
import { type PlanWish, RhythmFields } from './rhythm-fields';
import { useAppointments } from './use-appointments';
import '../../lib/words/appointments';
import '../../lib/words/craft';

/** What is done today, and the visits after it. */
export type PlannedAnswer = Pick<ModelAnswer, 'clientCase' | 'visits' | 'card'>;

const AHEAD = 26;
const STRAND = { width: 34, height: 96 };

/** Appointments that are alike, with the weeks they come in. */
interface Alike {
  /** The first of them. */
  appointment: Appointment;
  /** Its number among all, from 0. */
  at: number;
  /** Weeks of the others. */
  again: number[];
}
const asTold = ({ services, minutes, price }: Appointment): string =>
  JSON.stringify([
    services.map(({ part, cm, deltaE, ...rest }) => [rest, part?.zone, cm.toFixed(1), Math.round(deltaE)]),
    minutes,
    price,
  ]);
/** Steps on the way each by itself; of what keeps it, what is alike is told once. */
function alike(appointments: readonly Appointment[]): Alike[] {
  const groups = new Map<string, Alike>();
  appointments.forEach((appointment, at) => {
    const isStep = appointment.services[0].service === 'visit';
    const key = isStep ? `step ${at}` : asTold(appointment);
    const before = groups.get(key);
    if (before) before.again.push(appointment.week);
    else groups.set(key, { appointment, at, again: [] });
  });
  return [...groups.values()];
}

/** What an appointment is for, a sentence each. */
function Services({
  services,
  condition,
  nth,
  of,
}: {
  services: readonly BookedService[];
  /** Worst of what was worked. */
  condition: Condition;
  nth: number;
  of: number;
}) {
  const { t } = useTranslation('appointments');
  const words = ({ service, part, cm, deltaE, grey }: BookedService): string => {
    const params = { cm, deltaE, place: part?.zone };
    switch (service) {
      case 'visit':
        return of > 1 ? t('visit', { n: nth, of }) : t('only');
      case 'retouch':
        return t(grey ? 'retouchGrey' : 'retouch', params);
      case 'refresh':
        return t('refresh', params);
      case 'treatment':
        return t('treatment', { condition });
      case 'cleanse':
        return t('cleanse');
    }
  };
  return (
    <ul>
      {services.map((booked) => (
        <li key={booked.service}>
          {words(booked)}
          {booked.lateWeeks > 0 ? (
            <strong className="text-warn"> · {t('late', { weeks: booked.lateWeeks })}</strong>
          ) : null}
        </li>
      ))}
    </ul>
  );
}

function Row({
  row: { appointment, at, again },
  look,
  condition,
  day,
  currency,
  of,
}: {
  row: Alike;
  look: TressLook;
  condition: Condition;
  day: string;
  currency: string;
  of: number;
}) {
  const { t } = useTranslation('appointments');
  const { week, services, minutes, price } = appointment;
  const onDay = (weeks: number) => fullDate(weeksAfter(day, weeks));
  return (
    <li className="border-line flex items-center gap-3 border-t py-2 first:border-t-0">
      <div className="bg-surround flex w-12 shrink-0 justify-center rounded-sm py-1">
        <Tress look={look} {...STRAND} label={week === 0 ? t('leaves') : t('comes', { week })} />
      </div>
      <div className="min-w-0 grow">
        <p>
          <strong>{week === 0 ? t('today') : t('week', { week })}</strong>{' '}
          <span className="text-quiet">{onDay(week)}</span>
        </p>
        <Services services={services} condition={condition} nth={at + 1} of={of} />
        <p className="text-quiet tabular-nums">{t('sum', { minutes, price, currency })}</p>
        {again.length > 0 ? <p>{t('again', { dates: again.map(onDay).join(', ') })}</p> : null}
      </div>
    </li>
  );
}

/** The plan of one answer: when to come back and why, what it costs, what a missed appointment means. */
function Plan({
  answer,
  lines,
  houseRules,
  wish,
  seed,
}: {
  answer: PlannedAnswer;
  lines: readonly Line[];
  houseRules: HouseRules;
  wish: PlanWish;
  seed: number;
}) {
  const { t } = useTranslation('appointments');
  const { t: ui } = useTranslation();
  const [card, setCard] = useState(false);
  const prices = priceListOf(houseRules);
  const { currency } = prices;
  const { clientCase } = answer;
  const school = {
    lines: lines.filter(({ id }) => clientCase.lineIds.includes(id)),
    rules: houseRules,
    prices,
  };
  const found = useAppointments({ answer, school, ...wish, seed });
  if (found.isError)
    return (
      <Notice kind="bad">
        {t('failed')} <Button onClick={() => void found.refetch()}>{ui('action.again')}</Button>
      </Notice>
    );
  if (!found.data) return <Loading />;
  const { plan, today, looks } = found.data;
  const { appointments, everyWeeks, yearly, missed, givenUp, needs } = plan;
  const visits = appointments.filter(({ services }) => services[0].service === 'visit').length;
  const day = todayHere();
  const region = mainRegion(clientCase.head);
  return (
    <div aria-busy={found.isFetching} className="flex flex-col gap-3">
      <p>
        {[
          t('summary.today', { price: today.total, minutes: today.chairMinutes, currency }),
          everyWeeks === null ? t('summary.nothing') : t('summary.every', { weeks: everyWeeks }),
          ...(everyWeeks === null ? [] : [t('summary.year', { price: yearly, currency })]),
        ].join(', ')}
        .
      </p>
      {appointments.length > 1 ? (
        <p>
          <strong>{t('next')}:</strong> {fullDate(weeksAfter(day, appointments[1].week))}
        </p>
      ) : null}
      {needs.retouch && !needs.retouch.canBeDone ? <Notice kind="warn">{t('notHere')}</Notice> : null}
      {givenUp.length > 0 ? (
        <Notice kind="info">
          <strong>{t('givenUp.title')}:</strong> {givenUp.map((given) => t(`givenUp.${given}`)).join(', ')}.
        </Notice>
      ) : null}
      {plan.withinPurse ? null : (
        <Notice kind="warn">{t('overBudget', { purse: wish.rhythm.purseAYear, currency })}</Notice>
      )}
      <h3 className="text-base font-semibold">
        {t('list', { weeks: wish.weeks, price: plan.price, currency })}
      </h3>
      <ol className="text-sm">
        {alike(appointments).map((row) => (
          <Row
            key={row.appointment.week}
            row={row}
            look={looks[row.at][region]}
            condition={needs.condition}
            day={day}
            currency={currency}
            of={visits}
          />
        ))}
      </ol>
      {missed ? (
        <p className="text-sm">
          <strong>{t('missed', { weeks: MISSED_WEEKS })}:</strong>{' '}
          {[
            ...(missed.cm > 0 ? [t('missedLine', { cm: missed.cm })] : []),
            t('missedTone', { deltaE: missed.deltaE }),
            ...(missed.twoZones ? [t('missedTwo')] : []),
          ].join('; ')}
          .
        </p>
      ) : null}
      <details>
        <summary className="min-h-10 cursor-pointer py-2 font-semibold">{t('cost.title')}</summary>
        <CostTable cost={today} currency={currency} lines={lines} />
      </details>
      <div>
        <Button icon={<House aria-hidden className="size-4" />} onClick={() => setCard(true)}>
          {t('aftercare.open')}
        </Button>
      </div>
      {card ? (
        <AftercareDialog
          card={aftercareCard(answer.card, plan, clientCase, wish.rhythm.habits)}
          name={clientCase.client.name}
          onClose={() => setCard(false)}
        />
      ) : null}
    </div>
  );
}

/** What comes after today: appointments, what they cost, and what the client takes home. */
export function AppointmentsSheet({
  answers,
  lines,
  houseRules,
  seed,
}: {
  /** One or two plans; the first is shown. */
  answers: readonly { name: 'yours' | 'model'; answer: PlannedAnswer }[];
  lines: readonly Line[];
  houseRules: HouseRules;
  seed: number;
}) {
  const { t } = useTranslation('appointments');
  const [whose, setWhose] = useState(answers[0].name);
  const { answer } = answers.find(({ name }) => name === whose) ?? answers[0];
  const [wish, setWish] = useState<PlanWish>(() => ({
    rhythm: {
      habits: USUAL_HABITS,
      growthCm: GROWTH_RATES.usual,
      everyWeeks: answer.clientCase.facts.upkeepWeeks,
      purseAYear: null,
    },
    weeks: AHEAD,
  }));
  return (
    <Sheet className="flex flex-col gap-3">
      <h2 className="text-lg">{t('title')}</h2>
      {answers.length > 1 ? (
        <Choice
          label={t('whose')}
          value={whose}
          options={answers.map(({ name }) => ({ value: name, text: t(name) }))}
          onChange={setWhose}
        />
      ) : null}
      <Plan
        key={whose}
        answer={answer}
        lines={lines}
        houseRules={houseRules}
        wish={useDeferredValue(wish)}
        seed={seed}
      />
      <details>
        <summary className="min-h-10 cursor-pointer py-2 font-semibold">{t('client.title')}</summary>
        <RhythmFields wish={wish} currency={priceListOf(houseRules).currency} onChange={setWish} />
      </details>
    </Sheet>
  );
}
