import type { LengthStyle } from '@merry-tailor/core'
import { useId } from 'react'
import { SvgLength } from '../length/SvgLength'
import { useWidth } from '../use-width'
import { tapeScale, ticksOf, type TapeScale, type TapeUnit } from './scale'

export interface TapePin {
  mm: number
  /** `ink` a reading, `again` one to take again, `open` not yet taken. */
  kind: 'ink' | 'again' | 'open'
  label?: string
  /** Shows the value beside the head. */
  value?: boolean
}

export interface TapeBand {
  fromMm: number
  toMm: number
  label: string
  hit: boolean
}

interface TapeProps {
  look: LengthStyle & { unit: TapeUnit }
  fromMm: number
  toMm: number
  live?: boolean
  height?: number
  pins?: readonly TapePin[]
  bands?: readonly TapeBand[]
  /** Where the dog may truly be. */
  spread?: { fromMm: number; toMm: number } | undefined
  /** The allowed or expected range, above the strip. */
  bracket?: { fromMm: number; toMm: number; label?: string } | undefined
  /** The same in words, for those who do not see it. */
  title: string
  usualWidth?: number
  /** Small, in a row: ticks without numbers. */
  mini?: boolean
}

const BAND_HEIGHT = 22

/** The tape: ticks, pins above, spread and size bands under it. One component for every length on screen. */
export function Tape({
  look,
  fromMm,
  toMm,
  live = false,
  height = 24,
  pins = [],
  bands = [],
  spread,
  bracket,
  title,
  usualWidth = 308,
  mini = false,
}: TapeProps) {
  const [ref, width] = useWidth<SVGSVGElement>(usualWidth)
  const scale = tapeScale(look.unit, fromMm, toMm, width)
  const headRoom = bracket?.label ? 34 : bracket ? 18 : pins.some((pin) => pin.value || pin.label) ? 24 : pins.length > 0 ? 14 : 2
  const bandGap = spread ? 11 : 2
  const total = headRoom + height + (bands.length > 0 ? BAND_HEIGHT + bandGap + 2 : spread ? 10 : 2)
  return (
    <svg ref={ref} role="img" aria-label={title} width="100%" height={total} viewBox={`0 0 ${width} ${total}`} style={{ display: 'block', overflow: 'hidden' }}>
      <Strip scale={scale} y={headRoom} height={height} live={live} numbers={!mini} />
      {bands.length > 0 && (
        <Bands scale={scale} y={headRoom + height + bandGap} bands={bands} crossed={spread ? [scale.x(spread.fromMm), scale.x(spread.toMm)] : []} />
      )}
      {spread && <Spread scale={scale} y={headRoom + height} spread={spread} throughBands={bands.length > 0} open={pins.some((pin) => pin.kind === 'open')} />}
      {bracket && <Bracket scale={scale} y={headRoom} bracket={bracket} pins={pins.map(({ mm }) => scale.x(mm))} />}
      {pins.map((pin, i) => (
        <Pin key={i} scale={scale} y={headRoom} height={height} pin={pin} look={look} />
      ))}
    </svg>
  )
}

function Strip({ scale, y, height, live, numbers }: { scale: TapeScale; y: number; height: number; live: boolean; numbers: boolean }) {
  const { width, x } = scale
  return (
    <g>
      <rect x={0} y={y} width={width} height={height} fill={live ? 'var(--tape)' : 'var(--tape-rest)'} />
      <path d={`M0 ${y}H${width}M0 ${y + height}H${width}`} stroke="var(--tape-ink)" strokeWidth={1.4} />
      {ticksOf(scale).map((tick) => (
        <g key={tick.mm}>
          <line x1={x(tick.mm)} x2={x(tick.mm)} y1={y} y2={y + height * tick.height} stroke="var(--tape-ink)" strokeWidth={tick.strong ? 1.7 : 1.05} />
          {numbers && tick.label !== null && x(tick.mm) > 12 && (
            <text x={x(tick.mm) - 3} y={y + height - 4} textAnchor="end" fontSize={13.5} fontWeight={800} fill="var(--tape-ink)">
              {tick.mm < 0 ? '−' : ''}
              {tick.label}
            </text>
          )}
        </g>
      ))}
    </g>
  )
}

function Bands({ scale, y, bands, crossed }: { scale: TapeScale; y: number; bands: readonly TapeBand[]; crossed: readonly number[] }) {
  const { x, width } = scale
  const hatch = `hatch-${useId().replace(/[^a-z0-9]/gi, '')}`
  const inOrder = [...bands].sort((a, b) => a.fromMm - b.fromMm)
  const overlaps = inOrder.slice(1).flatMap((band, i) => {
    const toMm = Math.min(inOrder[i]?.toMm ?? band.fromMm, band.toMm)
    return toMm > band.fromMm ? [{ label: band.label, from: x(band.fromMm), to: x(toMm) }] : []
  })
  return (
    <g>
      <defs>
        <pattern id={hatch} width={6} height={6} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1={3} x2={3} y1={0} y2={6} stroke="var(--edge)" strokeWidth={2.6} />
        </pattern>
        {overlaps.length > 0 && (
          <pattern id={`${hatch}x`} width={6} height={6} patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
            <line x1={3} x2={3} y1={0} y2={6} stroke="var(--edge)" strokeWidth={1.6} />
          </pattern>
        )}
      </defs>
      {inOrder.slice(1).map((band, i) => {
        const from = x(inOrder[i]?.toMm ?? band.fromMm)
        const to = x(band.fromMm)
        return to > from ? (
          <g key={`gap-${band.label}`}>
            <rect x={from} y={y} width={to - from} height={BAND_HEIGHT} fill="var(--panel)" />
            <rect x={from} y={y} width={to - from} height={BAND_HEIGHT} fill={`url(#${hatch})`} stroke="var(--edge)" />
          </g>
        ) : null
      })}
      {inOrder.map((band) => {
        const from = Math.max(-2, x(band.fromMm))
        const to = Math.min(width + 2, x(band.toMm))
        if (to <= 0 || from >= width) return null
        const [left, right] = [Math.max(from, 0), Math.min(to, width)]
        // The name stands in the part that is this size's alone, where it has the room.
        const freeLeft = Math.max(left, ...overlaps.filter((lap) => lap.from <= left + 1 && lap.to > left).map((lap) => lap.to))
        const freeRight = Math.min(right, ...overlaps.filter((lap) => lap.to >= right - 1 && lap.from < right).map((lap) => lap.from))
        const place = labelPlace(band.label, freeLeft, freeRight, crossed) ?? labelPlace(band.label, left, right, crossed)
        return (
          <g key={band.label}>
            <rect
              x={from}
              y={y + 0.75}
              width={to - from}
              height={BAND_HEIGHT - 1.5}
              fill={band.hit ? 'var(--band-hit)' : 'var(--panel)'}
              stroke={band.hit ? 'var(--band-hit)' : 'var(--edge)'}
              strokeWidth={1.5}
            />
            {place !== null && (
              <text
                x={place}
                y={y + 16}
                textAnchor="middle"
                fontSize={14}
                fontWeight={band.hit ? 700 : 600}
                fill={band.hit ? 'var(--band-hit-ink)' : 'var(--mute)'}
              >
                {band.label}
              </text>
            )}
          </g>
        )
      })}
      {overlaps.map(({ label, from, to }) => (
        <g key={`lap-${label}`} data-part="overlap">
          <rect x={from} y={y + BAND_HEIGHT - 8} width={to - from} height={8} fill="var(--panel)" />
          <rect x={from} y={y + BAND_HEIGHT - 8} width={to - from} height={8} fill={`url(#${hatch})`} stroke="var(--edge)" />
          <rect x={from} y={y + BAND_HEIGHT - 8} width={to - from} height={8} fill={`url(#${hatch}x)`} />
        </g>
      ))}
    </g>
  )
}

/** Middle of a band's name: centred, or at the side where no end of the spread crosses it; `null` where it has no room. */
function labelPlace(label: string, left: number, right: number, crossed: readonly number[]): number | null {
  const half = label.length * 3.9 + 3
  if (right - left < 2 * half) return null
  const places = [(left + right) / 2, left + half + 4, right - half - 4]
  return places.find((at) => at - half >= left - 1 && at + half <= right + 1 && crossed.every((x) => Math.abs(x - at) > half)) ?? null
}

interface SpreadProps {
  scale: TapeScale
  y: number
  spread: { fromMm: number; toMm: number }
  throughBands: boolean
  /** Of a tape not yet taken: hollow and dashed. */
  open: boolean
}

function Spread({ scale, y, spread, throughBands, open }: SpreadProps) {
  const from = scale.x(spread.fromMm)
  const to = scale.x(spread.toMm)
  const foot = throughBands ? y + BAND_HEIGHT + 11 : y + 8
  return (
    <g>
      {open ? (
        <rect x={from} y={y + 2} width={Math.max(2, to - from)} height={6} fill="none" stroke="var(--ink)" strokeWidth={1.4} strokeDasharray="3 2" />
      ) : (
        <rect x={from} y={y + 2} width={Math.max(2, to - from)} height={7} fill="var(--ink)" />
      )}
      {throughBands &&
        [from, to].map((at, i) => (
          <g key={i}>
            <line x1={at} x2={at} y1={y} y2={foot} stroke="var(--panel)" strokeWidth={4} />
            <line x1={at} x2={at} y1={y} y2={foot} stroke="var(--holds)" strokeWidth={2} />
          </g>
        ))}
    </g>
  )
}

function Bracket({
  scale,
  y,
  bracket,
  pins,
}: {
  scale: TapeScale
  y: number
  bracket: { fromMm: number; toMm: number; label?: string }
  pins: readonly number[]
}) {
  const from = Math.max(1, scale.x(bracket.fromMm))
  const to = Math.min(scale.width - 1, scale.x(bracket.toMm))
  const middle = Math.min(Math.max((from + to) / 2, 34), scale.width - 34)
  // A pin's head in the middle pushes the word to the bracket's left end.
  const x = pins.some((pin) => Math.abs(pin - middle) < 44) && from + 68 < to ? from + 30 : middle
  return (
    <g>
      <path d={`M${from} ${y - 1}v-9H${to}v9`} fill="none" stroke="var(--ink)" strokeWidth={2} />
      {bracket.label && (
        <text x={x} y={y - 15} textAnchor="middle" fontSize={13.5} fontWeight={600} fill="var(--ink)">
          {bracket.label}
        </text>
      )}
    </g>
  )
}

function Pin({ scale, y, height, pin, look }: { scale: TapeScale; y: number; height: number; pin: TapePin; look: LengthStyle }) {
  const at = scale.x(pin.mm)
  const outside = at < 0 ? 'low' : at > scale.width ? 'high' : null
  const x = Math.min(Math.max(at, 7), scale.width - 7)
  const colour = pin.kind === 'again' ? 'var(--snag)' : 'var(--ink)'
  const right = x < scale.width - 96
  // A cut thread is wider than a pin's head.
  const off = pin.kind === 'again' ? 14 : 10
  const words = (
    <text x={right ? x + off : x - off} y={y - 4} textAnchor={right ? 'start' : 'end'} fontSize={15} fontWeight={600} fill={colour}>
      {pin.label ? `${pin.label} ` : ''}
      {pin.value && <SvgLength mm={pin.mm} look={look} size={15} />}
    </text>
  )
  if (outside) {
    const turn = outside === 'low' ? -1 : 1
    return (
      <g>
        <path d={`M${x - 3 * turn} ${y - 14}l${7 * turn} 5.5l${-7 * turn} 5.5`} fill="none" stroke={colour} strokeWidth={2.6} />
        {words}
      </g>
    )
  }
  return (
    <g className="pin-drop">
      <line x1={x} x2={x} y1={y - 4} y2={y + height} stroke="var(--tape-ink)" strokeWidth={2.2} />
      <line x1={x} x2={x} y1={y - 6} y2={y} stroke={colour} strokeWidth={2.2} />
      {pin.kind === 'again' ? (
        <g transform={`translate(${x - 9} ${y - 18})`} stroke={colour} fill="none" strokeWidth={2.4}>
          <path d="M0 9H5M13 9H18M5 15L13 3" strokeLinecap="round" />
        </g>
      ) : (
        <circle cx={x} cy={y - 8} r={5.2} fill={pin.kind === 'open' ? 'var(--panel)' : colour} stroke={colour} strokeWidth={2} />
      )}
      {words}
    </g>
  )
}
