import type { DrillContext, ItemSpec, PracticeRequest } from '@cimbel/core/drill';
import type { DrillJob, DrillMade } from './drill.worker';

/** One worker makes items for the whole page, so that finding hair of a colour never holds up a key press. */
let worker: Worker | null = null;
let nextId = 1;
const waiting = new Map<
  number,
  { resolve: (drillMade: DrillMade | null) => void; reject: (error: Error) => void }
>();

function start(): Worker {
  const made = new Worker(new URL('./drill.worker.ts', import.meta.url), { type: 'module' });
  made.onmessage = ({ data }: MessageEvent<{ id: number; made?: DrillMade | null; error?: string }>) => {
    const promise = waiting.get(data.id);
    waiting.delete(data.id);
    if (data.error !== undefined) promise?.reject(new Error(data.error));
    else promise?.resolve(data.made ?? null);
  };
  // A worker that has failed answers no call: those waiting are rejected, and the next call begins with another.
  made.onerror = (event) => {
    for (const { reject } of waiting.values()) reject(new Error(event.message || 'the worker failed'));
    waiting.clear();
    made.terminate();
    worker = null;
  };
  return made;
}

type Wish = { kind: 'make'; spec: ItemSpec } | { kind: 'next'; wanted: PracticeRequest };
function ask(wish: Wish, context: DrillContext): Promise<DrillMade | null> {
  worker ??= start();
  const id = nextId++;
  worker.postMessage({ id, context, ...wish } satisfies DrillJob);
  return new Promise((resolve, reject) => waiting.set(id, { resolve, reject }));
}

/** @throws Error when the spec has no item in this scope. */
export const makeItem = (spec: ItemSpec, context: DrillContext) => ask({ kind: 'make', spec }, context);
export const makeNext = (wanted: PracticeRequest, context: DrillContext) =>
  ask({ kind: 'next', wanted }, context);
