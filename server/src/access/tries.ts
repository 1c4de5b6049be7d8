/** So many wrong tries a minute from one address, and from all together. */
const FROM_ONE = 5
const FROM_ALL = 30
const MINUTE = 60_000
/** Addresses remembered at once; the oldest go first. */
const REMEMBERED = 2000

/** Wrong tries of the last minute: who has had too many waits. */
export class Tries {
  readonly #wrong = new Map<string, number[]>()
  readonly #now: () => number

  constructor(now: () => number = Date.now) {
    this.#now = now
  }

  #recent(address: string): number[] {
    const since = this.#now() - MINUTE
    return (this.#wrong.get(address) ?? []).filter((at) => at > since)
  }

  /** Milliseconds until the next try is heard; 0: now. */
  waitMs(address: string): number {
    const [own, all] = [this.#recent(address), [...this.#wrong.keys()].flatMap((each) => this.#recent(each)).sort((a, b) => a - b)]
    const until = (times: readonly number[], most: number): number => {
      const oldest = times.at(-most)
      return times.length < most || oldest === undefined ? 0 : oldest + MINUTE - this.#now()
    }
    return Math.max(0, until(own, FROM_ONE), until(all, FROM_ALL))
  }

  wrong(address: string): void {
    const times = [...this.#recent(address), this.#now()]
    this.#wrong.delete(address)
    this.#wrong.set(address, times)
    if (this.#wrong.size > REMEMBERED) this.#wrong.delete(this.#wrong.keys().next().value ?? '')
  }

  right(address: string): void {
    this.#wrong.delete(address)
  }
}
