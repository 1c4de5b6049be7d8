/*
 * The application shell, so that it opens with the server gone. Everything that belongs to a build is put aside when
 * the build is installed; questions to /api are never answered here: the page keeps its own copies and says so.
 */
/* global SHELL, BUILD, caches, self, fetch, Response */
const CACHE = `merry-tailor-${BUILD}`

self.addEventListener('install', (event) => {
  event.waitUntil(
    caches
      .open(CACHE)
      .then((cache) => cache.addAll(['/', ...SHELL]))
      .then(() => self.skipWaiting()),
  )
})

self.addEventListener('activate', (event) => {
  event.waitUntil(
    caches
      .keys()
      // The build before stays: a page that is open may still ask for one of its rooms.
      .then((names) =>
        Promise.all(
          names
            .filter((name) => name !== CACHE)
            .slice(0, -1)
            .map((name) => caches.delete(name)),
        ),
      )
      .then(() => self.clients.claim()),
  )
})

self.addEventListener('fetch', (event) => {
  const url = new URL(event.request.url)
  if (event.request.method !== 'GET' || url.origin !== self.location.origin || url.pathname.startsWith('/api/')) return
  if (event.request.mode === 'navigate') {
    // A page comes from the server while it is there, so that a new build is seen at once.
    event.respondWith(fetch(event.request).catch(async () => (await (await caches.open(CACHE)).match('/')) ?? Response.error()))
    return
  }
  event.respondWith(caches.match(event.request).then((kept) => kept ?? fetch(event.request)))
})
