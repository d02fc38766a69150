import type { Line } from '../line';

/** Invented strong lightener powder, for levels 1 to 6 and for artificial colour. */
export const calder: Line = {
  id: 'calder',
  version: 1,
  name: 'Calder Powder',
  kind: 'lightenerStrong',
  key: { separator: '-', signs: {} },
  shades: [],
  developersVol: [10, 20, 30, 40],
  ratios: [2, 1.5, 3],
  minutes: { standard: 50, grey: 50 },
  activeMinutes: 60,
  mayDilute: true,
  mayHeat: false,
  timerStarts: 'firstContact',
  tubeGrams: 500,
  additives: [{ name: 'Calder Bind', gramsPer100: 4 }],
};
