import { type ShippedCase, makeCase, zone, to, lightened, toneNamed } from '../case-maker';

/** Lightened hair: toned, freed of what lies on it, made another colour. */
export const TONING_CASES: readonly ShippedCase[] = [
  {
    id: 'a-swimmer',
    clientCase: makeCase({
      title: 'Green from the pool',
      difficulty: 2,
      client: {
        name: 'Thekla Wynne-Roos',
        note: 'Swims every morning in an old pool with copper pipes. Blonde, and green in some lights.',
      },
      zones: [
        zone('mids', {
          cm: 16,
          natural: 6,
          history: [...lightened(9), { kind: 'mineral', amount: 0.6 }],
          damage: 0.2,
        }),
        zone('ends', {
          cm: 8,
          natural: 6,
          history: [...lightened(9), { kind: 'mineral', amount: 0.8 }],
          damage: 0.25,
        }),
      ],
      facts: { weeksSinceColour: 9 },
      wish: { mids: to(9, 'neutral'), ends: to(9, 'neutral') },
      lineIds: ['quillet', 'pellow', 'lantry', 'wrenfell'],
    }),
  },
  {
    id: 'a-year-of-light-ends',
    clientCase: makeCase({
      title: 'A year of light ends',
      difficulty: 2,
      client: {
        name: 'Sunniva Arkwright',
        note: 'Dark to light, done a year ago; brass in the middle, yellow at the tips. Beige and soft, the root as it is.',
      },
      zones: [
        zone('regrowth', { cm: 8, natural: 5 }),
        zone('mids', { cm: 12, natural: 5, history: lightened(7), damage: 0.2 }),
        zone('ends', { cm: 10, natural: 5, history: lightened(9), damage: 0.28 }),
      ],
      head: { length: 'longAllOver' },
      facts: { weeksSinceColour: 52, upkeepWeeks: 12 },
      wish: { mids: to(7, 'beige'), ends: to(9, 'beige') },
      melts: [{ zones: ['mids', 'ends'], overCm: 5 }],
      lineIds: ['quillet', 'pellow', 'calder'],
    }),
  },
  {
    id: 'blue-to-blonde',
    clientCase: makeCase({
      title: 'Blue, and blonde again',
      difficulty: 3,
      client: {
        name: 'Kit Ravensdale',
        note: 'A fresh ready-made blue over pale lengths, three centimetres grown out. Blonde again, strong hair.',
      },
      zones: [
        zone('regrowth', { cm: 3, natural: 6 }),
        zone('mids', {
          cm: 18,
          natural: 6,
          history: [...lightened(9), { kind: 'direct', dye: 'directBlue' }],
          damage: 0.14,
        }),
      ],
      facts: { weeksSinceColour: 4 },
      wish: { regrowth: to(9, 'neutral'), mids: to(9, 'neutral') },
      lineIds: ['lantry', 'wrenfell', 'calder', 'quillet'],
    }),
  },
  {
    id: 'rose-gold-to-copper',
    clientCase: makeCase({
      title: 'Rose-gold, and copper now',
      difficulty: 2,
      client: {
        name: 'Aurelie Stanhope',
        note: 'A red toner has washed out to rose over pale hair. Copper, and fresh.',
      },
      zones: [
        zone('mids', {
          cm: 16,
          natural: 6,
          history: [...lightened(8), { kind: 'demi', level: 7, tone: toneNamed('red'), faded: 0.7 }],
          damage: 0.2,
        }),
        zone('ends', {
          cm: 8,
          natural: 6,
          porosity: 'high',
          history: [...lightened(8), { kind: 'demi', level: 7, tone: toneNamed('red'), faded: 0.8 }],
          damage: 0.28,
        }),
      ],
      facts: { weeksSinceColour: 7 },
      wish: { mids: to(7, 'copper'), ends: to(7, 'copper') },
      lineIds: ['quillet', 'tarnwick', 'calder'],
    }),
  },
  {
    id: 'violet-from-the-shower',
    clientCase: makeCase({
      title: 'Violet from the shower',
      difficulty: 3,
      client: {
        name: 'Honor Delacourt-Finch',
        note: 'Violet shampoo left on at every wash: the lengths are grey-violet, the root two centimetres brown. Sand, all of it.',
      },
      zones: [
        zone('regrowth', { cm: 2, natural: 5 }),
        zone('mids', {
          cm: 18,
          natural: 5,
          history: [...lightened(9), { kind: 'acidGloss', level: 9, tone: toneNamed('violet'), times: 2 }],
          damage: 0.26,
        }),
      ],
      facts: { weeksSinceColour: 7 },
      wish: { regrowth: to(9, 'beige'), mids: to(9, 'beige') },
      lineIds: ['wrenfell', 'calder', 'quillet', 'pellow', 'tarnwick'],
    }),
  },
  {
    id: 'pink-to-blue-grey',
    clientCase: makeCase({
      title: 'From pink to blue-grey',
      difficulty: 3,
      client: {
        name: 'Wilhelmina Tosh',
        note: 'Most of the pink has gone. Blue-grey next, and she knows that it turns.',
      },
      zones: [
        zone('mids', {
          cm: 14,
          natural: 6,
          history: [...lightened(9), { kind: 'direct', dye: 'directPink', faded: 0.75 }],
          damage: 0.16,
        }),
      ],
      facts: { weeksSinceColour: 10 },
      wish: { mids: to(9, 'ash') },
      lineIds: ['lantry', 'wrenfell', 'quillet', 'pellow'],
    }),
  },
  {
    id: 'by-the-key',
    clientCase: makeCase({
      title: 'By the key of this line',
      difficulty: 2,
      client: {
        name: 'Perrin Aldous',
        note: 'Lightened to orange at a friend’s kitchen table. A plain dark blonde, please.',
      },
      zones: [zone('mids', { cm: 12, natural: 4, history: lightened(6), damage: 0.18 })],
      head: { length: 'shortAllOver' },
      facts: { weeksSinceColour: 1 },
      wish: { mids: to(6, 'neutral') },
      lineIds: ['pellow'],
    }),
  },
  {
    id: 'copper-over-light',
    clientCase: makeCase({
      title: 'Copper root, copper lengths',
      difficulty: 2,
      client: {
        name: 'Cressida Monk',
        note: 'Copper over lightened lengths; they have gone flat, and the root has grown. One copper.',
      },
      zones: [
        zone('regrowth', { cm: 1.5, natural: 6 }),
        zone('mids', {
          cm: 20,
          natural: 6,
          history: [...lightened(8), { kind: 'demi', level: 7, tone: toneNamed('copper'), faded: 0.5 }],
          damage: 0.14,
        }),
      ],
      facts: { weeksSinceColour: 5 },
      wish: { regrowth: to(7, 'copper'), mids: to(7, 'copper') },
      lineIds: ['tarnwick', 'quillet'],
    }),
  },
];
