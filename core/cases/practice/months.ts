import type { HistoryLayer } from '../../hair';
import { type ShippedCase, dyed, lightened, makeCase, to, toneNamed, zone } from '../case-maker';

const toned = (faded: number): HistoryLayer[] => [
  ...lightened(9),
  { kind: 'demi', level: 9, tone: toneNamed('pearl'), faded },
];
const pink = (faded: number): HistoryLayer[] => [
  ...lightened(10),
  { kind: 'direct', dye: 'directPink', faded },
];

/** Clients who come back: what was done weeks ago has grown out and faded, and they are told what it costs to keep it. */
export const MONTHS_CASES: readonly ShippedCase[] = [
  {
    id: 'seven-weeks-blonde',
    clientCase: makeCase({
      title: 'Seven weeks since the last blonde',
      difficulty: 2,
      client: {
        name: 'Liv Ashdown',
        note: 'Blonde from root to tip seven weeks ago, pearl then and yellow by now. Washes every other day. The same again, and what it costs her, please.',
      },
      zones: [
        zone('regrowth', { cm: 1.9, natural: 6 }),
        zone('mids', { cm: 16, natural: 6, history: toned(0.6), damage: 0.2 }),
        zone('ends', { cm: 7, natural: 6, history: toned(0.75), damage: 0.3 }),
      ],
      facts: { weeksSinceColour: 7, upkeepWeeks: 7 },
      wish: { regrowth: to(9, 'pearl'), mids: to(9, 'pearl'), ends: to(9, 'pearl') },
      lineIds: ['calder', 'wrenfell', 'quillet'],
      quote: true,
    }),
  },
  {
    id: 'nine-weeks-red',
    clientCase: makeCase({
      title: 'Red that ran to the tips',
      difficulty: 2,
      client: {
        name: 'Corin Hale',
        note: 'A bright red nine weeks ago; brown at the root by now, and pale towards the tips. Comes about four times a year. The red again, all the way.',
      },
      zones: [
        zone('regrowth', { cm: 2, natural: 4 }),
        zone('mids', { cm: 16, natural: 4, history: dyed(5, 'red', 0.35), damage: 0.1 }),
        zone('ends', { cm: 8, natural: 4, history: dyed(5, 'red', 0.55), porosity: 'high', damage: 0.2 }),
      ],
      facts: { weeksSinceColour: 9, upkeepWeeks: 9 },
      wish: { regrowth: to(5, 'red'), mids: to(5, 'red'), ends: to(5, 'red') },
      lineIds: ['tarnwick', 'quillet'],
      quote: true,
    }),
  },
  {
    id: 'five-weeks-pink',
    clientCase: makeCase({
      title: 'Pink, washed pale in five weeks',
      difficulty: 1,
      client: {
        name: 'Sunniva Reeve',
        note: 'Bright pink lengths five weeks ago, a blush of it now. The root stays her own. As bright as it was, and when does she have to come back?',
      },
      zones: [
        zone('regrowth', { cm: 3, natural: 6 }),
        zone('mids', { cm: 14, natural: 6, history: pink(0.7), damage: 0.25 }),
        zone('ends', { cm: 8, natural: 6, history: pink(0.85), damage: 0.3 }),
      ],
      facts: { weeksSinceColour: 5, upkeepWeeks: 3 },
      wish: {
        mids: { level: 10, tone: toneNamed('neutral'), vivid: 'directPink' },
        ends: { level: 10, tone: toneNamed('neutral'), vivid: 'directPink' },
      },
      lineIds: ['brindle', 'wrenfell', 'quillet'],
      quote: true,
    }),
  },
];
