import { strapPlace, type BootStrap, type Form, type SizedBody } from '@merry-tailor/core'
import { Worded } from '../../ui/length/Worded'
import { isHind, type PawId } from './paw-data'

interface LegCellProps {
  paw: PawId
  body: SizedBody
  form: Form
  gauge: { widthMm: number; thicknessMm: number }
  dewclaw: boolean
  say: (mm: number) => string
}

/** A strap's usual width, mm, and how high a paw stands to the wrist. Ours. */
const STRAP_MM = 25
const PAW_TOP = 0.5

/** Where the strap lies on this leg, and how long it is. */
export function LegCell({ paw, body, form, gauge, dewclaw, say }: LegCellProps) {
  const value = (id: string): number | null => body[`${id}/${paw}`]?.mm ?? body[id]?.mm ?? form.measures[id]?.mm ?? null
  const [ring, wrist, claw] = [value('M36'), value('M38'), value('M37')]
  if (!ring || !wrist) return <p className="p-3 text-[14px] text-mute">Take the pastern ring and the cuff room: then the strap is placed.</p>
  const place = ((): BootStrap | null => {
    try {
      return strapPlace({
        pasternMm: ring,
        pawTopMm: wrist * PAW_TOP,
        wristMm: wrist,
        dewclaw,
        dewclawMm: claw ?? 0,
        strapMm: Math.min(STRAP_MM, wrist * 0.3),
        gauge,
      })
    } catch {
      return null
    }
  })()
  if (!place) return null
  const by = 104 / Math.max(60, wrist * 1.15)
  const z = (mm: number): number => 112 - mm * by
  const strapAt = (place.fromMm + place.toMm) / 2
  const title =
    place.at === 'below'
      ? 'Strap below the dewclaw'
      : place.at === 'above'
        ? 'Strap above the dewclaw'
        : place.at === 'free'
          ? 'Strap free, no dewclaw'
          : dewclaw
            ? 'No room clear of the dewclaw'
            : 'No room for a strap'
  return (
    <div className="flex items-start gap-2 p-2">
      <svg width={92} height={120} viewBox="0 0 92 120" aria-hidden className="shrink-0">
        <path
          d={`M22 4L24 ${z(wrist * 0.55)}Q18 ${z(wrist * 0.3)} 14 104Q14 112 30 112L66 112Q76 108 64 ${z(wrist * 0.35)}Q52 ${z(wrist * 0.5)} 50 4Z`}
          fill="var(--plate)"
          stroke="var(--ink)"
          strokeWidth={1.8}
        />
        {dewclaw && claw !== null && <circle cx={22} cy={z(claw)} r={4} fill="var(--plate-far)" stroke="var(--ink)" strokeWidth={1.6} />}
        {place.at && <rect x={18} y={z(strapAt) - 9} width={38} height={18} fill="var(--web)" stroke="var(--ink)" strokeWidth={1.2} />}
        <rect x={74} y={4} width={12} height={108} fill="var(--tape)" stroke="var(--tape-ink)" />
        <path d={`M72 ${z(place.toMm)}h-6V${z(place.fromMm)}h6`} fill="none" stroke="var(--ink)" strokeWidth={2} />
        {dewclaw && claw !== null && <circle cx={80} cy={z(claw)} r={4} fill="var(--ink)" />}
      </svg>
      <p className="min-w-0 text-[14px] leading-[18px]">
        <b className={place.symptom ? 'text-snag' : ''}>{title}</b>
        <span className="block">
          <Worded text={`${say(place.fromMm)} to ${say(place.toMm)} up`} />
        </span>
        <span className="block">
          <Worded
            text={place.lengthMm === null ? 'long as a hand finds it: the finger is wider than the leg' : `${say(place.lengthMm)} long with a finger under it`}
          />
        </span>
        {body[`M36/${paw}`]?.mm == null && body.M36?.mm == null && <span className="block text-mute">guessed from the build</span>}
        {isHind(paw) && !dewclaw && <span className="block text-mute">hind dewclaws: say so under Measure</span>}
      </p>
    </div>
  )
}
