import type { SizeTable } from '@merry-tailor/core'
import { useState } from 'react'
import { useChangeShopMutation } from '../../api/queries'
import { useShop } from '../../state/use-shop'
import { problemWords } from '../../words/problems'
import { Problem } from '../../ui/controls/Problem'
import { Box } from '../../ui/grid/Box'

/** Boots here, by size, as the shop counted them. */
export function useBootsHere(table: SizeTable | null): Readonly<Record<string, number>> {
  const { boots } = useShop()
  return Object.fromEntries(boots.filter(({ tableId }) => tableId === table?.id).map(({ label, here }) => [label, here]))
}

/** The shelf by size: counted here, taken by this set, left after. */
export function ShelfPane({ table, labels }: { table: SizeTable; labels: Readonly<Record<string, string>> }) {
  const { boots } = useShop()
  const here = useBootsHere(table)
  const [change] = useChangeShopMutation()
  const [problem, setProblem] = useState<string | null>(null)
  const set = (label: string, count: number): void => {
    const others = boots.filter((each) => each.tableId !== table.id || each.label !== label)
    void change([{ field: 'boots', from: boots, to: [...others, { tableId: table.id, label, here: count }] }]).then(({ error }) =>
      setProblem(error ? `Not kept. ${problemWords(error)}` : null),
    )
  }
  const taken = (label: string): number => Object.values(labels).filter((each) => each === label).length
  // What this set takes, its neighbours, and whatever was counted.
  const at = table.sizes.flatMap(({ label }, i) => (taken(label) > 0 ? [i] : []))
  const shown = table.sizes.filter(({ label }, i) => label in here || at.some((k) => Math.abs(k - i) <= 1))
  return (
    <section aria-label="On the shelf" className="border-b-2 border-ink px-4 py-2">
      <h2 className="text-[19px] leading-6">On the shelf</h2>
      <table className="w-full text-[15px]">
        <thead>
          <tr className="border-b border-rule text-left text-[13.5px] text-mute">
            <th className="py-1 font-semibold">{table.name}</th>
            <th className="font-semibold">here</th>
            <th className="text-right font-semibold whitespace-nowrap">this set</th>
            <th className="pl-3 text-right font-semibold">after</th>
          </tr>
        </thead>
        <tbody>
          {shown.map(({ label }) => {
            const [own, count] = [taken(label), here[label] ?? null]
            const after = count === null ? null : count - own
            return (
              <tr key={label} className="border-b border-rule">
                <th className="text-left font-bold">{label}</th>
                <td>
                  <Count label={`${label} here`} count={count} onSet={(next) => set(label, next)} />
                </td>
                <td className="text-right">{own}</td>
                <td className={`pl-3 text-right text-[17px] font-bold ${after !== null && after < 0 ? 'text-snag' : ''}`}>{after ?? '?'}</td>
              </tr>
            )
          })}
        </tbody>
      </table>
      {shown.some(({ label }) => here[label] === undefined) && <p className="pt-1 text-[14px] text-mute">Open fields were never counted.</p>}
      <Problem className="pt-1">{problem}</Problem>
    </section>
  )
}

/** A count in a row: kept when it is left, said at the field when it is none. */
function Count({ label, count, onSet }: { label: string; count: number | null; onSet: (count: number) => void }) {
  const [typed, setTyped] = useState<string | null>(null)
  const shown = typed ?? (count === null ? '' : String(count))
  const wrong = typed !== null && typed.trim() !== '' && !/^\d{1,5}$/.test(typed.trim())
  const leave = (): void => {
    if (wrong || typed === null) return
    setTyped(null)
    if (typed.trim() !== '' && Number(typed) !== count) onSet(Number(typed))
  }
  return (
    <Box
      label={label}
      problem={wrong ? 'A whole number.' : null}
      inputMode="numeric"
      value={shown}
      placeholder="?"
      onChange={(event) => setTyped(event.target.value)}
      onBlur={leave}
      onKeyDown={(event) => {
        if (event.key !== 'Enter') return
        event.stopPropagation()
        leave()
      }}
      look="text-[17px] font-bold"
      className="my-1 w-[68px]"
    />
  )
}
