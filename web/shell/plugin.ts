import { createHash } from 'node:crypto'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Plugin, Rollup } from 'vite'

const PUBLIC = join(import.meta.dirname, '..', 'public')

/** What the first screen needs of a build: the page's own script, all it imports from the start, and their styles. */
function firstOf(bundle: Rollup.OutputBundle): Set<string> {
  const first = new Set<string>()
  const take = (name: string): void => {
    const chunk = bundle[name]
    if (first.has(name) || chunk?.type !== 'chunk') return
    first.add(name)
    for (const style of chunk.viteMetadata?.importedCss ?? []) first.add(style)
    for (const next of chunk.imports) take(next)
  }
  for (const [name, chunk] of Object.entries(bundle)) if (chunk.type === 'chunk' && chunk.isEntry) take(name)
  return first
}

/** Writes the service worker with the list of this build's own files: what the first screen needs, and the rest. */
export function shell(): Plugin {
  return {
    name: 'merry-tailor-shell',
    apply: 'build',
    generateBundle: {
      order: 'post',
      handler(_options, bundle) {
        const own = readdirSync(PUBLIC)
        const first = firstOf(bundle)
        const names = Object.keys(bundle).filter((name) => !name.endsWith('.html') && !name.endsWith('.map'))
        const paths = (list: readonly string[]): string => JSON.stringify([...list].sort().map((name) => `/${name}`))
        const source = readFileSync(join(import.meta.dirname, 'sw.js'), 'utf8')
        // A build is what is in its files: the page, its icon and the worker itself as well as the names of the rest.
        const hash = createHash('sha256').update(names.sort().join('\n')).update(source)
        for (const name of own) hash.update(name).update(readFileSync(join(PUBLIC, name)))
        for (const each of Object.values(bundle)) if (each.type === 'asset' && each.fileName.endsWith('.html')) hash.update(each.source)
        const build = hash.digest('hex').slice(0, 12)
        const lists = `const FIRST = ${paths([...first, ...own])}\nconst REST = ${paths(names.filter((name) => !first.has(name)))}\nconst BUILD = '${build}'\n`
        this.emitFile({ type: 'asset', fileName: 'sw.js', source: `${lists}${source}` })
      },
    },
  }
}
