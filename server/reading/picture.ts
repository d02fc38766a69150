import { paintTressAs, type Drawing, type TressLook } from '@cimbel/core/tress';
import { PNG } from 'pngjs';

/** Widths a picture is drawn at, for plain and dense screens; anything else would let a caller order huge ones. */
export const PICTURE_SIZES = {
  one: { width: 240, height: 540 },
  many: { width: 120, height: 330 },
} as const;

/** A lock as a PNG. Drawn here, so that a browser gets hair to look at and no figures to look up. */
export function tressPng(
  { look, count, drawing }: { look: TressLook; count: number; drawing: Drawing },
  ratio: 1 | 2,
): Buffer {
  const { width, height } = count === 1 ? PICTURE_SIZES.one : PICTURE_SIZES.many;
  const size = { width: width * ratio, height: height * ratio };
  const picture = paintTressAs(drawing, look, size);
  const png = new PNG(size);
  png.data = Buffer.from(picture.data.buffer);
  return PNG.sync.write(png, { deflateLevel: 6 });
}
