import type { CrateCheck, CrateCheckId, DogPlan, Form, Inside, Posture } from '@merry-tailor/core'
import { useMemo } from 'react'
import { cutOnce } from '../../ui/plates/cut'
import { fixed, lineThrough } from '../../ui/plates/geometry'
import { useBox } from '../../ui/use-width'
import { bentDog, sweptOutlines } from './crate-views'

export type Stance = 'side' | 'sitting' | 'lying'

interface Scene {
  form: Form
  plan: DogPlan
  inside: Inside
  bedMm: number
  checks: readonly CrateCheck[]
  path: readonly Posture[]
  share: number
  stance: Stance
  name: string
}
interface Drawn {
  scene: Scene
  /** Pixels a millimetre. */
  by: number
}

const STRAIGHT: Posture = { headingRad: 0, share: 0 }
const WALL = 7
const PAD = 26
/** Numbers of clearances, in the order they are always named; the tenth has the key 0. */
export const DISC: Readonly<Record<CrateCheckId | 'opening', number>> = {
  'nose-to-tail': 1,
  'two-widths': 2,
  head: 3,
  ears: 4,
  sitting: 5,
  turn: 6,
  curled: 7,
  opening: 8,
  'flat-out': 9,
  door: 10,
}
/** Clearances seen from above; the others are seen from the side, some of them under the roof. */
const FROM_ABOVE: readonly CrateCheckId[] = ['two-widths', 'turn', 'curled', 'flat-out', 'door']
const UNDER_THE_ROOF: readonly CrateCheckId[] = ['head', 'ears', 'sitting']
/** Height of the one view a phone has room for, px; how much nearer it comes to the roof. */
const PHONE = 292
const NEARER = 1.5

/** Both views in whatever room there is; on a phone the one the clearance in hand is seen in. */
export function CrateMat({ scene, focus, phone }: { scene: Scene; focus: CrateCheckId | null; phone: boolean }) {
  const [ref, box] = useBox<HTMLDivElement>(930, 400)
  return (
    <div ref={ref} className={phone ? 'overflow-hidden' : 'min-h-[240px] flex-1 overflow-hidden'} style={phone ? { height: PHONE } : undefined}>
      {phone ? <OneView scene={scene} focus={focus ?? 'head'} width={box.width} /> : <BothViews scene={scene} width={box.width} height={Math.max(240, box.height)} />}
    </div>
  ) // prettier-ignore
}

/** What both views have to hold, mm. */
function sizeOf({ form, inside, bedMm }: Scene): { long: number; high: number; wide: number } {
  const dog = cutOnce(form, 'side').box
  return { long: Math.max(inside.lengthMm, dog.right - dog.left), high: Math.max(inside.heightMm, dog.top + bedMm), wide: inside.widthMm }
}

/** The dog in the crate from the side and from above, both to one scale; what is free of it as short tapes. */
function BothViews({ scene, width, height }: { scene: Scene; width: number; height: number }) {
  const { inside, name } = scene
  const stacked = width < 620
  const [boxW, boxH] = stacked ? [width - 2 * PAD, (height - 130) / 2] : [(width - 3 * PAD) / 2, height - 74]
  const { long, high, wide } = sizeOf(scene)
  const by = Math.min(boxW / long, boxH / Math.max(high, wide))
  const [cw, cd] = [inside.lengthMm * by, inside.widthMm * by]
  const left = PAD + Math.max(0, (boxW - cw) / 2)
  const floor = stacked ? 40 + boxH : height - 34
  const topLeft = stacked ? left : 2 * PAD + boxW + Math.max(0, (boxW - cw) / 2)
  const topY = stacked ? floor + 44 : floor - cd
  return (
    <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} className="block" role="img" aria-label={`${name} in the crate, from the side and from above`}>
      <g transform={`translate(${fixed(left)} ${fixed(floor)})`}>
        <FromTheSide scene={scene} by={by} />
      </g>
      <g transform={`translate(${fixed(topLeft)} ${fixed(topY)})`}>
        <FromAbove scene={scene} by={by} />
      </g>
    </svg>
  ) // prettier-ignore
}

/** The view one clearance is seen in, as large as a phone has room for: of a height, the part under the roof about the head. */
function OneView({ scene, focus, width }: { scene: Scene; focus: CrateCheckId; width: number }) {
  const { inside, form, name } = scene
  const above = FROM_ABOVE.includes(focus)
  const { long, high, wide } = sizeOf(scene)
  const whole = Math.min((width - 2 * PAD) / long, (PHONE - 62) / (above ? wide : high))
  const near = UNDER_THE_ROOF.includes(focus)
  const by = near ? whole * NEARER : whole
  const [cw, ch] = [inside.lengthMm * by, inside.heightMm * by]
  // Of a height: the roof's edge on top, the head in the middle.
  const head = cw / 2 + (form.sections.skull.tx - (form.sections.tail.tx + form.sections.nose.tx) / 2) * by
  const left = near ? Math.min(PAD, Math.max(width - PAD - cw, width / 2 - head)) : (width - cw) / 2
  const floor = near ? ch + PAD : PHONE - 36
  const stance = focus === 'sitting' ? 'sitting' : scene.stance
  return (
    <svg width={width} height={PHONE} viewBox={`0 0 ${width} ${PHONE}`} className="block" role="img" aria-label={`${name} in the crate, ${above ? 'from above' : 'from the side'}`}>
      <g transform={`translate(${fixed(left)} ${fixed(above ? PAD : floor)})`}>{above ? <FromAbove scene={scene} by={by} /> : <FromTheSide scene={{ ...scene, stance }} by={by} />}</g>
    </svg>
  ) // prettier-ignore
}

/** The dog from the side, the crate's lower left corner at the origin. */
function FromTheSide({ scene: { form, inside, bedMm, stance }, by }: Drawn) {
  const [cw, ch] = [inside.lengthMm * by, inside.heightMm * by]
  // The dog's nose-to-tail length stands in the middle of the crate.
  const [tail, nose] = [form.sections.tail.tx, form.sections.nose.tx]
  const at = ([x, z]: readonly [number, number]): { x: number; y: number } => ({ x: cw / 2 + (x - (tail + nose) / 2) * by, y: -(z + bedMm) * by })
  const others: Stance[] = (['lying', 'sitting', 'side'] as const).filter((each) => each !== stance)
  const skull = form.measures.M39?.mm ?? 0
  const ears = form.measures.M40?.mm ?? skull
  const sitting = form.measures.M41?.mm ?? 0
  const head = at([form.sections.skull.tx, skull])
  const noseAt = at([nose, form.sections.nose.tz])
  const tailAt = at([tail, form.sections.tail.tz])
  const roof = (x: number, mm: number, n: number) => <Gap from={{ x, y: -ch }} to={{ x, y: at([0, mm]).y }} n={n} by={by} />
  return (
    <>
      <rect x={-WALL / 2} y={-ch - WALL / 2} width={cw + WALL} height={ch + WALL} fill="none" stroke="var(--web)" strokeWidth={WALL} />
      {bedMm > 0 && <rect x={0} y={-bedMm * by} width={cw} height={bedMm * by} fill="var(--plate-far)" stroke="var(--ink)" strokeWidth={1} />}
      {others.map((each) => (
        <g key={each} opacity={0.55}>
          {cutOnce(form, each)
            .plates.filter(({ name }) => name !== 'tail' && !name.startsWith('far'))
            .map(({ name, points }) => (
              <path key={name} d={lineThrough(points.map(at), true)} fill="var(--plate-far)" stroke="var(--mute)" strokeWidth={1.4} strokeDasharray="2 3" />
            ))}
        </g>
      ))}
      {cutOnce(form, stance).plates.map(({ name, points, far }, i) => (
        <path
          key={`${name}${i}`}
          d={lineThrough(points.map(at), true)}
          fill={far ? 'var(--plate-far)' : 'var(--plate)'}
          stroke="var(--ink)"
          strokeWidth={1.8}
          strokeLinejoin="round"
        />
      ))}
      {stance === 'side' && (
        <>
          <Gap from={{ x: 0, y: tailAt.y }} to={tailAt} n={DISC['nose-to-tail']} by={by} />
          <Gap from={noseAt} to={{ x: cw, y: noseAt.y }} n={DISC['nose-to-tail']} by={by} />
          {roof(head.x - 4, skull, DISC.head)}
          {ears > skull + 1 && roof(head.x - 46, ears, DISC.ears)}
        </>
      )}
      {stance === 'sitting' && roof(head.x - 20, sitting, DISC.sitting)}
      <text x={0} y={24} fontSize={14} fill="var(--ink)">
        {stance === 'side' ? 'Standing' : stance === 'sitting' ? 'Sitting' : 'Lying'}; dotted: {others.map((each) => (each === 'side' ? 'standing' : each)).join(', ')}
      </text>
    </>
  ) // prettier-ignore
}

/** The dog from above as it turns round, the crate's upper left corner at the origin. */
function FromAbove({ scene: { form, plan, inside, path, share, checks }, by }: Drawn) {
  const swept = useMemo(() => sweptOutlines(plan, path), [plan, path])
  const posture = path[Math.round(share * (path.length - 1))] ?? STRAIGHT
  const plates = useMemo(() => bentDog(form, plan, posture), [form, plan, posture])
  const [cw, cd] = [inside.lengthMm * by, inside.widthMm * by]
  const to = ([x, y]: readonly [number, number]): { x: number; y: number } => ({ x: cw / 2 + x * by, y: cd / 2 - y * by })
  const lines = swept.map((outline) => lineThrough(outline.map(to), true))
  const sides = checks.find(({ check }) => check === 'two-widths')?.spareMm ?? 0
  return (
    <>
      <rect x={-WALL / 2} y={-WALL / 2} width={cw + WALL} height={cd + WALL} fill="none" stroke="var(--web)" strokeWidth={WALL} />
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
      <Gap from={{ x: 12, y: 0 }} to={{ x: 12, y: Math.max(0, sides * by) }} n={DISC['two-widths']} by={by} />
      <text x={0} y={cd + 24} fontSize={14} fill="var(--ink)">
        {path.length > 0 ? 'From above, turning; dashed: all it sweeps' : 'From above: no way round is foretold in this one'}
      </text>
    </>
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
