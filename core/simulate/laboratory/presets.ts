import type { HistoryLayer } from '../../hair';
import { type Habits, USUAL_HABITS } from '../../process';
import type { LabCoat, Side, LabState } from './setup';

const shade = (label: string, parts = 1) => ({ label, parts });

const cream: LabCoat = {
  product: 'permanent',
  shades: [shade('7:0')],
  vivid: 'directPink',
  fillsLevel: 6,
  vol: 20,
  ratio: 1.5,
  thinned: 0,
  amount: 1,
  wet: false,
  conditioner: false,
  starts: { root: 0, mids: 0, ends: 0 },
  rinseAt: 35,
  heat: 'none',
};
const powder: LabCoat = {
  ...cream,
  product: 'lightenerStrong',
  shades: [],
  ratio: 2,
  rinseAt: 45,
};
const gentle: LabCoat = { ...powder, product: 'lightenerGentle' };
const toner: LabCoat = { ...cream, product: 'demi', shades: [shade('7-L')], vol: 7, ratio: 2, rinseAt: 20 };
const remover: LabCoat = { ...cream, product: 'remover', shades: [], vol: 0, ratio: 1, rinseAt: 20 };
const filler: LabCoat = {
  ...cream,
  product: 'filler',
  shades: [],
  fillsLevel: 5,
  vol: 0,
  ratio: 1,
  rinseAt: 15,
};
/** The same, begun later on all zones. */
const later = (coat: LabCoat, by: number): LabCoat => ({
  ...coat,
  starts: { root: by, mids: by, ends: by },
  rinseAt: coat.rinseAt === null ? null : coat.rinseAt + by,
});

const head: Side = {
  natural: 5,
  white: 0,
  resistant: false,
  porosity: 'normal',
  endsPorosity: 'normal',
  diameter: 'medium',
  form: 'straight',
  past: [],
  pastAtRoot: true,
  coats: [cream],
  habits: USUAL_HABITS,
};
const over = (coat: LabCoat, change: Partial<Side> = {}): Side => ({ ...head, coats: [coat], ...change });
const lightened = (level: number, yellow?: 'bright' | 'creamy'): HistoryLayer =>
  yellow ? { kind: 'lightened', level, yellow } : { kind: 'lightened', level };
const dyed = (level: number, primary: 'neutral' | 'copper' = 'neutral'): HistoryLayer => ({
  kind: 'permanent',
  level,
  tone: { primary },
});
const treated = (treatment: 'moisture' | 'bond'): HistoryLayer => ({ kind: 'treated', treatment });

const orange7: Partial<Side> = { natural: 4, past: [lightened(7)] };
const yellow8: Partial<Side> = { natural: 4, past: [lightened(8)] };
const pale9: Partial<Side> = { natural: 4, past: [lightened(9)] };
const grey80: Partial<Side> = { natural: 6, white: 0.8 };
const half5: Partial<Side> = { white: 0.5 };
const cover = (change: Partial<LabCoat> = {}): LabCoat => ({
  ...cream,
  shades: [shade('5:0')],
  rinseAt: 45,
  ...change,
});

const at = (minute: number, a: Side, b: Side, weeks = 0): LabState => ({
  a,
  b,
  light: 'daylight',
  minute,
  weeks,
});
/** A side whose hair is treated otherwise in the weeks after. */
const living = (side: Side, habits: Partial<Habits>): Side => ({
  ...side,
  habits: { ...side.habits, ...habits },
});
const pearlOn9 = over({ ...toner, shades: [shade('9-U')] }, pale9);

/** Strong powder, and once more as soon as it is rinsed. */
const twice = (change: Partial<Side>): Side => ({
  ...over({ ...powder, vol: 30, rinseAt: 50 }, change),
  coats: [{ ...powder, vol: 30, rinseAt: 50 }, later({ ...powder, vol: 30, rinseAt: 50 }, 55)],
});

/** Comparisons that every class asks for, each one setting apart. */
export const PRESETS = {
  hotRoot: at(
    45,
    over({ ...powder, starts: { root: 0, mids: 15, ends: 15 } }, { natural: 4 }),
    over({ ...powder, starts: { root: 15, mids: 0, ends: 0 } }, { natural: 4 }),
  ),
  colourOnColour: at(
    35,
    over({ ...cream, shades: [shade('8:0')], vol: 40 }, { past: [dyed(5)] }),
    over({ ...cream, shades: [shade('8:0')], vol: 40 }),
  ),
  dyedIsSlower: at(20, over(powder, { natural: 6, past: [dyed(4)] }), over(powder, { natural: 4 })),
  tonerTooLight: at(20, over({ ...toner, shades: [shade('9-U')] }, orange7), over(toner, orange7)),
  thirtyAgainstForty: at(
    20,
    over({ ...powder, vol: 30 }, { natural: 4 }),
    over({ ...powder, vol: 40 }, { natural: 4 }),
  ),
  fineHair: at(
    40,
    over({ ...gentle, vol: 10 }, { natural: 5.5, diameter: 'veryFine' }),
    over({ ...gentle, vol: 10 }, { natural: 5.5 }),
  ),
  porousEnds: at(
    20,
    over({ ...toner, shades: [shade('7-S')] }, { ...yellow8, endsPorosity: 'high' }),
    over({ ...toner, shades: [shade('7-S')] }, yellow8),
  ),
  overlap: at(
    35,
    over({ ...cream, shades: [shade('5:0')] }, { past: [dyed(5)], pastAtRoot: false }),
    over(
      { ...cream, shades: [shade('5:0')], starts: { root: 0, mids: null, ends: null } },
      { past: [dyed(5)], pastAtRoot: false },
    ),
  ),
  leftover: at(
    35,
    over(
      { ...cream, shades: [shade('5:2')] },
      { past: [{ ...dyed(5, 'copper'), faded: 0.4 } as HistoryLayer] },
    ),
    over(
      { ...cream, shades: [shade('5:2')], thinned: 1, starts: { root: 30, mids: 30, ends: 30 } },
      { past: [{ ...dyed(5, 'copper'), faded: 0.4 } as HistoryLayer] },
    ),
  ),
  greyWithoutNatural: at(
    45,
    over({ ...cream, shades: [shade('6:1')], rinseAt: 45 }, grey80),
    over({ ...cream, shades: [shade('6:1'), shade('6:0', 3)], rinseAt: 45 }, grey80),
  ),
  greyTenVol: at(45, over(cover({ vol: 10 }), half5), over(cover(), half5)),
  greyTakenOffEarly: at(45, over(cover({ rinseAt: 30 }), half5), over(cover(), half5)),
  greyByDemi: at(45, over({ ...toner, shades: [shade('5-L')] }, half5), over(cover(), half5)),
  resistantGrey: at(
    50,
    over(cover({ rinseAt: 35 }), { white: 0.9, resistant: true }),
    over(cover({ shades: [shade('5:00')], rinseAt: 50 }), { white: 0.9, resistant: true }),
  ),
  redWithoutWarmth: at(
    20,
    over({ ...toner, shades: [shade('6-R')] }, { natural: 7, past: [lightened(10)] }),
    over({ ...toner, shades: [shade('6-R')] }, { natural: 4, past: [lightened(6)] }),
  ),
  fillFirst: at(
    40,
    over(later({ ...toner, shades: [shade('5-L')] }, 20), {
      ...pale9,
      porosity: 'high',
      endsPorosity: 'high',
    }),
    {
      ...over(filler, { ...pale9, porosity: 'high', endsPorosity: 'high' }),
      coats: [filler, later({ ...toner, shades: [shade('5-L')] }, 20)],
    },
  ),
  permanentAsToner: at(
    35,
    over({ ...cream, shades: [shade('9:0')] }, pale9),
    over({ ...toner, shades: [shade('9-L')] }, pale9),
  ),
  removerFirst: at(
    60,
    over(
      { ...powder, rinseAt: 30 },
      { ...yellow8, past: [lightened(8), { kind: 'direct', dye: 'directGreen' }] },
    ),
    {
      ...over(remover, { ...yellow8, past: [lightened(8), { kind: 'direct', dye: 'directGreen' }] }),
      coats: [remover, later({ ...gentle, rinseAt: 30 }, 25)],
    },
  ),
  pinkAgainstGreen: at(
    30,
    over(
      { ...gentle, vol: 10, rinseAt: 30 },
      { ...pale9, past: [lightened(9), { kind: 'direct', dye: 'directPink', faded: 0.5 }] },
    ),
    over(
      { ...gentle, vol: 10, rinseAt: 30 },
      { ...pale9, past: [lightened(9), { kind: 'direct', dye: 'directGreen', faded: 0.5 }] },
    ),
  ),
  wetCleanse: at(
    15,
    over(
      { ...gentle, vol: 20, rinseAt: 15 },
      {
        natural: 6,
        pastAtRoot: false,
        past: [lightened(9), { kind: 'demi', level: 9, tone: { primary: 'ash' }, times: 4 }],
      },
    ),
    over(
      { ...gentle, vol: 10, wet: true, conditioner: true, rinseAt: 15 },
      {
        natural: 6,
        pastAtRoot: false,
        past: [lightened(9), { kind: 'demi', level: 9, tone: { primary: 'ash' }, times: 4 }],
      },
    ),
  ),
  thinCoat: at(45, over({ ...powder, amount: 0.5 }, { natural: 4 }), over(powder, { natural: 4 })),
  neverRinsed: at(
    120,
    over({ ...powder, rinseAt: null }, { natural: 4 }),
    over({ ...powder, rinseAt: 50 }, { natural: 4 }),
  ),
  heatEarly: at(
    15,
    over({ ...powder, rinseAt: 15, heat: 'last' }, { natural: 4 }),
    over({ ...powder, rinseAt: 15, heat: 'first' }, { natural: 4 }),
  ),
  lightenedAgain: at(
    50,
    twice({ natural: 4, past: [lightened(10)] }),
    twice({ natural: 4, past: [lightened(10), treated('bond'), treated('moisture')] }),
  ),
  brightOrCreamy: at(
    20,
    over({ ...toner, shades: [shade('9-O')] }, { natural: 4, past: [lightened(9, 'bright')] }),
    over({ ...toner, shades: [shade('9-O')] }, { natural: 4, past: [lightened(9, 'creamy')] }),
  ),
  tonerFades: at(20, pearlOn9, living(pearlOn9, { water: 'hot', shampoo: 'ordinary' }), 4),
  careAgainstYellow: at(20, pearlOn9, living(pearlOn9, { violet: 1 }), 6),
  redsFade: at(
    35,
    over({ ...cream, shades: [shade('6:0')] }, { natural: 6 }),
    over({ ...cream, shades: [shade('6:5')] }, { natural: 6 }),
    6,
  ),
} satisfies Record<string, LabState>;
export type PresetName = keyof typeof PRESETS;
export const PRESET_NAMES = Object.keys(PRESETS) as PresetName[];
