import type { CrateCheck, LengthStyle } from '@merry-tailor/core'
import { VerdictWord } from '../../said/VerdictWord'
import { Worded } from '../../ui/length/Worded'
import { Tape } from '../../ui/tape/Tape'
import { tapeScale, type TapeUnit } from '../../ui/tape/scale'
import { useWidth } from '../../ui/use-width'
import { CLEARANCE_NAMES } from '../../words/clearances'
import { DISC } from './CrateViews'
import { KINDS, outerOf } from './crate-kinds'
import type { CrateChoice } from './use-crate-choices'

type Look = LengthStyle & { unit: TapeUnit }

/** Room the home rule asks beyond the dog, where a clearance has it: a tag shows the gap itself. */
const ROOM = 50
export const roomIn = ({ check }: CrateCheck): number => (['nose-to-tail', 'head', 'ears', 'sitting'].includes(check) ? ROOM : 0)

/** One clearance on its tape: what is free, how sure that is, and what is asked. */
export function OpenClearance({ check, say, look, name }: { check: CrateCheck; say: (mm: number) => string; look: Look; name: string }) {
  if (check.needMm === null || check.spareMm === null)
    return (
      <p className="px-4 py-3">
        <b>
          {DISC[check.check]} {CLEARANCE_NAMES[check.check]}:
        </b>{' '}
        not known yet; take its tape under Measure.
      </p>
    )
  const room = roomIn(check)
  const free = check.spareMm + room
  const spread = 2 * (check.sigmaMm ?? 0)
  const [from, to] = [Math.min(0, free - spread) - 25, Math.max(room, free + spread) + 40]
  return (
    <section aria-label={CLEARANCE_NAMES[check.check]} className="min-w-0 px-4 py-2">
      <p className="flex flex-wrap items-baseline justify-between gap-x-4 text-[16px]">
        <b>
          {DISC[check.check]} {CLEARANCE_NAMES[check.check]}: <Worded text={free >= 0 ? `${say(free)} free` : `${say(-free)} too small`} />
        </b>
        <VerdictWord grade={check.grade} basis="predicted" size={18} />
      </p>
      <Tape
        look={look}
        fromMm={from}
        toMm={to}
        live
        height={24}
        pins={[{ mm: free, kind: 'ink' }]}
        spread={{ fromMm: free - spread, toMm: free + spread }}
        {...(room > 0 ? { bracket: { fromMm: room, toMm: to, label: 'asked' } } : {})}
        title={`${say(free)} free, between ${say(free - spread)} and ${say(free + spread)}${room > 0 ? `; ${say(room)} asked` : ''}`}
        usualWidth={440}
      />
      <p className="text-[14.5px] leading-[18px]">
        <Worded
          text={`Needs ${say(check.needMm - room)}${room > 0 ? ` and ${say(room)} of room` : ''}, has ${say(check.haveMm)}. ${check.symptom === 'S70' ? `If it misses, ${name} lowers its head in it.` : check.check === 'turn' ? 'On four feet and level; foretold from its form, unproven on any dog.' : ''}`}
        />
      </p>
    </section>
  )
}

/** The car's opening as a pin, crates' outside heights as bars against it; what is left is hatched. */
export function OpeningTape({
  car,
  crates,
  current,
  look,
  say,
}: {
  car: { name: string; highMm: number } | null
  crates: readonly CrateChoice[]
  current: CrateChoice
  look: Look
  say: (mm: number) => string
}) {
  const [ref, width] = useWidth<HTMLDivElement>(440)
  if (!car || !current.opening)
    return (
      <p className="px-4 py-3 text-[15px]">
        <b>Car opening:</b> not measured. Under Load space it is, then each crate is asked whether it goes in.
      </p>
    )
  // The crate in hand and its neighbours of the same kind, by height.
  const kin = crates.filter(({ family }) => family === current.family).sort((a, b) => a.inside.heightMm - b.inside.heightMm)
  const at = kin.findIndex(({ key }) => key === current.key)
  const bars = [kin[at], kin[at + 1] ?? kin[at - 1]].flatMap((each) => each ?? [])
  const heights = bars.map(({ inside }) => outerOf(inside).heightMm)
  const [fromMm, toMm] = [Math.min(car.highMm, ...heights) - 60, Math.max(car.highMm, ...heights) + 60]
  const scale = tapeScale(look.unit, fromMm, toMm, width)
  const own = outerOf(current.inside)
  const over = car.highMm - own.heightMm
  return (
    <section aria-label="Car opening" className="min-w-0 px-4 py-2">
      <p className="flex flex-wrap items-baseline justify-between gap-x-4 text-[16px]">
        <b>{DISC.opening} Car opening, height</b>
        <VerdictWord grade={current.opening.grade} basis="predicted" size={18} />
      </p>
      <Tape look={look} fromMm={fromMm} toMm={toMm} height={24} pins={[{ mm: car.highMm, kind: 'ink', label: 'opening', value: true }]} title={`${car.name}: the opening is ${say(car.highMm)} high`} usualWidth={440} />
      <div ref={ref}>
        <svg width={width} height={26 * bars.length} viewBox={`0 0 ${width} ${26 * bars.length}`} className="block" aria-hidden>
          <defs>
            <pattern id="free-height" width={7} height={7} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
              <line x1={3} x2={3} y1={0} y2={7} stroke="var(--edge)" strokeWidth={2} />
            </pattern>
          </defs>
          {bars.map((bar, i) => {
            const [end, wall] = [scale.x(outerOf(bar.inside).heightMm), scale.x(car.highMm)]
            const mine = bar.key === current.key
            return (
              <g key={bar.key} transform={`translate(0 ${26 * i + 2})`}>
                {wall > end && <rect x={end} y={0} width={wall - end} height={22} fill="url(#free-height)" stroke="var(--edge)" />}
                <rect x={0.5} y={0} width={Math.max(1, end)} height={22} fill={mine ? 'var(--ink)' : 'var(--panel)'} stroke="var(--ink)" strokeWidth={1.2} />
                <text x={10} y={16} fontSize={14} fontWeight={700} fill={mine ? 'var(--panel)' : 'var(--ink)'}>
                  {KINDS[bar.family]} {bar.label}
                </text>
              </g>
            )
          })}
          <line x1={scale.x(car.highMm)} x2={scale.x(car.highMm)} y1={0} y2={26 * bars.length} stroke="var(--ink)" strokeWidth={2} strokeDasharray="5 4" />
        </svg>
      </div>
      <p className="text-[14.5px] leading-[18px]">
        <Worded
          text={`Into ${car.name}, level: ${over >= 0 ? `${say(over)} over it` : `${say(-over)} too high`}${current.opening.roomMm < Math.min(0, over) ? '; its corners meet the slope of the opening' : ''}. Floor and arches stand under Load space.`}
        />
      </p>
    </section>
  ) // prettier-ignore
}
