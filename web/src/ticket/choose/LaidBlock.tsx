import {
  strapsOf,
  tableIn,
  type Foretold,
  type Form,
  type Item,
  type Offer,
  type PredictedCheck,
  type RankedSize,
  type SizeTable,
  type StrapId,
  type StrapSides,
} from '@merry-tailor/core'
import { useMemo, useState } from 'react'
import { questionOf, useGauge, useLineRise, useOpenTicket, type Worn } from '../../bench'
import { useForetold } from '../../form'
import { LayMat } from './LayMat'
import { sizeName } from '../../sizes/size-name'
import { Mark } from '../../ui/marks/Mark'
import type { LengthStyle } from '@merry-tailor/core'
import { faceOf } from '../../words/offer-face'
import { foretoldName } from '../../words/foretold'
import { verdictWord } from '../../words/verdicts'

const COLOUR = { holds: 'text-holds', doubt: 'text-chalk', fails: 'text-snag', none: 'text-mute' } as const

/** What an offer's size is, as a thing to lay; `null` where there is nothing to lay. */
const wornOf = (offer: Offer, size: RankedSize): Worn | null => {
  if (offer.kind === 'made') return { kind: 'made' }
  if (offer.kind === 'gear') return { kind: 'piece', piece: offer.piece, table: offer.table }
  const table: SizeTable | null = tableIn(offer)
  return table ? { kind: 'size', table, label: size.label } : null
}

interface LaidBlockProps {
  item: Item
  offer: Offer
  size: RankedSize
  /** The next size to try, and a piece of ours, where there are such. */
  second: RankedSize | undefined
  piece: Offer | undefined
  form: Form
  look: LengthStyle & { unit: 'in' | 'cm' }
}

/** Where the size would lie on this dog, and beside it the next size, a piece of ours and one made to measure, check by check. */
export function LaidBlock({ item, offer, size, second, piece, form, look }: LaidBlockProps) {
  const { name } = useOpenTicket()
  const gauge = useGauge()
  const riseRad = useLineRise(item.family)
  const [drawn, setDrawn] = useState<{ of: string; set: Record<string, StrapSides> } | null>(null)
  const key = `${item.id} ${faceOf(offer).id} ${size.label}`
  const set = drawn?.of === key ? drawn.set : null
  const laid = strapsOf(item.family).length > 0
  const ways = useMemo(() => {
    const list: { label: string; worn: Worn }[] = []
    const first = wornOf(offer, size)
    if (first) list.push({ label: sizeName(faceOf(offer), size.label), worn: first })
    const next = second ? wornOf(offer, second) : null
    if (second && next) list.push({ label: sizeName(faceOf(offer), second.label), worn: next })
    if (piece?.kind === 'gear' && piece !== offer) list.push({ label: piece.piece.tag, worn: { kind: 'piece', piece: piece.piece, table: piece.table } })
    if (laid && offer.kind !== 'made') list.push({ label: 'Made to measure', worn: { kind: 'made' } })
    return list
  }, [offer, size, second, piece, laid])
  const questions = useMemo(() => ways.map(({ worn }) => questionOf(form, item.family, gauge, riseRad, worn)), [ways, form, item.family, gauge, riseRad])
  const asked = useForetold(`laid ${item.id}`, questions)
  const first = asked?.answers[0] ?? null
  const inHand = useMemo(() => (set && first && questions[0] ? [{ ...questions[0], set, spreadAs: first.checks }] : null), [set, first, questions])
  const moved = useForetold(`drawn ${item.id}`, inHand)
  const shown = (set && moved?.answers[0]) || first
  if (!asked || ways.length === 0) return laid ? <div className="mat h-[430px] border-[1.5px] border-ink xl:col-span-2" aria-busy="true" /> : null
  const onStrap = (id: StrapId, mm: number): void => {
    setDrawn({ of: key, set: { ...set, [id]: { leftMm: mm, rightMm: null } } })
  }
  // Answers to what was asked before are not set under today’s names.
  const rows = (asked.questions === questions ? ways : []).flatMap(({ label }, i) => {
    const foretold = asked.answers[i]
    return foretold && foretold.checks.some(({ grade }) => grade !== 'none') ? [{ label, foretold }] : []
  })
  return (
    <>
      {first && shown?.laid && (
        <LayMat
          form={form}
          family={item.family}
          name={name}
          foretold={shown}
          own={first}
          riseRad={riseRad}
          look={look}
          onStrap={onStrap}
          onReset={() => setDrawn(null)}
        />
      )}
      {rows.length > 0 && <CheckByCheck rows={rows} name={name} />}
    </>
  )
}

/** Each way to get it by each check that can be foretold: which to try first is seen at a glance. */
function CheckByCheck({ rows, name }: { rows: readonly { label: string; foretold: Foretold }[]; name: string }) {
  const id = (row: PredictedCheck): string => `${row.check} ${row.strap ?? ''} ${row.state}`
  const columns = [...new Map(rows.flatMap(({ foretold }) => foretold.checks.filter(({ grade }) => grade !== 'none')).map((row) => [id(row), row])).values()]
  return (
    <article className="border-[1.5px] border-ink bg-panel px-4 py-3 xl:col-span-2">
      <h2 className="text-[18px] leading-[22px]">Check by check on {name}, foretold</h2>
      <div className="quiet-scroll mt-2" tabIndex={0} role="group" aria-label="Check by check">
        <table className="w-full border-collapse text-[15px]">
          <thead>
            <tr>
              <th className="text-left font-normal text-mute">Check</th>
              {rows.map(({ label }) => (
                <th key={label} className="px-2 text-left leading-5">
                  {label}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {columns.map((column) => (
              <tr key={id(column)} className="border-t border-rule">
                <th className="py-1.5 pr-3 text-left font-normal">
                  {foretoldName(column)} <span className="text-mute">{column.state}</span>
                </th>
                {rows.map(({ label, foretold }) => {
                  const grade = foretold.checks.find((row) => id(row) === id(column))?.grade ?? 'none'
                  return (
                    <td key={label} className={`px-2 py-1.5 ${COLOUR[grade]}`}>
                      <span className="inline-flex items-center gap-1.5">
                        <Mark grade={grade} basis="predicted" size={19} />
                        <span className="max-md:sr-only">{verdictWord(grade, 'predicted')}</span>
                      </span>
                    </td>
                  )
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </article>
  )
}
