import { converter, differenceCiede2000 } from 'culori';
import { type Light, OBSERVER_WEIGHTS } from './illuminants';
import type { Spectrum } from './spectrum';

/** CIELAB against the white of the light in use: L* 0–100, a* and b* roughly −60…80 for hair. */
export interface Lab {
  /** Lightness L*, 0–100. */
  l: number;
  /** CIELAB a*. */
  a: number;
  /** CIELAB b*. */
  b: number;
}
export interface Xyz {
  /** First coordinate. */
  x: number;
  /** Second coordinate. */
  y: number;
  /** Third coordinate. */
  z: number;
}
/** sRGB, each channel 0–1 after clipping to the gamut. */
export interface Rgb {
  /** Red, 0–1. */
  r: number;
  /** Green, 0–1. */
  g: number;
  /** CIELAB b*. */
  b: number;
}

/** D65 white of the library's XYZ; anything measured under another light is carried to it channel by channel. */
const D65_WHITE = { x: 0.3127 / 0.329, y: 1, z: (1 - 0.3127 - 0.329) / 0.329 };

const toLab65 = converter('lab65');
const toRgb = converter('rgb');
const deltaE = differenceCiede2000();

/** CIE XYZ of a reflectance under a light, white at Y = 1. */
export function xyzOf(reflectance: Spectrum, light: Light = 'daylight'): Xyz {
  const w = OBSERVER_WEIGHTS[light];
  let x = 0;
  let y = 0;
  let z = 0;
  for (let i = 0; i < reflectance.length; i++) {
    x += reflectance[i] * w.x[i];
    y += reflectance[i] * w.y[i];
    z += reflectance[i] * w.z[i];
  }
  return { x, y, z };
}

/** The eye adapts to the light, so a white stays white: XYZ is taken relative to the light's own white. */
export function labOf(reflectance: Spectrum, light: Light = 'daylight'): Lab {
  const { x, y, z } = xyzOf(reflectance, light);
  const { white } = OBSERVER_WEIGHTS[light];
  const lab = toLab65({
    mode: 'xyz65',
    x: (x / white.x) * D65_WHITE.x,
    y: y / white.y,
    z: (z / white.z) * D65_WHITE.z,
  });
  return { l: lab.l, a: lab.a, b: lab.b };
}

const clip = (v: number) => Math.min(1, Math.max(0, v));

/** sRGB of a Lab colour, each channel 0–1 and clipped. */
export function rgbOf(lab: Lab): Rgb {
  const c = toRgb({ mode: 'lab65', ...lab });
  return { r: clip(c.r), g: clip(c.g), b: clip(c.b) };
}

/** Lab of an sRGB colour, channels 0–1. */
export function labOfRgb(rgb: Rgb): Lab {
  const { l, a, b } = toLab65({ mode: 'rgb', ...rgb });
  return { l, a, b };
}

/** CIEDE2000. About 1 is just visible side by side; 3 is seen at a glance; 10 is another colour. */
export function differenceOf(lab: Lab, other: Lab): number {
  return deltaE({ mode: 'lab65', ...lab }, { mode: 'lab65', ...other });
}

/** Chroma of a Lab colour. */
export const chromaOf = ({ a, b }: Lab) => Math.hypot(a, b);

/** Hue angle in degrees, 0–360: red near 25, orange near 60, yellow near 90, violet near 310. */
export function hueOf({ a, b }: Lab): number {
  return ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360;
}
