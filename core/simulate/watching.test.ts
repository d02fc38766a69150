import fc from 'fast-check';
import { type Application, complete, type HairWork } from '../card';
import { shippedCase } from '../cases';
import { levelOfPigmented } from '../hair';
import { SHIPPED_LINES, shippedLine } from '../product';
import { solved } from '../testing/solved';
import { showSimulation } from './frames';
import { simulateCard } from './simulate';

const lineOf = (id: string) => shippedLine(id);
const { clientCase } = shippedCase('first-blonde')!;
const { card: best } = solved('first-blonde');
const lightens = ({ bowl }: Application) =>
  SHIPPED_LINES.some(
    ({ id, kind }) =>
      kind.startsWith('lightener') && best.bowls.some(({ name, lineId }) => name === bowl && lineId === id),
  );
const changed = (change: Partial<Application>): HairWork => ({
  ...best,
  steps: best.steps.map((application) =>
    lightens(application) ? { ...application, ...change } : application,
  ),
});
const play = (card: HairWork) => simulateCard(clientCase, complete(card), lineOf);
const lightenings = (card: HairWork) => card.steps.filter(lightens);
const longest = (card: HairWork) => Math.max(...lightenings(card).map(({ minutes }) => minutes));

describe('a watched step', () => {
  it('ends at a look that finds its aim met, however long it may have, and what follows moves up', () => {
    fc.assert(
      fc.property(fc.integer({ min: 5, max: 30 }), (more) => {
        const longer = changed({});
        const card: HairWork = {
          ...longer,
          steps: longer.steps.map((application) =>
            lightens(application)
              ? { ...application, minutes: application.minutes + more }
              : { ...application, start: application.start + more },
          ),
          care: longer.care.map((care) => ({ ...care, start: care.start + more })),
        };
        const [played, own] = [play(card), play(best)];
        expect(longest(played.card)).toBeLessThanOrEqual(longest(own.card) + 5);
        expect(played.minutes).toBeLessThanOrEqual(own.minutes + 5);
      }),
      { numRuns: 10 },
    );
  });

  it('is not washed off by a wash that follows something else and moves up with it', () => {
    const rinsedAt = best.steps.filter(lightens).map(({ start, minutes }) => start + minutes);
    const washed = Math.max(...rinsedAt) + 30;
    const later = (application: Application): Application =>
      lightens(application)
        ? { ...application, minutes: application.minutes + 30 }
        : { ...application, start: application.start + 30 };
    const places = clientCase.head.zones.map(({ zone }) => zone);
    const card: HairWork = {
      ...best,
      steps: best.steps.map(later),
      care: [{ do: 'wash', zones: places, start: washed, how: 'gentle', times: 2 }],
    };
    const played = play(card);
    const [toner] = card.steps.filter((application) => !lightens(application));
    const { start, end } = played.spellOf(toner, toner.zones[0]);
    expect(start).toBeLessThan(toner.start);
    // The wash comes before the toner, wherever both have moved to.
    expect(played.card.care[0].start).toBeLessThanOrEqual(start);
    const part = played.parts.find(({ zone }) => zone === toner.zones[0])!;
    expect(played.momentOf(part, end - 1).lying?.mix.product).toBe('demi');
  });

  it('is played by the clock where nobody looks', () => {
    const blind = changed({ checkEvery: null, minutes: 70 });
    expect(longest(play(blind).card)).toBe(70);
  });

  it('comes off at the level it is watched for', () => {
    const levelAt = (untilLevel: number) => {
      const played = play(changed({ untilLevel, minutes: 60 }));
      const [first] = lightenings(played.card);
      const part = played.parts.find(({ zone }) => first.zones.includes(zone))!;
      return levelOfPigmented(played.momentOf(part, first.start + first.minutes).strand);
    };
    for (const aim of [6, 7, 8]) {
      expect(levelAt(aim)).toBeGreaterThanOrEqual(aim - 0.1);
      expect(levelAt(aim)).toBeLessThanOrEqual(aim + 0.8);
    }
  });

  it('is the same looked at in a rhythm and at named minutes', () => {
    const named = (application: Application): Application =>
      application.checkEvery === null
        ? application
        : {
            ...application,
            checkEvery: null,
            checkAt: Array.from(
              { length: Math.ceil(application.minutes / application.checkEvery) - 1 },
              (_, i) => (i + 1) * application.checkEvery!,
            ),
          };
    const spans = (card: HairWork) => play(card).card.steps.map(({ start, minutes }) => [start, minutes]);
    expect(spans({ ...best, steps: best.steps.map(named) })).toEqual(spans(best));
  });

  it('says when each step of the card as written begins and ends', () => {
    const played = play(best);
    for (const application of best.steps)
      for (const zone of application.zones) {
        const { start, end } = played.spellOf(application, zone);
        expect(start).toBeLessThanOrEqual(application.start);
        expect(end - start).toBeLessThanOrEqual(application.minutes);
        expect(end).toBeGreaterThan(start);
      }
  });
});

describe('what is shown of a watched step', () => {
  it('says when it comes off before its minutes are up, and nothing where the clock decides', () => {
    const shown = (card: HairWork) => showSimulation(clientCase, complete(card), lineOf, 1).takenOff;
    const longer = changed({ minutes: 60 });
    const off = shown(longer);
    expect(new Set(off.map(({ bowl }) => bowl))).toContain(lightenings(longer)[0].bowl);
    for (const { minute } of off) expect(minute).toBeGreaterThan(0);
    expect(shown({ ...best, steps: best.steps.map((one) => ({ ...one, checkEvery: null })) })).toEqual([]);
  });
});
