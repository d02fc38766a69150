import type { ClientCase, Target } from '../case';
import type { Tone, ToneFamily } from '../colour';
import type { HistoryLayer, ZoneOfHead } from '../hair';
import type { Random } from '../random';

/** Most variants of one assignment. */
export const MOST_VARIANTS = 5;

/** Invented clients who are nobody in particular: a note may say "he" or "she". */
export const CLIENT_NAMES = [
  'A. Tarrowmere',
  'B. Quenlow',
  'C. Ostermay',
  'D. Fellisand',
  'E. Harrowick',
  'F. Lindvarra',
  'G. Mossander',
  'H. Petterane',
  'I. Sallowmead',
  'J. Corvenby',
  'K. Thornavel',
  'L. Wendrick',
  'M. Ashenvale',
  'N. Brackwood',
  'O. Dunmarra',
  'P. Elverstone',
  'R. Gallowhay',
  'S. Hestermoor',
  'T. Kestrowan',
  'V. Marlinsey',
] as const;

/** Tones of a kind: who can counter and mix the one can the other. What is in none of them stays. */
const KINDRED: readonly (readonly ToneFamily[])[] = [
  ['ash', 'pearl'],
  ['gold', 'beige', 'warmBrown'],
  ['copper', 'red', 'mahogany'],
];

/** Furthest that white, fading, damage and lengths move. */
const MOVES = { grey: 0.08, faded: 0.06, damage: 0.03, lengthShare: 0.15 } as const;

const pick = <T>(random: Random, from: readonly T[]): T => from[Math.floor(random() * from.length)];
/** A number around 0, at most so far from it. */
const around = (random: Random, most: number) => (2 * random() - 1) * most;
const hundredth = (value: number) => Math.round(value * 100) / 100;
const within = (value: number, least: number, most: number) => Math.min(most, Math.max(least, value));

interface Moves {
  /** Levels that all of the head's own hair moves by. */
  natural: number;
  /** Levels that the wish, and what was done before, move by; in `natural` as well. */
  wish: number;
  tone: (tone: Tone) => Tone;
  grey: number;
}

/** Every level that is moved with the wish. */
const levelsOf = ({ head, wish, placements = [] }: ClientCase): number[] => [
  ...Object.values(wish).map(({ level }) => level),
  ...placements.map(({ target }) => target.level),
  ...head.zones.flatMap(({ naturalLevel, history }) => [
    naturalLevel,
    ...history.flatMap((layer) => ('level' in layer ? [layer.level] : [])),
  ]),
];

/** A turn of each group of kindred tones, the same for all of a head: what matched before matches after. */
function turnedTones(random: Random): (tone: Tone) => Tone {
  const turned = new Map<ToneFamily, ToneFamily>();
  for (const group of KINDRED) {
    const by = Math.floor(random() * group.length);
    group.forEach((tone, i) => turned.set(tone, group[(i + by) % group.length]));
  }
  const to = (tone: ToneFamily) => turned.get(tone) ?? tone;
  return ({ primary, secondary }) => ({
    primary: to(primary),
    ...(secondary ? { secondary: to(secondary) } : {}),
  });
}

function movesOf(clientCase: ClientCase, keepsTones: boolean, random: Random): Moves {
  const half = pick(random, [-0.5, 0, 0.5]);
  const whole = pick(random, [-2, -1, 0, 1, 2]);
  const levels = levelsOf(clientCase);
  const [least, most] = [Math.min(...levels), Math.max(...levels)];
  // Nothing leaves the scale that the case stays on.
  const wish = least + whole - 0.5 >= 1 && most + whole <= Math.max(10, most) ? whole : 0;
  return {
    wish,
    natural: wish + half,
    tone: keepsTones ? (tone) => tone : turnedTones(random),
    grey: around(random, MOVES.grey),
  };
}

const movedTarget = (target: Target, { wish, tone }: Moves): Target => ({
  ...target,
  level: target.level + wish,
  tone: tone(target.tone),
});

function movedLayer(layer: HistoryLayer, { wish, tone }: Moves, faded: number): HistoryLayer {
  const level = 'level' in layer ? { level: layer.level + wish } : {};
  const toned = 'tone' in layer ? { tone: tone(layer.tone) } : {};
  // Fresh dye stays fresh: whether a colour has faded at all is a thing to be read.
  const gone =
    'faded' in layer && layer.faded ? { faded: hundredth(within(layer.faded + faded, 0.02, 0.98)) } : {};
  return { ...layer, ...level, ...toned, ...gone } as HistoryLayer;
}

function movedZone(
  zone: ZoneOfHead,
  moves: Moves,
  { faded, damage, length }: { faded: number; damage: number; length: number },
): ZoneOfHead {
  const { greyShare, naturalLevel, lengthCm } = zone;
  const step = lengthCm < 3 ? 0.1 : 0.5;
  return {
    ...zone,
    // Whole steps, without what is left of a tenth in binary.
    lengthCm: hundredth(within(Math.round((lengthCm * length) / step) * step, step, 80)),
    naturalLevel: within(naturalLevel + moves.natural, 1, 10),
    // None is none and all is all: both are things to be read.
    greyShare:
      greyShare > 0 && greyShare < 1 ? hundredth(within(greyShare + moves.grey, 0.02, 0.98)) : greyShare,
    damage: zone.damage > 0 ? hundredth(within(zone.damage + damage, 0, 1)) : 0,
    history: zone.history.map((layer) => movedLayer(layer, moves, faded)),
  };
}

/**
 * A case that asks for the same in other figures: another client, levels, tones of a kind, white and lengths. What is one
 * thing on the head (a level, a tone, fading) moves as one. Whether it turns on the same decisions is for the search to say.
 *
 * @param keepsTones Whether tones stay as they are, where the title names one.
 * @param random Where the figures come from; of an exercise that is marked, from a secret.
 * @param named Names of clients that others have.
 */
export function variantOf(
  clientCase: ClientCase,
  keepsTones: boolean,
  random: Random,
  named: readonly string[] = [],
): ClientCase {
  const { client, head, wish, placements } = clientCase;
  const name = pick(
    random,
    CLIENT_NAMES.filter((one) => one !== client.name && !named.includes(one)),
  );
  const moves = movesOf(clientCase, keepsTones, random);
  const [faded, damage] = [around(random, MOVES.faded), around(random, MOVES.damage)];
  const grown = clientCase.facts.weeksSinceColour !== null;
  const lengths = 1 + around(random, MOVES.lengthShare);
  return {
    ...clientCase,
    // A note may name what changes.
    client: { name, note: '' },
    head: {
      ...head,
      zones: head.zones.map((zone) => {
        // New growth is as long as the weeks since the last colour make it.
        const length = grown && zone.history.length === 0 ? 1 : lengths;
        return movedZone(zone, moves, { faded, damage, length });
      }),
    },
    wish: Object.fromEntries(
      Object.entries(wish).map(([place, target]) => [place, movedTarget(target, moves)]),
    ),
    ...(placements
      ? {
          placements: placements.map((placement) => ({
            ...placement,
            target: movedTarget(placement.target, moves),
          })),
        }
      : {}),
  };
}
