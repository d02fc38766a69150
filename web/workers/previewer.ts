import type { Preview } from '@cimbel/core/mark';
import { once } from './once';
import type { PreviewAsked } from './preview.worker';

/** Solves a case beside the page. */
export const preview = (asked: PreviewAsked, signal: AbortSignal): Promise<Preview> =>
  once(() => new Worker(new URL('./preview.worker.ts', import.meta.url), { type: 'module' }), asked, signal);
