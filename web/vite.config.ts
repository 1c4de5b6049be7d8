import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { createHash } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { defineConfig, type Plugin } from 'vite'

/** Writes the service worker with the list of this build's own files: the shell it puts aside. */
function shell(): Plugin {
  return {
    name: 'merry-tailor-shell',
    apply: 'build',
    generateBundle(_options, bundle) {
      const files = Object.keys(bundle)
        .filter((name) => !name.endsWith('.html') && !name.endsWith('.map'))
        .map((name) => `/${name}`)
      const list = JSON.stringify([...files, '/icon.svg'].sort())
      const build = createHash('sha256').update(list).digest('hex').slice(0, 12)
      const source = readFileSync(join(import.meta.dirname, 'shell', 'sw.js'), 'utf8')
      this.emitFile({ type: 'asset', fileName: 'sw.js', source: `const SHELL = ${list}\nconst BUILD = '${build}'\n${source}` })
    },
  }
}

export default defineConfig({
  plugins: [react(), tailwindcss(), shell()],
  build: { assetsInlineLimit: 0, chunkSizeWarningLimit: 1500 },
  worker: { format: 'es' },
  server: { proxy: { '/api': 'http://127.0.0.1:4787' } },
})
