import { spectrum, type Spectrum, BANDS, Y_BAR, WAVELENGTHS_NM, X_BAR, Z_BAR } from './spectrum';

/** The lights a head is looked at under. `coolWhite` is a narrow-band shop tube of our own making. */
export const LIGHTS = ['daylight', 'warmLamp', 'coolWhite'] as const;
export type Light = (typeof LIGHTS)[number];

/** CIE D65, relative power, published 10 nm table. */
const D65 = Float64Array.from([
  82.7549, 91.486, 93.4318, 86.6823, 104.865, 117.008, 117.812, 114.861, 115.923, 108.811, 109.354, 107.802,
  104.79, 107.689, 104.405, 104.046, 100, 96.3342, 95.788, 88.6856, 90.0062, 89.5991, 87.6987, 83.2886,
  83.6992, 80.0268, 80.2146, 82.2778, 78.2842, 69.7213, 71.6091,
]);

/** CIE A: Planck's law at 2848 K with c2 = 1.435e7 nm·K, 100 at 560 nm (CIE 15). */
const A = spectrum(
  (nm) =>
    (100 * (560 / nm) ** 5 * (Math.exp(1.435e7 / (2848 * 560)) - 1)) / (Math.exp(1.435e7 / (2848 * nm)) - 1),
);

/** Three narrow bands over a low floor, near 4000 K: what a cheap three-phosphor tube does. */
const band = (nm: number, centre: number, width: number) => Math.exp(-0.5 * ((nm - centre) / width) ** 2);
const COOL_WHITE = spectrum(
  (nm) =>
    6 + 62 * band(nm, 440, 12) + 30 * band(nm, 488, 9) + 160 * band(nm, 545, 8) + 150 * band(nm, 611, 8),
);

export const POWER: Record<Light, Spectrum> = { daylight: D65, warmLamp: A, coolWhite: COOL_WHITE };

/** Weights that turn a reflectance straight into XYZ, scaled so that a perfect white has Y = 1. */
export interface ObserverWeights {
  /** Weights of X by wavelength. */
  x: Spectrum;
  /** Weights of Y by wavelength. */
  y: Spectrum;
  /** Weights of Z by wavelength. */
  z: Spectrum;
  /** XYZ of a perfect white under this light. */
  white: { x: number; y: number; z: number };
}

function weigh(power: Spectrum): ObserverWeights {
  let total = 0;
  for (let i = 0; i < BANDS; i++) total += power[i] * Y_BAR[i];
  const scaled = (bar: Spectrum) => Float64Array.from(WAVELENGTHS_NM, (_, i) => (power[i] * bar[i]) / total);
  const sum = (s: Spectrum) => s.reduce((a, b) => a + b, 0);
  const [x, y, z] = [scaled(X_BAR), scaled(Y_BAR), scaled(Z_BAR)];
  return { x, y, z, white: { x: sum(x), y: sum(y), z: sum(z) } };
}

export const OBSERVER_WEIGHTS: Record<Light, ObserverWeights> = {
  daylight: weigh(D65),
  warmLamp: weigh(A),
  coolWhite: weigh(COOL_WHITE),
};
