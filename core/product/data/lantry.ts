import type { Line } from '../line';

/** Invented remover of artificial colour: two parts poured together; its liquid holds no peroxide. */
export const lantry: Line = {
  id: 'lantry',
  version: 2,
  name: 'Lantry Remover',
  kind: 'remover',
  key: { separator: '-', signs: {} },
  shades: [],
  developersVol: [0],
  ratios: [1],
  minutes: { standard: 20, grey: 20 },
  activeMinutes: 20,
  mayDilute: false,
  mayHeat: false,
  timerStarts: 'firstContact',
  tubeGrams: 250,
};
