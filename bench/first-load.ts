import { mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { build } from 'vite'

/*
 * JavaScript of the first load, compressed, beside a bare React and Router page built by the same tool: how much the
 * product adds before the first screen.
 */
const root = join(import.meta.dirname, '..')
const bare = join(root, 'web', '.bare-build')
mkdirSync(bare, { recursive: true })
writeFileSync(join(bare, 'index.html'), '<!doctype html><div id="root"></div><script type="module" src="/main.jsx"></script>')
writeFileSync(
  join(bare, 'main.jsx'),
  `import { createElement } from 'react'
import { createRoot } from 'react-dom/client'
import { createBrowserRouter, RouterProvider } from 'react-router'
const router = createBrowserRouter([{ path: '/', element: createElement('h1', null, 'Bare') }])
createRoot(document.getElementById('root')).render(createElement(RouterProvider, { router }))
`,
)
await build({ root: bare, configFile: false, logLevel: 'error', build: { outDir: 'dist', emptyOutDir: true } })

/** Scripts a page loads before anything is clicked: its entry and what that names for preloading. */
function firstLoad(dist: string): number {
  const html = readFileSync(join(dist, 'index.html'), 'utf8')
  const scripts = [...html.matchAll(/(?:src|href)="\/(assets\/[^"]+\.js)"/g)].map((found) => found[1] ?? '')
  return [...new Set(scripts)].reduce((sum, file) => sum + gzipSync(readFileSync(join(dist, file))).length, 0)
}
const all = (dist: string): number =>
  readdirSync(join(dist, 'assets'))
    .filter((file) => file.endsWith('.js'))
    .reduce((sum, file) => sum + gzipSync(readFileSync(join(dist, 'assets', file))).length, 0)

const [ours, theirs] = [firstLoad(join(root, 'web', 'dist')), firstLoad(join(bare, 'dist'))]
const kb = (bytes: number): string => `${(bytes / 1024).toFixed(0)} kB`
console.log(
  `First load: ${kb(ours)} of compressed JavaScript, bare React and Router ${kb(theirs)}, ratio ${(ours / theirs).toFixed(2)}; every room together ${kb(all(join(root, 'web', 'dist')))}.`,
)
rmSync(bare, { recursive: true, force: true })
