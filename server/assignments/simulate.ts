import type { ShownSimulation, SimulationAsked } from '@cimbel/contract';
import { seedFrom } from '@cimbel/core';
import { showSimulation } from '@cimbel/core/simulate';
import type { AssignmentRow } from './row';
import { checkCard } from './store';

/** Simulates a student's card on the head of the assignment. It is done here so that the head's figures stay here. */
export function simulateForStudent(
  { id, client_case: clientCase, lines }: AssignmentRow,
  asked: SimulationAsked,
): ShownSimulation {
  checkCard(asked, lines);
  return showSimulation(
    clientCase,
    asked,
    (lineId) => lines.find((line) => line.id === lineId),
    seedFrom(id),
  );
}
