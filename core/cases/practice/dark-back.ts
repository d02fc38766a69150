import type { HistoryLayer } from '../../hair';
import { type ShippedCase, makeCase, zone, to, dyed, lightened, toneNamed } from '../case-maker';

const layersOfBlack = (times: number): HistoryLayer[] => [
  { kind: 'permanent', level: 1, tone: toneNamed('neutral'), times },
];

/** Dye that has to come out, and hair that goes back to a darker colour. */
export const DARK_BACK_CASES: readonly ShippedCase[] = [
  {
    id: 'copper-root-from-a-box',
    clientCase: makeCase({
      title: 'A copper root from a box',
      difficulty: 2,
      client: {
        name: 'Marguerite Solane',
        note: 'Did her root at home in a hurry; it came out copper and two levels too light. One brown from root to tip again.',
      },
      zones: [
        zone('regrowth', { cm: 3, natural: 5, history: dyed(7.5, 'copper'), damage: 0.12 }),
        zone('mids', { cm: 20, natural: 5, history: dyed(5, 'neutral', 0.1), damage: 0.1 }),
      ],
      facts: { weeksSinceColour: 1 },
      wish: { regrowth: to(5, 'neutral') },
      lineIds: ['tarnwick', 'quillet', 'lantry'],
    }),
  },
  {
    id: 'two-centimetres-of-dark',
    clientCase: makeCase({
      title: 'Two centimetres of dark',
      difficulty: 3,
      client: {
        name: 'Ingrid Vasquez-Moor',
        note: 'The last retouch was mixed three levels too deep and ran over. Her gold again, root included.',
      },
      zones: [
        zone('regrowth', { cm: 1.5, natural: 5.5 }),
        zone('band', { cm: 2, natural: 5.5, history: dyed(3, 'neutral'), damage: 0.1 }),
        zone('mids', { cm: 18, natural: 5.5, history: dyed(6, 'gold'), damage: 0.1 }),
      ],
      facts: { weeksSinceColour: 5 },
      wish: { regrowth: to(6, 'gold'), band: to(6, 'gold') },
      lineIds: ['lantry', 'quillet', 'tarnwick', 'calder'],
    }),
  },
  {
    id: 'black-to-warm-brown',
    clientCase: makeCase({
      title: 'Black, and deeper at the ends',
      difficulty: 3,
      client: {
        name: 'Roxane Tillery',
        note: 'Four boxes of black, the ends twice as many. A warm light brown, and time to get there.',
      },
      zones: [
        zone('mids', { cm: 14, natural: 4, history: layersOfBlack(4), damage: 0.2 }),
        zone('ends', { cm: 12, natural: 4, history: layersOfBlack(8), damage: 0.3 }),
      ],
      facts: { weeksSinceColour: 6, upkeepWeeks: 5 },
      wish: { mids: to(6, 'warmBrown'), ends: to(6, 'warmBrown') },
      lineIds: ['lantry', 'calder', 'wrenfell', 'quillet'],
    }),
  },
  {
    id: 'half-grown-out',
    clientCase: makeCase({
      title: 'Half grown out, and tired of it',
      difficulty: 3,
      client: {
        name: 'Leonie Prewitt',
        note: 'Four centimetres of her own, then blonde in two depths, the ends rough. As near to her own as hair allows.',
      },
      zones: [
        zone('regrowth', { cm: 4, natural: 6 }),
        zone('mids', { cm: 14, natural: 6, history: lightened(8), damage: 0.22 }),
        zone('ends', { cm: 8, natural: 6, porosity: 'high', history: lightened(9.5), damage: 0.34 }),
      ],
      facts: { weeksSinceColour: 14 },
      wish: { mids: to(6.5, 'neutral'), ends: to(6.5, 'neutral') },
      lineIds: ['hobday', 'quillet', 'tarnwick'],
    }),
  },
  {
    id: 'taken-by-the-sun',
    clientCase: makeCase({
      title: 'Brown that the sun took',
      difficulty: 2,
      client: {
        name: 'Ulrike Bannerman',
        note: 'Light brown in spring, orange by September. Her cool brown again.',
      },
      zones: [
        zone('mids', { cm: 18, natural: 5, history: dyed(6.5, 'copper', 0.5), damage: 0.15 }),
        zone('ends', {
          cm: 8,
          natural: 5,
          porosity: 'high',
          history: dyed(6.5, 'copper', 0.5),
          damage: 0.24,
        }),
      ],
      facts: { weeksSinceColour: 20 },
      wish: { mids: to(5.5, 'ash'), ends: to(5.5, 'ash') },
      lineIds: ['quillet', 'tarnwick'],
    }),
  },
  {
    id: 'a-lighter-summer',
    clientCase: makeCase({
      title: 'Lighter for the summer',
      difficulty: 2,
      client: {
        name: 'Paloma Renwick',
        note: 'The same medium brown for years, no white. Light in it for the summer, not another colour.',
      },
      zones: [zone('mids', { cm: 24, natural: 4, history: dyed(4, 'neutral'), damage: 0.12 })],
      facts: { weeksSinceColour: 6, upkeepWeeks: 10 },
      wish: {},
      placements: [{ share: 0.3, zones: ['mids'], target: to(6, 'beige'), taken: 'fineWeave' }],
      lineIds: ['lantry', 'calder', 'quillet', 'tarnwick'],
    }),
  },
];
