import { rgbOf, type Lab } from '@cimbel/core/colour';

/** A colour of the core for a style or a drawing. */
export function cssOf(lab: Lab): string {
  const { r, g, b } = rgbOf(lab);
  return `rgb(${Math.round(r * 255)} ${Math.round(g * 255)} ${Math.round(b * 255)})`;
}
