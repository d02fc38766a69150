import { type ShippedCase, makeCase, zone, dyed, to, lightened } from './case-maker';

/** First difficulty: one route, one or two bowls. */
export const PLAIN_CASES: readonly ShippedCase[] = [
  {
    id: 'retouch-grey',
    clientCase: makeCase({
      title: 'Retouch over half grey',
      difficulty: 1,
      client: {
        name: 'Mrs Averill',
        note: 'Every five weeks for years, a light golden brown. The regrowth shows, the lengths have gone a little flat.',
      },
      zones: [
        zone('regrowth', { cm: 1.5, natural: 5, grey: 0.5 }),
        zone('mids', { cm: 18, natural: 5, grey: 0.5, history: dyed(5, 'gold'), damage: 0.08 }),
        zone('ends', { cm: 8, natural: 5, grey: 0.5, history: dyed(5, 'gold', 0.4), damage: 0.12 }),
      ],
      facts: {
        weeksSinceColour: 5,
        told: {
          habits: 'Washed every other day, blown dry warm, never an iron.',
          mustKeep: 'My daughter marries in May; until then it must hold and look the same.',
        },
      },
      wish: { regrowth: to(5, 'gold'), ends: to(5, 'gold') },
      lineIds: ['tarnwick', 'quillet'],
    }),
  },
  {
    id: 'one-lighter',
    clientCase: makeCase({
      title: 'One level lighter, never coloured',
      difficulty: 1,
      client: {
        name: 'Wren T.',
        note: 'First colour of her life. A little lighter and softly golden, nothing to keep up with every month.',
      },
      zones: [zone('regrowth', { cm: 1.3, natural: 6 }), zone('mids', { cm: 16, natural: 6 })],
      facts: { upkeepWeeks: 8 },
      wish: { regrowth: to(7, 'gold'), mids: to(7, 'gold') },
      lineIds: ['ostrel'],
    }),
  },
  {
    id: 'golden-gloss',
    clientCase: makeCase({
      title: 'A golden gloss',
      difficulty: 1,
      client: {
        name: 'Ines Corvallan',
        note: 'Happy with the depth. Wants shine and a little warmth for a summer party.',
      },
      zones: [zone('mids', { cm: 22, natural: 7 }), zone('ends', { cm: 8, natural: 7 })],
      wish: { mids: to(7, 'gold'), ends: to(7, 'gold') },
      lineIds: ['pellow', 'quillet'],
    }),
  },
  {
    id: 'winter-brown',
    clientCase: makeCase({
      title: 'A quiet brown for winter',
      difficulty: 1,
      client: {
        name: 'Joren Mayhew',
        note: 'Natural dark blonde, wants to be two shades deeper and have no line to grow out.',
      },
      zones: [zone('mids', { cm: 9, natural: 7 })],
      head: { length: 'shortAllOver' },
      wish: { mids: to(5, 'neutral') },
      lineIds: ['quillet', 'tarnwick'],
    }),
  },
  {
    id: 'pale-toner',
    clientCase: makeCase({
      title: 'Tone pale lengths to pearl',
      difficulty: 1,
      client: {
        name: 'Petra Ashgrove',
        note: 'Lightened last week elsewhere and left as it was. Bright yellow against her face.',
      },
      zones: [
        zone('mids', { cm: 16, natural: 6, history: lightened(9), damage: 0.2 }),
        zone('ends', { cm: 8, natural: 6, history: lightened(9), damage: 0.24 }),
      ],
      facts: { weeksSinceColour: 1 },
      wish: { mids: to(9, 'pearl'), ends: to(9, 'pearl') },
      lineIds: ['quillet', 'pellow'],
    }),
  },
  {
    id: 'lunch-hour',
    clientCase: makeCase({
      title: 'Grey covered in a lunch hour',
      difficulty: 1,
      client: {
        name: 'Doctor Halloway',
        note: 'Forty minutes between two shifts. A third grey at the regrowth, short hair.',
      },
      zones: [
        zone('regrowth', { cm: 2, natural: 5, grey: 0.3 }),
        zone('mids', { cm: 5, natural: 5, grey: 0.3, history: dyed(5, 'neutral'), damage: 0.05 }),
      ],
      head: { length: 'shortAllOver' },
      facts: { weeksSinceColour: 6 },
      wish: { regrowth: to(5, 'neutral') },
      lineIds: ['velm'],
    }),
  },
];
