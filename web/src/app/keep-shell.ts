/** How long the page has to be quiet before the rest of the build is fetched, ms. */
const QUIET = 1500

/**
 * Keeps the page on this device, so that it opens with the server gone: what the first screen needs at once, the rest
 * when the page is quiet. `data-shell="kept"` on the page's root says that all of it is there.
 */
export function keepShell(): void {
  if (!('serviceWorker' in navigator)) return
  const { serviceWorker } = navigator
  serviceWorker.addEventListener('message', ({ data }) => {
    if (data === 'all-aside') document.documentElement.dataset.shell = 'kept'
  })
  void serviceWorker.register('/sw.js')
  void serviceWorker.ready.then(({ active }) => {
    const ask = (): void => active?.postMessage('quiet')
    // A browser without it is asked a little later.
    if ('requestIdleCallback' in window) window.requestIdleCallback(ask, { timeout: 4 * QUIET })
    else setTimeout(ask, QUIET)
  })
}
