import { bootDemand, bootRate, bootStock, type BootOuting, type Footing } from '@merry-tailor/core'
import { formatISO, parseISO, subYears } from 'date-fns'
import { useMemo } from 'react'
import { TickRow } from '../../ui/controls/TickRow'
import { NumberEntry } from '../../length-entry'
import { SeasonTape } from './SeasonTape'
import { useKeptDraft } from '../../state/use-kept-draft'
import { useToday } from '../../state/use-today'

interface SeasonPaneProps {
  name: string
  dogId: string
  labels: Readonly<Record<string, string>>
  footing: Footing
  outings: readonly BootOuting[]
  /** Boots on the shelf, by size; `null` where they were never counted. */
  here: Readonly<Record<string, number>>
}

interface SeasonPlan {
  count: number
  km: number
  dogs: number
  long: boolean
}
const FIRST: SeasonPlan = { count: 30, km: 12, dogs: 1, long: false }
const isPlan = (kept: unknown): kept is SeasonPlan => typeof kept === 'object' && kept !== null && 'count' in kept && 'dogs' in kept

/** What a boot is usually used up by, one boot: a kilometre, an outing, and what such a guess is worth in counts. Ours, unverified. */
const USUAL = { wornPerKm: 0.0035, lostPerOuting: 0.012, weight: 8, seasonCv: 0.3 }
const RISK = 0.05
const PACK = 4
/** A thousand-mile class race asks for eight a dog. */
const LONG_RACE = 8

/** A season's boots: what is used up on average, and how many are asked so that one season in twenty is short. */
export function SeasonPane({ name, dogId, labels, footing, outings, here }: SeasonPaneProps) {
  const [plan, setPlan] = useKeptDraft<SeasonPlan>(`boots-${dogId}`, FIRST, isPlan)
  const set = (over: Partial<SeasonPlan>): void => setPlan((was) => ({ ...was, ...over }))
  const day = useToday()
  const used = useMemo(() => {
    const own = outings.filter((each) => !each.removed)
    const boots = own.map(({ paws }) => Object.values(paws))
    const [worn, lost] = (['worn', 'lost'] as const).map((what) => boots.flat().filter((each) => each[what]).length) as [number, number]
    const bootKm = own.reduce((sum, { km }, i) => sum + km * (boots[i]?.length ?? 0), 0)
    const by: Record<string, number> = {}
    const yearAgo = formatISO(subYears(parseISO(day), 1), { representation: 'date' })
    for (const { on, paws } of own)
      if (on > yearAgo)
        for (const [paw, { worn: gone, lost: away }] of Object.entries(paws)) {
          const label = labels[paw]
          if (label && (gone || away)) by[label] = (by[label] ?? 0) + 1
        }
    return { worn, lost, outings: own.length, bootKm, bootOutings: boots.flat().length, by }
  }, [outings, labels, day])
  const stock = useMemo(() => {
    const perKm = bootRate({ per: USUAL.wornPerKm, weight: USUAL.weight }, { count: used.worn, exposure: used.bootKm }, USUAL.seasonCv)
    const perOuting = bootRate({ per: USUAL.lostPerOuting, weight: USUAL.weight }, { count: used.lost, exposure: used.bootOutings }, USUAL.seasonCv)
    const means = bootDemand({
      outings: [{ count: plan.count, km: plan.km, footing }],
      dogs: Array.from({ length: plan.dogs }, () => ({ labels })),
      rates: { [footing]: { wornPerKm: perKm.per, lostPerOuting: perOuting.per } },
    })
    const share = Object.fromEntries(
      Object.keys(means).map((label) => [label, (Object.values(labels).filter((each) => each === label).length / 4) * LONG_RACE * plan.dogs]),
    )
    const worn = Object.fromEntries(Object.keys(means).map((label) => [label, Object.values(labels).filter((each) => each === label).length * plan.dogs]))
    const shape = Math.min(perKm.shape, perOuting.shape)
    return { shape, ...bootStock({ means, shape, risk: RISK, worn, ...(plan.long ? { keep: share } : {}), onHand: here, pack: PACK }) }
  }, [plan, labels, footing, used, here])
  const most = Math.max(8, ...stock.sizes.map(({ spares, label }) => Math.max(spares, used.by[label] ?? 0))) * 1.12
  if (Object.keys(labels).length === 0) return <p className="px-4 py-3 text-mute">Once each paw has its size, a season’s boots are counted here.</p>
  return (
    <section aria-label="The season" className="space-y-2 px-4 py-3">
      <h2 className="text-[19px] leading-6">The coming season</h2>
      <div className="grid grid-cols-2 gap-2">
        <NumberEntry label="Outings" value={plan.count} least={0} most={400} problem="From 0 to 400." onSet={(count) => set({ count: Math.round(count) })} />
        <NumberEntry label="Kilometres each" value={plan.km} least={0} most={300} problem="From 0 to 300." onSet={(km) => set({ km })} />
        <NumberEntry label="Dogs alike" value={plan.dogs} least={1} most={60} problem="From 1 to 60." onSet={(dogs) => set({ dogs: Math.round(dogs) })} />
        <TickRow on={plan.long} onChange={(long) => set({ long })} className="self-end text-[14.5px]">
          A long race: eight kept a dog
        </TickRow>
      </div>
      <p className="text-[14px] leading-[18px] text-mute">Solid pin: used in a year. Open pin: the mean season, eight in ten under the dashes.</p>
      {stock.sizes.map(({ label, mean, spares }) => (
        <SeasonTape key={label} label={label} mean={mean} shape={stock.shape} asked={spares} used={used.by[label] ?? 0} most={most} />
      ))}
      <p className="text-[15px] leading-[19px]">
        <b>
          {stock.sizes.map(({ label, spares }) => `${spares} ${label}`).join(', ')}: short in one season of{' '}
          {Math.max(2, Math.round(1 / Math.max(1e-6, stock.chanceShort)))}.
        </b>{' '}
        Order {stock.sizes.map(({ label, order }) => `${order} ${label}`).join(', ')}, in fours, this set counted.
      </p>
      <p className="text-[14px] leading-[18px] text-mute">
        {used.outings === 0
          ? 'From usual wear, ours and unverified, until outings are kept.'
          : `${name}: ${used.worn} worn out and ${used.lost} lost in ${used.outings} outings, weighed with what is usual.`}
      </p>
    </section>
  )
}
