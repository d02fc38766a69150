import { type ShippedCase, makeCase, zone, to, lightened } from '../case-maker';

/** Hair taken lighter: by colour, by lightener, in part. */
export const LIFT_CASES: readonly ShippedCase[] = [
  {
    id: 'two-lighter-neutral',
    clientCase: makeCase({
      title: 'Two levels, long and never coloured',
      difficulty: 2,
      client: {
        name: 'Saskia Drummond',
        note: 'Long light brown, no colour in her life. A medium blonde without any orange in it.',
      },
      zones: [
        zone('regrowth', { cm: 1.3, natural: 5 }),
        zone('mids', { cm: 28, natural: 5 }),
        zone('ends', { cm: 8, natural: 5 }),
      ],
      head: { length: 'longAllOver' },
      wish: { regrowth: to(7, 'neutral'), mids: to(7, 'neutral'), ends: to(7, 'neutral') },
      lineIds: ['tarnwick', 'quillet'],
    }),
  },
  {
    id: 'nine-beige',
    clientCase: makeCase({
      title: 'From medium blonde to beige',
      difficulty: 2,
      client: {
        name: 'Henrike Solbakk',
        note: 'Medium blonde, never coloured. Very light and beige by midsummer.',
      },
      zones: [zone('regrowth', { cm: 1.3, natural: 7 }), zone('mids', { cm: 18, natural: 7 })],
      wish: { regrowth: to(9, 'beige'), mids: to(9, 'beige') },
      lineIds: ['tarnwick', 'wrenfell', 'calder', 'quillet'],
    }),
  },
  {
    id: 'copper-from-dark',
    clientCase: makeCase({
      title: 'Copper out of dark brown',
      difficulty: 2,
      client: {
        name: 'Delphine Marr',
        note: 'Dark brown, strong, never coloured. A warm copper, as bright as dark hair gives it without lightener.',
      },
      zones: [zone('regrowth', { cm: 1.3, natural: 3 }), zone('mids', { cm: 20, natural: 3 })],
      wish: { regrowth: to(5, 'copper'), mids: to(5, 'copper') },
      lineIds: ['tarnwick', 'calder', 'quillet'],
    }),
  },
  {
    id: 'short-and-pale',
    clientCase: makeCase({
      title: 'Short, pale, all over',
      difficulty: 2,
      client: {
        name: 'Lux Penhallow',
        note: 'Four centimetres, light brown, never coloured, strong. Pale all over, by tonight.',
      },
      zones: [zone('regrowth', { cm: 1.3, natural: 5 }), zone('mids', { cm: 2.7, natural: 5 })],
      head: { length: 'shortAllOver' },
      wish: { regrowth: to(9, 'neutral'), mids: to(9, 'neutral') },
      lineIds: ['calder', 'wrenfell', 'quillet'],
    }),
  },
  {
    id: 'face-frame-on-coils',
    clientCase: makeCase({
      title: 'Light at the face, on fine coils',
      difficulty: 3,
      client: {
        name: 'Imani Osei-Ward',
        note: 'Tight coils, fine, never coloured. Gold around the face, a third of the hair, and every coil as springy as before.',
      },
      zones: [zone('mids', { cm: 18, natural: 4 })],
      head: { diameter: 'fine', form: 'coily', density: 'dense' },
      wish: {},
      placements: [{ share: 0.33, zones: ['mids'], target: to(7, 'gold') }],
      lineIds: ['wrenfell', 'calder', 'quillet'],
    }),
  },
  {
    id: 'ends-painted',
    clientCase: makeCase({
      title: 'Light only at the ends',
      difficulty: 2,
      client: {
        name: 'Maribel Thorne',
        note: 'Long medium brown. Light beige ends as if from the sea, and nothing at all above the shoulder.',
      },
      zones: [zone('mids', { cm: 28, natural: 4 }), zone('ends', { cm: 10, natural: 4 })],
      head: { length: 'longAllOver' },
      wish: { ends: to(8, 'beige') },
      lineIds: ['calder', 'quillet', 'tarnwick'],
    }),
  },
  {
    id: 'high-lift-pearl',
    house: { levelScale: 'twelve' },
    clientCase: makeCase({
      title: 'Palest pearl from light blonde',
      difficulty: 2,
      client: {
        name: 'Signe Arnault',
        note: 'Light blonde as a child has it, never coloured. As pale as colour alone can make it, with a pearl over it.',
      },
      zones: [zone('mids', { cm: 16, natural: 8 })],
      wish: { mids: to(11, 'pearl') },
      lineIds: ['tarnwick', 'calder', 'quillet'],
    }),
  },
  {
    id: 'four-centimetres-grown',
    clientCase: makeCase({
      title: 'Four centimetres grown out',
      difficulty: 3,
      client: {
        name: 'Cordula Vance',
        note: 'Very light blonde lengths from last year, four centimetres of her own dark blonde. One colour again.',
      },
      zones: [
        zone('regrowth', { cm: 1.3, natural: 6 }),
        zone('band', { cm: 2.7, natural: 6 }),
        zone('mids', { cm: 18, natural: 6, history: lightened(9), damage: 0.25 }),
      ],
      facts: { weeksSinceColour: 14 },
      wish: { regrowth: to(9, 'neutral'), band: to(9, 'neutral') },
      lineIds: ['calder', 'wrenfell', 'quillet'],
    }),
  },
  {
    id: 'woven-back-deeper',
    clientCase: makeCase({
      title: 'A quarter woven back',
      difficulty: 2,
      client: {
        name: 'Perpetua Hale',
        note: 'Lightened all through and too bright for her. A quarter of it back to a natural gold, the rest as it is.',
      },
      zones: [zone('mids', { cm: 20, natural: 6, history: lightened(9), damage: 0.22 })],
      facts: { weeksSinceColour: 6 },
      wish: {},
      placements: [{ share: 0.25, zones: ['mids'], target: to(7, 'gold') }],
      lineIds: ['quillet', 'tarnwick', 'pellow'],
    }),
  },
  {
    id: 'a-quarter-in-foils',
    clientCase: makeCase({
      title: 'A quarter in foils, one level and a bit',
      difficulty: 2,
      client: {
        name: 'Beatrice Lomax-Adeyemi',
        note: 'Long dark blonde, never coloured. A shade lighter here and there and no warmth in it.',
      },
      zones: [zone('mids', { cm: 34, natural: 6 })],
      head: { length: 'longAllOver' },
      facts: { upkeepWeeks: 12 },
      wish: {},
      placements: [{ share: 0.25, zones: ['mids'], target: to(7, 'neutral'), taken: 'fineWeave' }],
      lineIds: ['wrenfell', 'calder', 'quillet', 'tarnwick'],
    }),
  },
  {
    id: 'warm-brown-from-black-brown',
    clientCase: makeCase({
      title: 'Warm brown on coarse, very dark hair',
      difficulty: 2,
      client: {
        name: 'Yolanda Ekwueme',
        note: 'Very dark, coarse, never coloured. Two levels, warm, and no powder.',
      },
      zones: [zone('regrowth', { cm: 1.3, natural: 2 }), zone('mids', { cm: 18, natural: 2 })],
      head: { diameter: 'coarse' },
      wish: { regrowth: to(4, 'mahogany'), mids: to(4, 'mahogany') },
      lineIds: ['tarnwick', 'ostrel', 'calder'],
    }),
  },
  {
    id: 'high-lift-retouch',
    clientCase: makeCase({
      title: 'A centimetre of light blonde',
      difficulty: 2,
      client: {
        name: 'Kirsten Ravnholt',
        note: 'High-lift blonde since her twenties; a centimetre has grown. The root as the lengths are.',
      },
      zones: [
        zone('regrowth', { cm: 1, natural: 8 }),
        zone('mids', {
          cm: 20,
          natural: 8,
          history: [{ kind: 'permanent', level: 10, tone: { primary: 'neutral' } }],
          damage: 0.16,
        }),
      ],
      facts: { weeksSinceColour: 5 },
      wish: { regrowth: to(10, 'neutral') },
      lineIds: ['tarnwick', 'wrenfell', 'quillet'],
    }),
  },
  {
    id: 'tips-of-coils',
    clientCase: makeCase({
      title: 'Warm tips on dark coils',
      difficulty: 2,
      client: {
        name: 'Nnenna Bassey-Hart',
        note: 'Coarse coils, nearly black, never coloured. The last five centimetres warm red-brown, nothing above.',
      },
      zones: [zone('mids', { cm: 15, natural: 2 }), zone('ends', { cm: 5, natural: 2 })],
      head: { diameter: 'coarse', form: 'coily' },
      facts: { upkeepWeeks: 12 },
      wish: { ends: to(4, 'red') },
      lineIds: ['tarnwick', 'ostrel', 'calder'],
    }),
  },
];
