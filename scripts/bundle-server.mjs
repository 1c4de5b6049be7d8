// The server as one file: it starts in a second, where compiling its sources at every start took many times that.
// node scripts/bundle-server.mjs [file], into server/dist/main.mjs where no file is named.
import { build } from 'esbuild'
import { readFileSync } from 'node:fs'
import { readFile } from 'node:fs/promises'
import { dirname, join, relative, resolve } from 'node:path'
import { root, SERVER } from './setup.mjs'

/** Core is ours and goes into the file, by the entries it says it has. */
const core = join(root, 'core')
const { exports } = JSON.parse(readFileSync(join(core, 'package.json'), 'utf8'))
const alias = Object.fromEntries(Object.entries(exports).map(([entry, file]) => [join('@merry-tailor/core', entry), join(core, file)]))

/** A source that asks where it stands is told so from where the one file stands: migrations and the interface lie there. */
const whereItStood = (outfile) => ({
  name: 'where-it-stood',
  setup({ onLoad }) {
    onLoad({ filter: /[\\/]server[\\/]src[\\/].*\.ts$/ }, async ({ path }) => {
      const here = JSON.stringify(relative(dirname(outfile), dirname(path)))
      const contents = (await readFile(path, 'utf8')).replaceAll('import.meta.dirname', `joined(import.meta.dirname, ${here})`)
      return { contents, loader: 'ts' }
    })
  },
})

/** Writes the server with our own sources in it; packages stay where they are installed. */
async function bundleServer(outfile) {
  await build({
    absWorkingDir: root,
    entryPoints: ['server/src/main.ts'],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    sourcemap: true,
    packages: 'external',
    alias,
    banner: { js: "import { join as joined } from 'node:path'" },
    plugins: [whereItStood(outfile)],
    logLevel: 'warning',
  })
}

await bundleServer(process.argv[2] ? resolve(process.argv[2]) : SERVER)
