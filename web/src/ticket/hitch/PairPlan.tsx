import type { Form, PairPull, PairSetUp } from '@merry-tailor/core'
import { cutOnce } from '../../ui/plates/cut'
import { DogPlates } from '../../ui/plates/DogPlates'
import { lineThrough, type Point } from '../../ui/plates/geometry'

interface PairPlanProps {
  pair: Pick<PairSetUp, 'armsMm' | 'pinMm' | 'leadMm' | 'yokeMm' | 'side'>
  pull: PairPull | null
  own: Form
  other: Form | null
  names: Readonly<Record<'left' | 'right', string>>
  say: (mm: number) => string
  kg: (newton: number) => string
  width: number
  height: number
}

/** From the evener to the dogs’ tails, as far as it is drawn. Ours. */
const TRACE_MM = 420

/** Evener, traces, two dogs and the yoke from above, the left dog at the page’s top, to scale. */
export function PairPlan({ pair, pull, own, other, names, say, kg, width, height }: PairPlanProps) {
  const { armsMm, pinMm, leadMm, yokeMm, side } = pair
  const forms = { left: side === 'left' ? own : other, right: side === 'right' ? own : other }
  const boxes = { left: forms.left && cutOnce(forms.left, 'above').box, right: forms.right && cutOnce(forms.right, 'above').box }
  const long = Math.max(...[boxes.left, boxes.right].map((box) => (box ? box.right - box.left : 1100)))
  const longest = Math.max(...[boxes.left, boxes.right].map((box) => (box ? -box.left : 700)))
  const half = (at: 'left' | 'right'): number => (boxes[at] ? Math.max(Math.abs(boxes[at].top), Math.abs(boxes[at].bottom)) : 160)
  const wide = Math.max(armsMm.left + half('left'), yokeMm.left + half('left')) + Math.max(armsMm.right + half('right'), yokeMm.right + half('right'))
  const by = Math.min((width - 110) / (long + TRACE_MM + 120 + Math.abs(leadMm)), (height - 90) / wide)
  const x0 = 96
  const y0 = height / 2 + ((Math.max(armsMm.left, yokeMm.left) + half('left') - (Math.max(armsMm.right, yokeMm.right) + half('right'))) * by) / 2
  const to = (x: number, left: number): Point => ({ x: x0 + x * by, y: y0 - left * by })
  const skew = pull?.skewRad ?? 0
  const eye = (at: 'left' | 'right'): { x: number; left: number } => {
    const [arm, way] = at === 'left' ? [armsMm.left, 1] : [armsMm.right, -1]
    // Ahead of the pin, turned with the bar; the left end goes ahead with a plus skew.
    return { x: pinMm * Math.cos(skew) + way * arm * Math.sin(skew), left: way * arm * Math.cos(skew) - pinMm * Math.sin(skew) }
  }
  const eyes = { left: eye('left'), right: eye('right') }
  const withersX = { left: 0, right: 0 }
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`${names.left} left and ${names.right} right before one evener, from above, to scale`}
      className="block"
    >
      <path d={lineThrough([to(-90, 0), to(0, 0)])} stroke="var(--ink)" strokeWidth={6} />
      {(['left', 'right'] as const).map((at) => {
        const form = forms[at]
        const box = boxes[at]
        const across = (at === 'left' ? 1 : -1) * (at === 'left' ? yokeMm.left : yokeMm.right)
        // Shoulder by shoulder, but for the lead.
        const shift = TRACE_MM + longest + (at === 'left' ? Math.max(0, leadMm) : Math.max(0, -leadMm))
        const tail = shift + (box ? box.left : -longest)
        withersX[at] = shift
        const y = to(0, across).y
        return (
          <g key={at}>
            <path d={lineThrough([to(eyes[at].x, eyes[at].left), to(tail + 260, across)])} stroke="var(--web)" strokeWidth={3.4} fill="none" />
            {form ? (
              <DogPlates
                form={form}
                view="above"
                width={width}
                scale={{ by, floor: y, to: ([x, cross]) => ({ x: x0 + (x + shift) * by, y: y + cross * by }), on: (p) => to(p[0] + shift, across + p[1]) }}
              />
            ) : (
              <ellipse
                cx={to(tail + 520, across).x}
                cy={y}
                rx={500 * by}
                ry={130 * by}
                fill="none"
                stroke="var(--mute)"
                strokeDasharray="5 5"
                strokeWidth={1.6}
              />
            )}
            <text x={to(tail + 40, 0).x} y={y + (at === 'left' ? -half(at) * by - 8 : half(at) * by + 18)} fontSize={15} fontWeight={650} fill="var(--ink)">
              {names[at]}
              {pull ? `, ${kg(at === 'left' ? pull.leftN : pull.rightN)}` : ''}
            </text>
          </g>
        )
      })}
      <path d={lineThrough([to(withersX.left, yokeMm.left), to(withersX.right, -yokeMm.right)])} stroke="var(--ink)" strokeWidth={7} strokeLinecap="round" />
      <path
        d={lineThrough([to(0, 0), to((withersX.left * yokeMm.right + withersX.right * yokeMm.left) / (yokeMm.left + yokeMm.right), 0)])}
        stroke="var(--ink)"
        strokeWidth={4}
        strokeDasharray="10 6"
      />
      <path
        d={lineThrough([to(eyes.left.x, eyes.left.left), to(0, 0), to(eyes.right.x, eyes.right.left)])}
        stroke="var(--ink)"
        strokeWidth={8}
        strokeLinecap="round"
        strokeLinejoin="round"
        fill="none"
      />
      <circle cx={to(0, 0).x} cy={to(0, 0).y} r={6} fill="var(--tape)" stroke="var(--ink)" strokeWidth={2} />
      {(['left', 'right'] as const).map((at) => (
        <g key={at}>
          <circle cx={to(eyes[at].x, eyes[at].left).x} cy={to(eyes[at].x, eyes[at].left).y} r={4.5} fill="var(--panel)" stroke="var(--ink)" strokeWidth={2} />
          <text
            x={to(0, 0).x - 12}
            y={to(0, (at === 'left' ? armsMm.left : -armsMm.right) / 2).y + 5}
            textAnchor="end"
            fontSize={13.5}
            fill="var(--ink)"
            stroke="var(--mat)"
            strokeWidth={4}
            paintOrder="stroke"
          >
            {say(at === 'left' ? armsMm.left : armsMm.right)}
          </text>
        </g>
      ))}
      <text x={width - 10} y={18} textAnchor="end" fontSize={14} fontWeight={600} fill="var(--ink)">
        From above
      </text>
    </svg>
  )
}
