import type { Preview } from '@cimbel/core/mark';
import type { PreviewAsked } from './preview.worker';

/**
 * Solves a case beside the page. A call that is given up takes its worker with it, so that only the newest case is
 * worked on. @throws Error where the worker fails, so that no caller waits for ever.
 */
export function preview(asked: PreviewAsked, signal: AbortSignal): Promise<Preview> {
  const worker = new Worker(new URL('./preview.worker.ts', import.meta.url), { type: 'module' });
  return new Promise<Preview>((resolve, reject) => {
    worker.onmessage = ({ data }: MessageEvent<Preview>) => resolve(data);
    worker.onerror = (event) => reject(new Error(event.message || 'the search failed'));
    worker.postMessage(asked);
    signal.addEventListener('abort', () => reject(new Error('overtaken')));
  }).finally(() => worker.terminate());
}
