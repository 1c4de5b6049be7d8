import { housingFloor, penHeight, penRoom, PEN_HEIGHTS, predictedOf, RULES_VERSION, type Form, type Item } from '@merry-tailor/core'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { ItemPanel, ItemTabs, useActs, useBenchForm, useOpenTicket, useRanked, useSizedBody, YellowFoot } from '../../bench'
import { LengthEntry, NumberEntry } from '../../length-entry'
import { VerdictWord } from '../../said/VerdictWord'
import { valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { useKeys } from '../../state/use-keys'
import { useOnce } from '../../state/use-once'
import { TickRow } from '../../ui/controls/TickRow'
import { lengthText } from '../../ui/length/length-text'
import { Worded } from '../../ui/length/Worded'
import { cutOnce } from '../../ui/plates/cut'
import { lineThrough } from '../../ui/plates/geometry'
import { useBox } from '../../ui/use-width'
import { problemWords } from '../../words/problems'

const IN = 25.4
const PANEL = 24 * IN

/** An exercise pen: its floor by panels, its height by the dog, and what jumpers and climbers ask. */
export function PenPane({ item, items }: { item: Item; items: readonly Item[] }) {
  const { sheet, name } = useOpenTicket()
  const navigate = useNavigate()
  const acts = useActs()
  const once = useOnce()
  const { form } = useBenchForm()
  const { body } = useSizedBody()
  const { ranked } = useRanked(item)
  const settings = useAppSelector((state) => state.settings)
  const say = (mm: number): string => lengthText(mm, { ...valueStyle(settings), unit: settings.unit }, true)
  const area = (mm2: number): string => (settings.unit === 'in' ? `${(mm2 / 304.8 ** 2).toFixed(1)} sq ft` : `${(mm2 / 1e6).toFixed(2)} m²`)
  const [panels, setPanels] = useState(8)
  const [panelMm, setPanel] = useState(PANEL)
  const [jumps, setJumps] = useState(false)
  const [climbs, setClimbs] = useState(false)
  const [picked, setPicked] = useState<number | null>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const value = (id: string): number | null => body[id]?.mm ?? form.measures[id]?.mm ?? null
  const [head, withers, long] = [Math.max(value('M39') ?? 0, value('M40') ?? 0), value('M45') ?? 0, value('M42')]
  const asked = head > 0 && withers > 0 ? penHeight({ headMm: head, withersMm: withers, jumps, climbs }) : null
  const floor = penRoom({ panels, panelMm })
  const housing = long ? housingFloor(long) : null
  const own = asked?.heightMm ?? null
  const chosen = picked ?? (own === null ? PEN_HEIGHTS.at(-1) : Math.round(own / IN)) ?? 48
  const guessed = ['M39', 'M45', 'M42'].some((id) => body[id]?.guess !== false && body[id]?.mm == null)
  const choose = (): void =>
    void once(async () => {
      const offer = ranked.find((each) => each.kind === 'series')
      const settlement = { kind: 'series' as const, family: item.family, label: `${chosen} high`, insideMm: [2 * panelMm, 2 * panelMm, chosen * IN] as [number, number, number] }
      const { error } = await acts.choose({ ...settlement, itemId: item.id, predicted: offer ? predictedOf(offer, settlement) : [], rulesVersion: RULES_VERSION, overruled: null })
      setProblem(error ? `Not kept. ${problemWords(error)}` : null)
      if (!error) await navigate(`/tickets/${sheet.ticket.id}/try-on`)
      return !error
    }) // prettier-ignore
  useKeys({ Enter: choose })
  return (
    <>
      <section aria-label="Pen" className="flex min-h-0 flex-col bg-panel max-md:shrink-0 md:border-r-2 md:border-ink">
        <ItemTabs items={items} />
        <ItemPanel items={items} current={item.id} className="quiet-scroll min-h-0 flex-1 space-y-3 px-4 py-3 text-[15px] leading-[19px]">
          <h1 className="text-[23px] leading-7">A pen for {name}</h1>
          <div className="grid grid-cols-2 gap-2">
            <NumberEntry label="Panels" value={panels} least={3} most={24} problem="From 3 to 24." onSet={(n) => setPanels(Math.round(n))} />
            <LengthEntry label="Panel, wide" mm={panelMm} least={200} most={2000} onSet={setPanel} />
          </div>
          <TickRow on={jumps} onChange={setJumps}>{`${name} jumps`}</TickRow>
          <TickRow on={climbs} onChange={setClimbs}>{`${name} climbs`}</TickRow>
          <p>
            <b>Floor {area(floor.areaMm2)}</b>, round.
            {housing && ` The housing rule of one country (9 CFR 3.6, value from memory) asks ${area(housing.areaMm2)} for this length; local law decides.`}
          </p>
          <p className="border-l-[5px] border-chalk pl-3">
            <b>Caution.</b> A pen is no cage: jumpers and climbers are watched, and no dog is left in it alone for long. No harness, coat or boots left on in it.
            {asked?.needsTop && ' This one asks a top.'}
          </p>
        </ItemPanel>
        <YellowFoot title="Choose pen" detail={`${chosen} in high`} problem={problem} onPress={choose} />
      </section>
      <section aria-label="Pen heights" className="mat quiet-scroll flex min-h-0 min-w-0 flex-col max-md:shrink-0">
        <ol aria-label="Heights" className="flex flex-wrap gap-1.5 p-2">
          {PEN_HEIGHTS.map((height) => {
            const spare = height * IN - (head + 50)
            const enough = own !== null && height * IN >= own - 1
            return (
              <li key={height}>
                <button type="button" aria-pressed={height === chosen} onClick={() => setPicked(height)} className="min-h-[52px] min-w-[150px] border-2 border-ink bg-panel px-2.5 py-1 text-left aria-pressed:shadow-[inset_0_-4px_0_var(--ink)]">
                  <b className="block text-[17px]">{height} in high</b>
                  <VerdictWord grade={asked === null ? 'none' : enough ? 'holds' : spare >= 0 ? 'doubt' : 'fails'} basis="predicted" size={15} />
                </button>
              </li>
            )
          })}
        </ol>
        <p className="px-4 text-[15px] leading-[19px]">
          {asked === null ? (
            'Take standing height and withers height: then a height is advised.'
          ) : (
            <Worded text={`Head ${say(head)}, withers ${say(withers)}${guessed ? ', some of it guessed from the build' : ''}. ${own === null ? 'No pen is high enough without a top.' : `Asked: ${Math.round(own / IN)} in${jumps ? ', twice the withers for a jumper (ours, unverified)' : ''}.`}`} />
          )}
        </p>
        <PenFromAbove form={form} panels={panels} panelMm={panelMm} name={name} />
      </section>
    </>
  ) // prettier-ignore
}

/** The pen's regular shape from above with the dog in it, to scale. */
function PenFromAbove({ form, panels, panelMm, name }: { form: Form; panels: number; panelMm: number; name: string }) {
  const [ref, { width, height }] = useBox<HTMLDivElement>(700, 420)
  const tall = Math.max(300, height)
  const r = panelMm / (2 * Math.sin(Math.PI / panels))
  const by = (Math.min(width, tall) - 50) / (2 * r)
  const corners = Array.from({ length: panels }, (_, i) => {
    const at = (2 * Math.PI * (i + 0.5)) / panels + Math.PI / 2
    return { x: width / 2 + r * by * Math.cos(at), y: tall / 2 + r * by * Math.sin(at) }
  })
  const { plates, box } = cutOnce(form, 'above')
  const [mx, my] = [(box.left + box.right) / 2, (box.top + box.bottom) / 2]
  return (
    <div ref={ref} className="min-h-[300px] flex-1">
      <svg width={width} height={tall} viewBox={`0 0 ${width} ${tall}`} role="img" aria-label={`${name} in a pen of ${panels} panels, from above`} className="block">
        <path d={`M${corners.map(({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}Z`} fill="var(--panel)" fillOpacity={0.6} stroke="var(--web)" strokeWidth={6} />
        {plates
          .filter(({ name: part }) => !part.includes('blade') && part !== 'ribs')
          .map(({ name: part, points }, i) => (
            <path key={`${part}${i}`} d={lineThrough(points.map(([x, y]) => ({ x: width / 2 + (x - mx) * by, y: tall / 2 - (y - my) * by })), true)} fill="var(--plate)" stroke="var(--ink)" strokeWidth={1.6} strokeLinejoin="round" />
          ))}
      </svg>
    </div>
  ) // prettier-ignore
}
