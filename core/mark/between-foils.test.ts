import fc from 'fast-check';
import { type RecordCard, complete } from '../card';
import type { Target, ClientCase } from '../case';
import { makeCase, zone, to, dyed } from '../cases/case-maker';
import { SHIPPED_LINES } from '../product';
import type { HouseRules } from '../rules';
import { simulateCard } from '../simulate';
import { gradingFor } from '../testing/solved';
import { markCard } from './mark-card';

/** Light strands woven through hair that gets a colour of its own. */
const caseOf = (wish: Partial<Record<'regrowth' | 'mids' | 'ends', Target>>, share = 0.3): ClientCase =>
  makeCase({
    title: 'Base and light',
    difficulty: 2,
    client: { name: 'Ansa Holm', note: '' },
    zones: [
      zone('regrowth', { cm: 1.5, natural: 6 }),
      zone('mids', { cm: 14, natural: 6 }),
      zone('ends', { cm: 5, natural: 6 }),
    ],
    wish,
    placements: [{ share, zones: ['mids', 'ends'], target: to(9, 'pearl') }],
    lineIds: ['calder', 'quillet', 'tarnwick'],
  });
function solved(clientCase: ClientCase, house: Partial<HouseRules> = {}) {
  const input = gradingFor(clientCase, house);
  return { solution: input.modelAnswer, mark: (card: RecordCard) => markCard(input, card) };
}
const gold = to(6, 'gold');
const ALL = { regrowth: gold, mids: gold, ends: gold };

describe('a colour between foils (A6)', () => {
  const { solution, mark } = solved(caseOf(ALL));
  const { card } = solution;
  const between = card.steps.filter(({ placement }) => placement === 'between');

  it('goes on while they are in, on the hair that is left, openly where nothing is woven', () => {
    const foils = card.steps.filter(({ placement }) => placement === 'foils');
    expect(between.flatMap(({ zones }) => zones).sort()).toEqual(['ends', 'mids']);
    expect(between.every(({ share }) => share === 0.7)).toBe(true);
    const [light] = foils;
    for (const application of between)
      expect(application.start + application.minutes).toBe(light.start + light.minutes);
    const root = card.steps.find(({ zones }) => zones.includes('regrowth'))!;
    expect(root).toMatchObject({ placement: 'open', share: 1 });
  });

  it('does not reach what is in the foils, and brings both home', () => {
    const lineOf = (id: string) => SHIPPED_LINES.find((line) => line.id === id);
    const played = simulateCard(solution.clientCase, complete(card), lineOf);
    for (const { part, deltaE } of played.outcomeAt(played.minutes))
      expect({ part: part.zone, woven: part.woven, near: deltaE < 6.5 }).toMatchObject({ near: true });
    const grade = mark(card);
    expect(grade.points).toBe(grade.max);
  });

  it('put on all of the hair instead reaches the light strands, and is marked so', () => {
    const open: RecordCard = {
      ...card,
      steps: card.steps.map((application) =>
        application.placement === 'between' ? { ...application, placement: 'open', share: 1 } : application,
      ),
    };
    const grade = mark(open);
    expect(grade.points).toBeLessThan(grade.max);
    expect(grade.criteria.flatMap(({ findings }) => findings.map(({ code }) => code))).toContain(
      'mark.order.noFoils',
    );
  });

  it('counts as work on hair that was to be left, where nothing was wished for it', () => {
    const other = solved(caseOf({ regrowth: gold }));
    const steps = [...other.solution.card.steps, { ...between[0], bowl: other.solution.card.steps[0].bowl }];
    const route = other
      .mark({ ...other.solution.card, steps })
      .criteria.find(({ criterion }) => criterion === 'route')!;
    expect(route.findings.map(({ code }) => code)).toContain('mark.route.notAsked');
  });

  it('takes no leftover of a bowl that is mixed only when the foils are out', () => {
    const faded = caseOf({ regrowth: gold, ends: gold });
    // Through dye, which lightens more slowly.
    const placements = faded.placements!.map((placement) => ({ ...placement, target: to(8, 'pearl') }));
    const zones = faded.head.zones.map((zone) =>
      zone.zone === 'regrowth'
        ? { ...zone, greyShare: 0.5 }
        : { ...zone, history: dyed(6, 'gold', zone.zone === 'ends' ? 0.4 : 0), damage: 0.1 },
    );
    for (const endsRefresh of ['diluteLeftover', 'waterEmulsify'] as const) {
      const one = solved({ ...faded, placements, head: { ...faded.head, zones } }, { endsRefresh });
      const grade = one.mark(one.solution.card);
      expect({ endsRefresh, points: grade.points }).toEqual({ endsRefresh, points: grade.max });
      const ends = one.solution.card.steps.find(({ placement }) => placement === 'between')!;
      expect(ends).toMatchObject({ zones: ['ends'], wet: false });
    }
  });

  it('has a best plan with full marks whatever the base and the share', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(to(6, 'gold'), to(5, 'neutral'), to(6, 'copper'), to(5, 'warmBrown')),
        fc.constantFrom(0.2, 0.3, 0.5),
        fc.boolean(),
        (base, share, worn) => {
          const clientCase = caseOf({ mids: base, ends: base }, share);
          const zones = worn
            ? clientCase.head.zones.map((zone) => ({ ...zone, history: dyed(6, 'gold', 0.4), damage: 0.1 }))
            : clientCase.head.zones;
          const one = solved({ ...clientCase, head: { ...clientCase.head, zones } });
          const grade = one.mark(one.solution.card);
          expect({ base, share, worn, points: grade.points }).toEqual({
            base,
            share,
            worn,
            points: grade.max,
          });
        },
      ),
      { numRuns: 8 },
    );
  });
});
