/// <reference lib="webworker" />
import { cleanupOutdatedCaches, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { NetworkFirst } from 'workbox-strategies';

declare const self: ServiceWorkerGlobalScope;
/** The interface's files by name, put in when the worker is built; each is named by its content. */
declare const FILES: string[];

/** How long a page waits for the server before it is the one of before. */
const PAGE_WAITS_S = 3;

// one page at a time takes the newest files; those of pages that are open stay until they are closed
cleanupOutdatedCaches();
precacheAndRoute(FILES.map((url) => ({ url, revision: null })));

// every address is the same page; its policy and its nonce are kept with it
registerRoute(
  new NavigationRoute(
    new NetworkFirst({
      cacheName: 'page',
      networkTimeoutSeconds: PAGE_WAITS_S,
      plugins: [
        { cacheKeyWillBeUsed: () => Promise.resolve('/') },
        { cacheWillUpdate: ({ response }) => Promise.resolve(response.ok ? response : null) },
      ],
    }),
    { denylist: [/^\/api\//, /^\/actuator\//, /\.[a-z]+$/] },
  ),
);

self.addEventListener('install', (event) => {
  void self.skipWaiting();
  event.waitUntil(caches.open('page').then((cache) => cache.add('/')));
});
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));
