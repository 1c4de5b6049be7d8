import { resources, type News, type NewReading, type Resource } from '@merry-tailor/core'
import type { FastifyRequest } from 'fastify'

/** So many writes are remembered for devices that ask what is new. */
const MOST = 400

/** The newest writes, so that open pages hear of what others did. */
export class NewsBoard {
  readonly #list: News[] = []
  /** Writes before this one are not remembered: whoever knows less asks for everything anew. */
  #since: number

  constructor(seq: number) {
    this.#since = seq
  }

  add(news: News): void {
    this.#list.push(news)
    if (this.#list.length > MOST) this.#since = this.#list.shift()?.seq ?? this.#since
  }

  /** Everything may have changed: a book was brought back. */
  forget(seq: number): void {
    this.#list.length = 0
    this.#since = seq
  }

  /** @returns what came after a write; `null` when that is too long ago to say */
  after(seq: number): News[] | null {
    return seq < this.#since ? null : this.#list.filter((each) => each.seq > seq)
  }
}

const all = Object.values(resources) as unknown as readonly Resource<object>[]

/** What the resource of a route is asked by: the longest address it begins with. */
function tagsOf(route: string): readonly string[] {
  const parts = route.replace(/^\/api/, '').split('/')
  const fits = all.filter(({ address }) => {
    const own = address.split('/')
    return own.length <= parts.length && own.every((part, i) => part.startsWith(':') || part === parts[i])
  })
  const longest = fits.sort((a, b) => b.address.length - a.address.length)[0]
  return longest?.tags ?? ['Tickets', 'Dogs', 'Owners', 'Found']
}
/** Worked out once a route. */
const tagsByRoute = new Map<string, readonly string[]>()
function knownTags(route: string): readonly string[] {
  let tags = tagsByRoute.get(route)
  if (!tags) tagsByRoute.set(route, (tags = tagsOf(route)))
  return tags
}

/** A write as the others are told. */
export function newsOf(seq: number, id: string, request: FastifyRequest): News {
  const params = (request.params ?? {}) as { id?: string }
  const body = (request.body ?? {}) as Partial<NewReading> & { at?: string; by?: string }
  return {
    seq,
    id,
    ticketId: request.url.startsWith('/api/tickets/') ? (params.id ?? null) : null,
    tags: [...knownTags(request.routeOptions.url ?? '')],
    by: typeof body.by === 'string' ? body.by : '',
    reading:
      /\/readings\//.test(request.url) && body.measure !== undefined && body.asTyped !== undefined && body.unit !== undefined
        ? { measure: body.measure, asTyped: body.asTyped, unit: body.unit }
        : null,
  }
}
