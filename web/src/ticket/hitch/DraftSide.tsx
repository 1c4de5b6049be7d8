import type { Form, Rig } from '@merry-tailor/core'
import { axlesOf } from '../../rigs'
import { useAppSelector } from '../../state/store'
import { DogPlates } from '../../ui/plates/DogPlates'
import { fixed, lineThrough, type Point } from '../../ui/plates/geometry'
import type { PlateScale } from '../../ui/plates/plate-scale'
import { Wheel } from '../../ui/plates/Wheel'
import { DraftHarness } from './DraftHarness'
import type { DraftNow, Load } from './draft-now'
import { draftScale } from './draft-scale'
import { FloorTape } from '../../ui/tape/FloorTape'
import { Handle } from '../../ui/handle/Handle'
import type { Handles } from './use-handles'

interface DraftSideProps {
  form: Form
  rig: Rig
  now: DraftNow
  loads: readonly Load[]
  handles: Handles
  /** Where the load in hand was taken from. */
  ghost: { load: Load; words: string } | null
  /** What a hand found between hock and bar in stride, mm; `null`: not seen yet. */
  clearSeenMm: number | null
  words: (load: Load) => string[]
  say: (mm: number) => string
  width: number
  height: number
  label: string
}

/** Room asked for between a hind paw’s rearmost and the bar (handbook 7.2, S44, from memory, unverified). */
const CLEAR_MM = 100

/** A cart and its dog from the side, to scale on one floor; loads, shafts and bar are dragged, or moved by arrow keys. */
export function DraftSide({ form, rig, now, loads, handles, ghost, clearSeenMm, words, say, width, height, label }: DraftSideProps) {
  const unit = useAppSelector((state) => state.settings.unit)
  // On a phone only what is in hand is named.
  const narrow = width < 520
  const pitch = now.balance?.[1].pitchRad ?? 0
  const { by, x0, floor } = draftScale(form, rig, now, loads, width, height)
  const to = (x: number, z: number): Point => ({ x: x0 + x * by, y: floor - z * by })
  const onDog = (x: number, z: number): Point => to(x + now.offsetMm, z)
  /** A place of the cart, tipped with it. */
  const on = (aheadMm: number, heightMm: number): Point => {
    const z = heightMm - rig.axleMm
    return to(aheadMm * Math.cos(pitch) - z * Math.sin(pitch), rig.axleMm + aheadMm * Math.sin(pitch) + z * Math.cos(pitch))
  }
  const scale: PlateScale = { by, floor, to: ([x, z]) => onDog(x, z), on: (p) => onDog(p[0], p[2]) }
  const ring = onDog(now.ring.xMm, now.ring.heightMm)
  const hitch = on(now.hitch.aheadMm, now.hitch.heightMm)
  const slack = now.balance !== null && now.balance[1].traceN === 0
  // A cart's shafts tip with it; a wagon's hinge at its front axle.
  const shaftAt = (aheadMm: number): Point => {
    const { aheadMm: end, levelMm } = rig.shafts ?? { aheadMm: 1, levelMm: 0 }
    return rig.kind === 'wagon' ? to(aheadMm, rig.axleMm + ((now.loopMm - rig.axleMm) * aheadMm) / end) : on(aheadMm, levelMm)
  }
  const root = rig.kind === 'wagon' ? to(0, rig.axleMm) : on(rig.bed.toMm, rig.bed.heightMm - 10)
  const loop = rig.shafts && shaftAt(rig.shafts.aheadMm)
  const rests = now.balance ? now.balance[1].shaftN >= 0 : true
  return (
    <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} role="group" aria-label={label} className="block touch-none">
      <text x={10} y={20} fontSize={14} fontWeight={600} fill="var(--ink)">
        From the side
      </text>
      <FloorTape floor={floor} width={width} by={by} x0={x0} unit={unit} zero="0 axle" />
      <DogPlates form={form} view="side" scale={scale} width={width} />
      <DraftHarness now={now} loops={rig.shafts !== null} to={onDog} />
      {now.stride && <Stride now={now} rig={rig} to={to} floor={floor} say={say} seenMm={clearSeenMm} />}
      <path d={lineThrough([ring, hitch])} stroke="var(--plate)" strokeWidth={8} />
      <path d={lineThrough([ring, hitch])} stroke="var(--web)" strokeWidth={5} strokeDasharray={slack ? '3 6' : undefined} />
      <g stroke="var(--ink)" strokeWidth={1.8} strokeLinejoin="round" fill="var(--plate)">
        {loads.map((each, i) => (
          <path
            key={i}
            d={lineThrough(
              boxOf(each, rig).map(([x, z]) => on(x, z)),
              true,
            )}
            fill={handles.inHand === `load ${i}` ? 'var(--panel)' : 'var(--plate)'}
          />
        ))}
        {ghost && (
          <path
            d={lineThrough(
              boxOf(ghost.load, rig).map(([x, z]) => on(x, z)),
              true,
            )}
            fill="none"
            stroke="var(--mute)"
            strokeDasharray="2 4"
            aria-hidden
          />
        )}
        <path
          d={lineThrough(
            [
              on(rig.bed.fromMm, rig.bed.heightMm),
              on(rig.bed.toMm, rig.bed.heightMm),
              on(rig.bed.toMm, rig.bed.heightMm - 28),
              on(rig.bed.fromMm, rig.bed.heightMm - 28),
            ],
            true,
          )}
        />
        {rig.shafts && (
          <>
            {[Math.max(4, rig.shafts.thickMm * by + 3), Math.max(2, rig.shafts.thickMm * by)].map((strokeWidth, i) => (
              <path
                key={i}
                d={lineThrough([root, shaftAt((rig.shafts?.aheadMm ?? 0) + 70)])}
                fill="none"
                strokeWidth={strokeWidth}
                {...(i === 1 ? { stroke: 'var(--plate)' } : {})}
              />
            ))}
            {/* Its stop, behind the loop: filled while the dog holds back on it. */}
            <path
              d={`M${fixed(shaftAt(rig.shafts.aheadMm - 45).x)} ${fixed(shaftAt(rig.shafts.aheadMm - 45).y - 24 * by)}v${fixed(48 * by)}`}
              strokeWidth={slack ? 10 : 6}
              stroke="var(--ink)"
            />
          </>
        )}
        {axlesOf(rig).map((x) => (
          <Wheel key={x} at={to(x, rig.axleMm)} radius={rig.axleMm * by} />
        ))}
      </g>
      {rig.kind === 'cart' && <line x1={x0} x2={x0} y1={12} y2={floor} stroke="var(--ink)" strokeWidth={1.2} strokeDasharray="6 5" />}
      <circle cx={ring.x} cy={ring.y} r={6} fill="var(--panel)" stroke="var(--ink)" strokeWidth={2.2} />
      {!rests && loop && <path d={`M${fixed(loop.x)} ${fixed(loop.y - 14)}v-18m-5 6l5-6l5 6`} stroke="var(--snag)" strokeWidth={2.4} fill="none" />}
      {loads.map((load, i) => {
        const at = on(load.aheadMm, load.heightMm)
        return (
          <Handle
            key={i}
            {...handles.of(`load ${i}`)}
            at={at}
            off={{ x: 46, y: -30 }}
            by={by}
            axis="both"
            label={`${load.name}, ahead of the axle`}
            lines={handles.inHand === `load ${i}` ? [...words(load), ...(ghost ? [ghost.words] : [])] : narrow ? [] : [load.name]}
            text={words(load).join(' ')}
            range={[rig.bed.fromMm, rig.bed.toMm]}
            now={load.aheadMm}
          />
        )
      })}
      <Handle
        {...handles.of('hitch')}
        at={hitch}
        off={{ x: -4, y: -38 }}
        by={by}
        axis="up"
        label="Bar’s height"
        lines={narrow && handles.inHand !== 'hitch' ? [] : [`${say(now.hitch.heightMm)} up`]}
        text={`${say(now.hitch.heightMm)} up`}
        range={[20, 1200]}
        now={now.hitch.heightMm}
      />
      {loop && (
        <Handle
          {...handles.of('loop')}
          at={loop}
          off={{ x: 40, y: 46 }}
          by={by}
          axis="up"
          label="Shafts’ height at the dog"
          lines={narrow && handles.inHand !== 'loop' ? [] : ['shafts', `${say(now.loopMm)} up`]}
          text={`shafts ${say(now.loopMm)} up`}
          words={narrow ? 'left' : 'right'}
          range={[100, 1200]}
          now={now.loopMm}
        />
      )}
    </svg>
  )
}

/** What a load looks like from the side: as high as its middle says, as long as its weight. */
function boxOf(load: Load, rig: Rig): [number, number][] {
  const half = 90 + 5 * Math.cbrt(load.massKg * 60)
  const rise = Math.max(60, load.heightMm - rig.bed.heightMm)
  const [low, high] = [rig.bed.heightMm, rig.bed.heightMm + 2 * rise]
  return [
    [load.aheadMm - half, low],
    [load.aheadMm + half, low],
    [load.aheadMm + half, high],
    [load.aheadMm - half, high],
  ]
}

/** Where a hind leg goes in full stride: its paths dashed, the paw’s spread on the floor, 10 cm clear to the bar. */
function Stride({
  now,
  rig,
  to,
  floor,
  say,
  seenMm,
}: {
  now: DraftNow
  rig: Rig
  to: (x: number, z: number) => Point
  floor: number
  say: (mm: number) => string
  seenMm: number | null
}) {
  const { stride, offsetMm } = now
  if (!stride) return null
  const line = (path: readonly (readonly [number, number])[]): string => lineThrough(path.map(([x, z]) => to(x + offsetMm, z)))
  // Seen on the dog it is no guess any more: no spread.
  const [rear, sigma] = [stride.pawRearMm + offsetMm, seenMm === null ? now.reachSigmaMm : 0]
  const [far, near] = [to(rear - 1.28 * sigma, 0), to(rear + 1.28 * sigma, 0)]
  const clear = to(rear - 1.28 * sigma - CLEAR_MM, 0)
  const bar = to(rig.hitch.aheadMm, 0)
  const y = floor - 30
  const short = seenMm === null ? clear.x < bar.x : seenMm < CLEAR_MM
  const room = rear - 1.28 * sigma - rig.hitch.aheadMm
  return (
    <g fill="none">
      <g stroke="var(--mute)" strokeWidth={1.4} strokeDasharray={seenMm === null ? '5 4' : undefined}>
        <path d={line(stride.pawPath)} />
        <path d={line(stride.hockPath)} />
      </g>
      <rect x={far.x} y={floor - 6} width={Math.max(3, near.x - far.x)} height={6} fill="var(--ink)" />
      <path d={`M${fixed(clear.x)} ${y + 9}V${y}H${fixed(far.x)}V${y + 9}`} stroke={short ? 'var(--snag)' : 'var(--ink)'} strokeWidth={2} />
      {(seenMm !== null
        ? [`${say(seenMm)} clear, seen`]
        : short
          ? [`${say(Math.max(0, room))} to the bar,`, `${say(CLEAR_MM)} wanted`]
          : [`${say(CLEAR_MM)} clear`]
      ).map((text, i, all) => (
        <text
          key={text}
          x={clear.x - 2}
          y={y - 8 - 16 * (all.length - 1 - i)}
          fontSize={14}
          fontWeight={600}
          fill={short ? 'var(--snag)' : 'var(--ink)'}
          stroke="var(--mat)"
          strokeWidth={4}
          paintOrder="stroke"
        >
          {text}
        </text>
      ))}
      <text x={near.x + 6} y={floor - 10} fontSize={13.5} fill="var(--ink)" stroke="var(--mat)" strokeWidth={4} paintOrder="stroke">
        hind stride
      </text>
    </g>
  )
}
