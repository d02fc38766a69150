import {
  type AppointmentPlan,
  type ClientRhythm,
  type School,
  doneHead,
  doneHeadLater,
  planAppointments,
} from '@cimbel/core/appointments';
import { type ServiceCost, costOfCard } from '@cimbel/core/card';
import type { TressLook } from '@cimbel/core/draw';
import { looksLater } from '@cimbel/core/simulate';
import type { ModelAnswer } from '@cimbel/core/solve';

export interface AppointmentsAsked {
  answer: Pick<ModelAnswer, 'clientCase' | 'visits' | 'card'>;
  school: School;
  rhythm: ClientRhythm;
  /** How far ahead, weeks. */
  weeks: number;
  /** Seeds the drawing. */
  seed: number;
}

/** A plan with what it costs today, and the head as it comes to every appointment. */
export interface AppointmentsShown {
  plan: AppointmentPlan;
  today: ServiceCost;
  /** One strand of each region as the client leaves today, and as it comes to every appointment after, in their order. */
  looks: TressLook[][];
}

self.onmessage = ({ data }: MessageEvent<AppointmentsAsked>) => {
  const { answer, school, rhythm, weeks, seed } = data;
  const plan = planAppointments(answer, school, rhythm, weeks);
  const lineOf = (id: string) => school.lines.find((line) => line.id === id);
  const done = doneHead(answer.clientCase, answer.card, lineOf);
  const leaving = doneHeadLater(done, 0, rhythm);
  const shown: AppointmentsShown = {
    plan,
    today: costOfCard(answer.clientCase.head, answer.card, lineOf, school.prices),
    looks: plan.appointments.map(({ before, comesFrom }) =>
      before && comesFrom
        ? looksLater(comesFrom, before, 'daylight', seed)
        : looksLater(answer.clientCase, leaving, 'daylight', seed),
    ),
  };
  self.postMessage(shown);
};
