import fc from 'fast-check';
import { clientCaseSchema, type ClientCase } from '../case';
import { SHIPPED_CASES } from '../cases';
import { seededRandom } from '../random';
import { variantOf } from './variants';

const anyCase = fc.constantFrom(...SHIPPED_CASES.map(({ clientCase }) => clientCase));
const anySeed = fc.integer({ min: 0, max: 2 ** 31 });

/** What of a head is plainly there or not: to be read, and the same in every variant. */
const kinds = ({ head, wish, facts, lineIds, placements = [] }: ClientCase) => ({
  zones: head.zones.map(({ zone, greyShare, porosity, resistant, history, damage }) => ({
    zone,
    grey: greyShare === 0 ? 'none' : greyShare === 1 ? 'all' : 'some',
    porosity,
    resistant,
    sound: damage === 0,
    history: history.map((layer) => [layer.kind, 'faded' in layer && Boolean(layer.faded)]),
  })),
  wishes: Object.entries(wish).map(([place, { vivid, grey, shine }]) => [place, vivid, grey, shine]),
  placements: placements.map(({ zones, share }) => [zones, share]),
  facts,
  lineIds,
});

describe('a variant of a case', () => {
  it('is a case, of another client, with the same kinds of hair, wishes and facts', () => {
    fc.assert(
      fc.property(anyCase, fc.boolean(), anySeed, (clientCase, keepsTones, seed) => {
        const variant = variantOf(clientCase, keepsTones, seededRandom(seed));
        expect(clientCaseSchema.safeParse(variant).error).toBeUndefined();
        expect(variant.client.name).not.toBe(clientCase.client.name);
        const another = variantOf(clientCase, keepsTones, seededRandom(seed), [variant.client.name]);
        expect(another.client.name).not.toBe(variant.client.name);
        for (const { lengthCm } of variant.head.zones) expect(String(lengthCm)).toMatch(/^\d+(\.\d)?$/);
        expect(kinds(variant)).toEqual(kinds(clientCase));
        expect(variantOf(clientCase, keepsTones, seededRandom(seed))).toEqual(variant);
      }),
    );
  });

  it('moves white, damage and lengths by little, and tones only where it may', () => {
    fc.assert(
      fc.property(anyCase, anySeed, (clientCase, seed) => {
        const variant = variantOf(clientCase, true, seededRandom(seed));
        for (const [place, { tone }] of Object.entries(variant.wish))
          expect(tone).toEqual(clientCase.wish[place as keyof typeof clientCase.wish]!.tone);
        variant.head.zones.forEach((zone, i) => {
          const was = clientCase.head.zones[i];
          expect(Math.abs(zone.greyShare - was.greyShare)).toBeLessThanOrEqual(0.085);
          expect(Math.abs(zone.damage - was.damage)).toBeLessThanOrEqual(0.035);
          expect(Math.abs(zone.lengthCm / was.lengthCm - 1)).toBeLessThanOrEqual(0.25);
        });
      }),
    );
  });

  it('moves wish, hair and history together, and leaves out the note that may name them', () => {
    fc.assert(
      fc.property(anyCase, anySeed, (clientCase, seed) => {
        const variant = variantOf(clientCase, false, seededRandom(seed));
        expect(variant.client.note).toBe('');
        const moved = Object.entries(variant.wish).map(
          ([place, { level }]) => level - clientCase.wish[place as keyof typeof clientCase.wish]!.level,
        );
        expect(new Set(moved).size).toBeLessThanOrEqual(1);
        variant.head.zones.forEach(({ naturalLevel, history }, i) => {
          const was = clientCase.head.zones[i];
          // As far as the wish, give or take half a level, unless it would leave the scale.
          if (moved.length > 0 && naturalLevel > 1 && naturalLevel < 10)
            expect(Math.abs(naturalLevel - was.naturalLevel - moved[0])).toBeLessThanOrEqual(0.5);
          history.forEach((layer, at) => {
            const before = was.history[at];
            if ('level' in layer && 'level' in before && moved.length > 0)
              expect(layer.level - before.level).toBe(moved[0]);
          });
        });
      }),
    );
  });

  it('has matching colours match: what was one tone is one tone', () => {
    fc.assert(
      fc.property(anyCase, anySeed, (clientCase, seed) => {
        const variant = variantOf(clientCase, false, seededRandom(seed));
        const tones = ({ wish, head }: ClientCase) => [
          ...Object.values(wish).map(({ tone }) => tone.primary),
          ...head.zones.flatMap(({ history }) =>
            history.flatMap((layer) => ('tone' in layer ? [layer.tone.primary] : [])),
          ),
        ];
        const [before, after] = [tones(clientCase), tones(variant)];
        before.forEach((tone, i) =>
          before.forEach((other, at) => expect(after[i] === after[at]).toBe(tone === other)),
        );
      }),
    );
  });
});
