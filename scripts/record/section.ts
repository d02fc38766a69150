/** One part of what is recorded, with the version that has to be raised before it may be recorded anew. */
export interface Section {
  name: string;
  /** Versions that stored answers of this part go by. */
  version: string;
  lines: string[];
}

/** Figures to the hundredth, which is finer than anything shown: what lies beneath is the machine's. */
export const figures = (values: readonly number[]): string =>
  values.map((value) => String(Math.round(value * 100) / 100)).join(' ');

/** A short name of bytes or text (FNV-1a, 32 bit); two that differ hardly ever have the same. */
export function digest(values: ArrayLike<number>): string {
  let hash = 0x811c9dc5;
  for (let i = 0; i < values.length; i++) hash = Math.imul(hash ^ values[i], 0x01000193);
  return (hash >>> 0).toString(16).padStart(8, '0');
}

/** Every figure of a value, wherever it stands and whatever its field is called. */
export function figuresIn(value: unknown): number[] {
  if (typeof value === 'number') return [value];
  if (typeof value !== 'object' || value === null) return [];
  return Object.values(value).flatMap(figuresIn);
}
