import { FORMULATE } from '../exercise';
import { type ShippedCase, makeCase, zone, to } from './case-maker';

/** Small exercises: hair alike from root to tip, one bowl, read, mixed and timed. */
export const SMALL_CASES: readonly ShippedCase[] = [
  {
    id: 'half-grey-gold',
    open: FORMULATE,
    clientCase: makeCase({
      title: 'Cover half grey, keep it golden',
      difficulty: 1,
      client: {
        name: 'Mrs Pellerin',
        note: 'Never coloured until now. Wears it short and wants the grey gone, warm rather than flat. Patch test clear on Sunday.',
      },
      zones: [zone('mids', { cm: 10, natural: 5, grey: 0.5 })],
      head: { length: 'shortAllOver' },
      wish: { mids: to(5, 'gold') },
      lineIds: ['tarnwick'],
    }),
  },
  {
    id: 'two-lighter-ash',
    open: FORMULATE,
    clientCase: makeCase({
      title: 'Two levels lighter in one bowl',
      difficulty: 1,
      client: {
        name: 'Tamsin R.',
        note: 'Natural hair to the shoulder, no history. Dislikes any brass. Knows that lightening takes upkeep. Scalp sound.',
      },
      zones: [zone('mids', { cm: 30, natural: 5 })],
      head: { density: 'dense' },
      wish: { mids: to(7, 'ash') },
      lineIds: ['tarnwick'],
    }),
  },
  {
    id: 'winter-porous',
    open: FORMULATE,
    clientCase: makeCase({
      title: 'Deeper for winter, on porous hair',
      difficulty: 1,
      client: {
        name: 'Joss W.',
        note: 'Sun and sea all summer; the hair drinks water. Wants a deeper, quiet brown for winter, nothing that has to be lifted later.',
      },
      zones: [zone('mids', { cm: 30, natural: 8, porosity: 'high' })],
      head: { density: 'sparse', diameter: 'fine' },
      wish: { mids: to(6, 'beige') },
      lineIds: ['quillet'],
    }),
  },
];
