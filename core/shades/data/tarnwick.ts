import type { Line } from '../line';

/** Invented permanent line. Its signs run round the circle from gold to beige, so that no digit can be guessed. */
export const tarnwick: Line = {
  id: 'tarnwick',
  version: 1,
  name: 'Tarnwick Cream',
  kind: 'permanent',
  key: {
    separator: ':',
    signs: {
      '0': 'neutral',
      '1': 'gold',
      '2': 'copper',
      '3': 'mahogany',
      '4': 'red',
      '5': 'violet',
      '6': 'matte',
      '7': 'ash',
      '8': 'pearl',
      '9': 'beige',
    },
  },
  shades: [
    ...['1:0', '2:0', '3:0', '4:0', '5:0', '6:0', '7:0', '8:0', '9:0', '10:0'],
    ...['4:00', '5:00', '6:00', '7:00', '8:00'],
    ...['3:3', '4:3', '5:3', '4:4', '5:4', '6:4', '5:2', '6:2', '7:2', '8:2', '6:42'],
    ...['4:1', '5:1', '6:1', '7:1', '8:1', '9:1', '7:12'],
    ...['5:9', '6:9', '7:9', '8:9', '9:9'],
    ...['4:7', '5:7', '6:7', '7:7', '8:7', '9:7', '10:7'],
    ...['5:6', '7:6', '8:8', '9:8', '10:8', '6:5', '9:5', '10:5', '7:75', '8:75'],
  ],
  developersVol: [10, 20, 30, 40],
  ratios: [1.5],
  minutes: { standard: 35, grey: 45 },
  activeMinutes: 45,
  mayDilute: true,
  timerStarts: 'endOfApplication',
  tubeGrams: 60,
};
