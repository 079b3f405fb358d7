import { CacheableResponsePlugin } from 'workbox-cacheable-response'
import { ExpirationPlugin } from 'workbox-expiration'
import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching'
import { NavigationRoute, registerRoute } from 'workbox-routing'
import { NetworkFirst, type NetworkFirstOptions } from 'workbox-strategies'
import { LOGS, MOST_LOGS_HERE, MOST_PHOTOGRAPHS, PHOTOGRAPHS } from './kept'

/** What TypeScript's library for pages doesn't know of a service worker. */
interface WorkerScope {
  readonly __WB_MANIFEST: Parameters<typeof precacheAndRoute>[0]
  skipWaiting(): Promise<void>
}
declare const self: WorkerScope & EventTarget

/** A photograph or a log that takes longer is shown as it was last. */
const PATIENCE_S = 3

/*
 * Keeps the application itself, all rooms of it, and the photographs that were looked at. What the server says is kept by
 * the page, and what waits for it too: by whom it is, in order, whatever becomes of this.
 */
precacheAndRoute(self.__WB_MANIFEST)
cleanupOutdatedCaches()
registerRoute(
  new NavigationRoute(createHandlerBoundToURL('/index.html'), { denylist: [/^\/(api|metrics)\b/] }),
)
/** Files of the workshop that were looked at: the newest, or what is here where the server doesn't answer. */
const keepFiles = (pattern: RegExp, cacheName: string, maxEntries: number) =>
  registerRoute(
    pattern,
    new NetworkFirst({
      cacheName,
      networkTimeoutSeconds: PATIENCE_S,
      // The page asks anew with a number, once a photograph has been replaced.
      matchOptions: { ignoreSearch: true },
      plugins: [
        new CacheableResponsePlugin({ statuses: [200] }),
        new ExpirationPlugin({ maxEntries, purgeOnQuotaError: true }),
        // Its own plugins say "undefined" where its own type says "left out".
      ] as NetworkFirstOptions['plugins'] & object,
    }),
  )
keepFiles(/\/api\/v1\/builds\/[^/]+\/(?:lines|pictures)\/[^/]+\/photo/, PHOTOGRAPHS, MOST_PHOTOGRAPHS)
keepFiles(/\/api\/v1\/builds\/[^/]+\/runs\/[^/]+\/log$/, LOGS, MOST_LOGS_HERE)
// Only when the person asks: half of an old page and half of a new one don't fit.
self.addEventListener('message', ({ data }: Event & { readonly data?: { readonly type?: string } }) => {
  if (data?.type === 'SKIP_WAITING') void self.skipWaiting()
})
