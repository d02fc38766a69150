import type { Line } from '../line';

/** Invented filler: puts the warmth of a level back before hair is taken darker (F6). Named after that level. */
export const hobday: Line = {
  id: 'hobday',
  version: 1,
  name: 'Hobday Filler',
  kind: 'filler',
  key: {
    separator: '-',
    signs: {},
    named: Object.fromEntries(
      [4, 5, 6, 7, 8].map((level) => [`Ground ${level}`, { series: 'filler' as const, level }]),
    ),
  },
  shades: ['Ground 4', 'Ground 5', 'Ground 6', 'Ground 7', 'Ground 8'],
  developersVol: [],
  ratios: [],
  minutes: { standard: 15, grey: 15 },
  activeMinutes: 60,
  mayDilute: false,
  mayHeat: false,
  timerStarts: 'endOfApplication',
  tubeGrams: 200,
};
