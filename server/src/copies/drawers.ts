import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'

/** Beside the book, in the usual drawer: where copies went when the shop named another folder. A damaged book cannot be asked. */
const ELSEWHERE = 'elsewhere.txt'
const beside = (file: string): string => join(dirname(file), 'copies')

/** The folder copies go to: the one the shop names, else beside the book. */
export const drawerOf = (file: string, named: string): string => (named === '' ? beside(file) : resolve(named))

/** Leaves word beside the book of a drawer that lies elsewhere. */
export function noteDrawer(file: string, drawer: string): void {
  if (drawer === beside(file)) return
  const known = drawersOf(file)
  if (known.includes(drawer)) return
  mkdirSync(beside(file), { recursive: true, mode: 0o700 })
  writeFileSync(join(beside(file), ELSEWHERE), `${[drawer, ...known.slice(1)].join('\n')}\n`, { mode: 0o600 })
}

/** Every folder copies of this book are known to have gone to, the usual one first. */
export function drawersOf(file: string): string[] {
  const note = join(beside(file), ELSEWHERE)
  const elsewhere = existsSync(note) ? readFileSync(note, 'utf8').split('\n').filter(Boolean) : []
  return [beside(file), ...elsewhere]
}

/** Copies are checked when they are made: the newest of them, wherever it lies; `null` for none that can be reached. */
export function newestCopy(file: string): string | null {
  const [newest] = drawersOf(file)
    .filter((drawer) => existsSync(drawer) && statSync(drawer).isDirectory())
    .flatMap((drawer) =>
      readdirSync(drawer)
        .filter((name) => /^book-.*\.sqlite$/.test(name))
        .map((name) => join(drawer, name)),
    )
    .sort((a, b) => statSync(b).mtimeMs - statSync(a).mtimeMs)
  return newest ?? null
}
