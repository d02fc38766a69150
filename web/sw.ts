/// <reference lib="webworker" />
import { CacheableResponsePlugin } from 'workbox-cacheable-response';
import { ExpirationPlugin } from 'workbox-expiration';
import { clientsClaim, type WorkboxPlugin } from 'workbox-core';
import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { NetworkFirst } from 'workbox-strategies';
import { MINE, isMine } from './lib/offline';

declare const self: ServiceWorkerGlobalScope & { __WB_MANIFEST: { url: string; revision: string | null }[] };

/** How long a server is waited for that does not answer, seconds; what is kept is shown then. */
const PATIENCE_S = 5;
/** Most that is kept of a student's own: the exercises of some months and their pictures. */
const MOST_KEPT = 300;

// The whole application, so that a page never opened before opens as well and says what it lacks.
clientsClaim();
precacheAndRoute(self.__WB_MANIFEST);
cleanupOutdatedCaches();
registerRoute(new NavigationRoute(createHandlerBoundToURL('/index.html'), { denylist: [/^\/api\//] }));

/** Who the device last knew to be signed in, by what is kept; undefined where nothing is. */
async function keptAccount(): Promise<string | null | undefined> {
  const kept = await caches.match('/api/session', { cacheName: MINE });
  return kept && ((await kept.json()) as { me: { id: string } | null }).me?.id;
}
/**
 * Nothing of one student is left for the next on the same device: it goes as soon as the server says that somebody else is
 * signed in, or nobody.
 */
const ofOneAccount: WorkboxPlugin = {
  fetchDidSucceed: async ({ request, response }) => {
    const { pathname } = new URL(request.url);
    if (response.status === 401) await caches.delete(MINE);
    else if (response.ok && pathname === '/api/session') {
      const { me } = (await response.clone().json()) as { me: { id: string } | null };
      const kept = await keptAccount();
      if (kept !== undefined && (kept ?? null) !== (me?.id ?? null)) await caches.delete(MINE);
    }
    return response;
  },
};

// What a student has had of their own work, for when there is no network. Never an educator's pages, nor anyone's keys.
registerRoute(
  ({ url, request }) => request.method === 'GET' && isMine(url.pathname),
  new NetworkFirst({
    cacheName: MINE,
    networkTimeoutSeconds: PATIENCE_S,
    plugins: [
      ofOneAccount,
      new CacheableResponsePlugin({ statuses: [200] }),
      new ExpirationPlugin({ maxEntries: MOST_KEPT, purgeOnQuotaError: true }),
    ],
  }),
);

// Asked for by a page that has nothing to lose; until then the version that is open stays whole.
self.addEventListener('message', ({ data }) => {
  if ((data as { type?: string } | null)?.type === 'SKIP_WAITING') void self.skipWaiting();
});
