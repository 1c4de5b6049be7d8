// The server as one file: it starts in a second, where compiling its sources at every start took many times that.
// As a program: node scripts/bundle-server.mjs [file], into server/dist/main.mjs where no file is named.
import { build } from 'esbuild'
import { readFile } from 'node:fs/promises'
import { dirname, join, relative, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'

const root = join(dirname(fileURLToPath(import.meta.url)), '..')
export const SERVER = join(root, 'server', 'dist', 'main.mjs')

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
export async function bundleServer(outfile = SERVER) {
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
    alias: {
      '@merry-tailor/core/formats': join(root, 'core/src/formats/index.ts'),
      '@merry-tailor/core/schemas': join(root, 'core/src/schemas.ts'),
      '@merry-tailor/core': join(root, 'core/src/index.ts'),
    },
    banner: { js: "import { join as joined } from 'node:path'" },
    plugins: [whereItStood(outfile)],
    logLevel: 'warning',
  })
}

if (process.argv[1] === fileURLToPath(import.meta.url)) await bundleServer(process.argv[2] ? resolve(process.argv[2]) : SERVER)
