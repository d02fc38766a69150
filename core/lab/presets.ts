import type { LabState, Side } from './setup';

const plain: Side = {
  natural: 5,
  white: 0,
  porosity: 'normal',
  endsPorosity: 'normal',
  diameter: 'medium',
  form: 'straight',
  history: 'untouched',
  historyLevel: 7,
  historyAtRoot: true,
  product: 'permanent',
  shades: [{ label: '7:0', parts: 1 }],
  vivid: 'directPink',
  fillsLevel: 6,
  vol: 20,
  ratio: 1.5,
  starts: { root: 0, mids: 0, ends: 0 },
  rinseAt: 35,
  heat: false,
};
const powder: Side = {
  ...plain,
  natural: 4,
  product: 'lightenerStrong',
  shades: [],
  vol: 20,
  ratio: 2,
  rinseAt: 45,
};
const toner: Side = {
  ...plain,
  natural: 4,
  history: 'lightened',
  historyLevel: 7,
  product: 'demi',
  shades: [{ label: '7-L', parts: 1 }],
  vol: 7,
  ratio: 2,
  rinseAt: 20,
};
const grey: Side = { ...plain, natural: 6, white: 0.8, shades: [{ label: '6:1', parts: 1 }], rinseAt: 45 };

const at = (minute: number, a: Side, b: Side): LabState => ({ a, b, light: 'daylight', minute });

/** Comparisons that every class asks for, each one setting apart. */
export const PRESETS = {
  hotRoot: at(
    45,
    { ...powder, starts: { root: 0, mids: 15, ends: 15 } },
    { ...powder, starts: { root: 15, mids: 0, ends: 0 } },
  ),
  colourOnColour: at(
    35,
    { ...plain, history: 'coloured', historyLevel: 4, shades: [{ label: '8:0', parts: 1 }], vol: 40 },
    { ...plain, shades: [{ label: '8:0', parts: 1 }], vol: 40 },
  ),
  tonerTooLight: at(20, { ...toner, shades: [{ label: '9-U', parts: 1 }] }, toner),
  thirtyAgainstForty: at(10, { ...powder, vol: 30 }, { ...powder, vol: 40 }),
  porousEnds: at(
    20,
    { ...toner, historyLevel: 8, endsPorosity: 'high', shades: [{ label: '7-S', parts: 1 }] },
    { ...toner, historyLevel: 8, shades: [{ label: '7-S', parts: 1 }] },
  ),
  overlap: at(
    35,
    {
      ...plain,
      history: 'coloured',
      historyLevel: 5,
      historyAtRoot: false,
      shades: [{ label: '5:0', parts: 1 }],
    },
    {
      ...plain,
      history: 'coloured',
      historyLevel: 5,
      historyAtRoot: false,
      shades: [{ label: '5:0', parts: 1 }],
      starts: { root: 0, mids: null, ends: null },
    },
  ),
  greyWithoutNatural: at(45, grey, {
    ...grey,
    shades: [
      { label: '6:1', parts: 1 },
      { label: '6:0', parts: 1 },
    ],
  }),
  redWithoutWarmth: at(
    20,
    { ...toner, natural: 7, historyLevel: 10, shades: [{ label: '6-R', parts: 1 }] },
    { ...toner, natural: 4, historyLevel: 6, shades: [{ label: '6-R', parts: 1 }] },
  ),
} satisfies Record<string, LabState>;
export type PresetName = keyof typeof PRESETS;
export const PRESET_NAMES = Object.keys(PRESETS) as PresetName[];
