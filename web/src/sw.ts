/// <reference lib="webworker" />
import { ExpirationPlugin } from 'workbox-expiration'
import {
  cleanupOutdatedCaches,
  createHandlerBoundToURL,
  precacheAndRoute,
  type PrecacheEntry,
} from 'workbox-precaching'
import { NavigationRoute, registerRoute } from 'workbox-routing'
import { NetworkFirst } from 'workbox-strategies'

// The offline shell: the program's own files, and what was last seen of Due, Dog and Ready. The bench keeps its
// last answer itself and never takes one from here, since it cuts by it.
declare const self: ServiceWorkerGlobalScope & { __WB_MANIFEST: PrecacheEntry[] }

precacheAndRoute(self.__WB_MANIFEST)
cleanupOutdatedCaches()
registerRoute(
  new NavigationRoute(createHandlerBoundToURL('index.html'), { denylist: [/^\/(api|access|calendar|card)(\/|$)/] }),
)

/** How long the server may take before what was last seen is shown, seconds. */
const patience = 5
// Neither what is large or secret, nor pictures, is kept where somebody might find it who may not come in any more.
const never =
  /\/(bench|changes|readings|pictures)$|^\/api\/(house|backups|export|import|calendar|pictures|sheets|messages)/

registerRoute(
  ({ url, sameOrigin }) => sameOrigin && url.pathname.startsWith('/api/') && !never.test(url.pathname),
  new NetworkFirst({
    cacheName: 'seen',
    networkTimeoutSeconds: patience,
    plugins: [
      new ExpirationPlugin({ maxEntries: 400, maxAgeSeconds: 30 * 86_400, purgeOnQuotaError: true }),
      {
        // What comes from here says so, and of when it is: no page takes it for today's.
        cachedResponseWillBeUsed: async ({ cachedResponse }) => {
          if (!cachedResponse) return cachedResponse
          const headers = new Headers(cachedResponse.headers)
          headers.set('Fribbet-Seen', cachedResponse.headers.get('Date') ?? '')
          return new Response(await cachedResponse.blob(), { status: cachedResponse.status, headers })
        },
      },
    ],
  }),
)

self.addEventListener('message', event => {
  if ((event.data as { type?: string } | null)?.type === 'SKIP_WAITING') void self.skipWaiting()
})
self.addEventListener('activate', event => event.waitUntil(self.clients.claim()))
