import fc from 'fast-check';
import type { Target, ClientCase } from '../case';
import { zone, makeCase } from '../cases/case-maker';
import type { TONE_FAMILIES } from '../colour';
import { type ZoneOfHead, placeIn, placeParts, type HistoryLayer } from '../hair';
import { SHIPPED_LINES } from '../product';
import { HOUSE_RULES, choicesOf, type HouseRules } from '../rules';

const half = (min: number, max: number) => fc.integer({ min: min * 2, max: max * 2 }).map((two) => two / 2);
const aim = (level: number, primary: (typeof TONE_FAMILIES)[number]): Target => ({
  level,
  tone: { primary },
});
const tones = fc.constantFrom('neutral', 'ash', 'pearl', 'beige', 'gold', 'copper', 'red', 'mahogany');

/** Heads as they come through the door: new growth under lengths that are untouched, coloured, lightened or toned. */
export const anyHead: fc.Arbitrary<ZoneOfHead[]> = fc
  .record({
    natural: half(2, 8),
    grey: fc.constantFrom(0, 0, 0, 0.1, 0.3, 0.5, 0.8),
    root: fc.constantFrom(1.3, 2, 4),
    past: fc.oneof(
      fc.constant<HistoryLayer[]>([]),
      fc
        .record({ level: half(3, 7), primary: tones, faded: fc.constantFrom(0, 0.3) })
        .map(({ level, primary, faded }): HistoryLayer[] => [
          { kind: 'permanent', level: Math.round(level), tone: { primary }, faded },
        ]),
      half(7, 10).map((level): HistoryLayer[] => [{ kind: 'lightened', level }]),
      fc.constantFrom(2, 5).map((times): HistoryLayer[] => [
        { kind: 'lightened', level: 9 },
        { kind: 'demi', level: 9, tone: { primary: 'ash' }, times, faded: 0.4 },
      ]),
    ),
    damage: fc.constantFrom(0.05, 0.2, 0.3, 0.5),
    porous: fc.boolean(),
  })
  .map(({ natural, grey, root, past, damage, porous }) => [
    zone('regrowth', { cm: root, natural, grey }),
    zone('mids', {
      cm: 18,
      natural,
      grey,
      history: past,
      damage: past.length > 0 ? damage : 0.05,
      porosity: porous && past.length > 0 ? 'high' : 'normal',
    }),
  ]);

/** A case with any such head, a wish for the root, the lengths or both, and some lines of the shelf. */
export const anyCase: fc.Arbitrary<ClientCase> = fc
  .record({
    zones: anyHead,
    level: half(3, 10),
    primary: tones,
    where: fc.constantFrom('root', 'lengths', 'both'),
    // Every fourth head has a front of its own: greyer, or thinner and a level lighter.
    front: fc.constantFrom(null, null, null, 'greyer', 'thinner'),
    lineIds: fc.subarray(
      SHIPPED_LINES.map(({ id }) => id),
      { minLength: 3 },
    ),
  })
  .map(({ zones, level, primary, where, front, lineIds }) => {
    const worked = (['regrowth', 'mids'] as const).filter(
      (zone) => where === 'both' || (where === 'root') === (zone === 'regrowth'),
    );
    const plain = {
      title: 'Any head',
      difficulty: 1 as const,
      client: { name: 'Anybody', note: '' },
      lineIds,
    };
    if (front === null)
      return makeCase({
        ...plain,
        zones,
        wish: Object.fromEntries(worked.map((zone) => [zone, aim(level, primary)])),
      });
    const here = (zone: ZoneOfHead): ZoneOfHead => ({
      ...zone,
      zone: placeIn('front', placeParts(zone.zone).zone),
      ...(front === 'greyer'
        ? { greyShare: Math.min(1, zone.greyShare + 0.3) }
        : { naturalLevel: Math.min(9, zone.naturalLevel + 1) }),
    });
    const rest = zones.map((zone) => ({ ...zone, zone: placeIn('rest', placeParts(zone.zone).zone) }));
    return makeCase({
      ...plain,
      zones: [...zones.map(here), ...rest],
      head: {
        regions: [
          {
            name: 'front',
            areas: ['hairline', 'temples'],
            ...(front === 'thinner' ? { density: 'sparse', diameter: 'fine' } : {}),
          },
          { name: 'rest', areas: ['top', 'sides', 'crown', 'back', 'nape'] },
        ],
      },
      wish: Object.fromEntries(
        (['front', 'rest'] as const).flatMap((region) =>
          worked.map((zone) => [placeIn(region, zone), aim(level, primary)]),
        ),
      ),
    });
  });

export const anyHouse = fc.record(
  Object.fromEntries(HOUSE_RULES.map((rule) => [rule, fc.constantFrom(...choicesOf(rule))])),
) as unknown as fc.Arbitrary<Partial<HouseRules>>;
