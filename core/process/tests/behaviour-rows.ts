import {
  chromaOf,
  type Lab,
  differenceOf,
  hueOf,
  type ToneFamily,
  toneLab,
  neutralLab,
  TONE_FAMILIES,
} from '../../colour';
import {
  levelOfStrand,
  labOfStrand,
  type Strand,
  naturalStrand,
  lightenedStrand,
  dyeOf,
  loadOf,
  type DirectDye,
  readStrand,
  levelOfPigmented,
  naturalLab,
} from '../../hair';
import {
  after,
  permanent,
  powder,
  tonerMix,
  gentlePowder,
  remover,
  cleanse,
  anyShade,
  shades,
} from '../../testing/bowls';
import { strandAfter, apply } from '../apply';
import { coverageOf } from '../coat';
import { CONDITIONS, conditionOf, treated } from '../condition';
import { type Habits, USUAL_HABITS, strandAfterWeeks } from '../months';
import { withHistory } from '../past-services';
import { type Mix, VIVID_LOAD } from '../mix';
import { washed } from '../wash';
import { zoneAt } from '../zone-timeline';

/**
 * The behaviour that must hold, as data: every row of the engine's table with what is measured and the span it has to lie
 * in. The tests hold the model to them; the fit moves the model's figures until they do.
 */
export interface Measure {
  row: string;
  what: string;
  value: () => number;
  min?: number;
  max?: number;
  /** Size of a miss that matters as much as one ΔE, for the fit; 1 when left out. */
  scale?: number;
}

const level = levelOfStrand;
const lab = labOfStrand;
const chroma = (strand: Strand) => chromaOf(lab(strand));
const off = (strand: Strand, wanted: Lab) => differenceOf(lab(strand), wanted);
const to = (n: number, primary: ToneFamily = 'neutral') => toneLab(n, { primary });
const beyondNeutral = (strand: Strand) => {
  const at = Math.max(1, level(strand));
  return chroma(strand) - chromaOf(neutralLab(at));
};
const rank = (strand: Strand) => CONDITIONS.indexOf(conditionOf(strand));
const LEVEL = 0.15;
const rows: Measure[] = [];
const row = (
  id: string,
  what: string,
  value: () => number,
  span: [number | null, number | null],
  scale = 1,
) =>
  rows.push({
    row: id,
    what,
    value,
    ...(span[0] === null ? {} : { min: span[0] }),
    ...(span[1] === null ? {} : { max: span[1] }),
    scale,
  });
const count = (from: number, to: number) => Array.from({ length: to - from + 1 }, (_, i) => from + i);

for (const n of count(1, 10)) {
  row('H1', `natural ${n} reads as`, () => level(naturalStrand(n)), [n - 0.25, n + 0.25], LEVEL);
  row(
    'H34',
    `hue of natural ${n}`,
    () => hueOf(naturalLab(n)),
    n <= 4 ? [50, 64] : n <= 7 ? [62, 72] : [70, 78],
  );
  const chromas: [number, number] = n <= 3 ? [3, 8] : n <= 6 ? [9, 14] : n <= 9 ? [15, 20] : [13, 18];
  row('H34', `chroma of natural ${n}`, () => chromaOf(naturalLab(n)), chromas);
  if (n > 1) {
    const least = n <= 3 ? 2.5 : 3;
    row('H34', `ΔE from natural ${n - 1} to ${n}`, () => differenceOf(naturalLab(n - 1), naturalLab(n)), [
      least,
      null,
    ]);
  }
}
for (const [n, min, max] of [
  [4, 25, 42],
  [6, 45, 60],
  [8, 66, 82],
  [10, 84, 98],
] as const)
  row('H2', `hue of 2 lightened to ${n}`, () => hueOf(lab(lightenedStrand(n, 2))), [min, max]);
for (const n of count(5, 10))
  row(
    'H2',
    `hue rises from ${n - 1} to ${n}`,
    () => hueOf(lab(lightenedStrand(n, 2))) - hueOf(lab(lightenedStrand(n - 1, 2))),
    [0.5, null],
  );

const lift = (vol: number) => () => level(after(permanent('clear', vol), naturalStrand(5), 35)) - 5;
row('H3', 'lift of natural 5 by 10 vol', lift(10), [0, 0.4], LEVEL);
row('H3', 'lift of natural 5 by 20 vol', lift(20), [0.8, 2], LEVEL);
row('H3', 'lift of natural 5 by 30 vol', lift(30), [1.8, 3], LEVEL);
row('H3', 'lift of natural 5 by 40 vol', lift(40), [2.7, 4], LEVEL);
row('H3', '20 over 10', () => lift(20)() - lift(10)(), [0.3, null], LEVEL);
row('H3', '30 over 20', () => lift(30)() - lift(20)(), [0.3, null], LEVEL);
row('H3', '40 over 30', () => lift(40)() - lift(30)(), [0.3, null], LEVEL);

const dyed = (n: number, natural: number, primary: ToneFamily = 'neutral') =>
  withHistory(naturalStrand(natural), [{ kind: 'permanent', level: n, tone: { primary } }]);
const rise = (mix: Mix, strand: Strand, minutes: number) =>
  level(after(mix, strand, minutes)) - level(strand);
row('H4', 'rise of artificial 4', () => rise(permanent('8:0', 40), dyed(4, 5), 35), [null, 0.3], LEVEL);

const strong = (vol: number, minutes: number) => after(powder(vol), naturalStrand(4), minutes);
row('H5', 'natural 4 at 45 min', () => level(strong(30, 45)), [8.5, 10], LEVEL);
row('H5', 'from 60 to 90 min', () => level(strong(30, 90)) - level(strong(30, 60)), [-0.01, 0.15], LEVEL);
row('H6', '40 ahead at 10 min', () => level(strong(40, 10)) - level(strong(30, 10)), [0.2, null], LEVEL);
row('H6', '40 ahead at 50 min', () => level(strong(40, 50)) - level(strong(30, 50)), [null, 0.7], LEVEL);
row('H6', 'damage 40 against 30', () => strong(40, 50).damage / strong(30, 50).damage, [1.4, null], 0.1);

const yellow9 = lightenedStrand(9);
const pearl9 = () => after(tonerMix('9-U'), yellow9, 20);
row('H7', 'chroma left of yellow 9', () => chroma(pearl9()) / chroma(yellow9), [null, 0.4], 0.03);
row('H7', 'L* lost', () => lab(yellow9).l - lab(pearl9()).l, [null, 4]);
row(
  'H8',
  'chroma left of orange 7',
  () => chroma(after(tonerMix('9-U'), lightenedStrand(7), 20)) / chroma(lightenedStrand(7)),
  [0.75, null],
  0.03,
);

const porousEnds = () =>
  [lightenedStrand(8), { ...lightenedStrand(8), porosity: 0.85 }].map((strand) =>
    after(tonerMix('7-S'), strand, 20),
  );
row('H9', 'porous ends deeper', () => level(porousEnds()[0]) - level(porousEnds()[1]), [0.7, 1.6], LEVEL);
row('H9', 'porous ends cooler', () => lab(porousEnds()[0]).b - lab(porousEnds()[1]).b, [4, 10]);

const rootOrMid = (fromScalpCm: number, at: number) =>
  lab(
    zoneAt(
      {
        start: naturalStrand(4, { fromScalpCm }),
        events: [
          { at, do: 'apply', coat: { mix: powder(20) } },
          { at: 40, do: 'rinse' },
        ],
      },
      60,
    ).strand,
  ).l;
row('H10', 'root first: root ahead', () => rootOrMid(1, 0) - rootOrMid(10, 15), [5, null]);
row('H10', 'mids first: apart', () => Math.abs(rootOrMid(1, 15) - rootOrMid(10, 0)), [null, 3]);

const white80 = naturalStrand(6, { white: 0.8 });
const gold80 = (words: string) => off(after(permanent(words, 20), white80, 45), to(6, 'gold'));
row('H11', 'three quarters natural', () => gold80('6:1 6:0*3'), [null, 5]);
row('H11', 'half natural', () => gold80('6:1 6:0'), [5, 8]);
row('H11', 'none natural', () => gold80('6:1'), [10, null]);

const once = () => after(permanent('5:0', 20), naturalStrand(5), 35);
row(
  'H12',
  'over its own colour',
  () => level(once()) - level(after(permanent('5:0', 20), once(), 35)),
  [0.6, 1.4],
  LEVEL,
);

const warmRoot = () => after(permanent('clear', 30), naturalStrand(4), 35);
const again = () => after(permanent('8:0', 20), warmRoot(), 35);
row('H13', 'lighter by L*', () => lab(again()).l - lab(warmRoot()).l, [2, null]);
row('H13', 'warmer beyond neutral', () => beyondNeutral(again()) - beyondNeutral(warmRoot()), [0.3, null]);
row(
  'H13',
  'a deposit cures it',
  () => chroma(after(tonerMix('6-L'), warmRoot(), 20)) / chroma(warmRoot()),
  [null, 0.7],
  0.03,
);

const ashParts = (parts: number) => {
  const words = parts === 0 ? '7-L*24' : parts === 24 ? '7-S*24' : `7-L*${24 - parts} 7-S*${parts}`;
  return lab(after(tonerMix(words), lightenedStrand(7), 20)).b;
};
row(
  'H14',
  'b* falls with every part of ash',
  () => Math.min(...count(1, 24).map((n) => ashParts(n - 1) - ashParts(n))),
  [0, null],
);

const lift8 = permanent('8:0', 40);
row('H16', 'rise of 5 dyed over natural 5', () => rise(lift8, dyed(5, 5), 35), [null, 0.4], LEVEL);
row(
  'H4',
  'rise of dyed 4 over natural 4 by high-lift',
  () => rise(permanent('11:0', 40, 'highLift'), dyed(4, 4), 50),
  [null, 0.3],
  LEVEL,
);
row(
  'H16',
  'rise of 5 dyed over natural 5 by clear',
  () => rise(permanent('clear', 40), dyed(5, 5), 35),
  [null, 0.4],
  LEVEL,
);
row('H16', 'rise of untouched 5', () => rise(lift8, naturalStrand(5), 35), [2, null], LEVEL);

const dyed4at = (minutes: number) => after(powder(20), dyed(4, 6), minutes);
row('H17', 'dyed behind at 20 min', () => level(strong(20, 20)) - level(dyed4at(20)), [0.4, 2.5], LEVEL);
row('H17', 'dyed redder at 20 min', () => hueOf(lab(strong(20, 20))) - hueOf(lab(dyed4at(20))), [1, null]);
row('H17', 'dyed behind at 50 min', () => level(strong(20, 50)) - level(dyed4at(50)), [0.15, 2], LEVEL);
row('H17', 'dyed redder at 50 min', () => hueOf(lab(strong(20, 50))) - hueOf(lab(dyed4at(50))), [1, null]);

const gentle = (diameter: 'veryFine' | 'medium', minutes: number) =>
  level(after(gentlePowder(10), naturalStrand(5.5, { diameter }), minutes));
row('H18', 'very fine 5.5 at 30 min', () => gentle('veryFine', 30), [7.6, 8.6], LEVEL);
row('H18', 'very fine 5.5 at 40 min', () => gentle('veryFine', 40), [7.6, 8.6], LEVEL);
row('H18', 'medium 5.5 at 30 min', () => gentle('medium', 30), [6.3, 7.3], LEVEL);
row('H18', 'medium 5.5 at 40 min', () => gentle('medium', 40), [6.3, 7.3], LEVEL);

const removed = () => after(remover, dyed(4, 6), 20);
row('H19', 'back to', () => level(removed()), [5.3, 6], LEVEL);
row('H19', 'warm beyond neutral', () => beyondNeutral(removed()), [1, null]);
row('H19', 'again', () => level(after(remover, removed(), 20)) - level(removed()), [-0.05, 0.3], LEVEL);

const vivid = (n: number, dye: 'directGreen' | 'directPink', faded = 0) =>
  withHistory(lightenedStrand(n), [{ kind: 'direct', dye, faded }]);
const green8 = () => vivid(8, 'directGreen');
const pale9 = lab(yellow9);
const removedFirst = () => after(gentlePowder(20), after(remover, green8(), 20), 30);
const straight = () => after(powder(20), green8(), 30);
row('H20', 'remover first nearer to pale 9', () => off(straight(), pale9) - off(removedFirst(), pale9), [
  8,
  null,
]);
row('H20', 'green driven in without it', () => straight().layers[0].held, [0.1, null], 0.02);
row('H20', 'none driven in with it', () => removedFirst().layers[0].held, [null, 0.01], 0.02);

const leftOf = (dye: 'directGreen' | 'directPink') => {
  const start = vivid(9, dye, 0.5);
  return dyeOf(after(gentlePowder(10), start, 30))[dye] / dyeOf(start)[dye];
};
row('H21', 'pink left', () => leftOf('directPink'), [null, 0.5], 0.03);
row('H21', 'green left', () => leftOf('directGreen'), [0.8, null], 0.03);

const builtUp = () => withHistory(yellow9, [{ kind: 'demi', level: 9, tone: { primary: 'ash' }, times: 2 }]);
const cleansed = (minutes: number) => after(cleanse, builtUp(), minutes);
const regrowth6 = naturalStrand(6, { fromScalpCm: 1 });
row('H22', 'level from the lightened 9', () => Math.abs(level(cleansed(15)) - 9), [null, 0.5], LEVEL);
row('H22', 'ΔE from the lightened 9', () => off(cleansed(15), pale9), [null, 6]);
row('H22', 'no change after', () => Math.abs(level(cleansed(20)) - level(cleansed(15))), [null, 0.1], 0.05);
row('H22', 'regrowth moves', () => level(after(cleanse, regrowth6, 15)) - 6, [null, 0.3], LEVEL);
const dryPowder = () => after(gentlePowder(20), regrowth6, 15);
row('H23', 'regrowth moves dry at 20 vol', () => level(dryPowder()) - 6, [1, null], LEVEL);
row(
  'H23',
  'damage against the cleanse',
  () => dryPowder().damage / after(cleanse, regrowth6, 15).damage,
  [2, null],
  0.1,
);

const single = (n: number, primary: ToneFamily, product: 'demi' | 'permanent') =>
  after(
    { product, shades: [anyShade(n, primary)], developerVol: product === 'demi' ? 7 : 10, ratio: 1.5 },
    naturalStrand(n),
    product === 'demi' ? 20 : 35,
  );
for (const product of ['demi', 'permanent'] as const)
  for (const n of count(4, 10))
    for (const primary of TONE_FAMILIES) {
      row(
        'H24',
        `${product} ${n} ${primary} reads`,
        () => level(single(n, primary, product)),
        [n - 0.3, n + 0.3],
        LEVEL,
      );
      row(
        'H24',
        `${product} ${n} ${primary} names its tone`,
        () => Number(readStrand(single(n, primary, product)).tone === primary),
        [1, 1],
      );
    }

row('H25', 'a quarter of the amount', () => coverageOf(0.25), [0.2, 0.4], 0.02);
row('H46', 'half of the amount', () => coverageOf(0.5), [0.55, 0.75], 0.02);
row('H25', 'all of it', () => coverageOf(1), [0.97, 1], 0.02);
row('H25', 'twice', () => coverageOf(2) - coverageOf(1), [0, 0], 0.02);

const never = () => after(permanent('5:0', 20), naturalStrand(5), 120);
row('H26', 'colour never rinsed: deeper', () => level(once()) - level(never()), [-0.05, 0.3], LEVEL);
row('H26', 'colour never rinsed: damage', () => never().damage / once().damage, [1.1, null], 0.1);
row(
  'H26',
  'lightener never rinsed: damage',
  () => strong(20, 120).damage / strong(20, 50).damage,
  [1.6, null],
  0.1,
);

const weak9 = { ...lightenedStrand(9, 4), damage: 0.48, porosity: 0.8, moisture: 0.6 };
row('H27', 'strong 30 vol on weak hair', () => after(powder(30), weak9, 45).damage, [0.63, null], 0.02);
row(
  'H27',
  'gentle 10 vol on weak hair',
  () => after(gentlePowder(10), weak9, 45).damage,
  [0.48, 0.615],
  0.02,
);

const lightenings = (between: (strand: Strand) => Strand) =>
  count(1, 5).reduce((strand) => between(after(powder(20), strand, 45)), naturalStrand(5));
const dry5 = () => lightenings((strand) => strand);
const cared5 = () => lightenings((strand) => treated(treated(strand, 'bond'), 'moisture'));
row(
  'H28',
  'three dry: moisture (not yet)',
  () => count(1, 3).reduce((strand) => after(powder(20), strand, 45), naturalStrand(5)).moisture,
  [0.31, null],
  0.02,
);
row('H28', 'five dry: moisture (snaps under 0.3)', () => dry5().moisture, [null, 0.28], 0.02);
row('H28', 'five with care: damage', () => cared5().damage, [0.42, 0.6], 0.02);
row('H28', 'five with care: moisture', () => cared5().moisture, [0.35, 0.87], 0.02);

/** A beige toner with so much violet to a whole dose of a pea: a gram in twenty-five of colour. */
const PEA = 0.04;
const beigeWith = (dose: number): Mix => ({
  ...tonerMix('9-O'),
  shades: [...shades('quillet', `9-O*${1 - PEA * dose}`), ...shades('tarnwick', `K:5*${PEA * dose}`)],
});
const bright9 = lightenedStrand(9, 1.5, 1.35);
const creamy9 = lightenedStrand(9, 1.5, 0.33);
const beige = (dose: number, strand: Strand) => off(after(beigeWith(dose), strand, 20), to(9, 'beige'));
row('H29', 'whole dose on bright', () => beige(1, bright9), [null, 5]);
row('H29', 'a third on creamy', () => beige(1 / 3, creamy9), [null, 5]);
row('H29', 'whole dose on creamy: violet', () => beige(1, creamy9), [6, null]);
row('H29', 'a third on bright: yellow left', () => beige(1 / 3, bright9) - beige(1, bright9), [1.5, null]);

const faded5 = () =>
  withHistory(naturalStrand(5), [{ kind: 'permanent', level: 5, tone: { primary: 'copper' }, faded: 0.4 }]);
const copper5 = permanent('5:2', 20);
const thinned = () => after({ mix: { ...copper5, thinned: 1 }, ageMinutes: 35 }, faded5(), 5);
row('H30', 'thinned leftover: deeper', () => level(faded5()) - level(thinned()), [-0.02, 0.25], LEVEL);
row('H30', 'thinned leftover: tone fresher', () => chroma(thinned()) - chroma(faded5()), [0.2, null]);
row(
  'H30',
  'neat for 35 min: deeper',
  () => level(faded5()) - level(after(copper5, faded5(), 35)),
  [0.6, 1.6],
  LEVEL,
);

const untouched4 = naturalStrand(4);
row(
  'H31',
  'wet at 40 min against dry at 20',
  () =>
    Math.abs(
      level(after({ mix: powder(20), wet: true }, untouched4, 40)) - level(after(powder(20), untouched4, 20)),
    ),
  [null, 0.2],
  LEVEL,
);

const heated = (early: number, late: number, fromScalpCm: number) =>
  level(strandAfter(apply({ mix: powder(20) }, naturalStrand(4, { fromScalpCm })), 15, { early, late }));
row('H32', 'heat early against none', () => heated(5, 0, 10) - heated(0, 0, 10), [0.1, null], LEVEL);
row(
  'H32',
  'heat at the end less even',
  () => heated(0, 5, 1) - heated(0, 5, 10) - (heated(5, 0, 1) - heated(5, 0, 10)),
  [0.1, null],
  LEVEL,
);

const overlapped = (isProtected: boolean) =>
  after({ mix: powder(20), isProtected }, { ...lightenedStrand(8, 5), damage: 0.25 }, 40);
row(
  'H33',
  'lift under cream',
  () => (level(overlapped(true)) - 8) / Math.max(0.01, level(overlapped(false)) - 8),
  [null, 0.2],
  0.05,
);
row(
  'H33',
  'damage under cream',
  () => (overlapped(true).damage - 0.25) / (overlapped(false).damage - 0.25),
  [null, 0.2],
  0.05,
);

const half5 = naturalStrand(5, { white: 0.5 });
const grey5 = (vol: number, minutes: number) => after(permanent('5:0', vol), half5, minutes);
row('H35', '20 vol on half white', () => off(grey5(20, 45), to(5)), [null, 5]);
row('H35', '10 vol on half white', () => off(grey5(10, 45), to(5)), [9, 16]);
row('H36', '30 of 45 min', () => off(grey5(20, 30), to(5)), [6, 10]);
row('H36', '15 of 45 min', () => off(grey5(20, 15), to(5)), [12, null]);

const demi5 = tonerMix('5-L');
const covered = (white: number) => after(permanent('5:0', 20), naturalStrand(5, { white }), 45);
const blended = (white: number) => off(after(demi5, naturalStrand(5, { white }), 20), lab(covered(white)));
row('H37', 'demi over half white', () => blended(0.5), [6, 12]);
row('H37', 'demi over 80 % white', () => blended(0.8), [12, null]);

const ends = (porosity: number): Strand => ({ ...dyed(5, 5), porosity });
const deeper = (porosity: number) =>
  level(ends(porosity)) - level(after(permanent('5:0', 20), ends(porosity), 35));
row('H38', 'ordinary ends', () => deeper(0.5), [0.6, 1.6], LEVEL);
row('H38', 'porous ends', () => deeper(0.85), [1, 2.2], LEVEL);
row('H38', 'flatter', () => chroma(ends(0.85)) - chroma(after(permanent('5:0', 20), ends(0.85), 35)), [
  0.3,
  null,
]);
row(
  'H38',
  'last five minutes thinned',
  () =>
    level(ends(0.85)) -
    level(after({ mix: { ...permanent('5:0', 20), thinned: 1 }, ageMinutes: 30 }, ends(0.85), 5)),
  [null, 0.25],
  LEVEL,
);

const toned9 = (mix: Mix, minutes: number) => after(mix, yellow9, minutes);
const harsh9 = () => toned9(permanent('9:0', 20), 35);
const mild9 = () => toned9(tonerMix('9-L'), 20);
row('H39', 'from the wish', () => off(harsh9(), to(9)), [6, null]);
row('H39', 'lifts on', () => levelOfPigmented(harsh9()) - 9, [0.2, null], LEVEL);
row('H39', 'warmer than the demi', () => lab(harsh9()).b - lab(mild9()).b, [2, null]);
row('H39', 'damage against the demi', () => harsh9().damage / mild9().damage, [3, null], 0.2);
row('H39', 'the demi is right', () => off(mild9(), to(9)), [null, 4]);

const fineTo = (vol: number): Strand => {
  const start = naturalStrand(6, { diameter: 'fine' });
  const application = apply({ mix: gentlePowder(vol) }, start);
  const minutes = count(1, 60).find((minute) => level(strandAfter(application, minute)) >= 7.5);
  return strandAfter(application, minutes ?? 60);
};
row('H40', '10 vol: damage', () => fineTo(10).damage, [null, 0.14], 0.02);
row('H40', '10 vol gets there', () => level(fineTo(10)), [7.45, null], LEVEL);
row('H40', '30 vol: damage', () => fineTo(30).damage, [0.17, 0.38], 0.02);
row('H40', '40 vol: damage', () => fineTo(40).damage, [0.42, 0.6], 0.02);

const fifty = () => after(powder(20), naturalStrand(5), 50);
const ninety = () => after(powder(20), naturalStrand(5), 90);
row('H41', 'lighter', () => level(ninety()) - level(fifty()), [-0.01, 0.2], LEVEL);
row('H41', 'classes lower', () => rank(ninety()) - rank(fifty()), [1, 1]);
row('H41', 'damage at 50 min', () => fifty().damage, [0.17, 0.38], 0.02);
row('H41', 'damage at 90 min', () => ninety().damage, [0.42, 0.6], 0.02);

row('H42', '9 ash over yellow-orange 7', () => off(after(tonerMix('9-S'), lightenedStrand(7), 20), to(7)), [
  12,
  null,
]);

const porous9: Strand = { ...lightenedStrand(9), porosity: 0.85 };
const filled9 = () =>
  after({ product: 'filler', shades: [], fillsLevel: 5, developerVol: 0, ratio: 1 }, porous9, 15);
const unfilled5 = () => after(demi5, porous9, 20);
row('H43', 'unfilled', () => off(unfilled5(), to(5)), [12, null]);
row('H43', 'greener', () => lab(after(demi5, filled9(), 20)).a - lab(unfilled5()).a, [3, null]);
row('H43', 'filled with red-orange', () => off(after(demi5, filled9(), 20), to(5)), [null, 5]);

const glassy = naturalStrand(5, { white: 0.9, resistance: 1 });
row('H44', 'plain series, 35 min', () => off(after(permanent('5:0', 20), glassy, 35), to(5)), [6, 10]);
row('H44', 'extra pigment, 50 min', () => off(after(permanent('5:00', 20), glassy, 50), to(5)), [null, 5]);

row('H45', 'light by', () => level(grey5(40, 45)) - 5, [0.5, 1.3], LEVEL);
row('H45', 'damage at 40 vol', () => grey5(40, 45).damage, [0.16, 0.28], 0.02);
row('H45', 'damage at 20 vol', () => grey5(20, 45).damage, [null, 0.12], 0.02);

const gentle5 = (vol: number) => level(after(gentlePowder(vol), naturalStrand(5), 45));
row('H47', 'gentle 10 vol on natural 5, 45 min', () => gentle5(10), [6.6, 7.3], LEVEL);
row('H47', 'gentle 20 vol on natural 5, 45 min', () => gentle5(20), [7.5, 8.3], LEVEL);
row('H47', 'gentle 30 vol on natural 5, 45 min', () => gentle5(30), [7.9, 8.7], LEVEL);
row(
  'H48',
  'gentle 10 vol on fine 5.5, 30 min',
  () => level(after(gentlePowder(10), naturalStrand(5.5, { diameter: 'fine' }), 30)),
  [7.2, 8.3],
  LEVEL,
);
const strong5 = (vol: number, minutes: number) => level(after(powder(vol), naturalStrand(5), minutes));
row('H49', 'strong 10 vol on natural 5, 50 min', () => strong5(10, 50), [7.5, 8.4], LEVEL);
row('H49', 'strong 20 vol on natural 5, 38 min', () => strong5(20, 38), [8, 8.8], LEVEL);
row('H49', 'strong 20 vol on natural 5, 50 min', () => strong5(20, 50), [8.8, 9.6], LEVEL);
row('H50', '20 ahead of 10 vol at 30 min', () => strong5(20, 30) - strong5(10, 30), [0.1, 1.3], LEVEL);

/** Level minute by minute, 0 to 45, of lightener on dry hair in a room. */
const walk = (mix: Mix, strand: Strand) => count(0, 45).map((minute) => level(after(mix, strand, minute)));
/** Lighteners and hair that the rate is held on. */
const walks = (vols: readonly number[]) =>
  (['lightenerStrong', 'lightenerGentle'] as const).flatMap((product) =>
    vols.flatMap((vol) => [2, 4, 5, 6, 8].map((n) => walk(powder(vol, product), naturalStrand(n)))),
  );
const everyVol = [10, 20, 30, 40] as const;
row(
  'H51',
  'no five minutes lift more than the five before',
  () =>
    Math.max(
      ...walks(everyVol).flatMap((at) =>
        count(10, 45).map((t) => at[t] - at[t - 5] - (at[t - 5] - at[t - 10])),
      ),
    ),
  [null, 0.1],
  0.05,
);
row(
  'H51',
  'a minute from 7 to 9 with 20 vol',
  () =>
    Math.max(
      ...walks([20]).flatMap((at) =>
        count(1, 45).flatMap((t) => (at[t - 1] >= 7 && at[t] <= 9 ? [at[t] - at[t - 1]] : [])),
      ),
    ),
  [null, 0.13],
  0.01,
);
row(
  'H51',
  'first ten minutes against the fourth, under 9.5 at 40',
  () =>
    Math.min(
      ...walks(everyVol).flatMap((at) => (at[40] < 9.5 ? [(at[10] - at[0]) / (at[40] - at[30])] : [])),
    ),
  [1.1, null],
  0.05,
);
row(
  'H51',
  'first five minutes',
  () => Math.max(...walks(everyVol).map((at) => at[5] - at[0])),
  [null, 1.2],
  LEVEL,
);
row(
  'H51',
  'strong 20 vol on natural 2, 10 min',
  () => level(after(powder(20), naturalStrand(2), 10)),
  [null, 4.4],
  LEVEL,
);

const pearlOn = (porosity: number) => {
  const hair = { ...lightenedStrand(9), porosity };
  return count(1, 20).map((minute) => off(after(tonerMix('9-U'), hair, minute), to(9, 'pearl')));
};
const firstWithin = (walked: readonly number[]) => {
  const at = walked.findIndex((deltaE) => deltaE <= 6);
  if (at <= 0) return at < 0 ? 25 : 1;
  return at + (walked[at - 1] - 6) / (walked[at - 1] - walked[at]);
};
row('H52', 'porous 9: first within ΔE 6, minutes', () => firstWithin(pearlOn(0.8)), [4, 7]);
row('H52', 'normal 9: first within ΔE 6, minutes', () => firstWithin(pearlOn(0.5)), [7, 12]);
row('H52', 'porous 9: 20 min beyond its best', () => pearlOn(0.8)[19] - Math.min(...pearlOn(0.8)), [2, null]);

const black = (times: number) =>
  withHistory(naturalStrand(4), [{ kind: 'permanent', level: 1, tone: { primary: 'neutral' }, times }]);
const blackRemoved = (times: number) => after(remover, black(times), 20);
for (const [times, bare, lifted] of [
  [1, [3.3, 4], [7.9, 9.4]],
  [4, [2.3, 3], [5.9, 7.3]],
  [8, [1.7, 2.5], [5, 6.3]],
] as const) {
  row('H61', `black, layers ${times}: remover`, () => level(blackRemoved(times)), [...bare], LEVEL);
  row(
    'H61',
    `black, layers ${times}: then strong 20 vol, 45 min`,
    () => level(after(powder(20), blackRemoved(times), 45)),
    [...lifted],
    LEVEL,
  );
}

const green9 = () => withHistory(lightenedStrand(9), [{ kind: 'mineral', amount: 1 }]);
const greenLeft = (strand: Strand) => strand.layers[0].dye.directGreen / green9().layers[0].dye.directGreen;
row('H54', 'mineral green shows', () => off(green9(), lab(yellow9)), [5, 14]);
row('H54', 'left by a chelating wash', () => greenLeft(washed(green9(), 'chelating', 1)), [null, 0.2], 0.03);
row('H54', 'left by a remover', () => greenLeft(after(remover, green9(), 20)), [0.8, null], 0.03);

row(
  'H62',
  'strong 10 vol on natural 5, 50 min: damage',
  () => after(powder(10), naturalStrand(5), 50).damage,
  [null, 0.15],
  0.02,
);
row(
  'H62',
  'wet cleanse on virgin hair',
  () => level(after(cleanse, naturalStrand(6), 15)) - 6,
  [null, 0.3],
  LEVEL,
);
row(
  'H62',
  'high-lift 40 vol from natural 6',
  () => level(after(permanent('11:0', 40, 'highLift'), naturalStrand(6), 50)) - 6,
  [3, 5],
  LEVEL,
);

const dyeLoad = (strand: Strand) => loadOf(dyeOf(strand));
const goneIn = (strand: Strand, weeks: number, habits: Partial<Habits> = {}) =>
  1 - dyeLoad(strandAfterWeeks(strand, weeks, { ...USUAL_HABITS, ...habits })) / dyeLoad(strand);
/** Week by which half of the dye has gone. */
const halfGone = (strand: Strand, habits: Partial<Habits> = {}) => {
  let [low, high] = [0, 60];
  for (let step = 0; step < 30; step++) {
    const middle = (low + high) / 2;
    if (goneIn(strand, middle, habits) < 0.5) low = middle;
    else high = middle;
  }
  return low;
};
row('H56', 'a demi toner half gone, weeks', () => halfGone(pearl9()), [4, 6], 0.5);
row(
  'H56',
  'hot water, times as fast',
  () => halfGone(pearl9()) / halfGone(pearl9(), { water: 'hot' }),
  [1.6, 2],
  0.1,
);
row(
  'H56',
  'one clarifying wash of a demi',
  () => 1 - dyeLoad(washed(pearl9(), 'clarifying', 1)) / dyeLoad(pearl9()),
  [0.15, 0.25],
  0.03,
);
const castOf = () => strandAfterWeeks(yellow9, 3, { ...USUAL_HABITS, violet: 2 });
row(
  'H56',
  'one clarifying wash of the cast of a violet wash',
  () => 1 - dyeLoad(washed(castOf(), 'clarifying', 1)) / dyeLoad(castOf()),
  [0.25, 0.5],
  0.05,
);
row(
  'H56',
  'b* that comes back under a toner in six weeks',
  () => lab(strandAfterWeeks(pearl9(), 6, USUAL_HABITS)).b - lab(pearl9()).b,
  [6, null],
);
const redOn = (natural: number, product: 'permanent' | 'demi') => {
  const mix: Mix = {
    product,
    shades: [anyShade(natural + 1, 'red')],
    developerVol: product === 'demi' ? 7 : 20,
    ratio: product === 'demi' ? 2 : 1.5,
  };
  return after(mix, naturalStrand(natural), product === 'demi' ? 20 : 35);
};
row('H57', 'permanent brown in six weeks', () => goneIn(once(), 6), [0.1, 0.2], 0.03);
for (const n of [4, 5, 6]) {
  row('H57', `permanent red on natural ${n}`, () => goneIn(redOn(n, 'permanent'), 6), [0.35, 0.5], 0.03);
  row('H57', `red by demi on natural ${n}`, () => goneIn(redOn(n, 'demi'), 6), [0.55, 0.75], 0.03);
}
row(
  'H57',
  'red of porous ends goes before that of mids',
  () =>
    goneIn({ ...redOn(5, 'permanent'), porosity: 0.85 }, 6) -
    goneIn({ ...redOn(5, 'permanent'), porosity: 0.5 }, 6),
  [0.05, null],
  0.03,
);
const vividOver9 = (dye: DirectDye, load: number) =>
  after(
    { product: 'direct', shades: [], vivid: { [dye]: load * VIVID_LOAD }, developerVol: 0, ratio: 1 },
    yellow9,
    30,
  );
for (const [dye, span] of [
  ['directPink', [3, 5]],
  ['directViolet', [3, 5]],
  ['directBlue', [6, 10]],
  ['directGreen', [6, 10]],
] as const) {
  row('H58', `${dye} half gone, weeks`, () => halfGone(vividOver9(dye, 1)), [...span], 0.5);
  row(
    'H58',
    `${dye} as a pastel, times as fast`,
    () => halfGone(vividOver9(dye, 1)) / halfGone(vividOver9(dye, 0.4)),
    [1.8, 2.2],
    0.1,
  );
}
const beyondWish = (violet: number) =>
  lab(strandAfterWeeks(pearl9(), 6, { ...USUAL_HABITS, violet })).b - lab(pearl9()).b;
row('H59', 'b* beyond the wish, of that without care', () => beyondWish(1) / beyondWish(0), [0.2, 0.6], 0.05);
row(
  'H59',
  'twice a week leaves a cast',
  () => Number(readStrand(strandAfterWeeks(pearl9(), 6, { ...USUAL_HABITS, violet: 2 })).tone === 'violet'),
  [1, 1],
);

/**
 * Outcomes of whole bowls that practitioners count on, beside the engine's rows: what is right has to land, and what is
 * right in another house must not be ruined by it.
 */
const practice = (what: string, value: () => number, span: [number | null, number | null], scale = 1) =>
  row('practice', what, value, span, scale);
practice(
  '7 ash with 30 vol on untouched 5',
  () => off(after(permanent('7:7', 30), naturalStrand(5), 35), to(7, 'ash')),
  [null, 5],
);
practice(
  '7 neutral with 30 vol on untouched 5',
  () => off(after(permanent('7:0', 30), naturalStrand(5), 35), to(7)),
  [null, 6],
);
practice(
  '6 neutral with 20 vol on untouched 5',
  () => off(after(permanent('6:0', 20), naturalStrand(5), 35), to(6)),
  [null, 5],
);
practice(
  '5 gold and natural on half white',
  () => off(after(permanent('5:0 5:1', 20), half5, 45), to(5, 'gold')),
  [null, 5],
);
practice(
  'demi 7 neutral on yellow-orange 7',
  () => off(after(tonerMix('7-L'), lightenedStrand(7), 20), to(7)),
  [null, 5],
);
practice(
  'a toner one level too light covers little of orange 7',
  () => chroma(after(tonerMix('8-L'), lightenedStrand(7), 20)) / chroma(lightenedStrand(7)),
  [0.6, 0.9],
  0.03,
);
practice('demi 8 ash on yellow 8', () => off(after(tonerMix('8-S'), lightenedStrand(8), 20), to(8, 'ash')), [
  null,
  6,
]);
practice('demi 9 pearl on yellow 9', () => off(pearl9(), to(9, 'pearl')), [null, 5]);
practice(
  'demi 5 copper on dyed 5 half faded',
  () => off(after(tonerMix('5-F'), faded5(), 20), to(5, 'copper')),
  [null, 8],
);
practice(
  '6 red with 20 vol on natural 6',
  () => off(after(permanent('6:4', 20), naturalStrand(6), 35), to(6, 'red')),
  [null, 6],
);
practice(
  '5 copper with 30 vol on natural 3',
  () => off(after(permanent('5:2', 30), naturalStrand(3), 35), to(5, 'copper')),
  [null, 7],
);
practice(
  '4 natural with 20 vol on natural 4, 30 % white',
  () => off(after(permanent('4:0', 20), naturalStrand(4, { white: 0.3 }), 45), to(4)),
  [null, 4],
);
practice(
  'a third of the time short on it',
  () => off(after(permanent('4:0', 20), naturalStrand(4, { white: 0.3 }), 30), to(4)),
  [4, null],
);
const warm8 = lightenedStrand(8, 6);
practice('6 neutral with 10 vol on a warm 8 root', () => off(after(permanent('6:0', 10), warm8, 35), to(6)), [
  null,
  6,
]);
const lifted8 = (vol: number) => after(permanent('6:0', vol), warm8, 35);
practice('the same with 20 vol', () => off(lifted8(20), to(6)), [6.5, 12]);
// A deep shade stays in: it comes out warm and too light, and never as light as before.
practice('6 on lightened 8 with 20 vol reads', () => level(lifted8(20)), [6.2, 7.2]);
practice('6 on lightened 8 with 40 vol reads', () => level(lifted8(40)), [6.5, 7.9]);
practice(
  '8 on lightened 9 with 20 vol reads',
  () => level(after(permanent('8:0', 20), lightenedStrand(9), 35)),
  [7.9, 8.8],
);
practice('demi 6 neutral on a warm 8 root', () => off(after(tonerMix('6-L'), warm8, 20), to(6)), [null, 6]);
practice(
  '9 beige with 30 vol on natural 7',
  () => off(after(permanent('9:9', 30), naturalStrand(7), 35), to(9, 'beige')),
  [null, 6],
);
practice(
  'high-lift 40 vol from natural 8 reads',
  () => level(after(permanent('11:8', 40, 'highLift'), naturalStrand(8), 50)),
  [10.3, 11.5],
  LEVEL,
);
practice(
  'high-lift 10 from natural 7',
  () => off(after(permanent('11:0', 40, 'highLift'), naturalStrand(7), 50), to(10)),
  [null, 6],
);
for (const [vol, min, max] of [
  [10, 4.75, 5.2],
  [20, 4.75, 5.25],
  [30, 4.9, 5.6],
] as const)
  practice(
    `5 natural with ${vol} vol on natural 5 reads`,
    () => level(after(permanent('5:0', vol), naturalStrand(5), 35)),
    [min, max],
    LEVEL,
  );
practice(
  'dyed 6 gold over natural 6, strong 20 vol, 45 min',
  () => level(after(powder(20), dyed(6, 6, 'gold'), 45)),
  [7.7, 9.3],
  LEVEL,
);
practice(
  'natural 6, strong 20 vol, 20 min',
  () => level(after(powder(20), naturalStrand(6), 20)),
  [7.6, 8.7],
  LEVEL,
);
for (const n of [3, 4, 6])
  practice(
    `${n} natural with 20 vol on natural 5 reads`,
    () => level(after(permanent(`${n}:0`, 20), naturalStrand(5), 35)),
    [n - 0.3, n + 0.3],
    LEVEL,
  );
const sixAsh = () => withHistory(yellow9, [{ kind: 'demi', level: 9, tone: { primary: 'ash' }, times: 6 }]);
practice('six ash toners over lightened 9 read', () => level(sixAsh()), [7, 8.4], LEVEL);
practice('and are dull rather than blue: b*', () => lab(sixAsh()).b, [-6, null]);
const once9 = () => withHistory(naturalStrand(4), [{ kind: 'lightened', level: 9 }]);
practice(
  'demi 9 pearl on hair lightened once',
  () => off(after(tonerMix('9-U'), once9(), 20), to(9, 'pearl')),
  [null, 5],
);
for (const n of [7, 8, 9])
  for (const primary of ['neutral', 'ash', 'pearl', 'beige', 'gold', 'copper'] as const)
    practice(
      `toner ${n} ${primary} on lightened ${n}`,
      () =>
        off(
          after(
            { product: 'demi', shades: [anyShade(n, primary)], developerVol: 7, ratio: 1.5 },
            lightenedStrand(n),
            20,
          ),
          to(n, primary),
        ),
      [null, 3.4],
    );
practice('9 pearl names itself on lightened 9', () => Number(readStrand(pearl9()).tone === 'pearl'), [1, 1]);
const filledTo = (n: number, strand: Strand) =>
  after({ product: 'filler', shades: [], fillsLevel: n, developerVol: 0, ratio: 1 }, strand, 15);
practice(
  'filled for 6, then demi 6, on lightened 9',
  () => off(after(tonerMix('6-L'), filledTo(6, yellow9), 20), to(6)),
  [null, 4.5],
);
practice(
  'filled for 7, then demi 7, on lightened 10',
  () => off(after(tonerMix('7-L'), filledTo(7, lightenedStrand(10)), 20), to(7)),
  [null, 5],
);
practice(
  'express 5 with 20 vol on half white',
  () => level(after(permanent('5:0', 20, 'express'), half5, 10)) - 5,
  [-0.3, 0.5],
  LEVEL,
);
practice(
  'high-lift at 40 vol: damage',
  () => after(permanent('11:0', 40, 'highLift'), naturalStrand(7), 50).damage,
  [0.1, 0.3],
  0.02,
);
practice('strong 20 vol, 45 min, from 4', () => level(strong(20, 45)), [7.5, 9.2], LEVEL);
for (const [product, at] of [
  ['lightenerStrong', 50],
  ['lightenerGentle', 50],
] as const)
  for (const vol of [20, 30])
    practice(
      `${product}: ${vol} vol no further than ${vol + 10}`,
      () =>
        level(after(powder(vol + 10, product), naturalStrand(4), at)) -
        level(after(powder(vol, product), naturalStrand(4), at)),
      [0, 0.7],
      LEVEL,
    );
for (const product of ['lightenerStrong', 'lightenerGentle'] as const)
  for (const vol of [10, 20, 30])
    practice(
      `${product}: ${vol + 10} vol ahead of ${vol} at ten minutes`,
      () =>
        level(after(powder(vol + 10, product), naturalStrand(4), 10)) -
        level(after(powder(vol, product), naturalStrand(4), 10)),
      [0.1, 1.5],
      LEVEL,
    );
practice(
  'gentle 20 vol, 45 min, from 6',
  () => level(after(gentlePowder(20), naturalStrand(6), 45)),
  [8, 9.3],
  LEVEL,
);
practice(
  '30 of 45 min at 30 vol: hollow',
  () =>
    off(after(permanent('7:0', 30), naturalStrand(5, { white: 0.3 }), 30), to(7)) -
    off(after(permanent('7:0', 30), naturalStrand(5, { white: 0.3 }), 45), to(7)),
  [1, null],
);

export const BEHAVIOUR: readonly Measure[] = rows;
