import type { RecordCard } from '../card';
import { type ClientCase, saltsOf, partName, type ConsultationQuestion, type HairTest, TESTS } from '../case';
import { isGivingWay } from '../process';
import { type Reason, reason } from '../reason';
import { forbidsPeroxide, asksIncompatibilityTest } from '../rules';
import { goalsOf, type PlaceGoal } from './place-goal';
import type { Technique } from './technique';

/** What may stop a service before anything is mixed, by name. */
export const STOPS = ['reaction', 'scalp', 'metallicSalts', 'hairGivesWay', 'relaxed', 'tooSoon'] as const;
export type StopName = (typeof STOPS)[number];
/** What stops a service, by name and in the words of the interface. */
export interface Stop extends Reason {
  /** What stops the service, by name. */
  stop: StopName;
}
const stop = (name: StopName, rule: string, params: Reason['params'] = {}): Stop => ({
  ...reason(`stop.${name}`, rule, params),
  stop: name,
});

/** What stops a service before anything is mixed. Empty where it may go on (C3, R3). */
export function stopsService(clientCase: ClientCase): Stop[] {
  const { facts } = clientCase;
  const stops: Stop[] = [];
  if (facts.reaction) stops.push(stop('reaction', 'C3'));
  if (facts.scalp === 'irritated') stops.push(stop('scalp', 'R3'));
  if (forbidsPeroxide(saltsOf(facts))) stops.push(stop('metallicSalts', 'C3'));
  // Hair that does not come back is given time and treatment, whatever is wished (C1, C4).
  const spent = goalsOf(clientCase).find(
    ({ condition, target, present }) => isGivingWay(condition) && target.level > present + LIGHTER_BY,
  );
  if (spent)
    stops.push(stop('hairGivesWay', 'C4', { zone: partName(spent.part), condition: spent.condition }));
  const goals = goalsOf(clientCase);
  const relaxed = goals.find(
    ({ chemical, target, present }) =>
      chemical?.service === 'hydroxideRelaxer' && target.level > present + LIGHTER_BY,
  );
  if (relaxed) stops.push(stop('relaxed', 'C10', { zone: partName(relaxed.part) }));
  const fresh = goals.find(({ chemical }) => chemical !== null && chemical.weeksAgo < WEEKS_AFTER_CHEMICAL);
  if (fresh)
    stops.push(
      stop('tooSoon', 'C10', {
        zone: partName(fresh.part),
        service: fresh.chemical!.service,
        weeks: WEEKS_AFTER_CHEMICAL,
      }),
    );
  return stops;
}

/**
 * Weeks between a chemical service and oxidative colour.
 * @rule C10
 */
export const WEEKS_AFTER_CHEMICAL = 2;
/** Stops that are of the hair: it is treated, and looked at again after some weeks. */
const OF_THE_HAIR: readonly StopName[] = ['hairGivesWay', 'relaxed', 'tooSoon'];
/** Care and date of a client who is sent home for their hair's sake; null where something else stops the service. */
export const restAfter = (stops: readonly Stop[]): Pick<RecordCard, 'aftercare' | 'nextVisitWeeks'> | null =>
  stops.some(({ stop }) => OF_THE_HAIR.includes(stop))
    ? {
        ...REST,
        nextVisitWeeks: stops.every(({ stop }) => stop === 'tooSoon')
          ? WEEKS_AFTER_CHEMICAL
          : REST.nextVisitWeeks,
      }
    : null;

/** Levels from which a wish asks for lightener on hair that gives way. */
const LIGHTER_BY = 0.5;
/** What a client with spent hair takes home, and weeks until it is tested again (C1). */
const REST: Pick<RecordCard, 'aftercare' | 'nextVisitWeeks'> = {
  aftercare: ['gentleWash', 'heatProtection', 'weeklyTreatment', 'coolWater'],
  nextVisitWeeks: 4,
};

/** Routes that are tried on a strand first (C3). */
const STRAND_TESTED: readonly Technique[] = ['lightenThenTone', 'removeThenColour', 'cleanseThenTone'];

/** Asked of every client: a service rests on the answers. */
export const NEEDED_QUESTIONS: readonly ConsultationQuestion[] = [
  'lastColour',
  'reactions',
  'scalp',
  'metallicSalts',
  'chemical',
  'upkeep',
];

/**
 * Tests a service rests on: patch always; on cut hair where metal is suspected; strand, elasticity and porosity before a correction or a lightening (C1–C3).
 * @rule C3
 */
export function neededTests(
  work: readonly { goal: PlaceGoal; technique: Technique }[],
  { facts }: Pick<ClientCase, 'facts'>,
): HairTest[] {
  const lightens = work.some(({ technique }) => STRAND_TESTED.includes(technique));
  const reshaped = work.some(({ goal }) => goal.chemical !== null);
  const worked = reshaped || work.some(({ goal }) => goal.history.kind !== 'untouched');
  const suspected = asksIncompatibilityTest(saltsOf(facts));
  return TESTS.filter((test) => {
    if (test === 'incompatibility') return suspected;
    return test === 'patch' || lightens || reshaped || (worked && test !== 'strand');
  });
}
