import type { Problem } from '@merry-tailor/core'

/** A request as it will be sent. A photograph's body is the picture itself. */
export interface WriteRequest {
  url: string
  method: 'PUT' | 'PATCH' | 'POST' | 'DELETE'
  body: unknown
}

/** Which book a device works with, and how often that was brought back. */
export interface BookMark {
  book: string
  epoch: number
}

/** The shape of what is kept here; raised when it changes, and then what is of before is brought up or set aside. */
export const SHAPE = 2

/** A write kept on this device until an answer that names its id has come. */
export interface WaitingWrite {
  seq: number
  shape: number
  /** Made at the keystroke: sent again under it, the write still counts once. */
  id: string
  /** The book it was done in; `null` before this device has heard of any. */
  book: BookMark | null
  /** What was done, so that it can be shown over what the server last said. */
  endpoint: string
  arg: unknown
  request: WriteRequest
  at: string
  /** How far this device's clock was behind the server's, ms. */
  skewMs: number
}

/** A write the server refused when it was sent later: it stays until somebody decides. */
export interface RefusedWrite extends WaitingWrite {
  problem: Partial<Problem>
}

/** The last answer to a question, with the book it is of. */
export interface KeptAnswer {
  shape: number
  book: BookMark | null
  seq: number
  at: string
  data: unknown
}
