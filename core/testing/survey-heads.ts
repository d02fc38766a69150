import type { ClientCase } from '../case';
import { makeCase, toneNamed, zone, dyed, to, lightened } from '../cases/case-maker';
import type { HistoryLayer } from '../hair';

type Words = Parameters<typeof makeCase>[0];
const LINES = ['tarnwick', 'ostrel', 'velm', 'quillet', 'pellow', 'calder', 'wrenfell', 'lantry', 'hobday'];
const head = (zones: Words['zones'], wish: Words['wish'], more: Partial<Words> = {}): ClientCase =>
  makeCase({
    title: 'Survey',
    difficulty: 2,
    client: { name: 'Anybody', note: '' },
    zones,
    wish,
    lineIds: LINES,
    ...more,
    facts: { weeksSinceColour: 6, ...more.facts },
  });
const toned = (level: number, primary: 'pearl' | 'ash', times: number, faded: number): HistoryLayer[] => [
  { kind: 'lightened', level },
  { kind: 'demi', level, tone: toneNamed(primary), times, faded },
];

/**
 * Heads beside the shipped cases that the search and the marks are looked at with: what a college meets in a month, with every
 * line at hand, so that what is chosen shows what is preferred.
 */
export const SURVEY_HEADS: Record<string, ClientCase> = {
  retouchOfThree: head(
    [
      zone('regrowth', { cm: 1.5, natural: 3, grey: 0.1 }),
      zone('mids', { cm: 18, natural: 3, grey: 0.1, history: dyed(3, 'neutral', 0.3), damage: 0.1 }),
    ],
    { regrowth: to(3, 'neutral'), mids: to(3, 'neutral') },
  ),
  ashOverMostlyWhite: head([zone('mids', { cm: 12, natural: 5, grey: 0.6 })], { mids: to(6, 'ash') }),
  copperALevelUp: head(
    [zone('mids', { cm: 18, natural: 5, history: dyed(6, 'copper', 0.4), damage: 0.12 })],
    {
      mids: to(7, 'copper'),
    },
  ),
  twoUpWithALittleWhite: head(
    [zone('regrowth', { cm: 2, natural: 4, grey: 0.1 }), zone('mids', { cm: 18, natural: 4, grey: 0.1 })],
    { regrowth: to(6, 'neutral'), mids: to(6, 'neutral') },
  ),
  beigeOnYellow: head([zone('mids', { cm: 18, natural: 6, history: lightened(8), damage: 0.2 })], {
    mids: to(8, 'beige'),
  }),
  blondeRetouch: head(
    [
      zone('regrowth', { cm: 1.5, natural: 7 }),
      zone('mids', { cm: 18, natural: 7, history: toned(9, 'pearl', 1, 0.5), damage: 0.25 }),
    ],
    { regrowth: to(9, 'pearl'), mids: to(9, 'pearl') },
  ),
  wovenBeige: head(
    [zone('mids', { cm: 25, natural: 6 })],
    {},
    {
      placements: [{ share: 0.3, zones: ['mids'], target: to(9, 'beige'), taken: 'fineWeave' }],
    },
  ),
  redRetouch: head(
    [
      zone('regrowth', { cm: 1.2, natural: 6 }),
      zone('mids', { cm: 18, natural: 6, history: dyed(6, 'red', 0.5), damage: 0.15 }),
    ],
    { regrowth: to(6, 'red'), mids: to(6, 'red') },
  ),
  porousTwoDown: head(
    [zone('mids', { cm: 18, natural: 5, porosity: 'high', history: lightened(8), damage: 0.35 })],
    { mids: to(6, 'neutral') },
  ),
  beigeOverSomeWhite: head([zone('mids', { cm: 12, natural: 7, grey: 0.4 })], { mids: to(7, 'beige') }),
  blueOut: head(
    [
      zone('mids', {
        cm: 18,
        natural: 5,
        history: [
          { kind: 'lightened', level: 9 },
          { kind: 'direct', dye: 'directBlue' },
        ],
        damage: 0.25,
      }),
    ],
    { mids: to(9, 'neutral') },
  ),
  tooDarkTooOften: head(
    [
      zone('mids', {
        cm: 18,
        natural: 6,
        history: [{ kind: 'permanent', level: 3, tone: toneNamed('neutral'), times: 5 }],
        damage: 0.15,
      }),
    ],
    { mids: to(5, 'neutral') },
  ),
  redFromBlack: head(
    [zone('mids', { cm: 18, natural: 2 })],
    { mids: to(5, 'red') },
    { head: { diameter: 'coarse' } },
  ),
  goldOnFine: head(
    [zone('mids', { cm: 18, natural: 7 })],
    { mids: to(8, 'gold') },
    { head: { diameter: 'fine' } },
  ),
  naturalTwoDown: head([zone('mids', { cm: 18, natural: 8 })], { mids: to(6, 'neutral') }),
  ashBuiltUp: head([zone('mids', { cm: 18, natural: 5, history: toned(8, 'ash', 2, 0), damage: 0.25 })], {
    mids: to(8, 'beige'),
  }),
  beigeRetouchOverWhite: head(
    [
      zone('regrowth', { cm: 1.5, natural: 5, grey: 0.75 }),
      zone('mids', { cm: 18, natural: 5, grey: 0.75, history: dyed(5, 'beige', 0.3), damage: 0.15 }),
    ],
    { regrowth: to(5, 'beige'), mids: to(5, 'beige') },
  ),
  outOfOneBrown: head(
    [zone('mids', { cm: 18, natural: 6, history: dyed(4, 'neutral', 0.3), damage: 0.12 })],
    {
      mids: to(6, 'neutral'),
    },
  ),
  redOverPaleEnds: head(
    [
      zone('mids', { cm: 14, natural: 6 }),
      zone('ends', { cm: 6, natural: 6, porosity: 'high', history: lightened(9), damage: 0.4 }),
    ],
    { mids: to(6, 'red'), ends: to(6, 'red') },
  ),
  orangeBand: head(
    [
      zone('regrowth', { cm: 1.5, natural: 5 }),
      zone('band', { cm: 3, natural: 5, history: lightened(7), damage: 0.15 }),
      zone('mids', { cm: 15, natural: 5, history: lightened(9), damage: 0.3 }),
    ],
    { regrowth: to(9, 'beige'), band: to(9, 'beige'), mids: to(9, 'beige') },
  ),
  mahoganyOnCurls: head(
    [zone('mids', { cm: 20, natural: 3 })],
    { mids: to(5, 'mahogany') },
    {
      head: { diameter: 'fine', form: 'curly' },
    },
  ),
  whiteToGold: head([zone('mids', { cm: 10, natural: 6, grey: 1 })], { mids: to(9, 'gold') }),
  weakAndPale: head([zone('mids', { cm: 18, natural: 6, history: lightened(9), damage: 0.55 })], {
    mids: to(10, 'pearl'),
  }),
  wovenDeeper: head(
    [zone('mids', { cm: 18, natural: 6, history: lightened(9), damage: 0.25 })],
    {},
    {
      placements: [{ share: 0.3, zones: ['mids'], target: to(6, 'gold') }],
    },
  ),
  redToNeutral: head([zone('mids', { cm: 18, natural: 5, history: dyed(5, 'red', 0.5), damage: 0.1 })], {
    mids: to(5, 'neutral'),
  }),
  copperOnPale: head([zone('mids', { cm: 18, natural: 6, history: lightened(10), damage: 0.3 })], {
    mids: to(8, 'copper'),
  }),
  brownOnPalePorous: head(
    [zone('mids', { cm: 18, natural: 6, porosity: 'high', history: lightened(10), damage: 0.35 })],
    { mids: to(5, 'warmBrown') },
  ),
  rootToBlack: head(
    [
      zone('regrowth', { cm: 3, natural: 5, grey: 0.1 }),
      zone('mids', { cm: 18, natural: 5, history: dyed(2, 'neutral', 0.1), damage: 0.1 }),
    ],
    { regrowth: to(2, 'neutral') },
  ),
};
