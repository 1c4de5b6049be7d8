import type { LengthStyle, SizedBody, MeasureId } from '@merry-tailor/core'
import type { OfferFace } from '../words/offer-face'
import { Tape } from '../ui/tape/Tape'
import { tapeRange, type TapeUnit } from '../ui/tape/scale'
import { lengthText } from '../ui/length/length-text'
import { isWeight, weightWords } from '../words/misses'
import { measureName } from '../words/stages'

interface SizeTapeProps {
  table: Pick<OfferFace, 'sizes'>
  measure: MeasureId
  /** The size in question: its band is filled. */
  hit: string | null
  body: SizedBody
  look: LengthStyle & { unit: TapeUnit }
  live?: boolean
  height?: number
}

/** One measure of a table on a tape: every size a band, the gaps hatched, the dog as a pin with its spread. */
export function SizeTape(props: SizeTapeProps) {
  return isWeight(props.measure) ? <WeightBands {...props} /> : <LengthTape {...props} />
}

function LengthTape({ table, measure, hit, body, look, live = false, height = 24 }: SizeTapeProps) {
  const bands = table.sizes.flatMap((size) => {
    const band = size.bands[measure]
    return band ? [{ fromMm: band[0], toMm: band[1], label: size.label, hit: size.label === hit }] : []
  })
  const known = body[measure]
  const mm = known?.mm ?? null
  const sigma = known?.sigmaMm ?? 0
  const hitBand = bands.find((band) => band.hit)
  const ends = bands.flatMap((band) => [band.fromMm, band.toMm]).sort((a, b) => a - b)
  const near = mm === null ? ends : [...ends].sort((a, b) => Math.abs(a - mm) - Math.abs(b - mm)).slice(0, 4)
  const points = [
    ...(mm === null ? [] : [mm - 2 * sigma, mm + 2 * sigma]),
    ...near,
    ...(hitBand && bands.length > 1 && mm !== null && Math.abs(mm - hitBand.fromMm) < 160 ? [hitBand.fromMm, hitBand.toMm] : []),
  ]
  const [fromMm, toMm] =
    bands.length === 1 && mm !== null ? tapeRange(look.unit, [mm - 2 * sigma, mm + 2 * sigma]) : tapeRange(look.unit, points.length > 0 ? points : [300, 400])
  const guess = known?.guess === true
  const says =
    mm === null
      ? 'no tape yet'
      : guess
        ? `is expected between ${lengthText(mm - 2 * sigma, look)} and ${lengthText(mm + 2 * sigma, look, true)}`
        : `reads ${lengthText(mm, look, true)}`
  const title = `${measureName(measure)} ${says}. Sizes: ${bands.map((band) => `${band.label} ${lengthText(band.fromMm, look)} to ${lengthText(band.toMm, look, true)}`).join('; ')}.`
  return (
    <Tape
      look={look}
      fromMm={fromMm}
      toMm={toMm}
      live={live}
      height={height}
      bands={bands}
      pins={mm === null ? [] : [{ mm, kind: guess ? 'open' : 'ink', value: !guess }]}
      spread={mm === null ? undefined : { fromMm: mm - 2 * sigma, toMm: mm + 2 * sigma }}
      title={title}
    />
  )
}

/** Sizes by weight, in words: a scale is no tape. */
function WeightBands({ table, hit, body, look }: SizeTapeProps) {
  const kg = body.M00?.mm ?? null
  const rows = table.sizes.flatMap(({ label, bands, testedKg }) => {
    const band = bands.M00
    const to = Math.min(band?.[1] ?? Infinity, testedKg ?? Infinity)
    return to === Infinity ? [] : [{ label, text: `${band ? `${weightWords(band[0], look)} to ` : 'to '}${weightWords(to, look)}` }]
  })
  return (
    <p className="text-[15px] leading-[19px]">
      <b>{kg === null ? 'Not weighed' : weightWords(kg, look)}</b>
      {rows.map(({ label, text }) => (
        <span key={label} className={label === hit ? 'font-bold' : 'text-mute'}>
          {`; ${label} ${text}`}
        </span>
      ))}
    </p>
  )
}
