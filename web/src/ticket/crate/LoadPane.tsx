import { roomFor, sideBySide, strapOver, throughOpening, type Box, type Car, type CarSpace, type Grade } from '@merry-tailor/core'
import { loadSpaceToJson } from '@merry-tailor/core/formats'
import { useMemo, useState } from 'react'
import { useCarsQuery, useChangeCarMutation } from '../../api/queries'
import { useWayIn } from '../../form'
import { LengthEntry } from '../../length-entry'
import { VerdictWord } from '../../said/VerdictWord'
import { useKeys } from '../../state/use-keys'
import { useOnce } from '../../state/use-once'
import { KeyCap } from '../../ui/controls/KeyCap'
import { SaveText } from '../../ui/controls/SaveText'
import { Picker } from '../../ui/controls/Picker'
import { fixed } from '../../ui/plates/geometry'
import { useBox } from '../../ui/use-width'

import { problemWords } from '../../words/problems'
import { wayOf } from './way-of'

interface LoadPaneProps {
  label: string
  /** The crate outside, mm. */
  outer: Box
  ownerId: string | null
  say: (mm: number) => string
}

/** A tape in a car is off by about so much, mm. Ours. */
const DOUBT = 10
const grade = (mm: number): Grade => (mm >= DOUBT ? 'holds' : mm < -DOUBT ? 'fails' : 'doubt')
const words = (mm: number, say: (mm: number) => string): string => (mm >= 0 ? `${say(mm)} free each side` : `${say(-mm)} too big each side`)

/** A plain boot to begin with, mm. */
const PLAIN: CarSpace = {
  floor: [[0, 0], [900, 0], [900, 1050], [0, 1050]],
  side: [[0, 0], [900, 0], [760, 720], [0, 780]],
  arches: [{ xMm: [350, 800], yMm: [0, 110], heightMm: 300 }, { xMm: [350, 800], yMm: [940, 1050], heightMm: 300 }],
  opening: [[0, 0], [1000, 0], [900, 700], [100, 700]],
  floorUpMm: 600,
  sillMm: 30,
  anchors: [[60, 60, 0], [60, 990, 0], [850, 60, 0], [850, 990, 0]],
} // prettier-ignore

/** Whether a crate goes into the car: through the opening, on the floor between the arches, two beside each other. */
export function LoadPane({ label, outer, ownerId, say }: LoadPaneProps) {
  const { data: cars = [] } = useCarsQuery(undefined)
  const sorted = useMemo(
    () => [...cars].sort((a, b) => Number(b.ownerId === ownerId) - Number(a.ownerId === ownerId) || Number(b.space !== null) - Number(a.space !== null)),
    [cars, ownerId],
  )
  const [carId, setCar] = useState<string | null>(null)
  const [turn, setTurn] = useState(0)
  const [two, setTwo] = useState(false)
  const car = sorted.find(({ id }) => id === carId) ?? sorted[0]
  const space = car?.space ?? null
  useKeys({ '[': () => setTurn((was) => (was + 175) % 180), ']': () => setTurn((was) => (was + 5) % 180) })
  const yaw = (turn / 180) * Math.PI
  const found = useMemo(() => {
    if (!space) return null
    try {
      return {
        room: roomFor(space, outer, yaw),
        beside: sideBySide(space, outer, outer, { yawRad: [yaw, yaw], along: 'y' }),
        opening: space.opening ? throughOpening(space.opening, { widthMm: outer.widthMm, heightMm: outer.heightMm }) : null,
      }
    } catch {
      return 'broken' as const
    }
  }, [space, outer, yaw])
  const room = found && found !== 'broken' ? found.room : null
  const [tipped, setTipped] = useState(false)
  const asked = useMemo(
    () => (space && room && Math.abs(Math.sin(yaw)) < 0.1 ? wayOf(space, outer, room.at[0], !tipped) : null),
    [space, outer, room, yaw, tipped],
  )
  const way = useWayIn(asked)
  if (!car) return <p className="p-5">No car is kept yet. Add it under the seat bench; then its load space is measured here.</p>
  const strap = (() => {
    if (!space || !room || space.anchors.length < 2) return null
    const [x, y] = room.at
    const [c, s] = [Math.abs(Math.cos(yaw)), Math.abs(Math.sin(yaw))]
    const [hx, hy] = [(c * outer.lengthMm + s * outer.widthMm) / 2, (s * outer.lengthMm + c * outer.widthMm) / 2]
    const [a, b] = space.anchors
    return a && b ? strapOver({ x: [x - hx, x + hx], y: [y - hy, y + hy], heightMm: outer.heightMm }, [a, b]) : null
  })()
  return (
    <div
      className="quiet-scroll grid h-full grid-cols-[minmax(0,1fr)] gap-4 overflow-y-auto p-4 lg:grid-cols-[minmax(0,1fr)_330px]"
      tabIndex={0}
      role="group"
      aria-label="Load space"
    >
      <div className="min-h-[360px] border-2 border-ink bg-panel">
        {space && <SpaceViews space={space} outer={outer} yaw={yaw} at={room?.at ?? null} ghosts={asked && way ? way.path : []} label={label} />}
        {!space && <p className="p-4">The load space of {car.name} is not measured yet.</p>}
      </div>
      <section aria-label="What it comes to" className="space-y-3 border-2 border-ink bg-panel p-4 text-[15px] leading-[19px]">
        <Picker
          label="Car"
          value={car.id}
          options={sorted.map((each) => ({ value: each.id, label: each.name, note: each.space ? 'measured' : '' }))}
          onChange={setCar}
          className="w-full"
        />
        {found === 'broken' && <p className="font-semibold text-snag">Floor or side crosses itself: look at its corners.</p>}
        {found && found !== 'broken' && (
          <ul className="space-y-2">
            <li>
              <b>On the floor, turned {turn}°:</b> {room ? words(room.roomMm, say) : 'it does not go in'}
              <VerdictWord grade={room ? grade(room.roomMm) : 'fails'} basis="predicted" size={17} />
            </li>
            <li>
              <b>Through the opening, level:</b> {found.opening ? words(found.opening.roomMm, say) : 'measure the opening'}
              {found.opening && <VerdictWord grade={grade(found.opening.roomMm)} basis="predicted" size={17} />}
            </li>
            <li>
              <button type="button" aria-pressed={two} onClick={() => setTwo(!two)} className="min-h-11 font-bold underline">
                A second one beside it
              </button>
              {two && (
                <>
                  :{' '}
                  {found.beside === null
                    ? 'does not go in'
                    : found.beside >= 0
                      ? `${say(found.beside)} between them`
                      : `${say(-found.beside)} too wide together`}
                  <VerdictWord grade={found.beside === null ? 'fails' : grade(found.beside)} basis="predicted" size={17} />
                </>
              )}
            </li>
            {asked && (
              <li>
                <b>The way in{tipped ? ', tipped empty' : ', level'}:</b>{' '}
                {way === null ? 'none is foretold past sill and roof' : `${say(Math.max(0, way.giveMm))} at its narrowest`}
                <VerdictWord grade={way === null ? 'fails' : way.giveMm >= DOUBT ? 'holds' : 'doubt'} basis="predicted" size={17} />
                <button type="button" aria-pressed={tipped} onClick={() => setTipped(!tipped)} className="block min-h-11 font-bold underline">
                  {tipped ? 'Level, with a dog in it' : 'Tipped, while it is empty'}
                </button>
              </li>
            )}
            {strap && (
              <li>
                <b>A strap over it:</b> {say(strap.lengthMm)} from eye to eye. No strength is promised by its length.
              </li>
            )}
          </ul>
        )}
        <div className="flex gap-2">
          {([-5, 5] as const).map((by) => (
            <button
              key={by}
              type="button"
              onClick={() => setTurn((was) => (was + 180 + by) % 180)}
              className="min-h-11 flex-1 rounded-[2px] border-2 border-ink bg-panel font-bold"
            >
              {by < 0 ? 'Left' : 'Right'} <KeyCap>{by < 0 ? '[' : ']'}</KeyCap>
            </button>
          ))}
          <button
            type="button"
            onClick={() => setTurn((was) => (was === 0 ? 90 : 0))}
            className="min-h-11 flex-1 rounded-[2px] border-2 border-ink bg-panel font-bold"
          >
            {turn === 0 ? 'Crosswise' : 'Lengthwise'}
          </button>
        </div>
        {space && (
          <SaveText name={`load-space-${car.name}.json`} type="application/json" text={() => loadSpaceToJson(car)}>
            Load space
          </SaveText>
        )}
        <SpaceFields key={car.id} car={car} say={say} />
        <p className="text-[14px] leading-[18px] text-mute">
          Measured and straight: curved sides are not known. Whether a crate withstands a crash is not said by its size; makers’ tests and local rules say what
          may ride.
        </p>
      </section>
    </div>
  )
}

/** The load space in numbers, kept with the car. */
function SpaceFields({ car, say }: { car: Car; say: (mm: number) => string }) {
  const [change] = useChangeCarMutation()
  const once = useOnce()
  const [problem, setProblem] = useState<string | null>(null)
  const [open, setOpen] = useState(false)
  const [space, setSpace] = useState<CarSpace>(car.space ?? PLAIN)
  const x = space.floor.map((p) => p[0])
  const y = space.floor.map((p) => p[1])
  const [long, wide] = [Math.max(...x), Math.max(...y)]
  const arch = space.arches[0]
  const top = Math.max(...space.side.map((p) => p[1]))
  const back = space.side.reduce((most, p) => (p[0] > most && p[1] > 100 ? p[0] : most), 0)
  const build = (over: { long?: number; wide?: number; top?: number; back?: number; archMm?: number; openW?: number; openH?: number }): void => {
    const [l, w, t, b, a] = [
      over.long ?? long,
      over.wide ?? wide,
      over.top ?? top,
      Math.min(over.back ?? back, over.long ?? long),
      over.archMm ?? (arch ? arch.yMm[1] - arch.yMm[0] : 0),
    ]
    const [ow, oh] = [
      over.openW ?? Math.max(...(space.opening ?? [[w, 0]]).map((p) => p[0])),
      over.openH ?? Math.max(...(space.opening ?? [[0, t]]).map((p) => p[1])),
    ]
    setSpace({
      ...space,
      floor: [[0, 0], [l, 0], [l, w], [0, w]],
      side: [[0, 0], [l, 0], [b, t], [0, t]],
      arches: a > 0 ? [{ xMm: [l * 0.4, l * 0.9], yMm: [0, a], heightMm: arch?.heightMm ?? 300 }, { xMm: [l * 0.4, l * 0.9], yMm: [w - a, w], heightMm: arch?.heightMm ?? 300 }] : [],
      opening: [[0, 0], [ow, 0], [ow * 0.94, oh], [ow * 0.06, oh]],
      anchors: [[60, 60, 0], [60, w - 60, 0], [l - 60, 60, 0], [l - 60, w - 60, 0]],
    }) // prettier-ignore
  }
  const keep = (): void =>
    void once(async () => {
      const answer = await change({ id: car.id, changes: [{ field: 'space', from: car.space, to: space }] })
      setProblem(answer.error ? `Not kept. ${problemWords(answer.error)}` : null)
      if (!answer.error) setOpen(false)
      return !answer.error
    })
  if (!open)
    return (
      <button type="button" onClick={() => setOpen(true)} className="min-h-11 font-bold underline">
        {car.space ? `Measure it again (${say(long)} by ${say(wide)}, ${say(top)} high)` : 'Measure its load space'}
      </button>
    )
  return (
    <div className="space-y-2 border-2 border-ink p-2.5">
      <div className="grid grid-cols-2 gap-2">
        <LengthEntry label="Floor, sill to seat" mm={long} least={200} most={4000} onSet={(mm) => build({ long: mm })} />
        <LengthEntry label="Floor, wide" mm={wide} least={200} most={2500} onSet={(mm) => build({ wide: mm })} />
        <LengthEntry label="Height" mm={top} least={200} most={2500} onSet={(mm) => build({ top: mm })} />
        <LengthEntry label="Length at the top" mm={back} least={100} most={4000} onSet={(mm) => build({ back: mm })} />
        <LengthEntry label="Arch, each side" mm={arch ? arch.yMm[1] - arch.yMm[0] : 0} least={0} most={600} onSet={(mm) => build({ archMm: mm })} />
        <LengthEntry
          label="Opening, wide"
          mm={Math.max(...(space.opening ?? [[0, 0]]).map((p) => p[0]))}
          least={200}
          most={2500}
          onSet={(mm) => build({ openW: mm })}
        />
        <LengthEntry
          label="Opening, high"
          mm={Math.max(...(space.opening ?? [[0, 0]]).map((p) => p[1]))}
          least={200}
          most={2500}
          onSet={(mm) => build({ openH: mm })}
        />
      </div>
      {problem && (
        <p role="alert" className="font-semibold text-snag">
          {problem}
        </p>
      )}
      <button type="button" onClick={keep} className="min-h-11 rounded-[2px] border-2 border-ink bg-panel px-4 font-bold hover:bg-bench">
        Keep it
      </button>
    </div>
  )
}

function SpaceViews({
  space,
  outer,
  yaw,
  at,
  ghosts,
  label,
}: {
  space: CarSpace
  outer: Box
  yaw: number
  at: [number, number] | null
  ghosts: readonly [number, number, number][]
  label: string
}) {
  const [ref, { width, height: tall }] = useBox<HTMLDivElement>(600, 520)
  const height = Math.max(360, tall)
  const long = Math.max(...space.floor.map((p) => p[0]), ...space.side.map((p) => p[0]))
  const wide = Math.max(...space.floor.map((p) => p[1]))
  const high = Math.max(...space.side.map((p) => p[1]), outer.heightMm)
  const reach = (Math.abs(Math.cos(yaw)) * outer.lengthMm + Math.abs(Math.sin(yaw)) * outer.widthMm) / 2
  const [x0, x1] = [Math.min(0, ...ghosts.map(([gx]) => gx - outer.lengthMm / 2), (at?.[0] ?? long / 2) - reach), Math.max(long, (at?.[0] ?? long / 2) + reach)]
  const across = Math.max(wide, Math.abs(Math.sin(yaw)) * outer.lengthMm + Math.abs(Math.cos(yaw)) * outer.widthMm)
  const by = Math.min((width - 60) / (x1 - x0), (height - 110) / (high + across))
  const left = 30 - x0 * by
  const floorY = 40 + high * by
  const planY = floorY + 40 + ((across - wide) / 2) * by
  const side = ([x, z]: readonly [number, number]): string => `${fixed(left + x * by)} ${fixed(floorY - z * by)}`
  const plan = ([x, y]: readonly [number, number]): string => `${fixed(left + x * by)} ${fixed(planY + (wide - y) * by)}`
  const [cx, cy] = at ?? [long / 2, wide / 2]
  const [c, s] = [Math.cos(yaw), Math.sin(yaw)]
  const corners = ([[1, 1], [-1, 1], [-1, -1], [1, -1]] as const).map(([u, v]): [number, number] => [cx + (u * outer.lengthMm * c) / 2 - (v * outer.widthMm * s) / 2, cy + (u * outer.lengthMm * s) / 2 + (v * outer.widthMm * c) / 2]) // prettier-ignore
  const half = (Math.abs(c) * outer.lengthMm + Math.abs(s) * outer.widthMm) / 2
  const shut = (points: readonly (readonly [number, number])[], to: (p: readonly [number, number]) => string): string => `M${points.map(to).join('L')}Z`
  return (
    <div ref={ref} className="h-full">
    <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} role="img" aria-label={`${label} in the load space, from the side and from above`} className="block">
      <text x={30} y={24} fontSize={14} fill="var(--ink)">
        From the side, seat back to the right
      </text>
      {ghosts
        .filter((_, i) => i % Math.max(1, Math.floor(ghosts.length / 6)) === 0)
        .map(([gx, gz, turned], i) => (
          <path key={i} d={shut(cornersAt(gx, gz, turned, outer), side)} fill="none" stroke="var(--mute)" strokeWidth={1.4} strokeDasharray="2 3" />
        ))}
      <path d={shut(space.side, side)} fill="var(--plate-far)" stroke="var(--ink)" strokeWidth={2} />
      <path d={shut([[cx - half, 0], [cx + half, 0], [cx + half, outer.heightMm], [cx - half, outer.heightMm]], side)} fill="var(--plate)" stroke="var(--web)" strokeWidth={5} opacity={0.9} />
      <text x={30} y={floorY + 26} fontSize={14} fill="var(--ink)">
        From above, the car’s left at the top
      </text>
      <path d={shut(space.floor, plan)} fill="var(--plate-far)" stroke="var(--ink)" strokeWidth={2} />
      {space.arches.map(({ xMm, yMm }, i) => (
        <path key={i} d={shut([[xMm[0], yMm[0]], [xMm[1], yMm[0]], [xMm[1], yMm[1]], [xMm[0], yMm[1]]], plan)} fill="var(--mat)" stroke="var(--ink)" strokeWidth={1.6} />
      ))}
      <path d={shut(corners, plan)} fill="var(--plate)" stroke="var(--web)" strokeWidth={5} opacity={0.9} />
      {space.anchors.map(([x, y], i) => (
        <circle key={i} cx={left + x * by} cy={planY + (wide - y) * by} r={4} fill="var(--panel)" stroke="var(--ink)" strokeWidth={1.6} />
      ))}
    </svg>
    </div>
  ) // prettier-ignore
}

/** A box from the side at a place on its way. */
const cornersAt = (x: number, z: number, turned: number, { lengthMm, heightMm }: Box): [number, number][] =>
  ([[1, 1], [-1, 1], [-1, -1], [1, -1]] as const).map(([u, v]) => [x + (u * lengthMm * Math.cos(turned)) / 2 - (v * heightMm * Math.sin(turned)) / 2, z + (u * lengthMm * Math.sin(turned)) / 2 + (v * heightMm * Math.cos(turned)) / 2]) // prettier-ignore
