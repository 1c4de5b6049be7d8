import type { CarSeat, Form } from '@merry-tailor/core'
import { useAppSelector } from '../../state/store'
import { valueStyle } from '../../state/settings'
import { HALF_SEAT_MM, LEAN, seatFromAbove, seatFromSide } from '../../rigs'
import { VerdictWord } from '../../said/VerdictWord'
import { Handle } from '../../ui/handle/Handle'
import { cutOnce } from '../../ui/plates/cut'
import { DogPlates } from '../../ui/plates/DogPlates'
import { fixed, lineThrough, type Point } from '../../ui/plates/geometry'
import { Tape } from '../../ui/tape/Tape'
import type { SeatNow } from './seat-now'

interface SeatDrawingProps {
  form: Form
  name: string
  seat: CarSeat
  now: SeatNow
  slackMm: number
  slackInHand: boolean
  onSlack: { grab: () => void; move: (upMm: number) => void; drop: () => void }
  say: (mm: number) => string
  width: number
  height: number
}

/** The tape between the views, and its words under it. */
const TAPE_PX = 104

/** A seat from the side and from above at one scale, the tape of how far the head comes between them. */
export function SeatDrawing({ form, name, seat, now, slackMm, slackInHand, onSlack, say, width, height }: SeatDrawingProps) {
  const settings = useAppSelector((state) => state.settings)
  const look = { ...valueStyle(settings), unit: settings.unit }
  const { posture, loop, nose } = now
  const back = -Math.max(0, seat.outlet.upMm) * LEAN - 150
  const ahead = Math.max(seat.frontSeatMm, loop.aheadMm + now.reach.crashMm[1]) + 240
  const top = Math.max(seat.outlet.upMm, nose.upMm, form.sections.withers.tz * (posture === 'lying' ? 0.5 : 1)) + 150
  const sideMm = top + 140
  const planMm = 2 * HALF_SEAT_MM + 60
  const by = Math.min((width - 16) / (ahead - back), (height - TAPE_PX) / (sideMm + planMm))
  const x0 = width / 2 - ((ahead + back) / 2) * by
  const sideH = sideMm * by
  const planH = planMm * by
  const side = (x: number, z: number): Point => ({ x: x0 + x * by, y: (top - z) * by })
  const middle = planH / 2
  const plan = (x: number, left: number): Point => ({ x: x0 + x * by, y: middle - left * by })
  const outlet = { side: side(seat.outlet.aheadMm, seat.outlet.upMm), plan: plan(seat.outlet.aheadMm, seat.outlet.leftMm) }
  const buckle = { side: side(seat.buckle.aheadMm, seat.buckle.upMm), plan: plan(seat.buckle.aheadMm, seat.buckle.leftMm) }
  const at = { side: side(loop.aheadMm, loop.upMm), plan: plan(loop.aheadMm, 0) }
  // The sag is drawn, not worked out.
  const sag = Math.min(220, slackMm * 0.9) * by
  const hang = (a: Point, b: Point): Point => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 + sag })
  const handle = hang(outlet.side, at.side)
  const bow = (a: Point, b: Point, by1: number): string =>
    `M${fixed(a.x)} ${fixed(a.y)}Q${fixed((a.x + b.x) / 2)} ${fixed((a.y + b.y) / 2 + by1)} ${fixed(b.x)} ${fixed(b.y)}`
  const calm = loop.aheadMm + now.reach.calmMm
  const tapeFrom = -x0 / by - loop.aheadMm
  const doorLeft = seat.outlet.leftMm >= 0
  const f = seat.frontSeatMm
  const noseZ = Math.max(120, nose.upMm)
  return (
    <div>
      <svg
        width={width}
        height={sideH}
        viewBox={`0 0 ${width} ${sideH}`}
        role="group"
        aria-label={`${name} ${posture} in ${seat.name}, from the side, to scale`}
        className="block touch-none"
      >
        <g fill="var(--plate-far)" stroke="var(--ink)" strokeWidth={1.8} strokeLinejoin="round">
          {seatFromSide(seat, noseZ, side).map((points, i) => (
            <path key={i} d={lineThrough(points, true)} />
          ))}
          <rect x={side(f + 20, 0).x} y={side(0, 830).y} width={120 * by} height={150 * by} rx={10} />
        </g>
        {posture === 'lying' ? (
          <g>
            <ellipse
              cx={at.side.x}
              cy={side(0, loop.upMm / 2).y}
              rx={Math.max(20, (now.shiftMm - 40) * by)}
              ry={(loop.upMm / 2) * by}
              fill="var(--plate)"
              stroke="var(--ink)"
              strokeWidth={1.8}
              strokeDasharray="5 4"
            />
            <text x={width / 2} y={42} textAnchor="middle" fontSize={14} fill="var(--ink)">
              lying across, head inward: see from above
            </text>
          </g>
        ) : (
          <SidePlates form={form} posture={posture} to={(x, z) => side(x + now.shiftMm, z)} by={by} width={width} />
        )}
        <g fill="none" strokeDasharray="3 5" stroke="var(--ink)" strokeWidth={1.6}>
          <path d={lineThrough([outlet.side, at.side, buckle.side])} />
        </g>
        <g fill="none" strokeLinecap="round">
          {[9, 5.5].map((strokeWidth, i) => (
            <g key={i} stroke={i === 0 ? 'var(--ink)' : 'var(--panel)'} strokeWidth={strokeWidth}>
              <path d={bow(outlet.side, at.side, 2 * sag)} />
              <path d={bow(at.side, buckle.side, sag * 0.5)} />
            </g>
          ))}
        </g>
        <rect x={outlet.side.x - 9} y={outlet.side.y - 6} width={18} height={12} fill="var(--panel)" stroke="var(--ink)" strokeWidth={1.8} />
        <rect x={buckle.side.x - 6} y={buckle.side.y - 10} width={12} height={20} fill="var(--panel)" stroke="var(--ink)" strokeWidth={1.8} />
        <circle cx={at.side.x} cy={at.side.y} r={8} fill="var(--panel)" stroke="var(--ink)" strokeWidth={3} />
        <path d={`M${fixed(side(calm, 0).x)} ${fixed(side(0, noseZ).y)}V${fixed(sideH)}`} stroke="var(--ink)" strokeWidth={1.6} strokeDasharray="4 4" />
        <path d={`M${fixed(side(f, 0).x)} ${fixed(side(0, noseZ).y)}V${fixed(sideH)}`} stroke="var(--ink)" strokeWidth={1.4} strokeDasharray="6 4" />
        <circle cx={side(f, 0).x} cy={side(0, noseZ).y} r={5} fill="var(--panel)" stroke="var(--ink)" strokeWidth={2} />
        <path d={`M${fixed(at.side.x)} ${fixed(sideH - 2)}v-10H${fixed(side(f, 0).x)}v10`} fill="none" stroke="var(--ink)" strokeWidth={2} />
        {[
          { x: 10, y: 20, text: 'From the side', bold: true },
          { x: outlet.side.x + 14, y: outlet.side.y + 22, text: 'outlet', bold: false },
          { x: buckle.side.x - 58, y: buckle.side.y + 5, text: 'buckle', bold: false },
          { x: (at.side.x + side(f, 0).x) / 2 - 90, y: sideH - 18, text: `${say(now.clearMm)}, loop to front seat`, bold: true },
        ].map(({ x, y, text, bold }) => (
          <text key={text} x={x} y={y} fontSize={14} fontWeight={bold ? 650 : 400} fill="var(--ink)" stroke="var(--mat)" strokeWidth={4} paintOrder="stroke">
            {text}
          </text>
        ))}
        <Handle
          at={{ x: handle.x, y: handle.y }}
          off={{ x: 0, y: 46 }}
          by={by}
          axis="up"
          label="Slack in the belt"
          lines={[say(slackMm), 'slack']}
          range={[0, 600]}
          now={slackMm}
          inHand={slackInHand}
          onGrab={onSlack.grab}
          onMove={(_, up) => onSlack.move(-up)}
          onDrop={onSlack.drop}
          words="left"
        />
      </svg>
      <div className="overflow-hidden border-y-2 border-ink bg-panel" style={{ height: TAPE_PX }}>
        <Tape
          look={look}
          fromMm={tapeFrom}
          toMm={tapeFrom + width / by}
          live
          pins={[{ mm: now.reach.calmMm, kind: 'open' }]}
          spread={{ fromMm: now.reach.crashMm[0], toMm: now.reach.crashMm[1] }}
          title={`From the loop: calm its nose reaches ${say(now.reach.calmMm)}, in a crash ${say(now.reach.crashMm[0])} to ${say(now.reach.crashMm[1])}; the front seat is ${say(now.clearMm)} ahead`}
          usualWidth={width}
        />
        <p className="flex px-3 flex-wrap items-center justify-end gap-x-3 text-[14px]">
          <span>
            calm {say(now.reach.calmMm)} <VerdictWord grade={now.reach.calm} basis="predicted" size={15} />
          </span>
          <span>
            in a crash {say(now.reach.crashMm[0])} to {say(now.reach.crashMm[1])} <VerdictWord grade={now.reach.crash} basis="predicted" size={15} />
          </span>
        </p>
      </div>
      <svg
        width={width}
        height={planH}
        viewBox={`0 0 ${width} ${planH}`}
        role="img"
        aria-label={`The same from above, ${doorLeft ? 'the door' : 'the middle place'} at the top`}
        className="block"
      >
        <g fill="var(--plate-far)" stroke="var(--ink)" strokeWidth={1.8}>
          {seatFromAbove(seat, plan).map((points, i) => (
            <path key={i} d={lineThrough(points, true)} />
          ))}
        </g>
        <PlanPlates form={form} now={now} inward={doorLeft ? -1 : 1} to={plan} by={by} width={width} />
        <g fill="none" strokeLinecap="round">
          <path d={lineThrough([outlet.plan, at.plan, buckle.plan])} strokeDasharray="3 5" stroke="var(--ink)" strokeWidth={1.6} />
          {[9, 5.5].map((strokeWidth, i) => (
            <g key={i} stroke={i === 0 ? 'var(--ink)' : 'var(--panel)'} strokeWidth={strokeWidth}>
              <path d={bow(outlet.plan, at.plan, (doorLeft ? -1 : 1) * sag * 0.6)} />
              <path d={bow(at.plan, buckle.plan, (doorLeft ? 1 : -1) * sag * 0.3)} />
            </g>
          ))}
        </g>
        <rect x={outlet.plan.x - 9} y={outlet.plan.y - 6} width={18} height={12} fill="var(--panel)" stroke="var(--ink)" strokeWidth={1.8} />
        <rect x={buckle.plan.x - 9} y={buckle.plan.y - 6} width={18} height={12} fill="var(--panel)" stroke="var(--ink)" strokeWidth={1.8} />
        <circle cx={at.plan.x} cy={at.plan.y} r={8} fill="var(--panel)" stroke="var(--ink)" strokeWidth={3} />
        {[
          { x: width - 10, y: 18, text: 'From above', end: true },
          { x: plan(seat.cushionMm, 0).x - 8, y: middle - HALF_SEAT_MM * by + 18, text: doorLeft ? 'door side' : 'middle place', end: true },
          { x: plan(seat.cushionMm, 0).x - 8, y: middle + HALF_SEAT_MM * by - 8, text: doorLeft ? 'middle place' : 'door side', end: true },
        ].map(({ x, y, text, end }) => (
          <text
            key={text}
            x={x}
            y={y}
            fontSize={14}
            fontWeight={600}
            textAnchor={end ? 'end' : 'start'}
            fill="var(--ink)"
            stroke="var(--plate-far)"
            strokeWidth={text === 'From above' ? 0 : 3}
            paintOrder="stroke"
          >
            {text}
          </text>
        ))}
      </svg>
    </div>
  )
}

interface SidePlatesProps {
  form: Form
  posture: 'sitting' | 'standing'
  to: (x: number, z: number) => Point
  by: number
  width: number
}

/** The dog on its cushion; sitting, its tail is left off. */
function SidePlates({ form, posture, to, by }: SidePlatesProps) {
  const set = cutOnce(form, posture === 'sitting' ? 'sitting' : 'side')
  const path = (points: readonly (readonly [number, number])[]): string =>
    lineThrough(
      points.map(([x, z]) => to(x, z)),
      true,
    )
  return (
    <>
      <g stroke="var(--ink)" strokeWidth={1.6} strokeLinejoin="round">
        {set.plates
          .filter((plate) => !(posture === 'sitting' && plate.name === 'tail'))
          .map((plate, i) => (
            <path key={`${plate.name}${i}`} d={path(plate.points)} fill={plate.far ? 'var(--plate-far)' : 'var(--plate)'} />
          ))}
      </g>
      {set.nose.length > 0 && <path d={path(set.nose)} fill="var(--ink)" />}
      {set.eyes.map(([x, z], i) => (
        <circle key={i} cx={to(x, z).x} cy={to(x, z).y} r={Math.max(2, set.button * by)} fill="var(--ink)" />
      ))}
    </>
  )
}

/** The dog from above: its lengths fitted to where it sits; lying it is across, its head inward. */
function PlanPlates({
  form,
  now,
  inward,
  to,
  by,
  width,
}: {
  form: Form
  now: SeatNow
  inward: 1 | -1
  to: (x: number, left: number) => Point
  by: number
  width: number
}) {
  const { box } = cutOnce(form, 'above')
  const { posture, loop, nose } = now
  const ring = -0.1 * (form.sections.withers.tx - form.sections.tail.tx)
  if (posture === 'lying')
    return (
      <DogPlates
        form={form}
        view="above"
        width={width}
        scale={{
          by,
          floor: 0,
          to: ([x, across]) => to(loop.aheadMm - across, inward * (x - (box.left + box.right) / 2 - ring * 0.2)),
          on: (p) => to(loop.aheadMm + p[1], inward * p[0]),
        }}
      />
    )
  const tail = form.sections.tail.tx
  const rump = posture === 'sitting' ? 40 : tail + now.shiftMm
  // Behind the ring its length is what it takes sitting, ahead of it what the neck leaves.
  const [behind, before] = [(loop.aheadMm - rump) / (ring - tail), (nose.aheadMm - loop.aheadMm) / (box.right - ring)]
  const along = (x: number): number => loop.aheadMm + (x < ring ? (x - ring) * behind : (x - ring) * before)
  return (
    <DogPlates
      form={form}
      view="above"
      width={width}
      scale={{ by, floor: 0, to: ([x, across]) => to(Math.max(posture === 'sitting' ? -10 : -1e6, along(x)), -across), on: (p) => to(along(p[0]), p[1]) }}
    />
  )
}
