import type { TressPixels, TressSize } from '@cimbel/core/draw';
import type { HairDrawing } from './paint-drawing';
import type { TressJob } from './tress.worker';

/** One worker draws for the whole page, so that the page never misses a frame; what was drawn is kept. */
let worker: Worker | null = null;
let nextId = 1;
interface Waiting {
  resolve: (picture: TressPixels) => void;
  reject: (error: Error) => void;
}
const waiting = new Map<number, Waiting>();
const drawn = new Map<string, Promise<TressPixels>>();
const KEPT = 240;

function start(): Worker {
  const made = new Worker(new URL('./tress.worker.ts', import.meta.url), { type: 'module' });
  made.onmessage = ({ data }: MessageEvent<{ id: number; picture: TressPixels }>) => {
    waiting.get(data.id)?.resolve(data.picture);
    waiting.delete(data.id);
  };
  // What a broken worker owed is asked for anew when it is next looked at.
  made.onerror = (event) => {
    for (const { reject } of waiting.values()) reject(new Error(event.message || 'the worker failed'));
    waiting.clear();
    drawn.clear();
    made.terminate();
    worker = null;
  };
  return made;
}

export function paintInWorker(drawing: HairDrawing, size: TressSize): Promise<TressPixels> {
  const name = JSON.stringify([drawing, size]);
  const kept = drawn.get(name);
  if (kept) return kept;
  worker ??= start();
  const id = nextId++;
  const picture = new Promise<TressPixels>((resolve, reject) => waiting.set(id, { resolve, reject }));
  worker.postMessage({ id, drawing, size } satisfies TressJob);
  if (drawn.size >= KEPT) drawn.delete(drawn.keys().next().value!);
  drawn.set(name, picture);
  return picture;
}
