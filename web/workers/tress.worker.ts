import { paintTress, type TressLook, type TressSize } from '@cimbel/core/tress';

export interface TressJob {
  id: number;
  look: TressLook;
  size: TressSize;
}

self.onmessage = ({ data: { id, look, size } }: MessageEvent<TressJob>) => {
  const picture = paintTress(look, size);
  self.postMessage({ id, picture }, { transfer: [picture.data.buffer] });
};
