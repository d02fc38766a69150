/** Most that is taken for a figure: nothing here is weighed, poured or counted beyond it. */
const MOST = 100_000;

/**
 * The figure in a text, or null where there is none yet. A comma is a decimal sign as a point is; thousands are not set
 * apart.
 */
export function figureIn(text: string): number | null {
  const plain = text.trim().replace(',', '.');
  if (!/^\d+(\.\d*)?$|^\.\d+$/.test(plain)) return null;
  const value = Number(plain);
  return Number.isFinite(value) && value <= MOST ? value : null;
}
