import type { Line } from '../line';

/** Invented demi line with its own liquid. Letters this time: another key, and another separator. */
export const quillet: Line = {
  id: 'quillet',
  version: 1,
  name: 'Quillet Gel',
  kind: 'demi',
  key: {
    separator: '-',
    signs: {
      L: 'neutral',
      S: 'ash',
      I: 'violet',
      T: 'matte',
      U: 'pearl',
      O: 'beige',
      H: 'gold',
      F: 'copper',
      R: 'red',
      D: 'mahogany',
      E: 'warmBrown',
    },
    clear: 'Glass',
  },
  shades: [
    'Glass',
    ...['2-L', '3-L', '4-L', '5-L', '6-L', '7-L', '8-L', '9-L', '10-L'],
    ...['4-S', '5-S', '6-S', '7-S', '8-S', '9-S', '10-S'],
    ...['7-I', '8-I', '9-I', '10-I', '6-T', '7-T', '8-U', '9-U', '10-U'],
    ...['6-O', '7-O', '8-O', '9-O', '5-H', '6-H', '7-H', '8-H', '9-H'],
    ...['5-F', '6-F', '7-F', '4-R', '5-R', '6-R', '4-D', '5-D', '4-E', '5-E', '6-E', '7-SI', '8-SI'],
  ],
  developersVol: [7],
  ratios: [2],
  minutes: { standard: 20, grey: 20 },
  activeMinutes: 40,
  mayDilute: false,
  timerStarts: 'endOfApplication',
  tubeGrams: 60,
};
