import type { FieldConflict, Problem } from '@merry-tailor/core'

/** Every refusal the server can give: stable code, status and title. */
const KINDS = {
  'not-found': [404, 'There is no such thing here.'],
  'bad-request': [400, 'Something in the request cannot be read.'],
  'stale-edit': [409, 'Somebody changed the same field meanwhile.'],
  'id-taken': [409, 'This id already holds something else.'],
  'unknown-reference': [422, 'This points at something that is not there.'],
  'unknown-field': [400, 'There is no such field.'],
  'ticket-closed': [409, 'This ticket is closed.'],
  'reason-needed': [422, 'Overruling a stop needs a reason.'],
  'doubling-not-allowed': [422, 'This measure is never taken on one side and doubled.'],
  'not-takeable': [422, 'This measure is not taken so.'],
  'retired-for-good': [409, 'This piece stays out of use.'],
  'already-joined': [409, 'These records are one already.'],
  'piece-booked': [409, 'This piece is out.'],
  'name-taken': [409, 'This name is taken.'],
  'bad-document': [422, 'This document cannot be taken in.'],
  'other-book': [409, 'Another book is open here.'],
  'cannot-keep-now': [503, 'Nothing can be kept just now.'],
  'damaged-book': [500, 'The book’s file is damaged.'],
  'shop-not-empty': [409, 'There is a book here already.'],
  'wrong-host': [421, 'This server answers only to its own address.'],
  'wrong-origin': [403, 'Only the shop’s own page writes here.'],
  'who-are-you': [401, 'This shop asks who you are.'],
  'wrong-passphrase': [403, 'This does not let you in.'],
  'too-many-tries': [429, 'Too many wrong tries.'],
  'no-passphrase': [409, 'The shop has no passphrase yet.'],
  'too-large': [413, 'That is more than one request may hold.'],
  'unsupported-type': [415, 'Send JSON.'],
  unexpected: [500, 'Something broke in the server. What you sent may not be kept.'],
} as const satisfies Record<string, readonly [number, string]>

export type ProblemCode = keyof typeof KINDS

/** A refusal with a stable code, sent as `application/problem+json`. */
export class ProblemError extends Error {
  override name = 'ProblemError'
  readonly code: ProblemCode
  readonly more: Pick<Problem, 'fields' | 'conflicts'>

  constructor(code: ProblemCode, detail: string, more: { fields?: Problem['fields']; conflicts?: FieldConflict[] } = {}) {
    super(detail)
    this.code = code
    this.more = more
  }
}

export function problemOf(error: ProblemError): Problem {
  const [status, title] = KINDS[error.code]
  return { type: 'about:blank', title, status, code: error.code, detail: error.message, ...error.more }
}
