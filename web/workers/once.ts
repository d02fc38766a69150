/**
 * Has a worker do one thing and go. A call that is given up takes its worker with it, so that only the newest is worked on.
 *
 * @param start Makes the worker; it has to stand where the bundler sees its address.
 * @throws Error where the worker fails, so that no caller waits for ever.
 */
export function once<Answer>(start: () => Worker, asked: unknown, signal: AbortSignal): Promise<Answer> {
  const worker = start();
  return new Promise<Answer>((resolve, reject) => {
    worker.onmessage = ({ data }: MessageEvent<Answer>) => resolve(data);
    worker.onerror = (event) => reject(new Error(event.message || 'the worker failed'));
    worker.postMessage(asked);
    signal.addEventListener('abort', () => reject(new Error('overtaken')));
  }).finally(() => worker.terminate());
}
