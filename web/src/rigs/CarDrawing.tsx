import type { CarSeat } from '@merry-tailor/core'
import { useAppSelector } from '../state/store'
import { lineThrough, type Point } from '../ui/plates/geometry'
import { FLOOR_TAPE, FloorTape } from '../ui/tape/FloorTape'
import { HALF_SEAT_MM, seatFromAbove, seatFromSide } from './furniture'

/** One place of a car from the side and above: cushion, backrest, belt’s outlet and buckle, what stands ahead. */
export function CarDrawing({ seat, width, height }: { seat: CarSeat; width: number; height: number }) {
  const unit = useAppSelector((state) => state.settings.unit)
  const [left, right] = [-340, seat.frontSeatMm + 260]
  const top = Math.max(seat.outlet.upMm, 640) + 160
  const by = Math.min(width / (right - left), (height - FLOOR_TAPE) / (top + 130 + 2 * HALF_SEAT_MM + 60))
  const x0 = width / 2 - ((left + right) / 2) * by
  const floor = (top + 130) * by
  const middle = floor + FLOOR_TAPE + (HALF_SEAT_MM + 30) * by
  const side = (x: number, z: number): Point => ({ x: x0 + x * by, y: (top - z) * by })
  const above = (x: number, y: number): Point => ({ x: x0 + x * by, y: middle - y * by })
  const places = [
    { name: 'outlet', side: side(seat.outlet.aheadMm, seat.outlet.upMm), above: above(seat.outlet.aheadMm, seat.outlet.leftMm) },
    { name: 'buckle', side: side(seat.buckle.aheadMm, seat.buckle.upMm), above: above(seat.buckle.aheadMm, seat.buckle.leftMm) },
  ]
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`${seat.name} from the side and from above, to scale`}
      className="block"
    >
      <g fill="var(--plate-far)" stroke="var(--ink)" strokeWidth={1.8} strokeLinejoin="round">
        {[...seatFromSide(seat, 420, side), ...seatFromAbove(seat, above)].map((points, i) => (
          <path key={i} d={lineThrough(points, true)} />
        ))}
      </g>
      <FloorTape floor={floor} width={width} by={by} x0={x0} unit={unit} zero="0 fold" />
      {places.flatMap(({ name, side: a, above: b }) =>
        [a, b].map((p, i) => (
          <g key={`${name} ${i}`}>
            <rect x={p.x - 9} y={p.y - 6} width={18} height={12} fill="var(--panel)" stroke="var(--ink)" strokeWidth={1.8} />
            <text x={p.x + 14} y={p.y + 5} fontSize={14} fill="var(--ink)" stroke="var(--mat)" strokeWidth={3} paintOrder="stroke">
              {name}
            </text>
          </g>
        )),
      )}
    </svg>
  )
}
