import type { TressLook, TressPixels, TressSize } from '@cimbel/core/tress';
import type { TressJob } from './tress.worker';

/** One worker draws for the whole page, so that the page never misses a frame; what was drawn is kept. */
let worker: Worker | null = null;
let nextId = 1;
const waiting = new Map<number, (picture: TressPixels) => void>();
const drawn = new Map<string, Promise<TressPixels>>();
const KEPT = 240;

function start(): Worker {
  const made = new Worker(new URL('./tress.worker.ts', import.meta.url), { type: 'module' });
  made.onmessage = ({ data }: MessageEvent<{ id: number; picture: TressPixels }>) => {
    waiting.get(data.id)?.(data.picture);
    waiting.delete(data.id);
  };
  return made;
}

export function paintInWorker(look: TressLook, size: TressSize): Promise<TressPixels> {
  const name = JSON.stringify([look, size]);
  const kept = drawn.get(name);
  if (kept) return kept;
  worker ??= start();
  const id = nextId++;
  const picture = new Promise<TressPixels>((resolve) => waiting.set(id, resolve));
  worker.postMessage({ id, look, size } satisfies TressJob);
  if (drawn.size >= KEPT) drawn.delete(drawn.keys().next().value!);
  drawn.set(name, picture);
  return picture;
}
