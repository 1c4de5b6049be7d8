import { describe, expect, it } from 'vitest'
import { moveOf, withMove, withPin, type Move } from './moves'

const FRONT = { piece: 'chest', edge: 'front' }
const ROUND = ['01900000-0000-7000-8000-000000000001', '01900000-0000-7000-8000-000000000002'] as const
const total = (moves: readonly Move[]): number | undefined => moveOf([...moves], FRONT)?.mm

describe('moves of an edge', () => {
  it('a pin said again in its round is said anew; another round’s adds to it', () => {
    const once = withPin([], { ...FRONT, mm: -10, round: ROUND[0] })
    const anew = withPin(once, { ...FRONT, mm: -6, round: ROUND[0] })
    expect(total(anew)).toBe(-6)
    expect(total(withPin(anew, { ...FRONT, mm: -4, round: ROUND[1] }))).toBe(-10)
  })

  it('a hand moves the edge to where it stands in all, and leaves what was pinned', () => {
    const pinned = withPin([], { ...FRONT, mm: -10, at: 0.2, round: ROUND[0] })
    const moved = withMove(pinned, { ...FRONT, mm: 5 })
    expect(total(moved)).toBe(5)
    expect(moved.find(({ round }) => round === ROUND[0])).toMatchObject({ mm: -10, at: 0.2 })
    expect(withMove(moved, { ...FRONT, mm: -10 })).toEqual(pinned)
  })

  it('a pin of nothing is taken out, other edges stay', () => {
    const other = { piece: 'back', edge: 'hem', mm: 3 }
    const all = withPin([other], { ...FRONT, mm: 8, round: ROUND[0] })
    expect(withPin(all, { ...FRONT, mm: 0, round: ROUND[0] })).toEqual([other])
  })
})
