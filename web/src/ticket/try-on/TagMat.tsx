import type { Grade } from '@merry-tailor/core'
import { useState, type MouseEvent } from 'react'
import { placeOfCheck, useBenchForm, useOpenTicket, type LaidState } from '../../bench'
import { useKeys } from '../../state/use-keys'
import { KeyCap } from '../../ui/controls/KeyCap'
import { DogPlates } from '../../ui/plates/DogPlates'
import { GearPlate } from '../../ui/plates/GearPlate'
import { GearSketch } from '../../ui/plates/GearSketch'
import { Leader } from '../../ui/plates/Leader'
import { plateScale } from '../../ui/plates/plate-scale'
import { TagDisc } from '../../ui/plates/TagDisc'
import { leaderFrom, type TagBox } from '../../ui/plates/tag-box'
import { tagOrder } from '../../ui/plates/tag-order'
import { placed, type PlateTag } from '../../ui/plates/tag-discs'
import { useBox, useWidth } from '../../ui/use-width'
import { CheckTag } from './CheckTag'
import { expectedOf } from './expected'
import { OpenCheck } from './OpenCheck'
import { partAt } from './part-at'
import { OPEN_HEIGHT, tagPlaces } from './tag-places'
import { byOwnRules, type MatQuestion } from './mat-question'

const VIEWS = ['side', 'above', 'front', 'below'] as const
/** Too narrow for tags round the dog: they stand under it. */
const NARROW = 640
const NONE = { left: 0, top: 0, right: 0, bottom: 0 }

/** The dog of this round in the middle, each check of the state a tag round it; one tag at a time is open. */
export function TagMat({
  item,
  round,
  state,
  checks,
  newest,
  foretold,
  isLaying,
  riseRad,
  rules,
  open,
  onOpen,
  onPart,
  onKept,
  hint,
  leastHeight,
}: MatQuestion & { leastHeight: number }) {
  const { form } = useBenchForm()
  const { name } = useOpenTicket()
  const [ref, width] = useWidth<HTMLDivElement>(790)
  const [view, setView] = useState(0)
  const turn = (): void => setView((view + 1) % VIEWS.length)
  useKeys({ f: turn })
  const laid = foretold?.laid ?? null
  const pulls = laid !== null && (laid.pulling.nodes.tug !== undefined || laid.pulling.family === 'H21')
  const as: LaidState = state === 'pulling' || (state === 'moving' && pulls) ? 'pulling' : 'slack'
  const lined = as === 'pulling' && pulls
  const shown = VIEWS[view] ?? 'side'
  const narrow = width < NARROW
  const [cardRef, cardBox] = useBox<HTMLDivElement>(0, OPEN_HEIGHT)
  const places = tagPlaces(width, Math.max(430, leastHeight), checks.length, Math.max(OPEN_HEIGHT, cardBox.height))
  const height = narrow ? 300 : places.height
  const inset = narrow ? NONE : places.inset
  const scale = plateScale(form, shown, { width, height, lined, inset })
  const tags = checks.flatMap((check, i): PlateTag[] => {
    const at = foretold && placeOfCheck({ check: check.id }, foretold, form, as)
    const seen = newest.get(`${check.id}/${state}`)
    const grade: Grade = seen?.grade ?? expectedOf(round, check.id, state)?.grade ?? 'none'
    return at ? [{ n: i + 1, at, grade, seen: seen !== undefined }] : []
  })
  const discs = placed(tags, scale.on, {
    left: 0,
    top: inset.top,
    right: width - inset.right,
    bottom: height - inset.bottom,
  })
  /** Those over the dog are of what lies behind, those beside it of what lies in front. */
  const order = tagOrder(checks.length, places.closed.filter(({ over }) => over).length, tags)
  const openAt = checks.findIndex((check) => check.id === open)
  const tap = (event: MouseEvent<HTMLElement>): void => {
    if (!foretold) return
    const frame = event.currentTarget.getBoundingClientRect()
    onPart(partAt({ x: event.clientX - frame.left, y: event.clientY - frame.top }, item.family, foretold, form, as, scale.on))
  }
  const opened = checks[openAt]
  const card = opened && (
    <OpenCheck
      key={`${round.id} ${opened.id} ${state}`}
      n={openAt + 1}
      check={byOwnRules(opened, rules)}
      family={item.family}
      state={state}
      round={round}
      answer={newest.get(`${opened.id}/${state}`)}
      expected={expectedOf(round, opened.id, state)}
      now={foretold}
      onClose={() => onOpen(null)}
      onKept={onKept}
    />
  )
  const tagOf = (i: number, place?: TagBox) => {
    const check = checks[i]
    return (
      check && (
        <CheckTag
          key={check.id}
          n={i + 1}
          check={byOwnRules(check, rules)}
          state={state}
          expected={expectedOf(round, check.id, state)}
          answer={newest.get(`${check.id}/${state}`)}
          now={foretold}
          current={i === openAt}
          tape={!narrow && places.tapes}
          {...(place ? { place } : {})}
          onOpen={() => onOpen(i === openAt ? null : check.id)}
        />
      )
    )
  }
  return (
    <div ref={ref} className="mat relative border-b-2 border-ink" style={narrow ? undefined : { height }}>
      {/* A press on the dog lists what can be seen there; by keyboard the list of symptoms has them all. */}
      <div onClick={tap} className="relative">
        {laid ? (
          <GearPlate
            form={form}
            view={shown}
            lay={laid[as]}
            ghost={as === 'pulling' ? laid.slack : null}
            riseRad={lined ? riseRad : null}
            width={width}
            height={height}
            inset={inset}
            label={`${round.label} on ${name}, ${as}, from the ${shown}: hollow numbers are foretold, solid ones seen`}
          />
        ) : isLaying ? (
          <svg aria-hidden width={width} height={height} className="block">
            <DogPlates form={form} view={shown} scale={scale} width={width} />
          </svg>
        ) : (
          <div style={{ paddingTop: inset.top, height }}>
            <GearSketch
              form={form}
              family={item.family}
              width={width - inset.right}
              height={height - inset.top - inset.bottom}
              label={`${round.label} on ${name}, from the side`}
            />
          </div>
        )}
        <svg aria-hidden width={width} height={height} className="pointer-events-none absolute inset-0 overflow-hidden">
          {!narrow &&
            discs.map((disc) => {
              const from = leaderFrom(disc.disc, disc.n - 1 === openAt ? places.open : places.closed[order.indexOf(disc.n - 1)])
              return from && <Leader key={disc.n} from={from} to={disc.disc} />
            })}
          {discs.map((disc) => (
            <TagDisc key={disc.n} {...disc} />
          ))}
        </svg>
      </div>
      <div
        className={`flex items-center gap-x-4 gap-y-1 text-[14px] ${narrow ? 'flex-wrap px-3 pb-2' : 'absolute bottom-1 left-2'}`}
        style={narrow ? undefined : { maxWidth: width - inset.right - 12 }}
      >
        {laid && (
          <button
            type="button"
            onClick={turn}
            className="inline-flex min-h-11 shrink-0 items-center gap-2 rounded-[2px] border-[1.5px] border-ink bg-panel px-3 text-[14.5px] font-bold"
          >
            Seen from {shown === 'side' ? 'the side' : shown === 'front' ? 'the front' : shown} <KeyCap>F</KeyCap>
          </button>
        )}
        {hint && <p className="min-w-0 flex-1 leading-[16px] text-ink">{hint}</p>}
      </div>
      {narrow ? (
        <>
          {card}
          <div className="grid grid-cols-2 gap-2 p-2">{checks.map((_, i) => i !== openAt && tagOf(i))}</div>
        </>
      ) : (
        <>
          {order.map((i, slot) => i !== openAt && tagOf(i, places.closed[slot]))}
          <div
            ref={cardRef}
            className="absolute z-10 flex"
            style={{ left: places.open.x, top: places.open.y, width: places.open.width, minHeight: OPEN_HEIGHT }}
          >
            {card}
          </div>
        </>
      )}
    </div>
  )
}
