import { type ShippedCase, makeCase, zone, dyed, to, lightened } from './case-maker';

/** Third difficulty: several zones with a history, or a decision that matters more than a mix. */
export const HARD_CASES: readonly ShippedCase[] = [
  {
    id: 'dark-band',
    clientCase: makeCase({
      title: 'A dark band',
      difficulty: 3,
      client: {
        name: 'Anouk Delorme-Vance',
        note: 'Coloured over and over past the line; a dark ring shows a hand below the parting.',
      },
      zones: [
        zone('regrowth', { cm: 2, natural: 6 }),
        zone('band', { cm: 5, natural: 6, history: dyed(4, 'neutral'), damage: 0.12 }),
        zone('mids', { cm: 16, natural: 6, history: dyed(6, 'neutral'), damage: 0.12 }),
      ],
      facts: { weeksSinceColour: 7 },
      wish: { regrowth: to(6, 'neutral'), band: to(6, 'neutral'), mids: to(6, 'neutral') },
      lineIds: ['lantry', 'quillet', 'tarnwick'],
    }),
  },
  {
    id: 'faded-pink',
    clientCase: makeCase({
      title: 'What to make of a faded pink',
      difficulty: 3,
      client: {
        name: 'Cassia Rowntide',
        note: 'A ready-made pink on light ends, half washed out after a year. A new post from Monday: something she can wear to it.',
      },
      zones: [
        zone('mids', { cm: 14, natural: 6, history: lightened(8), damage: 0.25 }),
        zone('ends', {
          cm: 10,
          natural: 6,
          history: [...lightened(8), { kind: 'direct', dye: 'directPink', faded: 0.5 }],
          damage: 0.3,
        }),
      ],
      facts: { weeksSinceColour: 9 },
      wish: { mids: to(7, 'copper'), ends: to(7, 'copper') },
      lineIds: ['lantry', 'wrenfell', 'quillet'],
    }),
  },
  {
    id: 'dark-to-light',
    clientCase: makeCase({
      title: 'Dark to light',
      difficulty: 3,
      client: {
        name: 'Yara Billingsgate',
        note: 'Her own brown at the root, melting into pale ends. Strong, untouched hair.',
      },
      zones: [
        zone('regrowth', { cm: 6, natural: 5 }),
        zone('mids', { cm: 14, natural: 5 }),
        zone('ends', { cm: 12, natural: 5 }),
      ],
      head: { length: 'longAllOver' },
      facts: { upkeepWeeks: 12 },
      wish: { mids: to(7, 'beige'), ends: to(9, 'beige') },
      lineIds: ['calder', 'quillet', 'pellow'],
    }),
  },
  {
    id: 'dream-of-silver',
    clientCase: makeCase({
      title: 'A dream of silver',
      difficulty: 3,
      client: {
        name: 'Bex Orrery',
        note: 'Dark brown with a year of heat on it. Has a picture of silver hair and a party on Saturday.',
      },
      zones: [
        zone('regrowth', { cm: 2, natural: 3, damage: 0.1 }),
        zone('mids', { cm: 18, natural: 3, damage: 0.22 }),
        zone('ends', { cm: 6, natural: 3, damage: 0.26 }),
      ],
      wish: { regrowth: to(9, 'pearl'), mids: to(9, 'pearl'), ends: to(9, 'pearl') },
      lineIds: ['calder', 'wrenfell', 'quillet', 'pellow'],
    }),
  },
  {
    id: 'not-today',
    clientCase: makeCase({
      title: 'Not today',
      difficulty: 3,
      client: {
        name: 'Ms Thackeray-Lund',
        note: 'In a hurry, a wedding tomorrow. Wants to be one level lighter at once and says it will be fine.',
      },
      zones: [
        zone('regrowth', { cm: 2, natural: 6 }),
        zone('mids', { cm: 18, natural: 6, history: dyed(7, 'gold'), damage: 0.1 }),
      ],
      facts: { reaction: true, weeksSinceColour: 10 },
      wish: { regrowth: to(7, 'gold') },
      lineIds: ['tarnwick'],
    }),
  },
  {
    id: 'violet-ends',
    clientCase: makeCase({
      title: 'Violet ends on lightened hair',
      difficulty: 3,
      client: {
        name: 'Nico Farrant',
        note: 'Ends lightened in spring, yellow by now. Wants them violet and bright; keeps the rest.',
      },
      zones: [
        zone('mids', { cm: 16, natural: 5 }),
        zone('ends', { cm: 9, natural: 5, history: lightened(7), damage: 0.2 }),
      ],
      facts: { weeksSinceColour: 20 },
      wish: { ends: { level: 9, tone: { primary: 'neutral' }, vivid: 'directViolet' } },
      lineIds: ['brindle', 'wrenfell'],
    }),
  },
];
