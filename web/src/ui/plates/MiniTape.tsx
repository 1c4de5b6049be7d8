import type { Point } from './geometry'

const LONG = 26
const WIDE = 10

/** A piece of tape laid at a place on the dog, towards where the check is read from. */
export function MiniTape({ at, towards }: { at: Point; towards: Point | null }) {
  const turn = towards && Math.hypot(towards.x - at.x, towards.y - at.y) > 2 ? (Math.atan2(towards.y - at.y, towards.x - at.x) * 180) / Math.PI : 0
  return (
    <g transform={`translate(${at.x} ${at.y}) rotate(${turn})`}>
      <rect x={0} y={-WIDE / 2} width={LONG} height={WIDE} fill="var(--tape)" stroke="var(--tape-ink)" strokeWidth={1.2} />
      {[5, 10, 15, 20].map((x) => (
        <line key={x} x1={x} x2={x} y1={-WIDE / 2} y2={x % 10 === 0 ? 0.5 : -1.5} stroke="var(--tape-ink)" strokeWidth={1.1} />
      ))}
    </g>
  )
}
