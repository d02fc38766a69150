import { Workbox } from 'workbox-window';
import { isMine } from './offline';

/** What the page has fetched before there was anyone to keep it, fetched once more. */
async function keepWhatIsOpen(): Promise<void> {
  const fetched = performance.getEntriesByType('resource').map(({ name }) => new URL(name));
  const mine = fetched.filter(({ origin, pathname }) => origin === location.origin && isMine(pathname));
  for (const href of new Set(mine.map((url) => url.href)))
    await fetch(href, { priority: 'low' }).catch(() => undefined);
}

/**
 * Lets the application open without a network, and takes newer versions up. One that is there as the page begins is taken at
 * once, since nothing has been typed yet; one that comes later waits until it is asked for, and `onWaiting` is told. What is
 * typed is kept on the device either way.
 */
export async function workOffline(onWaiting: (takeUp: () => void) => void): Promise<void> {
  if (!('serviceWorker' in navigator) || import.meta.env.DEV) return;
  const workbox = new Workbox('/sw.js');
  const takeUp = () => {
    workbox.addEventListener('controlling', () => window.location.reload());
    workbox.messageSkipWaiting();
  };
  workbox.addEventListener('controlling', ({ isUpdate }) => {
    if (!isUpdate) void keepWhatIsOpen();
  });
  workbox.addEventListener('waiting', ({ wasWaitingBeforeRegister }) =>
    wasWaitingBeforeRegister ? takeUp() : onWaiting(takeUp),
  );
  await workbox.register().catch(() => undefined);
}
