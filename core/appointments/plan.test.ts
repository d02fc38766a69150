import fc from 'fast-check';
import { complete } from '../card';
import { type ClientCase, clientCaseSchema } from '../case';
import { SHIPPED_CASES, shippedCase } from '../cases';
import { USUAL_HABITS } from '../process';
import { SHIPPED_LINES } from '../product';
import { DEFAULT_HOUSE_RULES, GROWTH, SAMPLE_PRICES } from '../rules';
import { MOST_WEEKS, NOTICED_DELTA_E, headAfterWeeks, simulateCard } from '../simulate';
import { type ModelAnswer, solveCase } from '../solve';
import {
  type ClientRhythm,
  GIVEN_UP,
  MISSED_WEEKS,
  aftercareCard,
  doneHead,
  planAppointments,
  retouchCase,
  upkeepNeeds,
} from '.';

const lineOf = (id: string) => SHIPPED_LINES.find((line) => line.id === id);
const school = { lines: SHIPPED_LINES, rules: DEFAULT_HOUSE_RULES, prices: SAMPLE_PRICES };
const rhythm: ClientRhythm = { habits: USUAL_HABITS, growthCm: 1.25, everyWeeks: 1, purseAYear: null };

const answers = new Map<string, ModelAnswer>();
function answerTo(id: string): ModelAnswer {
  const known = answers.get(id);
  if (known) return known;
  const solved = solveCase(shippedCase(id)!.clientCase, SHIPPED_LINES, DEFAULT_HOUSE_RULES);
  if (!solved.ok) throw new Error(`no answer to ${id}`);
  answers.set(id, solved.modelAnswer);
  return solved.modelAnswer;
}
const planOf = (id: string, change: Partial<ClientRhythm> = {}, weeks = 26) =>
  planAppointments(answerTo(id), school, { ...rhythm, ...change }, weeks);
const goOn = SHIPPED_CASES.map(({ id }) => id)
  .filter((_, at) => at % 4 === 0)
  .filter((id) => answerTo(id).card.decision === 'goOn');

describe('what a head asks for', () => {
  it('is a retouch at four weeks where white grows out of brown, and at six where the line is soft (A5)', () => {
    const stark = planOf('retouch-grey').needs.retouch!;
    expect(stark).toMatchObject({ grey: true, canBeDone: true, lightens: false });
    expect(stark.everyWeeks).toBeCloseTo(GROWTH.retouchWeeks.min, 1);
    for (const id of goOn) {
      const { retouch } = planOf(id).needs;
      if (!retouch || retouch.part.woven) continue;
      expect(retouch.everyWeeks).toBeGreaterThanOrEqual(GROWTH.retouchWeeks.min - 1e-9);
      expect(retouch.everyWeeks).toBeLessThanOrEqual(GROWTH.retouchWeeks.max + 1e-9);
      expect(retouch.deltaE).toBeGreaterThanOrEqual(NOTICED_DELTA_E);
    }
  });
  it('comes sooner to hair that grows faster, by as much', () => {
    const weeks = [0.8, 1.25, 1.5].map((growthCm) => planOf('retouch-grey', { growthCm }).needs.retouch!);
    expect(weeks[0].everyWeeks * 0.8).toBeCloseTo(weeks[1].everyWeeks * 1.25, 9);
    expect(weeks[2].everyWeeks * 1.5).toBeCloseTo(weeks[1].everyWeeks * 1.25, 9);
  });
  it('is a toner again when the client sees it go: within four to six weeks over a blonde (H57), and later by the habits', () => {
    const { refresh } = planOf('pale-toner').needs;
    expect(refresh!.everyWeeks).toBeGreaterThan(2.5);
    expect(refresh!.everyWeeks).toBeLessThan(6);
    const seldom = planOf('pale-toner', { habits: { ...USUAL_HABITS, washes: 1, water: 'cool' } }).needs;
    expect(seldom.refresh!.everyWeeks).toBeGreaterThan(refresh!.everyWeeks);
  });
  it('is the week at which the model has it that far, on both sides of it', () => {
    const answer = answerTo('pale-toner');
    const done = doneHead(answer.clientCase, answer.card, lineOf);
    const { refresh } = upkeepNeeds(done, school, rhythm);
    const off = (weeks: number) =>
      headAfterWeeks(answer.clientCase, done.outcomes, weeks, USUAL_HABITS).places.find(
        ({ part }) => part === refresh!.part,
      )!.deltaE;
    expect(off(refresh!.everyWeeks - 0.2)).toBeLessThan(NOTICED_DELTA_E);
    expect(off(refresh!.everyWeeks + 0.2)).toBeGreaterThanOrEqual(NOTICED_DELTA_E);
  });
  it('is nothing where nothing shows', () => {
    const { needs, appointments, everyWeeks, missed } = planOf('all-white-pearl');
    expect(needs).toMatchObject({ retouch: null, refresh: null });
    expect([appointments.length, everyWeeks, missed]).toEqual([1, null, null]);
  });
  it('takes a retouch as a case that holds together, and the search as the one who reckons it', () => {
    for (const id of goOn) {
      const answer = answerTo(id);
      const done = doneHead(answer.clientCase, answer.card, lineOf);
      const { retouch } = upkeepNeeds(done, school, rhythm);
      if (!retouch) continue;
      const again = retouchCase(done, [retouch.part], retouch.cm);
      expect(clientCaseSchema.safeParse(again).error).toBeUndefined();
      if (retouch.canBeDone) expect(retouch.minutes).toBeGreaterThan(0);
    }
  });
  it('says where the shelf cannot do it', () => {
    const { clientCase, ...answer } = answerTo('pale-toner');
    const glosses = SHIPPED_LINES.filter(({ kind }) => kind === 'demi' || kind === 'acidGloss');
    const { retouch } = planAppointments(
      { ...answer, clientCase },
      { ...school, lines: glosses },
      rhythm,
      26,
    ).needs;
    expect(retouch).toMatchObject({ canBeDone: false, price: 0, minutes: 0 });
  });
});

describe('appointments', () => {
  it('are those on the way to the wish first, each on the head as the last one left it', () => {
    const answer = answerTo('dream-of-silver');
    const { appointments } = planOf('dream-of-silver');
    expect(answer.visits.length).toBeGreaterThan(1);
    const [first, second] = appointments;
    expect(first).toMatchObject({ week: 0, before: null });
    expect(second).toMatchObject({ week: answer.visits[1].afterWeeks, services: [{ service: 'visit' }] });
    const played = simulateCard(answer.clientCase, complete(answer.card), lineOf);
    const own = headAfterWeeks(
      answer.clientCase,
      played.outcomeAt(played.minutes),
      answer.visits[1].afterWeeks,
      USUAL_HABITS,
    );
    expect(second.before!.places.map(({ level }) => level)).toEqual(own.places.map(({ level }) => level));
    expect(second.before!.growth[0].lengthCm).toBeCloseTo(own.growth[0].lengthCm, 9);
  });
  it.each([
    [1, 4],
    [2, 4],
    [3, 3],
    [5, 5],
    [6, 6],
  ])('come in the rhythm of a client who comes every %i weeks: after %i', (everyWeeks, after) => {
    expect(planOf('retouch-grey', { everyWeeks }).everyWeeks).toBe(after);
  });
  it('say what is late, and only that', () => {
    const late = (everyWeeks: number) =>
      planOf('retouch-grey', { everyWeeks }).appointments[1].services[0].lateWeeks;
    expect([late(6), late(7), late(10)]).toEqual([0, 1, 4]);
  });
  it('tell what a missed one means: a longer line, colour further off, and two bowls where it is lightened', () => {
    const { missed, everyWeeks } = planOf('first-blonde', { everyWeeks: 6 });
    expect(everyWeeks).toBe(6);
    expect(missed!.cm).toBeCloseTo(((6 + MISSED_WEEKS) * 7 * 1.25) / 30, 9);
    expect(missed!.twoZones).toBe(true);
    expect(planOf('retouch-grey', { everyWeeks: 6 }).missed!.twoZones).toBe(false);
  });
  it('give up for a purse what saves, in its order, and the rhythm last', () => {
    const { yearly } = planOf('retouch-grey', { everyWeeks: 4 });
    const within = (purseAYear: number) => planOf('retouch-grey', { everyWeeks: 4, purseAYear });
    expect(within(yearly)).toMatchObject({ givenUp: [], withinPurse: true });
    const tight = within(yearly - 0.01);
    expect(tight.givenUp.length).toBeGreaterThan(0);
    expect(tight.yearly).toBeLessThan(yearly);
    const nothing = within(1);
    expect(nothing).toMatchObject({ withinPurse: false });
    expect(nothing.givenUp.at(-1)).toBe('rhythm');
  });
  it('treat weak hair each time, and cleanse twice a year where colour is laid over colour', () => {
    const weak = planOf('rose-on-weak-hair', { everyWeeks: 6 });
    expect(weak.needs.condition).toBe('weak');
    const [, ...upkeep] = weak.appointments;
    expect(upkeep.length).toBeGreaterThan(0);
    for (const { services } of upkeep) expect(services.at(-1)!.service).toBe('treatment');
    const year = planOf('pale-toner', { everyWeeks: 4 }, MOST_WEEKS).appointments;
    const cleanses = year.filter(({ services }) => services.some(({ service }) => service === 'cleanse'));
    expect(cleanses.map(({ week }) => week)).toEqual([28]);
  });
  it('hold to their laws whatever the client lives by', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...goOn),
        fc.integer({ min: 1, max: 12 }),
        fc.double({ min: 0.8, max: 1.5, noNaN: true }),
        fc.option(fc.integer({ min: 0, max: 1200 })),
        fc.integer({ min: 1, max: MOST_WEEKS }),
        (id, everyWeeks, growthCm, purseAYear, weeks) => {
          const plan = planOf(id, { everyWeeks, growthCm, purseAYear }, weeks);
          const { appointments, yearly, givenUp } = plan;
          const free = planOf(id, { everyWeeks, growthCm }, weeks);
          expect(yearly).toBeLessThanOrEqual(free.yearly);
          expect(plan.withinPurse).toBe(purseAYear === null || yearly <= purseAYear);
          expect(givenUp).toEqual(GIVEN_UP.filter((given) => givenUp.includes(given)));
          appointments.forEach(({ week, services, minutes, price }, i) => {
            expect(services.length).toBeGreaterThan(0);
            expect(price).toBeGreaterThanOrEqual((minutes / 60) * SAMPLE_PRICES.hour - 0.01);
            if (i > 0) expect(week).toBeGreaterThan(appointments[i - 1].week);
          });
          const sum = appointments.reduce((all, { price }) => all + price, 0);
          expect(plan.price).toBeCloseTo(sum, 1);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('the card a client takes home', () => {
  const cardOf = (id: string, change: Partial<ClientCase> = {}) => {
    const answer = answerTo(id);
    return aftercareCard(answer.card, planOf(id), { ...answer.clientCase, ...change }, USUAL_HABITS);
  };
  it('has the care of the record card, and the dates of the plan', () => {
    const { care, dates, waitHours } = cardOf('retouch-grey');
    expect(care).toEqual(answerTo('retouch-grey').card.aftercare);
    expect(dates[0]).toEqual({ week: 4, services: ['retouch'] });
    expect(dates.length).toBeLessThanOrEqual(6);
    expect(waitHours).toBe(48);
  });
  it('says of reds and vivid dye that they go first', () => {
    expect(cardOf('retouch-grey').rules).toEqual([]);
    expect(cardOf('red-with-a-little-white').rules).toContain('redsFade');
    expect(cardOf('violet-ends').rules).toContain('vividFades');
  });
});
