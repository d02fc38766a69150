import { type Lab, rgbOf, type Rgb, labOfRgb } from '../colour';
import type { TressZone } from './look';

export type Triple = [number, number, number];

/** sRGB transfer function and its inverse (IEC 61966-2-1); light mixes linearly, so all averaging is done there. */
export const toLinear = (v: number) => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4);
/** sRGB value 0–1 of linear light. */
export const fromLinear = (v: number) =>
  v <= 0.0031308 ? 12.92 * v : 1.055 * Math.min(1, v) ** (1 / 2.4) - 0.055;

/** Linear light of a Lab colour, three channels. */
export function linearOf(lab: Lab): Triple {
  const { r, g, b } = rgbOf(lab);
  return [toLinear(r), toLinear(g), toLinear(b)];
}

/** Zones flow into each other over this share of the length. */
const BLEND = 0.04;

/** How much of a zone is at a height: 1 inside, falling over the joint, and 1 to the very root and tip. */
function weightAt({ from, to }: TressZone, t: number): number {
  const head = from <= 0 ? 1 : (t - from) / BLEND + 0.5;
  const tail = to >= 1 ? 1 : (to - t) / BLEND + 0.5;
  return Math.max(0, Math.min(1, head, tail));
}

/** A value per row, three channels, from a value per zone. */
export function rowColours(
  zones: readonly TressZone[],
  height: number,
  pick: (zone: TressZone) => Triple,
): Float32Array {
  const values = zones.map(pick);
  const rows = new Float32Array(height * 3);
  for (let y = 0; y < height; y++) {
    const t = height > 1 ? y / (height - 1) : 0;
    let sum = 0;
    zones.forEach((zone, i) => {
      const weight = weightAt(zone, t);
      sum += weight;
      for (let c = 0; c < 3; c++) rows[3 * y + c] += weight * values[i][c];
    });
    for (let c = 0; c < 3; c++) rows[3 * y + c] = sum > 0 ? rows[3 * y + c] / sum : values[0][c];
  }
  return rows;
}

type Fibres = Pick<TressZone, 'colour' | 'greyShare' | 'grey'>;

/** What hair reads as from a step away, linear light: the strands and the white among them, mixed. */
export function zoneMeanLinear({ colour, greyShare, grey }: Fibres): Triple {
  const [strands, white] = [linearOf(colour), linearOf(grey)];
  return strands.map((v, c) => v * (1 - greyShare) + white[c] * greyShare) as Triple;
}

/** The same as a colour of a screen. */
export function zoneMean(zone: Fibres): Rgb {
  const [r, g, b] = zoneMeanLinear(zone).map(fromLinear);
  return { r, g, b };
}

/** Colour of a zone from a step away, white strands mixed in. */
export const zoneMeanLab = (zone: Fibres): Lab => labOfRgb(zoneMean(zone));
