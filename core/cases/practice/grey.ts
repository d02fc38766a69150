import { AREAS } from '../../hair';
import { type ShippedCase, makeCase, zone, dyed, to } from '../case-maker';

/** Grey covered, blended and carried, as practitioners meet it. */
export const GREY_CASES: readonly ShippedCase[] = [
  {
    id: 'hairline-grey',
    clientCase: makeCase({
      title: 'White at the hairline',
      difficulty: 1,
      client: {
        name: 'Mrs Lindqvist-Orr',
        note: 'Medium brown for years, every five weeks. The white shows at the front first; the lengths have lost a little.',
      },
      zones: [
        zone('regrowth', { cm: 1.5, natural: 4, grey: 0.3 }),
        zone('mids', { cm: 18, natural: 4, grey: 0.3, history: dyed(4, 'neutral', 0.25), damage: 0.08 }),
        zone('ends', { cm: 8, natural: 4, grey: 0.3, history: dyed(4, 'neutral', 0.25), damage: 0.1 }),
      ],
      facts: { weeksSinceColour: 5, upkeepWeeks: 5 },
      wish: { regrowth: to(4, 'neutral'), mids: to(4, 'neutral'), ends: to(4, 'neutral') },
      lineIds: ['tarnwick', 'quillet'],
    }),
  },
  {
    id: 'glassy-white',
    clientCase: makeCase({
      title: 'White that takes nothing',
      difficulty: 2,
      client: {
        name: 'Professor Amblecote',
        note: 'All but white, glassy at the temples. Every colour so far came out see-through. Wants a plain medium blonde.',
      },
      zones: [zone('mids', { cm: 6, natural: 6, grey: 0.95, resistant: true })],
      head: { length: 'shortAllOver', diameter: 'coarse' },
      wish: { mids: to(7, 'neutral') },
      lineIds: ['tarnwick', 'quillet'],
    }),
  },
  {
    id: 'red-with-a-little-white',
    clientCase: makeCase({
      title: 'Red over a few white strands',
      difficulty: 1,
      client: {
        name: 'Ottilie Farrow',
        note: 'Dark blonde, never coloured, a tenth white and scattered. A clear red at her own depth.',
      },
      zones: [zone('mids', { cm: 12, natural: 6, grey: 0.1 })],
      head: { length: 'shortAllOver' },
      wish: { mids: to(6, 'red') },
      lineIds: ['tarnwick', 'quillet'],
    }),
  },
  {
    id: 'mixed-from-ten-and-thirty',
    clientCase: makeCase({
      title: 'Ten and thirty on the shelf',
      difficulty: 2,
      client: {
        name: 'Mrs Calloway-Reid',
        note: 'Retouch over half white, light brown, as every month. The delivery is late: there is no 20 vol today.',
      },
      zones: [
        zone('regrowth', { cm: 1.5, natural: 5, grey: 0.5 }),
        zone('mids', { cm: 20, natural: 5, grey: 0.5, history: dyed(5, 'neutral'), damage: 0.08 }),
      ],
      facts: { weeksSinceColour: 5, upkeepWeeks: 5 },
      wish: { regrowth: to(5, 'neutral') },
      lineIds: ['tarnwick'],
      shelf: { tarnwick: { developersVol: [10, 30] } },
    }),
  },
  {
    id: 'the-other-line',
    clientCase: makeCase({
      title: 'One line has it, one has not',
      difficulty: 2,
      client: {
        name: 'Mr Desrosier',
        note: 'Half white, light brown, short. One line has only its strongest developer left and may not be thinned.',
      },
      zones: [
        zone('regrowth', { cm: 1.5, natural: 5, grey: 0.5 }),
        zone('mids', { cm: 5, natural: 5, grey: 0.5, history: dyed(5, 'neutral'), damage: 0.06 }),
      ],
      head: { length: 'shortAllOver' },
      facts: { weeksSinceColour: 5, upkeepWeeks: 5 },
      wish: { regrowth: to(5, 'neutral') },
      lineIds: ['ostrel', 'tarnwick'],
      shelf: { ostrel: { developersVol: [40] }, tarnwick: { developersVol: [20] } },
    }),
  },
  {
    id: 'all-white-pearl',
    clientCase: makeCase({
      title: 'All white, and pearl over it',
      difficulty: 1,
      client: {
        name: 'Baroness Whitlock-Ames',
        note: 'White all over and proud of it; it yellows at the front. Pearl, soft and clear, nothing dyed.',
      },
      zones: [zone('mids', { cm: 10, natural: 6, grey: 1 })],
      head: { length: 'shortAllOver' },
      wish: { mids: to(10, 'pearl') },
      lineIds: ['quillet', 'pellow', 'tarnwick'],
    }),
  },
  {
    id: 'less-grey',
    clientCase: makeCase({
      title: 'Less grey, not covered',
      difficulty: 1,
      client: {
        name: 'Ambrose Keele',
        note: 'Short, half grey. It may be seen that he has some; it should be less, and nobody should ask.',
      },
      zones: [zone('mids', { cm: 4, natural: 5, grey: 0.5 })],
      head: { length: 'shortAllOver' },
      wish: { mids: { ...to(5, 'neutral'), grey: 'blend' } },
      lineIds: ['quillet', 'tarnwick'],
    }),
  },
  {
    id: 'red-lengths-freshened',
    clientCase: makeCase({
      title: 'Red-brown root, red made fresh',
      difficulty: 2,
      client: {
        name: 'Romilly Hatchard',
        note: 'Red for two years; it washes out at once. Root a shade deeper, the lengths as red as on the first day.',
      },
      zones: [
        zone('regrowth', { cm: 1.5, natural: 5, grey: 0.1 }),
        zone('mids', { cm: 20, natural: 5, history: dyed(6, 'red', 0.5), damage: 0.1 }),
        zone('ends', { cm: 8, natural: 5, history: dyed(6, 'red', 0.5), damage: 0.15 }),
      ],
      facts: { weeksSinceColour: 6, upkeepWeeks: 6 },
      wish: { regrowth: to(5, 'mahogany'), mids: to(6, 'red'), ends: to(6, 'red') },
      lineIds: ['tarnwick', 'quillet', 'calder'],
    }),
  },
  {
    id: 'soft-over-white',
    clientCase: makeCase({
      title: 'Soft over white, and no line',
      difficulty: 2,
      client: {
        name: 'Evelyn Marchetti-Poole',
        note: 'Seven in ten are white. Not dyed, not white: softer, and nothing to see when it grows.',
      },
      zones: [zone('mids', { cm: 9, natural: 5, grey: 0.7 })],
      head: { length: 'shortAllOver' },
      facts: { upkeepWeeks: 8 },
      wish: { mids: { ...to(5, 'neutral'), grey: 'blend' } },
      lineIds: ['quillet', 'tarnwick'],
    }),
  },
  {
    id: 'temples-only',
    clientCase: makeCase({
      title: 'Less at the temples',
      difficulty: 2,
      client: {
        name: 'Hadrian Stoke',
        note: 'Very dark, cut short, a little white at the temples. Less of it; nobody is to think that he colours.',
      },
      zones: [
        zone('sides-mids', { cm: 3, natural: 3, grey: 0.15 }),
        zone('rest-mids', { cm: 3, natural: 3 }),
      ],
      head: {
        length: 'shortAllOver',
        regions: [
          { name: 'sides', areas: ['temples'] },
          { name: 'rest', areas: AREAS.filter((area) => area !== 'temples') },
        ],
      },
      facts: { upkeepWeeks: 5 },
      wish: { 'sides-mids': { ...to(3, 'neutral'), grey: 'blend' } },
      lineIds: ['quillet', 'tarnwick'],
    }),
  },
  {
    id: 'gold-eight',
    clientCase: makeCase({
      title: 'Light gold over six tenths white',
      difficulty: 2,
      client: {
        name: 'Mrs Halvorsen-Quaye',
        note: 'Never coloured. Was honey blonde as a girl; white and mouse now. Honey again.',
      },
      zones: [zone('mids', { cm: 10, natural: 7, grey: 0.6 })],
      head: { length: 'shortAllOver' },
      wish: { mids: to(8, 'gold') },
      lineIds: ['tarnwick', 'quillet'],
    }),
  },
  {
    id: 'first-white-at-the-parting',
    clientCase: makeCase({
      title: 'The first white at the parting',
      difficulty: 2,
      client: {
        name: 'Xanthe Oduya',
        note: 'Long medium brown, never coloured. The first white shows where she parts it. Less of it, no line, the lengths left alone.',
      },
      zones: [
        zone('top-regrowth', { cm: 8, natural: 4, grey: 0.2 }),
        zone('top-mids', { cm: 30, natural: 4 }),
        zone('rest-mids', { cm: 38, natural: 4 }),
      ],
      head: {
        length: 'longAllOver',
        regions: [
          { name: 'top', areas: ['hairline', 'top', 'crown'] },
          { name: 'rest', areas: ['temples', 'sides', 'back', 'nape'] },
        ],
      },
      facts: { upkeepWeeks: 10 },
      wish: { 'top-regrowth': { ...to(4, 'neutral'), grey: 'blend' } },
      lineIds: ['quillet', 'tarnwick'],
    }),
  },
  {
    id: 'thin-at-the-crown',
    clientCase: makeCase({
      title: 'Thin at the crown',
      difficulty: 2,
      client: {
        name: 'Constance Wraxall',
        note: 'Fine all over and thin on top, a third white. Light brown, and gently.',
      },
      zones: [
        zone('crown-mids', { cm: 6, natural: 4, grey: 0.33 }),
        zone('rest-mids', { cm: 6, natural: 4, grey: 0.33 }),
      ],
      head: {
        length: 'shortAllOver',
        diameter: 'fine',
        regions: [
          { name: 'crown', areas: ['top', 'crown'], density: 'sparse' },
          { name: 'rest', areas: ['hairline', 'temples', 'sides', 'back', 'nape'] },
        ],
      },
      wish: { 'crown-mids': to(5, 'neutral'), 'rest-mids': to(5, 'neutral') },
      lineIds: ['tarnwick', 'quillet'],
    }),
  },
  {
    id: 'one-to-one-and-a-half',
    clientCase: makeCase({
      title: 'One to one and a half',
      difficulty: 1,
      client: {
        name: 'Mrs Dunmore',
        note: 'Half white at the regrowth, golden light brown for years. A little of everything goes a long way on her.',
      },
      zones: [
        zone('regrowth', { cm: 1.5, natural: 5, grey: 0.5 }),
        zone('mids', { cm: 14, natural: 5, grey: 0.5, history: dyed(5, 'gold'), damage: 0.08 }),
      ],
      facts: { weeksSinceColour: 5, upkeepWeeks: 5 },
      wish: { regrowth: to(5, 'gold') },
      lineIds: ['tarnwick'],
    }),
  },
];
