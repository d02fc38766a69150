import type { Line } from '../line';

/** Invented acid gloss: deposits, lifts nothing and covers no grey. A wave between level and letters. */
export const pellow: Line = {
  id: 'pellow',
  version: 1,
  name: 'Pellow Gloss',
  kind: 'acidGloss',
  key: {
    separator: '~',
    signs: {
      E: 'neutral',
      D: 'ash',
      O: 'violet',
      H: 'matte',
      S: 'pearl',
      U: 'beige',
      L: 'gold',
      I: 'copper',
      F: 'red',
      T: 'mahogany',
    },
    clear: 'Dew',
  },
  shades: [
    'Dew',
    ...['3~E', '4~E', '5~E', '6~E', '7~E', '8~E', '9~E', '10~E'],
    ...['5~D', '6~D', '7~D', '8~D', '9~D', '10~D', '7~O', '8~O', '9~O', '10~O', '6~H', '7~H'],
    ...['8~S', '9~S', '10~S', '7~U', '8~U', '9~U', '10~U', '6~L', '7~L', '8~L', '9~L'],
    ...['5~I', '6~I', '7~I', '8~I', '4~F', '5~F', '6~F', '4~T', '5~T', '9~SU', '10~SO'],
  ],
  developersVol: [5],
  ratios: [1, 1.5, 2],
  minutes: { standard: 15, grey: 15 },
  activeMinutes: 40,
  mayDilute: false,
  mayHeat: false,
  timerStarts: 'firstContact',
  tubeGrams: 60,
};
