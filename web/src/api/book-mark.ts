import type { BookMark } from './kept'
import { toldBy, type Told } from './post'

const KEY = 'merry-tailor-book'
/** Clocks apart by more than this are worth a word. */
export const CLOCK_APART_MS = 120_000

type Listener = () => void

/** The book this device works with: learnt from the first answer, and never changed but by a person's word. */
class DeviceBook {
  #mark: BookMark | null = null
  #read = false
  /** Another book, or this one brought back: nothing is sent or shown until somebody decides. */
  #other: Told | null = null
  #skewMs = 0
  readonly #listeners = new Set<Listener>()

  get mark(): BookMark | null {
    if (!this.#read) {
      this.#read = true
      try {
        const kept = JSON.parse(localStorage.getItem(KEY) ?? 'null') as BookMark | null
        if (kept?.book) this.#mark = kept
      } catch {
        // A device that keeps nothing learns it anew each time.
      }
    }
    return this.#mark
  }

  get other(): Told | null {
    return this.#other
  }

  /** How far this device's clock is behind the server's, ms; minus when it is ahead. */
  get skewMs(): number {
    return this.#skewMs
  }

  onChange(listener: Listener): () => void {
    this.#listeners.add(listener)
    return () => void this.#listeners.delete(listener)
  }

  /**
   * Holds what a server says of itself against the book this device knows.
   *
   * @returns whether its answer may be taken
   */
  hear(told: Told): boolean {
    const skew = new Date(told.at).getTime() - Date.now()
    const wasApart = Math.abs(this.#skewMs) > CLOCK_APART_MS
    this.#skewMs = skew
    const { mark } = this
    if (mark === null) this.#keep({ book: told.book, epoch: told.epoch })
    const same = mark === null || (mark.book === told.book && mark.epoch === told.epoch)
    const other = same ? null : told
    if (other?.book !== this.#other?.book || other?.epoch !== this.#other?.epoch || wasApart !== Math.abs(skew) > CLOCK_APART_MS) {
      this.#other = other
      this.#tell()
    }
    return same
  }

  /** Works with the book that is there from now on. */
  adopt(mark: BookMark): void {
    this.#keep(mark)
    this.#other = null
    this.#tell()
  }

  /** Asks which book is there and works with it: after a bringing back that was asked for on this device. */
  async follow(): Promise<void> {
    const answer = await fetch('/api/health').catch(() => null)
    const told = answer && toldBy(answer.headers)
    if (told) this.adopt(told)
  }

  #keep({ book, epoch }: BookMark): void {
    this.#mark = { book, epoch }
    this.#read = true
    try {
      localStorage.setItem(KEY, JSON.stringify(this.#mark))
    } catch {
      // As above.
    }
  }

  #tell(): void {
    for (const listener of this.#listeners) listener()
  }

  /** Knows nothing any more: for tests. */
  forget(): void {
    this.#mark = null
    this.#other = null
    this.#skewMs = 0
    this.#read = true
    localStorage.removeItem(KEY)
  }
}

export const deviceBook = new DeviceBook()

/** Was this done in that book, as it was then? What was done before any book was known goes with the first. */
export const isOfBook = (book: BookMark | null, mark: BookMark | null): boolean =>
  book === null || mark === null || (book.book === mark.book && book.epoch === mark.epoch)
