import { bootDemand, bootRate, bootStock, type BootOuting, type Footing } from '@merry-tailor/core'
import { useMemo } from 'react'
import { TickRow } from '../../ui/controls/TickRow'
import { NumberEntry } from '../../length-entry'
import { useKeptDraft } from '../../state/use-kept-draft'

interface SeasonPaneProps {
  name: string
  dogId: string
  labels: Readonly<Record<string, string>>
  footing: Footing
  outings: readonly BootOuting[]
}

interface SeasonPlan {
  count: number
  km: number
  dogs: number
  onHand: number
  long: boolean
}
const FIRST: SeasonPlan = { count: 30, km: 12, dogs: 1, onHand: 0, long: false }
const isPlan = (kept: unknown): kept is SeasonPlan => typeof kept === 'object' && kept !== null && 'count' in kept && 'dogs' in kept

/** What a boot is usually used up by, one boot: a kilometre, an outing, and what such a guess is worth in counts. Ours, unverified. */
const USUAL = { wornPerKm: 0.0035, lostPerOuting: 0.012, weight: 8, seasonCv: 0.3 }
const RISK = 0.05
const PACK = 4
/** A thousand-mile class race asks for eight a dog. */
const LONG_RACE = 8

/** A season's boots: what is used up on average, and how many are asked so that one season in twenty is short. */
export function SeasonPane({ name, dogId, labels, footing, outings }: SeasonPaneProps) {
  const [plan, setPlan] = useKeptDraft<SeasonPlan>(`boots-${dogId}`, FIRST, isPlan)
  const set = (over: Partial<SeasonPlan>): void => setPlan((was) => ({ ...was, ...over }))
  const used = useMemo(() => {
    const own = outings.filter((each) => !each.removed)
    const boots = own.map(({ paws }) => Object.values(paws))
    const [worn, lost] = (['worn', 'lost'] as const).map((what) => boots.flat().filter((each) => each[what]).length) as [number, number]
    const bootKm = own.reduce((sum, { km }, i) => sum + km * (boots[i]?.length ?? 0), 0)
    return { worn, lost, outings: own.length, bootKm, bootOutings: boots.flat().length }
  }, [outings])
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
    const all = Object.values(worn).reduce((sum, n) => sum + n, 0) || 1
    const onHand = Object.fromEntries(Object.entries(worn).map(([label, n]) => [label, Math.floor((plan.onHand * n) / all)]))
    return bootStock({ means, shape: Math.min(perKm.shape, perOuting.shape), risk: RISK, worn, ...(plan.long ? { keep: share } : {}), onHand, pack: PACK })
  }, [plan, labels, footing, used])
  const most =
    Math.max(12, ...stock.sizes.map(({ spares, label }) => spares + (Object.values(labels).filter((each) => each === label).length || 0) * plan.dogs)) * 1.15
  if (Object.keys(labels).length === 0) return <p className="px-4 py-3 text-mute">Once each paw has its size, a season’s boots are counted here.</p>
  return (
    <section aria-label="The season" className="space-y-2 px-4 py-3">
      <h2 className="text-[19px] leading-6">The coming season</h2>
      <div className="grid grid-cols-2 gap-2">
        <NumberEntry label="Outings" value={plan.count} least={0} most={400} problem="From 0 to 400." onSet={(count) => set({ count: Math.round(count) })} />
        <NumberEntry label="Kilometres each" value={plan.km} least={0} most={300} problem="From 0 to 300." onSet={(km) => set({ km })} />
        <NumberEntry label="Dogs alike" value={plan.dogs} least={1} most={60} problem="From 1 to 60." onSet={(dogs) => set({ dogs: Math.round(dogs) })} />
        <NumberEntry
          label="Boots here"
          value={plan.onHand}
          least={0}
          most={5000}
          problem="0 or more."
          onSet={(onHand) => set({ onHand: Math.round(onHand) })}
        />
      </div>
      <TickRow on={plan.long} onChange={(long) => set({ long })} className="text-[14.5px]">
        A long race: eight kept a dog
      </TickRow>
      {stock.sizes.map(({ label, mean, spares }) => (
        <div key={label} className="text-[15px]">
          <p className="flex justify-between">
            <b>{label}</b>
            <span>
              {mean.toFixed(1)} in a mean season, <b>{spares} spare asked</b>
            </span>
          </p>
          <svg viewBox="0 0 300 26" className="w-full" role="img" aria-label={`${label}: ${mean.toFixed(1)} boots in a mean season, ${spares} asked`}>
            <rect x={0} y={4} width={300} height={12} fill="var(--tape)" stroke="var(--tape-ink)" />
            {Array.from({ length: Math.floor(most / 5) }, (_, i) => (
              <line key={i} x1={((i + 1) * 5 * 300) / most} x2={((i + 1) * 5 * 300) / most} y1={4} y2={i % 2 === 1 ? 16 : 10} stroke="var(--tape-ink)" />
            ))}
            <circle cx={(mean * 300) / most} cy={4} r={4} fill="var(--panel)" stroke="var(--ink)" strokeWidth={2} />
            <path d={`M1 18v5H${(spares * 300) / most}v-5`} fill="none" stroke="var(--ink)" strokeWidth={2} />
          </svg>
        </div>
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
