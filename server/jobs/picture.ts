import { paintTressAs, type Drawing, type TressLook, type TressSize } from '@cimbel/core/draw';
import { PNG } from 'pngjs';

/** A lock as a PNG. Drawn here, so that a browser gets hair to look at and no figures to look up. Size in pixels. */
export function tressPng(look: TressLook, drawing: Drawing, size: TressSize): Uint8Array {
  const png = new PNG({ width: size.width, height: size.height });
  png.data = Buffer.from(paintTressAs(drawing, look, size).data.buffer);
  return PNG.sync.write(png, { deflateLevel: 6 });
}
