import { describe, expect, it } from 'vitest'
import type { Booking } from '../model/index.ts'
import { pieceFree } from './index.ts'

const out = (over: Partial<Booking> = {}): Booking => ({
  id: 'b1',
  pieceId: 'p1',
  ticketId: 't1',
  from: '2026-10-05',
  until: '2026-10-10',
  backOn: null,
  ...over,
})

describe('a piece that is out', () => {
  it('is in the way on each of its days, the last one too, and no others', () => {
    expect(pieceFree([out()], 'p1', '2026-10-10', '2026-10-12')?.ticketId).toBe('t1')
    expect(pieceFree([out()], 'p1', '2026-10-01', '2026-10-05')?.ticketId).toBe('t1')
    expect(pieceFree([out()], 'p1', '2026-10-11', '2026-10-12')).toBeNull()
    expect(pieceFree([out()], 'p1', '2026-10-01', '2026-10-04')).toBeNull()
    expect(pieceFree([out()], 'p2', '2026-10-05', '2026-10-10')).toBeNull()
  })

  it('is free from the day it is back', () => {
    const back = out({ backOn: '2026-10-07' })
    expect(pieceFree([back], 'p1', '2026-10-07', '2026-10-09')).toBeNull()
    expect(pieceFree([back], 'p1', '2026-10-06', '2026-10-09')?.id).toBe('b1')
    expect(pieceFree([out({ backOn: '2026-10-05' })], 'p1', '2026-10-05', '2026-10-09')).toBeNull()
  })

  it('names the first of several, and what is no day', () => {
    const bookings = [out({ id: 'b2', ticketId: 't2', from: '2026-10-08' }), out()]
    expect(pieceFree(bookings, 'p1', '2026-10-01', '2026-10-30')?.ticketId).toBe('t1')
    expect(() => pieceFree([], 'p1', 'soon', '2026-10-30')).toThrow(/from/)
    expect(() => pieceFree([], 'p1', '2026-10-30', '2026-10-01')).toThrow(/until/)
  })
})
