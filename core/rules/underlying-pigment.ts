import { type ToneVector, toneVectorAt, type ToneFamily, type Tone } from '../colour';
import { type Reason, reason } from '../reason';
import type { HouseRules } from './house-rules';

/** Names of underlying pigment in both schools' tables (U1). */
export const UNDERLAYS = [
  'redBrownHardlySeen',
  'darkRedBrown',
  'redBrown',
  'red',
  'redOrange',
  'orange',
  'yellowOrange',
  'yellow',
  'lightYellow',
  'paleYellow',
  'palestYellow',
] as const;
export type Underlay = (typeof UNDERLAYS)[number];

/** What neutralises: the opposites of U1's last column. */
export const COUNTERS = [
  'green',
  'blueGreen',
  'blue',
  'blueViolet',
  'violet',
  'softViolet',
  'traceViolet',
] as const;
export type Counter = (typeof COUNTERS)[number];

type Table = Record<'fine' | 'coarse', readonly Underlay[]>;
/**
 * U1, by level reached 1–10.
 * @rule U1
 */
export const UNDERLAY_TABLE: Table = {
  fine: [
    'redBrownHardlySeen',
    'darkRedBrown',
    'redBrown',
    'red',
    'redOrange',
    'orange',
    'yellowOrange',
    'yellow',
    'lightYellow',
    'palestYellow',
  ],
  coarse: [
    'red',
    'red',
    'red',
    'red',
    'redOrange',
    'orange',
    'yellowOrange',
    'yellow',
    'paleYellow',
    'palestYellow',
  ],
};
export const COUNTER_TABLE: readonly Counter[] = [
  'green',
  'green',
  'green',
  'green',
  'blueGreen',
  'blue',
  'blueViolet',
  'violet',
  'softViolet',
  'traceViolet',
];

/**
 * Where each pigment lies on the painter's circle, and how strongly it shows, 0–1. The angles are U1's names;
 * the strengths follow the amount of the pigment left, strongest at orange, a trace at the palest yellow.
 */
const WARMTH: readonly { degrees: number; strength: number }[] = [
  { degrees: 0, strength: 0.15 },
  { degrees: 0, strength: 0.3 },
  { degrees: 0, strength: 0.5 },
  { degrees: 0, strength: 0.75 },
  { degrees: 30, strength: 0.9 },
  { degrees: 60, strength: 1 },
  { degrees: 90, strength: 0.9 },
  { degrees: 120, strength: 0.75 },
  { degrees: 120, strength: 0.5 },
  { degrees: 120, strength: 0.2 },
];

/**
 * Rows are whole levels: a half level shows the darker row's pigment until the next level is fully reached. What is
 * left above 10 has no name of its own.
 */
const row = (level: number) => Math.min(10, Math.max(1, Math.floor(level))) - 1;

/** The pigment that shows at a level reached, whatever level the hair started from (U1). */
export function underlayAt(levelReached: number, rules: Pick<HouseRules, 'underlay'>): Underlay {
  return UNDERLAY_TABLE[rules.underlay][row(levelReached)];
}

/** What cancels the pigment that shows at a level (U1, U2). */
export const counterAt = (levelReached: number): Counter => COUNTER_TABLE[row(levelReached)];

/** The same warmth as a point of the painter's circle, for the balance. */
export function warmthAt(levelReached: number): ToneVector {
  const { degrees, strength } = WARMTH[row(levelReached)];
  return toneVectorAt(degrees, strength);
}

/**
 * Gold, copper and the reds are carried by the warmth beneath them, which is kept; everything else cancels it (U3). Beige
 * and other muted golds are no exception: about two thirds of a bright yellow goes first, and what is left is the beige
 * (U6).
 * @rule U3
 * @rule U6
 */
export const KEEPS_WARMTH: readonly ToneFamily[] = ['gold', 'copper', 'red', 'mahogany', 'warmBrown'];
/** Whether a tone is carried by the warmth beneath it (U3). */
export const keepsWarmthUnder = ({ primary }: Tone): boolean => KEEPS_WARMTH.includes(primary);

/**
 * Tone of low-strength colour that puts the warmth of a level back where no filler is at hand: a deposit of copper and gold
 * beneath the shade (F6, F11).
 */
export function fillToneAt(level: number): Tone {
  if (level < 5) return { primary: 'copper', secondary: 'red' };
  if (level < 7) return { primary: 'copper' };
  return level < 8 ? { primary: 'gold', secondary: 'copper' } : { primary: 'gold' };
}

/**
 * Part of the violet of level 8 that yellow hair of level 9 needs: all of it while the yellow is bright, a third when it
 * is creamy (U5).
 * @rule U5
 */
export const VIOLET_DOSE = { bright: 1, creamy: 1 / 3 } as const;

/** Every name this school's table can give, in the order of the levels, once each: the choices to pick from. */
export function underlayChoices(rules: Pick<HouseRules, 'underlay'>): Underlay[] {
  return [...new Set(UNDERLAY_TABLE[rules.underlay])];
}

/** What cancels a named pigment, for marking a counter-tone against what a student read (U2). */
export function countersOf(named: Underlay, rules: Pick<HouseRules, 'underlay'>): Counter[] {
  return COUNTER_TABLE.filter((_, i) => UNDERLAY_TABLE[rules.underlay][i] === named);
}

/** Rows apart in the table, for partial marks: neighbours are a near reading. Infinity when a name is not in it. */
export function underlayDistance(
  underlay: Underlay,
  level: number,
  rules: Pick<HouseRules, 'underlay'>,
): number {
  const rows = UNDERLAY_TABLE[rules.underlay].flatMap((name, i) => (name === underlay ? [i] : []));
  return rows.length === 0 ? Infinity : Math.min(...rows.map((i) => Math.abs(i - row(level))));
}

/** What shows at a level, told. */
export function underlayReasons(levelReached: number, rules: Pick<HouseRules, 'underlay'>): Reason[] {
  return [
    reason('underlay.shows', 'U1', {
      level: levelReached,
      underlay: underlayAt(levelReached, rules),
      counter: counterAt(levelReached),
    }),
  ];
}
