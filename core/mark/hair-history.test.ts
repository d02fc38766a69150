import type { RecordCard } from '../card';
import { type ClientCase, revealOf } from '../case';
import { shippedCase } from '../cases';
import type { HistoryLayer } from '../hair';
import { stopsService, WEEKS_AFTER_CHEMICAL } from '../method';
import { jotted } from '../testing/card-shorthand';
import { gradingFor, gradingOf } from '../testing/solved';
import { markCard } from './mark-card';

const chemical = (service: 'hydroxideRelaxer' | 'perm' | 'smoothing', weeksAgo: number): HistoryLayer => ({
  kind: 'chemical',
  service,
  weeksAgo,
});
const caseOf = (id: string): ClientCase => shippedCase(id)!.clientCase;
const withLayers = (id: string, layers: HistoryLayer[]): ClientCase => {
  const { head, ...rest } = caseOf(id);
  return {
    ...rest,
    head: { ...head, zones: head.zones.map((zone) => ({ ...zone, history: [...zone.history, ...layers] })) },
  };
};
const stopsOf = (clientCase: ClientCase) => stopsService(clientCase).map(({ stop }) => stop);

/** A card that goes on with a plan, everything else as in the model answer. */
function goneOn(id: string, plan: string, change: Partial<RecordCard> = {}) {
  const input = gradingOf(id);
  const { card, clientCase } = input.modelAnswer;
  return markCard(input, { ...card, ...jotted(plan, clientCase), decision: 'goOn', visits: 1, ...change });
}

describe('hair that was reshaped (C10)', () => {
  it('waits two weeks for oxidative colour, and not a week more', () => {
    for (const service of ['perm', 'smoothing'] as const) {
      const weeks = (ago: number) => stopsOf(withLayers('one-lighter', [chemical(service, ago)]));
      expect(weeks(WEEKS_AFTER_CHEMICAL - 1)).toEqual(['tooSoon']);
      expect(weeks(WEEKS_AFTER_CHEMICAL)).toEqual([]);
    }
  });

  it('is never lifted after hydroxide, however long ago, and may be deposited on', () => {
    expect(stopsOf(withLayers('one-lighter', [chemical('hydroxideRelaxer', 300)]))).toEqual(['relaxed']);
    expect(stopsOf(withLayers('winter-brown', [chemical('hydroxideRelaxer', 3)]))).toEqual([]);
    const lightened = goneOn('relaxed-and-lighter', 'A wrenfell @10\nA>mids 0-20 check5');
    expect(lightened.dangers.map(({ code }) => code)).toContain('danger.served');
    expect(lightened.points).toBeLessThanOrEqual(10);
  });

  it('is told when the chemical question is asked, not when the last colour is', () => {
    const clientCase = caseOf('permed-last-week');
    const told = revealOf(clientCase, { question: 'chemical' }).map(({ code }) => code);
    expect(told).toEqual(['reveal.chemical.perm']);
    expect(revealOf(clientCase, { question: 'lastColour' }).map(({ code }) => code)).toEqual([
      'reveal.layer.none',
    ]);
  });

  it('is served gently instead of declined where a date is given, and with peroxide it is not', () => {
    const gloss = 'A pellow 6~I\nA>mids 0-15';
    const safety = ({ criteria }: ReturnType<typeof goneOn>) =>
      criteria.find(({ criterion }) => criterion === 'safety')!.findings.map(({ code }) => code);
    expect(safety(goneOn('permed-last-week', gloss))).toContain('mark.safety.gentleInstead');
    expect(safety(goneOn('permed-last-week', gloss, { nextVisitWeeks: null }))).toContain(
      'mark.safety.shouldDecline',
    );
    expect(safety(goneOn('permed-last-week', 'A tarnwick 6:2 @20\nA>mids 0-35'))).toContain(
      'mark.safety.shouldDecline',
    );
  });

  it('counts a strength less under lightener once it was permed', () => {
    const plain = gradingFor(caseOf('first-blonde'));
    const permed = gradingFor(withLayers('first-blonde', [chemical('perm', 12)]));
    const mark = (input: typeof plain, vol: number) =>
      markCard(input, {
        ...input.modelAnswer.card,
        bowls: input.modelAnswer.card.bowls.map((bowl) =>
          ['calder', 'wrenfell'].includes(bowl.lineId ?? '')
            ? { ...bowl, developer: [{ vol, grams: bowl.developer[0].grams }] }
            : bowl,
        ),
      })
        .criteria.find(({ criterion }) => criterion === 'developer')!
        .findings.map(({ code }) => code);
    expect(mark(permed, 20)).toContain('mark.developer.lightenerStrong');
    expect(mark(plain, 20)).not.toContain('mark.developer.lightenerStrong');
  });
});

describe('minerals on blonde hair (C10)', () => {
  it('are chelated before anything is put on, by the model answer too', () => {
    const input = gradingOf('a-swimmer');
    const { card } = input.modelAnswer;
    expect(card.care[0]).toMatchObject({ do: 'wash', how: 'chelating', start: 0 });
    expect(Math.min(...card.steps.map(({ start }) => start))).toBeGreaterThan(0);
    const without = markCard(input, { ...card, care: [] });
    const route = without.criteria.find(({ criterion }) => criterion === 'route')!;
    expect(route.findings.map(({ code }) => code)).toContain('mark.route.notChelated');
    expect(without.points).toBeLessThan(85);
  });

  it('are told to whoever asks for habits', () => {
    expect(revealOf(caseOf('a-swimmer'), { question: 'habits' }).map(({ code }) => code)).toContain(
      'reveal.minerals',
    );
  });
});

describe('layers of dye (C4)', () => {
  const black = (times: number, damage: number): ClientCase => {
    const { head, ...rest } = caseOf('layers-of-black');
    const [zone] = head.zones;
    return {
      ...rest,
      head: {
        ...head,
        zones: [
          {
            ...zone,
            damage,
            history: [{ kind: 'permanent', level: 1, tone: { primary: 'neutral' }, times }],
          },
        ],
      },
    };
  };
  const visitsOf = (clientCase: ClientCase) => gradingFor(clientCase).modelAnswer.visits.length;

  it('take no fewer appointments the more there are, nor the weaker the hair is', () => {
    const counts = [1, 4, 8].map((times) => visitsOf(black(times, 0.1)));
    expect([...counts].sort((a, b) => a - b)).toEqual(counts);
    expect(counts[2]).toBeGreaterThan(counts[0]);
    expect(visitsOf(black(8, 0.3))).toBeGreaterThanOrEqual(counts[2]);
  });

  it('promised away in one are judged by the last wish', () => {
    const input = gradingOf('layers-of-black');
    const { card } = input.modelAnswer;
    const mark = (visits: number) => markCard(input, { ...card, visits });
    expect(mark(card.visits!).points).toBe(100);
    // The work of the first of three, sold as all of it.
    expect(mark(1).points).toBeLessThanOrEqual(40);
    expect(mark(1).decided?.code).toMatch(/needsCorrection/);
  });
});

describe('a toner of permanent colour (F4)', () => {
  const plan = 'A tarnwick 7:2 @20\nB tarnwick 6:2 7:2 @20\nA>regrowth 0-35\nB>mids 22-35 check3';
  const criterion = (grade: ReturnType<typeof markCard>, name: string) =>
    grade.criteria.find((one) => one.criterion === name)!.findings.map(({ code }) => code);
  const graded = (
    tonerProduct: 'lowStrength' | 'permanentAllowed',
    change: (c: ClientCase) => ClientCase = (c) => c,
  ) => {
    const clientCase = change(caseOf('copper-over-light'));
    const input = gradingFor(clientCase, { tonerProduct });
    return markCard(input, { ...input.modelAnswer.card, ...jotted(plan, clientCase) });
  };

  it('is right where the class says so, and neither lift on lift nor another product', () => {
    expect(criterion(graded('permanentAllowed'), 'developer')).not.toContain('mark.developer.liftOnLift');
    expect(criterion(graded('permanentAllowed'), 'route')).not.toContain('mark.route.otherProduct');
    expect(criterion(graded('lowStrength'), 'developer')).toContain('mark.developer.liftOnLift');
  });

  it('is right in no school on porous hair', () => {
    const porous = graded('permanentAllowed', (clientCase) => ({
      ...clientCase,
      head: {
        ...clientCase.head,
        zones: clientCase.head.zones.map((zone) =>
          zone.zone === 'mids' ? { ...zone, porosity: 'high' as const } : zone,
        ),
      },
    }));
    expect(criterion(porous, 'route')).toContain('mark.route.otherProduct');
  });
});

describe('how far colour alone may lift (F3)', () => {
  it('is two levels, or three where the class says so', () => {
    const clientCase: ClientCase = {
      ...caseOf('two-lighter-neutral'),
      lineIds: ['tarnwick', 'quillet', 'calder'],
      wish: {
        regrowth: { level: 8, tone: { primary: 'gold' } },
        mids: { level: 8, tone: { primary: 'gold' } },
      },
    };
    const techniques = (liftByColourLimit: 'two' | 'three') =>
      gradingFor(clientCase, { liftByColourLimit }).modelAnswer.choices.map(({ technique }) => technique);
    expect(new Set(techniques('two'))).toEqual(new Set(['lightenThenTone']));
    expect(new Set(techniques('three'))).toEqual(new Set(['liftWithColour']));
  });
});
