import type { Line } from '../line';

/** Invented express line: permanent colour in ten minutes, one ratio, a small range. Lower-case letters and a plus. */
export const velm: Line = {
  id: 'velm',
  version: 1,
  name: 'Velm Swift',
  kind: 'express',
  key: {
    separator: '+',
    signs: {
      o: 'neutral',
      k: 'ash',
      w: 'pearl',
      y: 'beige',
      j: 'gold',
      x: 'copper',
      u: 'red',
      q: 'warmBrown',
    },
  },
  shades: [
    ...['2+o', '3+o', '4+o', '5+o', '6+o', '7+o', '8+o', '9+o', '4+oo', '5+oo', '6+oo', '7+oo'],
    ...['5+k', '6+k', '7+k', '8+k', '9+k', '8+w', '9+w', '6+y', '7+y', '8+y', '9+y'],
    ...['5+j', '6+j', '7+j', '8+j', '5+x', '6+x', '7+x', '4+u', '5+u', '6+u', '4+q', '5+q', '6+q'],
  ],
  developersVol: [10, 20, 30],
  ratios: [1],
  minutes: { standard: 10, grey: 10, resistant: 15 },
  activeMinutes: 20,
  mayDilute: false,
  mayHeat: false,
  timerStarts: 'firstContact',
  tubeGrams: 60,
};
