import { Worded } from '../../ui/length/Worded'
import { strapTitle, type LegStrap } from './strap-of'

/** Where the strap lies on this leg, and how long it is. */
export function LegCell({ leg, dewclaw, say, bare }: { leg: LegStrap | null; dewclaw: boolean; say: (mm: number) => string; bare: (mm: number) => string }) {
  if (!leg) return <p className="p-3 text-[14px] text-mute">Take the pastern ring and the cuff room: then the strap is placed.</p>
  const { wristMm: wrist, dewclawMm: claw, place } = leg
  const by = 104 / Math.max(60, wrist * 1.15)
  const z = (mm: number): number => 112 - mm * by
  const strapAt = (place.fromMm + place.toMm) / 2
  return (
    <div className="flex items-start gap-2 p-2">
      <svg width={92} height={116} viewBox="0 0 92 116" aria-hidden className="shrink-0">
        <path
          d={`M22 4L24 ${z(wrist * 0.55)}Q18 ${z(wrist * 0.3)} 14 104Q14 112 30 112L66 112Q76 108 64 ${z(wrist * 0.35)}Q52 ${z(wrist * 0.5)} 50 4Z`}
          fill="var(--plate)"
          stroke="var(--ink)"
          strokeWidth={1.8}
        />
        {dewclaw && claw !== null && <circle cx={22} cy={z(claw)} r={4} fill="var(--plate-far)" stroke="var(--ink)" strokeWidth={1.6} />}
        {place.at && <rect x={18} y={z(strapAt) - 9} width={38} height={18} fill="var(--web)" stroke="var(--ink)" strokeWidth={1.2} />}
        <rect x={74} y={4} width={12} height={108} fill="var(--tape-rest)" stroke="var(--tape-ink)" />
        {Array.from({ length: 16 }, (_, i) => (i + 1) * 6.35)
          .filter((mm) => mm * by < 106)
          .map((mm, i) => (
            <line key={mm} x1={74} x2={i % 4 === 3 ? 82 : 79} y1={z(mm)} y2={z(mm)} stroke="var(--tape-ink)" strokeWidth={i % 4 === 3 ? 1.5 : 1} />
          ))}
        <path d={`M72 ${z(place.toMm)}h-6V${z(place.fromMm)}h6`} fill="none" stroke="var(--ink)" strokeWidth={2} />
        {dewclaw && claw !== null && <circle cx={80} cy={z(claw)} r={4} fill="var(--ink)" />}
      </svg>
      <p className="min-w-0 text-[14px] leading-[18px]">
        <b className={place.symptom ? 'text-snag' : ''}>{strapTitle(leg, dewclaw)}</b>
        <span className="block">
          <Worded text={`${bare(place.fromMm)} to ${say(place.toMm)} up`} />
        </span>
        <span className="block">
          <Worded text={place.lengthMm === null ? 'a hand finds its length' : `${say(place.lengthMm)} long, a finger under it`} />
        </span>
        {!leg.read && <span className="block text-mute">guessed from the build</span>}
      </p>
    </div>
  )
}
