/*
 * The application shell, so that it opens with the server gone. What the first screen needs is put aside when a build is
 * installed, the rest of it when the page is quiet; questions to /api are never answered here: the page keeps its own
 * copies and says so.
 */
/* global FIRST, REST, BUILD, caches, self, fetch, Response, setTimeout */
const OURS = 'merry-tailor-'
const CACHE = `${OURS}${BUILD}`
/** So long a page waits for the network before it opens from what was put aside, ms. */
const PATIENCE = 2000
/** Answers of something between that stands in the server's place. */
const GONE = [502, 503, 504]

self.addEventListener('install', (event) => {
  event.waitUntil(
    caches
      .open(CACHE)
      .then((cache) => cache.addAll(['/', ...FIRST]))
      .then(() => self.skipWaiting()),
  )
})

self.addEventListener('activate', (event) => {
  event.waitUntil(
    caches
      .keys()
      // The build before stays: a page that is open may still ask for one of its rooms. Others' caches are theirs.
      .then((names) =>
        Promise.all(
          names
            .filter((name) => name.startsWith(OURS) && name !== CACHE)
            .slice(0, -1)
            .map((name) => caches.delete(name)),
        ),
      )
      .then(() => self.clients.claim()),
  )
})

/** Puts aside what is not there yet, one file after the other; what fails is asked for the next time. */
async function putRestAside() {
  const cache = await caches.open(CACHE)
  let whole = true
  for (const path of [...FIRST, ...REST]) {
    if (await cache.match(path)) continue
    try {
      await cache.add(path)
    } catch {
      whole = false
    }
  }
  return whole
}

self.addEventListener('message', (event) => {
  if (event.data !== 'quiet') return
  event.waitUntil(putRestAside().then((whole) => event.source?.postMessage(whole ? 'all-aside' : 'not-all-aside')))
})

/** A page comes from the server while it is there, so that a new build is seen at once; soon, or from what was put aside. */
async function pageFor(request) {
  const kept = async () => (await caches.open(CACHE)).match('/')
  const network = fetch(request).then((answer) => {
    if (GONE.includes(answer.status)) throw new Error('something stands in the server’s place')
    return answer
  })
  const late = new Promise((resolve) => setTimeout(resolve, PATIENCE)).then(kept)
  try {
    return (await Promise.race([network, late])) ?? (await network)
  } catch {
    return (await kept()) ?? Response.error()
  }
}

self.addEventListener('fetch', (event) => {
  const url = new URL(event.request.url)
  if (event.request.method !== 'GET' || url.origin !== self.location.origin || url.pathname.startsWith('/api/')) return
  if (event.request.mode === 'navigate') return event.respondWith(pageFor(event.request))
  event.respondWith(caches.match(event.request).then((kept) => kept ?? fetch(event.request)))
})
