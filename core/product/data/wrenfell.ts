import type { Line } from '../line';

/** Invented gentle lightener powder, for level 7 and lighter, for fine and for weakened hair. */
export const wrenfell: Line = {
  id: 'wrenfell',
  version: 1,
  name: 'Wrenfell Powder',
  kind: 'lightenerGentle',
  preWash: 'washed',
  key: { separator: '-', signs: {} },
  shades: [],
  developersVol: [10, 20, 30],
  ratios: [2, 2.5, 3],
  minutes: { standard: 50, grey: 50 },
  activeMinutes: 60,
  mayDilute: false,
  mayHeat: false,
  timerStarts: 'firstContact',
  tubeGrams: 400,
};
