import { execFileSync } from 'node:child_process'
import { rmSync } from 'node:fs'
import { join } from 'node:path'

const ROOT = join(import.meta.dirname, '..', '..', '..')

/** The server as one file, as it is started in a shop; of this test's own, so that none waits for another. */
export function bundled(): { file: string; remove: () => void } {
  const file = join(ROOT, '.cache', `server-${process.pid}-${Date.now()}.mjs`)
  execFileSync(process.execPath, [join(ROOT, 'scripts', 'bundle-server.mjs'), file])
  return {
    file,
    remove: () => {
      for (const each of [file, `${file}.map`]) rmSync(each, { force: true })
    },
  }
}
