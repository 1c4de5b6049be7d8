import type { Rig } from '@merry-tailor/core'
import { useAppSelector } from '../state/store'
import { lineThrough, type Point } from '../ui/plates/geometry'
import { Wheel } from '../ui/plates/Wheel'
import { FLOOR_TAPE, FloorTape } from '../ui/tape/FloorTape'
import { axlesOf, halfBedMm, rigFromAbove } from './rig-outlines'

/** A rig from the side and above, level and empty, to one scale on its floor tape; the dog goes to the right. */
export function RigDrawing({ rig, width, height }: { rig: Rig; width: number; height: number }) {
  const unit = useAppSelector((state) => state.settings.unit)
  const { bed, shafts, hitch, bar } = rig
  const wheels = axlesOf(rig)
  const left = Math.min(bed.fromMm, ...wheels.map((x) => x - rig.axleMm)) - 60
  const right = Math.max(bed.toMm, hitch.aheadMm + 60, shafts ? shafts.aheadMm + 100 : 0) + 60
  const top = Math.max(bed.heightMm, shafts?.levelMm ?? 0, hitch.heightMm) + 120
  const half = Math.max(rig.trackMm / 2, bar.widthMm / 2) + 60
  const by = Math.min(width / (right - left), (height - FLOOR_TAPE) / (top + 2 * half))
  const x0 = width / 2 - ((left + right) / 2) * by
  const floor = top * by
  const middle = floor + FLOOR_TAPE + half * by
  const side = (x: number, z: number): Point => ({ x: x0 + x * by, y: floor - z * by })
  const above = (x: number, y: number): Point => ({ x: x0 + x * by, y: middle - y * by })
  const wide = halfBedMm(rig)
  const outlines = rigFromAbove(rig, above)
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`${rig.name} from the side and from above, to scale`}
      className="block"
    >
      <FloorTape floor={floor} width={width} by={by} x0={x0} unit={unit} zero={wheels.length > 0 ? '0 axle' : '0'} />
      <g stroke="var(--ink)" strokeWidth={1.8} strokeLinejoin="round" fill="var(--plate)">
        <path
          d={lineThrough(
            [side(bed.fromMm, bed.heightMm), side(bed.toMm, bed.heightMm), side(bed.toMm, bed.heightMm - 28), side(bed.fromMm, bed.heightMm - 28)],
            true,
          )}
        />
        {shafts && (
          <path
            d={lineThrough([side(bed.toMm, bed.heightMm - 10), side(shafts.aheadMm + 70, shafts.levelMm)])}
            fill="none"
            strokeWidth={Math.max(3, shafts.thickMm * by)}
          />
        )}
        {shafts && <path d={lineThrough([side(shafts.aheadMm - 45, shafts.levelMm + 24), side(shafts.aheadMm - 45, shafts.levelMm - 24)])} strokeWidth={6} />}
        {wheels.map((x) => (
          <Wheel key={x} at={side(x, rig.axleMm)} radius={rig.axleMm * by} />
        ))}
        <circle cx={side(hitch.aheadMm, hitch.heightMm).x} cy={side(hitch.aheadMm, hitch.heightMm).y} r={5} fill="var(--ink)" />
        <path d={lineThrough(outlines.bed, true)} />
        {outlines.wheels.map((points, i) => (
          <path key={`wheel ${i}`} d={lineThrough(points, true)} />
        ))}
        {shafts &&
          ([1, -1] as const).map((way) => (
            <path
              key={way}
              d={lineThrough([above(bed.toMm, way * wide), above(shafts.aheadMm + 70, way * 190)])}
              fill="none"
              strokeWidth={Math.max(3, shafts.thickMm * by)}
            />
          ))}
        <path d={lineThrough([above(hitch.aheadMm, bar.widthMm / 2), above(hitch.aheadMm, -bar.widthMm / 2)])} fill="none" strokeWidth={5} />
      </g>
    </svg>
  )
}
