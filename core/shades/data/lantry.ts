import type { Line } from '../line';

/** Invented remover of artificial colour: two parts poured together, no developer strength to choose but its own. */
export const lantry: Line = {
  id: 'lantry',
  version: 1,
  name: 'Lantry Remover',
  kind: 'remover',
  key: { separator: '-', signs: {} },
  shades: [],
  developersVol: [5],
  ratios: [1],
  minutes: { standard: 20, grey: 20 },
  activeMinutes: 20,
  mayDilute: false,
  mayHeat: false,
  timerStarts: 'firstContact',
  tubeGrams: 250,
};
