import type { HistoryLayer } from '../../hair';
import { toneNamed, type ShippedCase, makeCase, zone, to, dyed, lightened } from '../case-maker';

const often = (level: number, times: number): HistoryLayer[] => [
  { kind: 'permanent', level, tone: toneNamed('neutral'), times },
];

/** Colour put right, taken out, worked with; hair that is spared; clients who are sent home. */
export const CORRECT_CASES: readonly ShippedCase[] = [
  {
    id: 'out-of-two-years-of-brown',
    clientCase: makeCase({
      title: 'Out of two years of brown',
      difficulty: 3,
      client: {
        name: 'Tamar Eldridge',
        note: 'Dyed medium brown for two years over her own light brown. Golden and lighter, without a year of waiting.',
      },
      zones: [
        zone('mids', { cm: 18, natural: 5, history: often(4, 6), damage: 0.12 }),
        zone('ends', { cm: 8, natural: 5, history: often(4, 6), damage: 0.15 }),
      ],
      facts: { weeksSinceColour: 6 },
      wish: { mids: to(7, 'gold'), ends: to(7, 'gold') },
      lineIds: ['lantry', 'calder', 'quillet', 'tarnwick'],
    }),
  },
  {
    id: 'copper-into-gold',
    clientCase: makeCase({
      title: 'Copper into gold',
      difficulty: 2,
      client: {
        name: 'Ilse Tredwell',
        note: 'A copper of last winter, a third gone. No lighter, no darker: gold instead of red.',
      },
      zones: [zone('mids', { cm: 20, natural: 5, history: dyed(5, 'copper', 0.33), damage: 0.1 })],
      facts: { weeksSinceColour: 9 },
      wish: { mids: to(5, 'gold') },
      lineIds: ['tarnwick', 'quillet'],
    }),
  },
  {
    id: 'shine-and-no-more',
    clientCase: makeCase({
      title: 'Shine, and no more',
      difficulty: 1,
      client: {
        name: 'Winifred Aske',
        note: 'Her own light brown, dull from the winter. It should shine. Nobody may see that anything was done.',
      },
      zones: [zone('mids', { cm: 18, natural: 5 }), zone('ends', { cm: 8, natural: 5 })],
      wish: { mids: { ...to(5, 'neutral'), shine: true }, ends: { ...to(5, 'neutral'), shine: true } },
      lineIds: ['pellow', 'quillet', 'tarnwick'],
    }),
  },
  {
    id: 'creamy-pearl',
    clientCase: makeCase({
      title: 'Creamy blonde to pearl',
      difficulty: 1,
      client: {
        name: 'Fenella Strand',
        note: 'Lightened well, creamy all through. Only the pearl is missing.',
      },
      zones: [
        zone('mids', {
          cm: 20,
          natural: 6,
          history: [{ kind: 'lightened', level: 9, yellow: 'creamy' }],
          damage: 0.2,
        }),
      ],
      facts: { weeksSinceColour: 1 },
      wish: { mids: to(9, 'pearl') },
      lineIds: ['quillet', 'tarnwick', 'pellow'],
    }),
  },
  {
    id: 'yellow-orange-to-neutral',
    clientCase: makeCase({
      title: 'Yellow-orange to neutral',
      difficulty: 2,
      client: {
        name: 'Beatrix Ola-Sund',
        note: 'Lightened at a friend’s table and left at yellow-orange. A medium blonde that is none of it.',
      },
      zones: [zone('mids', { cm: 20, natural: 4, history: lightened(7), damage: 0.2 })],
      facts: { weeksSinceColour: 1 },
      wish: { mids: to(7, 'neutral') },
      lineIds: ['quillet', 'tarnwick', 'calder'],
    }),
  },
  {
    id: 'brown-over-pale-ends',
    clientCase: makeCase({
      title: 'Her own brown over pale lengths',
      difficulty: 3,
      client: {
        name: 'Verity Sandoval',
        note: 'Three centimetres of her own light brown, porous pale lengths. Brown all over, and never blonde again.',
      },
      zones: [
        zone('regrowth', { cm: 3, natural: 5 }),
        zone('mids', { cm: 20, natural: 5, porosity: 'high', history: lightened(9), damage: 0.3 }),
      ],
      facts: { weeksSinceColour: 12 },
      wish: { regrowth: to(5, 'neutral'), mids: to(5, 'neutral') },
      lineIds: ['hobday', 'quillet', 'tarnwick'],
    }),
  },
  {
    id: 'green-lengths',
    clientCase: makeCase({
      title: 'Green lengths, brown root',
      difficulty: 3,
      client: {
        name: 'Zadie Quarrell',
        note: 'A green of last spring, half gone, over light lengths. Six centimetres of her own brown. Beige from now on.',
      },
      zones: [
        zone('regrowth', { cm: 6, natural: 4 }),
        zone('mids', {
          cm: 18,
          natural: 4,
          history: [...lightened(8), { kind: 'direct', dye: 'directGreen', faded: 0.5 }],
          damage: 0.18,
        }),
      ],
      facts: { weeksSinceColour: 22 },
      wish: { regrowth: to(7, 'beige'), mids: to(7, 'beige') },
      lineIds: ['lantry', 'calder', 'wrenfell', 'quillet'],
    }),
  },
  {
    id: 'rose-on-weak-hair',
    clientCase: makeCase({
      title: 'Soft and even on weak hair',
      difficulty: 3,
      client: {
        name: 'Clemence Arbour',
        note: 'Lightened to the limit, a pink three quarters gone. No more yellow at the root; soft, even, rosy if it must be.',
      },
      zones: [
        zone('regrowth', { cm: 3, natural: 7 }),
        zone('mids', {
          cm: 16,
          natural: 7,
          porosity: 'high',
          history: [...lightened(10), { kind: 'direct', dye: 'directPink', faded: 0.75 }],
          damage: 0.5,
        }),
      ],
      head: { diameter: 'fine' },
      facts: { weeksSinceColour: 12 },
      wish: { regrowth: to(9, 'beige', 'red'), mids: to(9, 'beige', 'red') },
      lineIds: ['wrenfell', 'calder', 'quillet', 'lantry'],
    }),
  },
  {
    id: 'toned-too-often',
    clientCase: makeCase({
      title: 'Six toners deep',
      difficulty: 3,
      client: {
        name: 'Oona Prideaux',
        note: 'Lightened once, toned ash every month since, one over the other. Dull, and darker each time. Clear blonde again.',
      },
      zones: [
        zone('mids', {
          cm: 20,
          natural: 6,
          history: [
            ...lightened(9),
            { kind: 'demi', level: 9, tone: toneNamed('ash'), times: 6, faded: 0.4 },
          ],
          damage: 0.24,
        }),
      ],
      facts: { weeksSinceColour: 4 },
      wish: { mids: to(9, 'neutral') },
      lineIds: ['wrenfell', 'quillet', 'lantry'],
    }),
  },
  {
    id: 'metal-on-the-hair',
    clientCase: makeCase({
      title: 'A box from the market',
      difficulty: 2,
      client: {
        name: 'Gideon Harker',
        note: 'Red-black from a powder without a label, three times this year. Wants to be lighter, and today.',
      },
      zones: [zone('mids', { cm: 8, natural: 5, history: dyed(3, 'red'), damage: 0.1 })],
      head: { length: 'shortAllOver' },
      facts: { metallicSalts: true, weeksSinceColour: 5 },
      wish: { mids: to(6, 'neutral') },
      lineIds: ['calder', 'lantry', 'tarnwick'],
    }),
  },
  {
    id: 'reacted-before',
    clientCase: makeCase({
      title: 'Swollen eyes, once',
      difficulty: 1,
      client: {
        name: 'Annika Royle',
        note: 'Wants her grey covered before a journey. Says that she is in a hurry.',
      },
      zones: [zone('mids', { cm: 12, natural: 5, grey: 0.3 })],
      head: { length: 'shortAllOver' },
      facts: { reaction: true, weeksSinceColour: 60 },
      wish: { mids: to(5, 'neutral') },
      lineIds: ['tarnwick', 'quillet'],
    }),
  },
  {
    id: 'stretches-on',
    clientCase: makeCase({
      title: 'It stretches on and on',
      difficulty: 3,
      client: {
        name: 'Lorne Abernathy',
        note: 'Lightened at home, twice in one week. Wants it two levels lighter still.',
      },
      zones: [zone('mids', { cm: 12, natural: 5, history: lightened(7), damage: 0.58, moisture: 0.97 })],
      head: { length: 'shortAllOver' },
      facts: { weeksSinceColour: 1 },
      wish: { mids: to(9, 'neutral') },
      lineIds: ['wrenfell', 'calder', 'quillet'],
    }),
  },
  {
    id: 'warm-root',
    clientCase: makeCase({
      title: 'A root too light and too warm',
      difficulty: 2,
      client: {
        name: 'Greta Falkenrath',
        note: 'Coloured her root herself and it came out golden and lighter than the rest. Even again.',
      },
      zones: [
        zone('regrowth', { cm: 2, natural: 6, history: [...lightened(8)], damage: 0.1 }),
        zone('mids', { cm: 18, natural: 6, history: dyed(6, 'neutral'), damage: 0.1 }),
      ],
      facts: { weeksSinceColour: 1 },
      wish: { regrowth: to(6, 'neutral') },
      lineIds: ['tarnwick', 'quillet'],
    }),
  },
  {
    id: 'gone-violet',
    clientCase: makeCase({
      title: 'Ends gone violet',
      difficulty: 2,
      client: {
        name: 'Hester Blythe',
        note: 'Violet shampoo at every wash, and a gloss on top. The ends look grey; they were beige once.',
      },
      zones: [
        zone('mids', { cm: 16, natural: 6, history: lightened(10), damage: 0.26 }),
        zone('ends', {
          cm: 8,
          natural: 6,
          porosity: 'high',
          history: [...lightened(10), { kind: 'acidGloss', level: 10, tone: toneNamed('violet'), times: 2 }],
          damage: 0.3,
        }),
      ],
      facts: { weeksSinceColour: 3 },
      wish: { ends: to(10, 'beige') },
      lineIds: ['pellow', 'quillet', 'tarnwick', 'wrenfell'],
    }),
  },
  {
    id: 'layers-of-black',
    clientCase: makeCase({
      title: 'Years of black',
      difficulty: 3,
      client: {
        name: 'Morwenna Pryce',
        note: 'Black from the box since school, over her own medium brown. Strong hair. Light blonde, however long it takes.',
      },
      zones: [zone('mids', { cm: 26, natural: 4, history: often(1, 8), damage: 0.1 })],
      head: { length: 'longAllOver' },
      facts: { weeksSinceColour: 8, upkeepWeeks: 5 },
      wish: { mids: to(8, 'beige') },
      lineIds: ['lantry', 'calder', 'wrenfell', 'quillet'],
    }),
  },
  {
    id: 'shadowed-root',
    clientCase: makeCase({
      title: 'A shadow at the root',
      difficulty: 2,
      client: {
        name: 'Junia Castellan',
        note: 'Lightened to the scalp last month. Her own depth shadowed back in for two centimetres, beige below, no line between.',
      },
      zones: [
        zone('regrowth', { cm: 2, natural: 6, history: lightened(8), damage: 0.15 }),
        zone('mids', { cm: 18, natural: 6, history: lightened(9), damage: 0.22 }),
      ],
      facts: { weeksSinceColour: 4 },
      wish: { regrowth: to(6, 'neutral'), mids: to(9, 'beige') },
      melts: [{ zones: ['regrowth', 'mids'], overCm: 4 }],
      lineIds: ['quillet', 'tarnwick'],
    }),
  },
];
