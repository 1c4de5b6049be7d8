import { strapsOf, tableIn, type Form, type Item, type Offer, type RankedSize, type StrapSides } from '@merry-tailor/core'
import { useMemo, useState, type ReactNode } from 'react'
import { questionOf, useGauge, useLineRise, type LaidState, type Worn } from '../../bench'
import { useForetold } from '../../form'
import { sizeName } from '../../sizes/size-name'
import { faceOf } from '../../words/offer-face'
import { LaidWaysContext, type LaidWays } from './laid-ways'

/** What an offer's size is, as a thing to lay; `null` where there is nothing to lay. */
const wornOf = (offer: Offer, size: RankedSize): Worn | null => {
  if (offer.kind === 'made') return { kind: 'made' }
  if (offer.kind === 'gear') return { kind: 'piece', piece: offer.piece, table: offer.table }
  const table = tableIn(offer)
  return table ? { kind: 'size', table, label: size.label } : null
}

interface LaidOnDogProps {
  item: Item
  offer: Offer | undefined
  size: RankedSize | undefined
  /** The next size to try, and a piece of ours, where there are such. */
  second: RankedSize | undefined
  piece: Offer | undefined
  form: Form
  children: ReactNode
}

/** Asks how the size in hand lies on this dog, and beside it the next, a piece of ours and one made to measure; its children show it. */
export function LaidOnDog({ item, offer, size, second, piece, form, children }: LaidOnDogProps) {
  const gauge = useGauge()
  const riseRad = useLineRise(item.family)
  const [drawn, setDrawn] = useState<{ of: string; set: Record<string, StrapSides> } | null>(null)
  const [turned, setTurned] = useState<{ of: string; state: LaidState } | null>(null)
  const key = offer && size ? `${item.id} ${faceOf(offer).id} ${size.label}` : ''
  const set = drawn?.of === key ? drawn.set : null
  const asks = useMemo(() => {
    const list: { label: string; worn: Worn }[] = []
    if (!offer || !size) return list
    for (const one of [size, second]) {
      const worn = one && wornOf(offer, one)
      if (worn) list.push({ label: sizeName(faceOf(offer), one.label), worn })
    }
    if (piece?.kind === 'gear') list.push({ label: piece.piece.tag, worn: { kind: 'piece', piece: piece.piece, table: piece.table } })
    if (strapsOf(item.family).length > 0 && offer.kind !== 'made') list.push({ label: 'Made to measure', worn: { kind: 'made' } })
    return list
  }, [offer, size, second, piece, item.family])
  const questions = useMemo(() => asks.map(({ worn }) => questionOf(form, item.family, gauge, riseRad, worn)), [asks, form, item.family, gauge, riseRad])
  const asked = useForetold(`laid ${item.id}`, questions)
  // The last answers stay while the next size is worked out, but never on another kind.
  const own = (asked?.questions[0]?.family === item.family && asked.answers[0]) || null
  const inHand = useMemo(() => (set && own && questions[0] ? [{ ...questions[0], set, spreadAs: own.checks }] : null), [set, own, questions])
  const moved = useForetold(`drawn ${item.id}`, inHand)
  const shown = (set && moved?.answers[0]) || own
  const pulls = shown?.laid?.pulling.nodes.tug !== undefined || item.family === 'H21'
  const value: LaidWays = {
    // Answers to what was asked before are not set under today’s names.
    ways: (asked?.questions === questions ? asks : []).flatMap(({ label }, i) => {
      const foretold = asked?.answers[i]
      return foretold?.checks.some(({ grade }) => grade !== 'none') ? [{ label, foretold }] : []
    }),
    shown,
    own,
    isAsking: own === null,
    state: turned?.of === item.id ? turned.state : pulls ? 'pulling' : 'slack',
    pulls,
    riseRad,
    setState: (state) => setTurned({ of: item.id, state }),
    onStrap: (id, mm) => setDrawn({ of: key, set: { ...set, [id]: { leftMm: mm, rightMm: null } } }),
    onReset: () => setDrawn(null),
  }
  return <LaidWaysContext value={value}>{children}</LaidWaysContext>
}
