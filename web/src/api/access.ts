import type { Problem } from '@merry-tailor/core'
import { useCallback, useEffect, useState, useSyncExternalStore } from 'react'

/** A device that was let in. */
export interface AccessDevice {
  id: string
  name: string
  pairedAt: string
  seenAt: string
  lockedAt: string | null
  this?: boolean
}

/** How this shop is opened, as this device may know it. */
export interface Access {
  /** A passphrase is set; it is asked on the server's own computer too. */
  set: boolean
  everywhere: boolean
  in: boolean
  own: boolean
  device: AccessDevice | null
  standIns: boolean
  lan: { addresses: readonly { url: string; secure: boolean }[]; trustAt: string; fingerprint: string } | null
}

export type Told<T> = { ok: true; data: T } | { ok: false; problem: Partial<Problem> | null }

/** The server asked who this is: until it knows, nothing comes in or goes out. */
let asked = false
const listeners = new Set<() => void>()
const tell = (next: boolean): void => {
  if (asked === next) return
  asked = next
  for (const listener of listeners) listener()
}
export const whoIsAsked = (): void => tell(true)

/** Is the passphrase asked of this device? */
export const useIsAsked = (): boolean =>
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    () => asked,
  )

async function call<T>(method: string, path: string, body?: object): Promise<Told<T>> {
  try {
    const answer = await fetch(`/api/access${path}`, {
      method,
      ...(body === undefined ? {} : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
    })
    const data = (await answer.json()) as unknown
    if (answer.status === 401) whoIsAsked()
    return answer.ok ? { ok: true, data: data as T } : { ok: false, problem: data as Partial<Problem> }
  } catch {
    return { ok: false, problem: null }
  }
}

const letIn = async (told: Promise<Told<AccessDevice>>): Promise<Told<AccessDevice>> => {
  const answer = await told
  if (answer.ok) tell(false)
  return answer
}

export const access = {
  signIn: (passphrase: string, name: string) => letIn(call<AccessDevice>('POST', '/session', { passphrase, name })),
  pair: (code: string, name: string) => letIn(call<AccessDevice>('POST', '/pair', { code, name })),
  signOut: () => call<unknown>('DELETE', '/session'),
  setPassphrase: (old: string | null, passphrase: string) => call<unknown>('PUT', '/passphrase', { old, passphrase }),
  setEverywhere: (on: boolean, passphrase: string) => call<unknown>('PUT', '/everywhere', { on, passphrase }),
  pairing: () => call<{ code: string; until: string }>('POST', '/pairings'),
  devices: () => call<AccessDevice[]>('GET', '/devices'),
  setLocked: (id: string, locked: boolean) => call<unknown>('PATCH', `/devices/${id}`, { locked }),
}

/** How this shop is opened; asked when it is first needed, and again when told. `null` until it is there. */
export function useAccess(): { access: Access | null; again: () => void } {
  const [state, setState] = useState<Access | null>(null)
  const again = useCallback(() => {
    void call<Access>('GET', '').then((told) => {
      if (told.ok) setState(told.data)
    })
  }, [])
  useEffect(again, [again])
  return { access: state, again }
}
