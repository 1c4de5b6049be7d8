import { ChevronDown, ChevronUp } from 'lucide-react'
import { useRef, useState, type MouseEvent, type ReactNode, type TouchEvent } from 'react'
import { placeOfCheck, useBenchForm, useOpenTicket, type LaidState } from '../../bench'
import { VerdictWord } from '../../said/VerdictWord'
import { useAppSelector } from '../../state/store'
import { HandDrawing } from '../../ui/hands/HandDrawing'
import { handOf } from '../../ui/hands/hand-of'
import { Worded } from '../../ui/length/Worded'
import { GearPlate } from '../../ui/plates/GearPlate'
import { GearSketch } from '../../ui/plates/GearSketch'
import { plateScale } from '../../ui/plates/plate-scale'
import { useBox } from '../../ui/use-width'
import { CheckTape } from './CheckTape'
import { answeredWords, expectedOf } from './expected'
import { byOwnRules, type MatQuestion } from './mat-question'
import { NumberField } from './NumberField'
import { partAt } from './part-at'
import { useAnswer } from './use-answer'
import { VerdictKeys } from './VerdictKeys'
import { smallLengths } from '../../words/small-lengths'
import { Problem } from '../../ui/controls/Problem'

const KEYS: readonly { text: string; label: string }[] = [
  { text: '1', label: '1' },
  { text: '1 1/2', label: '1½' },
  { text: '2', label: '2' },
  { text: '2 1/2', label: '2½' },
  { text: '3', label: '3' },
  { text: '3 1/2', label: '3½' },
  { text: 'hand', label: 'hand' },
]
/** A finger that goes so far sideways turns the page, px. */
const SWIPE = 60

interface PhoneCheckProps extends MatQuestion {
  /** Which of the state’s checks is on the screen. */
  at: number
  onAt: (at: number) => void
  /** What comes after the last one of this state. */
  after: { words: string; go: () => void } | null
  /** The round and its clock. */
  roundWords: ReactNode
  next: ReactNode
}

/** One check a screen: the part close by, how it is made, big keys for fingers and verdicts. */
export function PhoneCheck(props: PhoneCheckProps) {
  const { item, round, state, checks, newest, foretold, rules, at, onAt, after, onKept, onPart, hint, roundWords, next } = props
  const check = checks[at]
  return check ? (
    <OnePage
      key={`${round.id} ${check.id} ${state}`}
      {...{ item, round, state, newest, foretold, at, onAt, after, onKept, onPart, hint, roundWords, next }}
      check={byOwnRules(check, rules)}
      following={checks[at + 1]?.name ?? null}
      riseRad={props.riseRad}
    />
  ) : (
    <p className="px-4 py-6 text-mute">Nothing is looked at in this state.</p>
  )
}

interface OnePageProps extends Pick<
  PhoneCheckProps,
  'item' | 'round' | 'state' | 'newest' | 'foretold' | 'at' | 'onAt' | 'after' | 'onKept' | 'onPart' | 'hint' | 'roundWords' | 'next' | 'riseRad'
> {
  check: MatQuestion['checks'][number]
  following: string | null
}

function OnePage({ item, round, state, newest, foretold, at, onAt, after, onKept, onPart, hint, roundWords, next, riseRad, check, following }: OnePageProps) {
  const { form } = useBenchForm()
  const { name } = useOpenTicket()
  const { unit } = useAppSelector((store) => store.settings)
  const answer = newest.get(`${check.id}/${state}`)
  const hand = useAnswer({ check, family: item.family, state, round, answer, onKept })
  const expected = expectedOf(round, check.id, state)
  const [how, setHow] = useState(false)
  const [field, setField] = useState(check.gauge?.kind === 'gap')
  const [ref, box] = useBox<HTMLDivElement>(390, 240)
  const from = useRef<number | null>(null)
  const laid = foretold?.laid ?? null
  const pulls = laid !== null && (laid.pulling.nodes.tug !== undefined || laid.pulling.family === 'H21')
  const as: LaidState = state === 'pulling' || (state === 'moving' && pulls) ? 'pulling' : 'slack'
  const place = foretold && placeOfCheck({ check: check.id }, foretold, form, as)
  const said = answer ? answeredWords(answer, unit) : ''
  const press = (event: MouseEvent<HTMLElement>): void => {
    if (!foretold || !laid) return
    const frame = event.currentTarget.getBoundingClientRect()
    const scale = plateScale(form, 'side', { ...box, focus: place, lined: as === 'pulling' && pulls })
    onPart(partAt({ x: event.clientX - frame.left, y: event.clientY - frame.top }, item.family, foretold, form, as, scale.on))
  }
  const touch = {
    onTouchStart: (event: TouchEvent) => {
      from.current = event.touches[0]?.clientX ?? null
    },
    onTouchEnd: (event: TouchEvent) => {
      const moved = from.current === null ? 0 : (event.changedTouches[0]?.clientX ?? from.current) - from.current
      if (moved < -SWIPE)
        if (following !== null) onAt(at + 1)
        else after?.go()
      if (moved > SWIPE && at > 0) onAt(at - 1)
    },
  }
  return (
    <section role="group" aria-label={`${check.name}, ${state}`} className="flex min-h-0 flex-1 flex-col" {...touch}>
      <header className="shrink-0 border-b-2 border-ink bg-bench px-4 py-1.5">
        <div className="flex items-baseline justify-between gap-2">
          <h2 className="text-[22px] leading-[26px]">{check.name}</h2>
          <span className="shrink-0 text-[14px] text-mute">{roundWords}</span>
        </div>
        <button
          type="button"
          aria-expanded={how}
          onClick={() => setHow(!how)}
          className="flex min-h-11 w-full items-center justify-between gap-2 text-left text-[15px] leading-[18px]"
        >
          <span>
            {smallLengths(check.pass, unit)} <b>How</b>
          </span>
          {how ? <ChevronUp size={20} aria-hidden /> : <ChevronDown size={20} aria-hidden />}
        </button>
        {how && (
          <p className="pb-1 text-[15px] leading-[19px]">
            {hint} {check.how}
            {hand.small && <b> So small a dog: 1½ to 2.</b>}
          </p>
        )}
      </header>
      {/* A press on the dog lists what can be seen there; the page of symptoms has them all. */}
      <div ref={ref} onClick={press} className="mat relative min-h-[120px] flex-1 overflow-hidden border-b-2 border-ink">
        <div className="absolute inset-0">
          {laid ? (
            <GearPlate
              form={form}
              view="side"
              lay={laid[as]}
              ghost={as === 'pulling' ? laid.slack : null}
              riseRad={as === 'pulling' && pulls ? riseRad : null}
              tags={place ? [{ n: at + 1, at: place, grade: answer?.grade ?? expected?.grade ?? 'none', seen: answer !== undefined }] : []}
              focus={place}
              width={box.width}
              height={box.height}
              label={`${round.label} on ${name}, ${as}, close by`}
            />
          ) : (
            <GearSketch form={form} family={item.family} width={box.width} height={box.height} label={`${round.label} on ${name}`} />
          )}
        </div>
        <div className="absolute top-2 left-2 border-[1.5px] border-ink bg-panel p-1">
          <HandDrawing pose={handOf(check)} height={82} />
        </div>
      </div>
      <div className="shrink-0 px-3 py-1.5">
        <div className="flex min-h-6 items-center justify-between gap-2 text-[15px]">
          {expected ? <VerdictWord grade={expected.grade} basis="predicted" size={18} /> : <span />}
          {answer ? <VerdictWord grade={answer.grade} basis="seen" size={18} /> : <span className="text-mute">Not tried</span>}
        </div>
        {check.gauge && <CheckTape check={check} state={state} expected={expected} now={foretold} answer={answer} hand={hand} />}
        {(said || hand.beside) && (
          <p className="flex justify-between gap-2 text-[15px]">
            <b>{said}</b>
            <span className="text-mute">
              <Worded text={hand.beside} />
            </span>
          </p>
        )}
        <Problem className="text-[15px]">{hand.problem}</Problem>
      </div>
      {check.gauge && field && (
        <div className="flex shrink-0 gap-1.5 px-1.5 pb-1.5">
          <div className="flex-1">
            <NumberField check={check} hand={hand} wide />
          </div>
          {check.gauge.kind !== 'gap' && <PhoneKey onPress={() => setField(false)}>fingers</PhoneKey>}
        </div>
      )}
      {check.gauge && check.gauge.kind !== 'gap' && !field && (
        <div className="grid shrink-0 grid-cols-4 gap-1.5 px-1.5 pb-1.5" role="group" aria-label="Fingers that go in">
          {KEYS.map(({ text, label }) => (
            <PhoneKey key={text} on={answer?.asTyped === text} onPress={() => hand.judgeNumber(text)}>
              {label}
            </PhoneKey>
          ))}
          <PhoneKey
            onPress={() => {
              hand.setBy('length')
              setField(true)
            }}
          >
            {unit === 'in' ? 'in / cm' : 'cm / in'}
          </PhoneKey>
        </div>
      )}
      <div className="shrink-0 px-1.5 pb-1.5">
        <VerdictKeys grade={answer?.grade} onJudge={hand.judge} big />
      </div>
      <footer className="grid shrink-0 grid-cols-[minmax(104px,0.55fr)_1fr] gap-1.5 border-t-2 border-ink p-1.5">
        <button
          type="button"
          onClick={() => (following !== null ? onAt(at + 1) : after?.go())}
          disabled={following === null && after === null}
          className="min-h-[68px] rounded-[2px] border-2 border-ink bg-panel px-2 text-[15px] leading-[18px] font-bold disabled:border-edge disabled:text-mute"
        >
          {following !== null ? `Next: ${following}` : (after?.words ?? 'Last check')}
        </button>
        {next}
      </footer>
    </section>
  )
}

function PhoneKey({ on = false, onPress, children }: { on?: boolean; onPress: () => void; children: string }) {
  return (
    <button
      type="button"
      aria-pressed={on}
      onClick={onPress}
      className="min-h-[50px] min-w-16 rounded-[2px] border-[1.5px] border-ink bg-panel px-1 text-[19px] font-bold active:bg-ink active:text-panel aria-pressed:bg-ink aria-pressed:text-panel"
    >
      {children}
    </button>
  )
}
