import { type ShippedCase, makeCase, zone, to, lightened, dyed } from './case-maker';

/** Second difficulty: two bowls, or one that has to be thought about. */
export const MIDDLE_CASES: readonly ShippedCase[] = [
  {
    id: 'two-lighter-cool',
    clientCase: makeCase({
      title: 'Two levels lighter, and cool',
      difficulty: 2,
      client: {
        name: 'Odalys Venn',
        note: 'No history at all. Cannot bear brass; has seen friends go orange.',
      },
      zones: [zone('regrowth', { cm: 1.3, natural: 5 }), zone('mids', { cm: 20, natural: 5 })],
      wish: { regrowth: to(7, 'ash'), mids: to(7, 'ash') },
      lineIds: ['tarnwick', 'ostrel'],
    }),
  },
  {
    id: 'first-blonde',
    clientCase: makeCase({
      title: 'First time blonde',
      difficulty: 2,
      client: {
        name: 'Mirela Stroud',
        note: 'Natural dark blonde, never coloured, strong hair. Pale and pearly all over.',
      },
      zones: [
        zone('regrowth', { cm: 1.3, natural: 6 }),
        zone('mids', { cm: 18, natural: 6 }),
        zone('ends', { cm: 6, natural: 6 }),
      ],
      wish: { regrowth: to(9, 'pearl'), mids: to(9, 'pearl'), ends: to(9, 'pearl') },
      lineIds: ['calder', 'wrenfell', 'quillet', 'tarnwick'],
    }),
  },
  {
    id: 'back-to-brown',
    clientCase: makeCase({
      title: 'Back to brown',
      difficulty: 2,
      client: {
        name: 'Solene Harrow',
        note: 'Blonde for three summers, wants her own depth again before the winter.',
      },
      zones: [
        zone('mids', { cm: 16, natural: 6, history: lightened(9), damage: 0.22 }),
        zone('ends', { cm: 8, natural: 6, history: lightened(9), damage: 0.28 }),
      ],
      facts: { weeksSinceColour: 12 },
      wish: { mids: to(6, 'neutral'), ends: to(6, 'neutral') },
      lineIds: ['hobday', 'quillet', 'tarnwick'],
    }),
  },
  {
    id: 'too-dark',
    clientCase: makeCase({
      title: 'Too dark from the box',
      difficulty: 2,
      client: {
        name: 'Tobin Eastlake',
        note: 'Three boxes of dark brown in a year over his own dark blonde. Wants to be a light brown.',
      },
      zones: [
        zone('mids', { cm: 10, natural: 6, history: dyed(3, 'neutral'), damage: 0.12 }),
        zone('ends', { cm: 4, natural: 6, history: dyed(3, 'neutral'), damage: 0.15 }),
      ],
      head: { length: 'shortAllOver' },
      facts: { weeksSinceColour: 7 },
      wish: { mids: to(5, 'neutral'), ends: to(5, 'neutral') },
      lineIds: ['lantry', 'quillet', 'tarnwick'],
    }),
  },
  {
    id: 'root-and-ends',
    clientCase: makeCase({
      title: 'Dark root, pale ends, one gold',
      difficulty: 2,
      client: {
        name: 'Lio Marchbank',
        note: 'Grown out for half a year. One golden dark blonde from root to tip, nothing more to grow out.',
      },
      zones: [
        zone('regrowth', { cm: 6, natural: 5 }),
        zone('ends', { cm: 16, natural: 5, porosity: 'high', history: lightened(7), damage: 0.3 }),
      ],
      facts: { weeksSinceColour: 26 },
      wish: { regrowth: to(6, 'gold'), ends: to(6, 'gold') },
      lineIds: ['tarnwick', 'quillet'],
    }),
  },
  {
    id: 'high-lift',
    clientCase: makeCase({
      title: 'Three levels with high-lift',
      difficulty: 2,
      client: {
        name: 'Freya Lindgarth',
        note: 'Natural medium blonde, wants to be very light without powder near her scalp.',
      },
      zones: [zone('regrowth', { cm: 1.3, natural: 7 }), zone('mids', { cm: 14, natural: 7 })],
      wish: { regrowth: to(10, 'neutral'), mids: to(10, 'neutral') },
      lineIds: ['tarnwick', 'ostrel'],
    }),
  },
  {
    id: 'woven-light',
    clientCase: makeCase({
      title: 'A third of the hair woven light',
      difficulty: 2,
      client: {
        name: 'Kendra Poole',
        note: 'Light without a line at the root. Leaves her own colour in between.',
      },
      zones: [zone('regrowth', { cm: 1.5, natural: 6 }), zone('mids', { cm: 22, natural: 6 })],
      wish: {},
      placements: [{ share: 0.3, zones: ['regrowth', 'mids'], target: to(9, 'beige') }],
      lineIds: ['calder', 'wrenfell', 'quillet', 'pellow'],
    }),
  },
  {
    id: 'gold-over-white',
    clientCase: makeCase({
      title: 'Gold over four fifths white',
      difficulty: 2,
      client: {
        name: 'Mr Quillon',
        note: 'Was golden at twenty and will be again at sixty; flat brown made him look tired.',
      },
      zones: [
        zone('regrowth', { cm: 2, natural: 6, grey: 0.8 }),
        zone('mids', { cm: 5, natural: 6, grey: 0.8, history: dyed(6, 'gold'), damage: 0.1 }),
      ],
      head: { length: 'shortAllOver' },
      facts: { weeksSinceColour: 5 },
      wish: { regrowth: to(6, 'gold') },
      lineIds: ['tarnwick'],
    }),
  },
];
