import { placesBeside, roomFor, strapOver, throughOpening, type Box, type CarSpace, type Grade } from '@merry-tailor/core'
import { loadSpaceToJson } from '@merry-tailor/core/formats'
import { useMemo, useState, type ReactNode } from 'react'
import { Link } from 'react-router'
import { useWayIn } from '../../form'
import { VerdictWord } from '../../said/VerdictWord'
import { useKeys } from '../../state/use-keys'
import { KeyCap } from '../../ui/controls/KeyCap'
import { Picker } from '../../ui/controls/Picker'
import { SaveText } from '../../ui/controls/SaveText'
import { Worded } from '../../ui/length/Worded'
import { SpaceFields } from './SpaceFields'
import { SpaceViews, type Standing } from './SpaceViews'
import { CAR_DOUBT, gradeInCar, useCars } from './use-crate-choices'
import { useOtherCrates } from './use-other-crates'
import { wayOf } from './way-of'

interface LoadPaneProps {
  label: string
  /** The crate outside, mm. */
  outer: Box
  ownerId: string | null
  ticketId: string
  /** Other crates that may stand beside it. */
  others: readonly { name: string; outer: Box }[]
  say: (mm: number) => string
}

const freeWords = (mm: number, say: (mm: number) => string): string => (mm >= 0 ? `${say(mm)} free each side` : `${say(-mm)} too big each side`)
const turned = (degrees: number): number => ((degrees % 180) + 180) % 180

/** Whether a crate goes into the car: through the opening, on the floor between the arches, one more beside it, a strap over it. */
export function LoadPane({ label, outer, ownerId, ticketId, others, say }: LoadPaneProps) {
  const cars = useCars(ownerId)
  const kin = useOtherCrates(ownerId, ticketId)
  const [carId, setCar] = useState<string | null>(null)
  const [turn, setTurn] = useState(0)
  const [second, setSecond] = useState('none')
  const [secondTurn, setSecondTurn] = useState(0)
  const [along, setAlong] = useState<'x' | 'y'>('y')
  const [tipped, setTipped] = useState(false)
  const [strapped, setStrapped] = useState<readonly [number, number]>([0, 1])
  const [draft, setDraft] = useState<CarSpace | null>(null)
  const car = cars.find(({ id }) => id === carId) ?? cars[0]
  const space = draft ?? car?.space ?? null
  useKeys({ '[': () => setTurn((was) => turned(was - 5)), ']': () => setTurn((was) => turned(was + 5)) })
  const yaw = (turn / 180) * Math.PI
  const choices = [{ name: 'the same again', outer }, ...kin, ...others]
  const other = choices.find(({ name }) => name === second) ?? null
  const otherYaw = (secondTurn / 180) * Math.PI
  const found = useMemo(() => {
    if (!space) return null
    try {
      return {
        room: roomFor(space, outer, yaw),
        beside: other && placesBeside(space, outer, other.outer, { yawRad: [yaw, otherYaw], along }),
        opening: space.opening ? throughOpening(space.opening, { widthMm: outer.widthMm, heightMm: outer.heightMm }) : null,
      }
    } catch {
      return 'broken' as const
    }
  }, [space, outer, yaw, other, otherYaw, along])
  const good = found === 'broken' ? null : found
  const room = good?.room ?? null
  const asked = useMemo(
    () => (space && !draft && room && Math.abs(Math.sin(yaw)) < 0.1 ? wayOf(space, outer, room.at[0], !tipped) : null),
    [space, draft, outer, room, yaw, tipped],
  )
  const way = useWayIn(asked)
  if (!car) return <p className="p-5">No car is kept yet. Add it under the seat bench; then its load space is measured here.</p>
  const fallback: [number, number] = space ? [Math.max(...space.floor.map((p) => p[0])) / 2, Math.max(...space.floor.map((p) => p[1])) / 2] : [0, 0]
  const beside = good?.beside ?? null
  const boxes: Standing[] = [
    { outer, yaw, at: beside?.at[0] ?? room?.at ?? fallback, name: label },
    ...(beside && other ? [{ outer: other.outer, yaw: otherYaw, at: beside.at[1], name: other.name }] : []),
  ]
  const strap = space && room && boxes[0] ? strapOf(space, boxes[0], strapped) : null
  const eyes = (space?.anchors ?? []).map((_, i) => ({ value: String(i), label: `Eye ${i + 1}` }))
  const choice = (of: 0 | 1) => (
    <Picker
      label={of === 0 ? 'Strap from' : 'Strap to'}
      value={String(strapped[of])}
      options={eyes}
      onChange={(value) => setStrapped(of === 0 ? [Number(value), strapped[1]] : [strapped[0], Number(value)])}
      className="w-full"
    />
  )
  const quiet = 'min-h-11 flex-1 rounded-[2px] border-2 border-ink bg-panel font-bold'
  return (
    <div
      className="quiet-scroll grid h-full grid-cols-[minmax(0,1fr)] gap-4 overflow-y-auto p-4 lg:grid-cols-[minmax(0,1fr)_330px]"
      tabIndex={0}
      role="group"
      aria-label="Load space"
    >
      <div className="mat min-h-[380px] border-2 border-ink lg:sticky lg:top-0 lg:max-h-[600px]">
        {space ? (
          <SpaceViews space={space} boxes={boxes} ghosts={asked && way && !beside ? way.path : []} strap={strap?.points ?? []} say={say} onSpace={draft ? setDraft : null} />
        ) : (
          <p className="p-4">The load space of {car.name} is not measured yet.</p>
        )}
      </div>
      <section aria-label="What it comes to" className="space-y-3 border-2 border-ink bg-panel p-4 text-[15px] leading-[19px]">
        <Picker
          label="Car"
          value={car.id}
          options={cars.map((each) => ({ value: each.id, label: each.name, note: each.space ? 'measured' : '' }))}
          onChange={(id) => {
            setCar(id)
            setDraft(null)
          }}
          className="w-full"
        />
        {found === 'broken' && <p className="font-semibold text-snag">Floor or side crosses itself: look at its corners.</p>}
        {good && (
          <ul className="space-y-2">
            <Line title={`On the floor, turned ${turn}°`} grade={room ? gradeInCar(room.roomMm) : 'fails'}>
              {room ? freeWords(room.roomMm, say) : 'it does not go in'}
            </Line>
            <Line title="Through the opening, level" grade={good.opening ? gradeInCar(good.opening.roomMm) : 'none'}>
              {good.opening ? freeWords(good.opening.roomMm, say) : 'measure the opening'}
            </Line>
            {other && (
              <Line title={`With ${other.name}`} grade={beside ? gradeInCar(beside.betweenMm) : 'fails'}>
                {beside === null ? 'one of them does not go in alone' : beside.betweenMm >= 0 ? `${say(beside.betweenMm)} between them` : `${say(-beside.betweenMm)} too ${along === 'y' ? 'wide' : 'long'} together`}
              </Line>
            )}
            {asked && (
              <Line title={`The way in${tipped ? ', tipped empty' : ', level'}`} grade={way === null ? 'fails' : way.giveMm >= CAR_DOUBT ? 'holds' : 'doubt'}>
                {way === null ? 'none is foretold past sill and roof' : `${say(Math.max(0, way.giveMm))} at its narrowest`}
              </Line>
            )}
            {space && space.anchors.length > 1 && (
              <li>
                <b>A strap over it:</b> {strap ? <Worded text={`${say(strap.lengthMm)} from eye to eye.`} /> : 'between these eyes it does not pass over.'} No strength is promised by its length.
                <div className="mt-1 grid grid-cols-2 gap-2">
                  {choice(0)}
                  {choice(1)}
                </div>
              </li>
            )}
          </ul>
        )}
        <div className="flex gap-2">
          {([-5, 5] as const).map((by) => (
            <button key={by} type="button" onClick={() => setTurn((was) => turned(was + by))} className={quiet}>
              {by < 0 ? 'Left' : 'Right'} <span className="max-md:hidden"><KeyCap>{by < 0 ? '[' : ']'}</KeyCap></span>
            </button>
          ))}
          <button type="button" onClick={() => setTurn((was) => (was === 0 ? 90 : 0))} className={quiet}>
            {turn === 0 ? 'Crosswise' : 'Lengthwise'}
          </button>
        </div>
        {asked && (
          <button type="button" aria-pressed={tipped} onClick={() => setTipped(!tipped)} className="block min-h-11 font-bold underline">
            {tipped ? 'Level, with a dog in it' : 'Tipped, while it is empty'}
          </button>
        )}
        <Picker label="One more crate" value={second} options={[{ value: 'none', label: 'No second crate' }, ...choices.map(({ name }) => ({ value: name, label: name }))]} onChange={setSecond} className="w-full" />
        {other && (
          <div className="flex gap-2">
            <button type="button" onClick={() => setAlong(along === 'y' ? 'x' : 'y')} className={quiet}>
              {along === 'y' ? 'One behind the other' : 'Side by side'}
            </button>
            <button type="button" onClick={() => setSecondTurn(secondTurn === 0 ? 90 : 0)} className={quiet}>
              {secondTurn === 0 ? 'It crosswise' : 'It lengthwise'}
            </button>
          </div>
        )}
        <SpaceFields key={car.id} car={car} draft={draft} onDraft={setDraft} say={say} />
        {car.space && !draft && (
          <p className="flex flex-wrap items-center gap-x-4">
            <Link className="inline-flex min-h-11 items-center font-bold underline" to={`/tickets/${ticketId}/crate/car?${new URLSearchParams({ car: car.id, label, box: [outer.lengthMm, outer.widthMm, outer.heightMm].map(Math.round).join('x'), turn: String(turn) }).toString()}`}>
              Car sheet on paper
            </Link>
            <SaveText name={`load-space-${car.name}.json`} type="application/json" text={() => loadSpaceToJson(car)}>
              Load space
            </SaveText>
          </p>
        )}
        <p className="text-[14px] leading-[18px] text-mute">
          Measured and straight: curved sides are not known. Whether a crate withstands a crash is not said by its size; makers’ tests and local rules say what
          may ride.
        </p>
      </section>
    </div>
  ) // prettier-ignore
}

/** One answer with its verdict. */
function Line({ title, grade, children }: { title: string; grade: Grade; children: ReactNode }) {
  return (
    <li>
      <b>{title}:</b> {typeof children === 'string' ? <Worded text={children} /> : children}
      {grade !== 'none' && (
        <span className="block">
          <VerdictWord grade={grade} basis="predicted" size={17} />
        </span>
      )}
    </li>
  )
}

/** A strap over a standing box between two of the car's eyes. */
function strapOf({ anchors }: CarSpace, { outer, yaw, at: [x, y] }: Standing, [from, to]: readonly [number, number]): ReturnType<typeof strapOver> {
  const [a, b] = [anchors[from], anchors[to]]
  if (!a || !b || from === to) return null
  const [c, s] = [Math.abs(Math.cos(yaw)), Math.abs(Math.sin(yaw))]
  const [hx, hy] = [(c * outer.lengthMm + s * outer.widthMm) / 2, (s * outer.lengthMm + c * outer.widthMm) / 2]
  return strapOver({ x: [x - hx, x + hx], y: [y - hy, y + hy], heightMm: outer.heightMm }, [a, b])
}
