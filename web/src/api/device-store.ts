import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import type { Problem } from '@merry-tailor/core'

/** A request as it will be sent. */
export interface WriteRequest {
  url: string
  method: 'PUT' | 'PATCH' | 'POST' | 'DELETE'
  body: unknown
}

/** A write kept on this device until the server has it. */
export interface WaitingWrite {
  seq: number
  /** The endpoint and its argument, so that the write can be shown over what the server last said. */
  endpoint: string
  arg: unknown
  request: WriteRequest
  at: string
}

/** A write the server refused when it was sent later: it stays until somebody decides. */
export interface RefusedWrite extends WaitingWrite {
  problem: Partial<Problem>
}

interface Shelves extends DBSchema {
  outbox: { key: number; value: Omit<WaitingWrite, 'seq'> & { seq?: number } }
  refused: { key: number; value: RefusedWrite }
  kept: { key: string; value: unknown }
}

let opened: Promise<IDBPDatabase<Shelves>> | null = null

/** This device's own shelves: writes that wait, writes refused, and the last answer to each question. */
export function deviceStore(): Promise<IDBPDatabase<Shelves>> {
  opened ??= openDB<Shelves>('merry-tailor', 1, {
    upgrade: (db) => {
      db.createObjectStore('outbox', { keyPath: 'seq', autoIncrement: true })
      db.createObjectStore('refused', { keyPath: 'seq' })
      db.createObjectStore('kept')
    },
  })
  return opened
}
