import type { TressSize } from '@cimbel/core/draw';

/** Sizes a picture of a test is drawn at, for plain and dense screens; anything else would let a caller order huge ones. */
const PICTURE_SIZES = {
  one: { width: 240, height: 540 },
  many: { width: 120, height: 330 },
} as const;

export const sizeOf = ({ count }: { count: number }, ratio: '1' | '2'): TressSize =>
  atPixelRatio(PICTURE_SIZES[count === 1 ? 'one' : 'many'], ratio);

/** A size in CSS pixels on a plain or a dense screen. */
export const atPixelRatio = ({ width, height }: TressSize, ratio: '1' | '2'): TressSize => ({
  width: width * Number(ratio),
  height: height * Number(ratio),
});
