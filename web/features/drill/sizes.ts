import { useIsWide } from '../../ui/use-is-wide';

/** A lock alone, and one of several, in CSS pixels; the same on every screen of a kind, so that hair is read alike. */
export function useHairSize(count: number): { width: number; height: number } {
  const wide = useIsWide();
  if (count === 1) return wide ? { width: 180, height: 400 } : { width: 108, height: 240 };
  return wide ? { width: 104, height: 280 } : { width: count > 4 ? 52 : 64, height: 170 };
}
