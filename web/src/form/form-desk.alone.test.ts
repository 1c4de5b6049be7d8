import { describe, expect, it, vi } from 'vitest'

const breedless = { about: null, question: {} }
const bodyOf = (mm: number) => ({ ...breedless, body: { M07: { mm, sigmaMm: 6 } } })

/** A worker whose answers come when the test says so. */
const waiting: { channel: string; answer: (reading: unknown) => void; break: () => void }[] = []
class SlowWorker extends EventTarget {
  static made: SlowWorker[] = []
  constructor() {
    super()
    SlowWorker.made.push(this)
  }
}
vi.stubGlobal('Worker', SlowWorker)
vi.mock('comlink', () => ({
  expose: () => undefined,
  wrap: () => ({
    warm: () => Promise.resolve(),
    readForm: (channel: string) => new Promise((answer, refuse) => waiting.push({ channel, answer, break: () => refuse(new Error('broken')) })),
  }),
}))
const { answerTo, ask, keyOf } = await import('./form-desk')

describe('C11: the bench’s questions', () => {
  it('A, B, A again: the second A is asked anew when the first comes back cancelled', async () => {
    const [a, b] = [bodyOf(601), bodyOf(602)]
    void ask(keyOf(a), a, 'bench 1')
    void ask(keyOf(b), b, 'bench 1')
    const last = ask(keyOf(a), a, 'bench 1')
    expect(waiting).toHaveLength(2)
    waiting[0]?.answer(null)
    waiting[1]?.answer({ of: 'b' })
    await vi.waitFor(() => expect(waiting).toHaveLength(3))
    waiting[2]?.answer({ of: 'a' })
    await last
    await vi.waitFor(() => expect(answerTo(keyOf(a))).toEqual({ of: 'a' }))
  })

  it('a cancelled question nobody wants any more is not asked again', async () => {
    const [a, b] = [bodyOf(611), bodyOf(612)]
    const before = waiting.length
    void ask(keyOf(a), a, 'bench 2')
    void ask(keyOf(b), b, 'bench 2')
    waiting[before]?.answer(null)
    waiting[before + 1]?.answer({ of: 'b' })
    await vi.waitFor(() => expect(answerTo(keyOf(b))).toEqual({ of: 'b' }))
    expect(waiting).toHaveLength(before + 2)
  })

  it('has a worker of its own beside that of lists', () => {
    const list = bodyOf(620)
    const before = SlowWorker.made.length
    void ask(keyOf(list), list, null)
    expect(SlowWorker.made).toHaveLength(before + 1)
    expect(waiting.at(-1)?.channel).toMatch(/^list /)
  })

  it('is answered in place where the worker fails, or is gone while it works', async () => {
    const thrown = bodyOf(631)
    const asked = ask(keyOf(thrown), thrown, 'bench 3')
    waiting.at(-1)?.break()
    await asked
    expect(answerTo(keyOf(thrown))?.form.measures.M07?.readMm).toBeCloseTo(631, 6)
    // Lists still have theirs; it dies.
    const gone = bodyOf(632)
    const other = ask(keyOf(gone), gone, null)
    SlowWorker.made.at(-1)?.dispatchEvent(new Event('error'))
    await other
    expect(answerTo(keyOf(gone))?.form.measures.M07?.readMm).toBeCloseTo(632, 6)
  })
})
