import { TESTS, saltsOf, type HairTest, type Question, type ClientCase } from '../card';
import { reason, type Reason } from '../reason';
import { asksIncompatibilityTest, forbidsPeroxide } from '../theory';
import type { Route } from './route';
import type { Task } from './task';

/** Section 13: what stops a service before anything is mixed. Empty where it may go on. */
export function stopsService({ facts }: Pick<ClientCase, 'facts'>): Reason[] {
  const stops: Reason[] = [];
  if (facts.reaction) stops.push(reason('stop.reaction', 'C3'));
  if (facts.scalp === 'irritated') stops.push(reason('stop.scalp', 'R3'));
  if (forbidsPeroxide(saltsOf(facts))) stops.push(reason('stop.metallicSalts', 'C3'));
  return stops;
}

/** Asked of every client: a service rests on the answers. */
export const NEEDED_QUESTIONS: readonly Question[] = [
  'lastColour',
  'reactions',
  'scalp',
  'metallicSalts',
  'upkeep',
];

/**
 * Tests a service rests on: patch always; on cut hair where metal is suspected; strand, elasticity and porosity before a correction or a lightening (C1–C3).
 * @rule C3
 */
export function neededTests(
  work: readonly { task: Task; route: Route }[],
  { facts }: Pick<ClientCase, 'facts'>,
): HairTest[] {
  const lightens = work.some(({ route }) => route === 'lightenThenTone' || route === 'removeThenColour');
  const worked = work.some(({ task }) => task.history.kind !== 'untouched');
  const suspected = asksIncompatibilityTest(saltsOf(facts));
  return TESTS.filter((test) => {
    if (test === 'incompatibility') return suspected;
    return test === 'patch' || lightens || (worked && test !== 'strand');
  });
}
