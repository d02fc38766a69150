/** Where the service worker keeps what a student has had of their own work. */
export const MINE = 'mine';

/** What is kept for when there is no network: who one is, and one's own exercises, practice and pictures. */
export const isMine = (path: string): boolean => path === '/api/session' || path.startsWith('/api/my/');

/** Takes it off the device, before the next person signs in on it. */
export async function forgetMine(): Promise<void> {
  if ('caches' in globalThis) await caches.delete(MINE);
}
