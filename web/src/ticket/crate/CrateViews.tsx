import type { CrateCheck, CrateCheckId, DogPlan, Form, Inside, Posture } from '@merry-tailor/core'
import { useMemo } from 'react'
import { cutOnce } from '../../ui/plates/cut'
import { useBox } from '../../ui/use-width'
import { fixed, lineThrough } from '../../ui/plates/geometry'
import { bentDog, sweptOutlines } from './crate-views'

export type Stance = 'side' | 'sitting' | 'lying'

export interface CrateViewsProps {
  form: Form
  plan: DogPlan
  inside: Inside
  bedMm: number
  checks: readonly CrateCheck[]
  path: readonly Posture[]
  share: number
  stance: Stance
  width: number
  height: number
  name: string
}

const STRAIGHT: Posture = { headingRad: 0, share: 0 }
const WALL = 7
const PAD = 26
/** Numbers of clearances, in the order they are always named. */
export const DISC: Readonly<Record<CrateCheckId, number>> = {
  'nose-to-tail': 1,
  'two-widths': 2,
  head: 3,
  ears: 4,
  sitting: 5,
  turn: 6,
  curled: 7,
  'flat-out': 8,
  door: 9,
}

/** Both views in whatever room there is. */
export function CrateMat({ phone, ...props }: Omit<CrateViewsProps, 'width' | 'height'> & { phone: boolean }) {
  const [ref, box] = useBox<HTMLDivElement>(930, 400)
  return (
    <div ref={ref} className={phone ? 'h-[600px]' : 'min-h-[240px] flex-1 overflow-hidden'}>
      <CrateViews {...props} width={box.width} height={phone ? 600 : Math.max(240, box.height)} />
    </div>
  )
}

/** The dog in the crate from the side and from above, both to one scale; what is free of it as short tapes. */
function CrateViews({ form, plan, inside, bedMm, checks, path, share, stance, width, height, name }: CrateViewsProps) {
  const stacked = width < 620
  const [boxW, boxH] = stacked ? [width - 2 * PAD, (height - 130) / 2] : [(width - 3 * PAD) / 2, height - 74]
  const dog = cutOnce(form, 'side').box
  const long = Math.max(inside.lengthMm, dog.right - dog.left)
  const by = Math.min(boxW / long, boxH / Math.max(inside.heightMm, dog.top + bedMm, inside.widthMm))
  const [cw, ch, cd] = [inside.lengthMm * by, inside.heightMm * by, inside.widthMm * by]
  const left = PAD + Math.max(0, (boxW - cw) / 2)
  const floor = stacked ? 40 + boxH : height - 34
  const topLeft = stacked ? left : 2 * PAD + boxW + Math.max(0, (boxW - cw) / 2)
  const topY = stacked ? floor + 44 : floor - cd
  const gap = (id: CrateCheckId): number | null => {
    const found = checks.find(({ check }) => check === id)
    return found?.spareMm ?? null
  }
  // The dog's nose-to-tail length stands in the middle of the crate.
  const mid = left + cw / 2
  const [tail, nose] = [form.sections.tail.tx, form.sections.nose.tx]
  const standing = ([x, z]: readonly [number, number]): { x: number; y: number } => ({ x: mid + (x - (tail + nose) / 2) * by, y: floor - (z + bedMm) * by })
  const postures: Stance[] = (['lying', 'sitting', 'side'] as const).filter((each) => each !== stance)
  const skull = form.measures.M39?.mm ?? 0
  const ears = form.measures.M40?.mm ?? skull
  const sitting = form.measures.M41?.mm ?? 0
  const head = standing([form.sections.skull.tx, skull])
  const noseAt = standing([nose, form.sections.nose.tz])
  const tailAt = standing([tail, form.sections.tail.tz])
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      className="block"
      role="img"
      aria-label={`${name} in the crate, from the side and from above`}
    >
      <g>
        <rect x={left - WALL / 2} y={floor - ch - WALL / 2} width={cw + WALL} height={ch + WALL} fill="none" stroke="var(--web)" strokeWidth={WALL} />
        {bedMm > 0 && <rect x={left} y={floor - bedMm * by} width={cw} height={bedMm * by} fill="var(--plate-far)" stroke="var(--ink)" strokeWidth={1} />}
        {postures.map((each) => (
          <g key={each} opacity={0.55}>
            {cutOnce(form, each)
              .plates.filter(({ name: part }) => part !== 'tail' && !part.startsWith('far'))
              .map(({ name: part, points }) => (
                <path
                  key={part}
                  d={lineThrough(points.map(standing), true)}
                  fill="var(--plate-far)"
                  stroke="var(--mute)"
                  strokeWidth={1.4}
                  strokeDasharray="2 3"
                />
              ))}
          </g>
        ))}
        {cutOnce(form, stance).plates.map(({ name: part, points, far }, i) => (
          <path
            key={`${part}${i}`}
            d={lineThrough(points.map(standing), true)}
            fill={far ? 'var(--plate-far)' : 'var(--plate)'}
            stroke="var(--ink)"
            strokeWidth={1.8}
            strokeLinejoin="round"
          />
        ))}
        {stance === 'side' && (
          <>
            <Gap from={{ x: left, y: tailAt.y }} to={{ x: tailAt.x, y: tailAt.y }} n={1} by={by} />
            <Gap from={{ x: noseAt.x, y: noseAt.y }} to={{ x: left + cw, y: noseAt.y }} n={1} by={by} />
            <Gap from={{ x: head.x - 4, y: floor - ch }} to={{ x: head.x - 4, y: head.y }} n={3} by={by} />
            {ears > skull + 1 && <Gap from={{ x: head.x - 46, y: floor - ch }} to={{ x: head.x - 46, y: standing([0, ears]).y }} n={4} by={by} />}
          </>
        )}
        {stance === 'sitting' && <Gap from={{ x: head.x - 20, y: floor - ch }} to={{ x: head.x - 20, y: standing([0, sitting]).y }} n={5} by={by} />}
        <text x={left} y={floor + 24} fontSize={14} fill="var(--ink)">
          {stance === 'side' ? 'Standing' : stance === 'sitting' ? 'Sitting' : 'Lying'}; dotted:{' '}
          {postures.map((each) => (each === 'side' ? 'standing' : each)).join(', ')}
        </text>
      </g>
      <g transform={`translate(${fixed(topLeft)} ${fixed(topY)})`}>
        <rect x={-WALL / 2} y={-WALL / 2} width={cw + WALL} height={cd + WALL} fill="none" stroke="var(--web)" strokeWidth={WALL} />
        <FromAbove form={form} plan={plan} path={path} share={share} at={{ x: cw / 2, y: cd / 2 }} by={by} />
        <Gap from={{ x: 12, y: 0 }} to={{ x: 12, y: Math.max(0, (gap('two-widths') ?? 0) * by) }} n={2} by={by} />
        <text x={0} y={cd + 24} fontSize={14} fill="var(--ink)">
          {path.length > 0 ? 'From above, turning round; dashed: all it sweeps' : 'From above: no way round is foretold in this one'}
        </text>
      </g>
    </svg>
  )
}

function FromAbove({
  form,
  plan,
  path,
  share,
  at,
  by,
}: {
  form: Form
  plan: DogPlan
  path: readonly Posture[]
  share: number
  at: { x: number; y: number }
  by: number
}) {
  const swept = useMemo(() => sweptOutlines(plan, path), [plan, path])
  const posture = path[Math.round(share * (path.length - 1))] ?? STRAIGHT
  const plates = useMemo(() => bentDog(form, plan, posture), [form, plan, posture])
  const to = ([x, y]: readonly [number, number]): { x: number; y: number } => ({ x: at.x + x * by, y: at.y - y * by })
  const lines = swept.map((outline) => lineThrough(outline.map(to), true))
  return (
    <g>
      {/* All outlines first, then what they enclose: only the outer edge stays. */}
      <path d={lines.join('')} fill="none" stroke="var(--ink)" strokeWidth={3.4} strokeDasharray="7 4" />
      {lines.map((d, i) => (
        <path key={i} d={d} fill="var(--plate-far)" />
      ))}
      {plates
        .filter(({ name }) => !name.includes('blade') && name !== 'ribs')
        .map(({ name, points }, i) => (
          <path key={`${name}${i}`} d={lineThrough(points.map(to), true)} fill="var(--plate)" stroke="var(--ink)" strokeWidth={1.8} strokeLinejoin="round" />
        ))}
    </g>
  )
}

/** What is free between dog and crate, as a short tape with its clearance's number. */
function Gap({ from, to, n, by }: { from: { x: number; y: number }; to: { x: number; y: number }; n: number; by: number }) {
  const upright = Math.abs(to.x - from.x) < Math.abs(to.y - from.y)
  const long = upright ? to.y - from.y : to.x - from.x
  if (long < 3) return null
  const tick = 25.4 * by
  const count = Math.floor(long / tick)
  return (
    <g>
      <rect
        x={upright ? from.x - 5 : from.x}
        y={upright ? from.y : from.y - 5}
        width={upright ? 10 : long}
        height={upright ? long : 10}
        fill="var(--tape)"
        stroke="var(--tape-ink)"
        strokeWidth={1.2}
      />
      {Array.from({ length: count }, (_, i) => {
        const at = (i + 1) * tick
        return upright ? (
          <line key={i} x1={from.x - 5} x2={from.x} y1={from.y + at} y2={from.y + at} stroke="var(--tape-ink)" strokeWidth={1.2} />
        ) : (
          <line key={i} x1={from.x + at} x2={from.x + at} y1={from.y - 5} y2={from.y} stroke="var(--tape-ink)" strokeWidth={1.2} />
        )
      })}
      <circle cx={(from.x + to.x) / 2} cy={(from.y + to.y) / 2} r={10} fill="var(--ink)" />
      <text x={(from.x + to.x) / 2} y={(from.y + to.y) / 2 + 4.5} textAnchor="middle" fontSize={13} fontWeight={800} fill="var(--panel)">
        {n}
      </text>
    </g>
  )
}
