import { useIsWide } from '../../ui/use-is-wide';

export interface StrandSize {
  width: number;
  height: number;
}

/** A lock alone, two beside each other, and one of many, in CSS pixels. */
const WIDE: Record<'one' | 'many' | 'crowd', StrandSize> = {
  one: { width: 240, height: 540 },
  many: { width: 120, height: 330 },
  crowd: { width: 92, height: 300 },
};
const NARROW: typeof WIDE = {
  one: { width: 108, height: 240 },
  many: { width: 64, height: 170 },
  crowd: { width: 52, height: 160 },
};

/** The same on every screen of a kind, so that hair is read alike. */
export function hairSize(count: number, wide: boolean): StrandSize {
  return (wide ? WIDE : NARROW)[count === 1 ? 'one' : count <= 4 ? 'many' : 'crowd'];
}
export const useHairSize = (count: number): StrandSize => hairSize(count, useIsWide());
