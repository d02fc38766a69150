import type { TressSize } from '@cimbel/core/draw';
import { paintDrawing, type HairDrawing } from './paint-drawing';

export interface TressJob {
  id: number;
  drawing: HairDrawing;
  size: TressSize;
}

self.onmessage = ({ data: { id, drawing, size } }: MessageEvent<TressJob>) => {
  const picture = paintDrawing(drawing, size);
  self.postMessage({ id, picture }, { transfer: [picture.data.buffer] });
};
