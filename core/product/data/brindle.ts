import type { Line } from '../line';

/** Invented ready-made vivid dyes: no key to read and no developer. */
export const brindle: Line = {
  id: 'brindle',
  version: 1,
  name: 'Brindle Vivid',
  kind: 'direct',
  key: {
    separator: '-',
    signs: {},
    named: {
      Rosehip: { series: 'direct', dye: 'directPink' },
      Lagoon: { series: 'direct', dye: 'directBlue' },
      Damson: { series: 'direct', dye: 'directViolet' },
      Bracken: { series: 'direct', dye: 'directGreen' },
      Gorse: { series: 'direct', dye: 'directYellow' },
    },
  },
  shades: ['Rosehip', 'Lagoon', 'Damson', 'Bracken', 'Gorse'],
  developersVol: [],
  ratios: [],
  minutes: { standard: 25, grey: 25 },
  activeMinutes: 120,
  mayDilute: false,
  mayHeat: true,
  timerStarts: 'endOfApplication',
  tubeGrams: 150,
};
