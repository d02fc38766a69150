import type { PlayAsked, PlayShown } from '@cimbel/contract';
import { seedFrom } from '@cimbel/core';
import { showPlay } from '@cimbel/core/plan';
import type { ServiceRow } from '../exercises/row';
import { checkPlan } from './store';

/** Plays a student's plan on the head of the exercise. It is done here so that the head's figures stay here. */
export function playForStudent(service: ServiceRow, asked: PlayAsked): PlayShown {
  checkPlan(asked, service.line);
  return showPlay(
    service.kase,
    asked,
    (id) => service.line.find((line) => line.id === id),
    seedFrom(service.id),
  );
}
