import { isOf, labelsOf, offerKey, predictionOf, tableIn, type WornChoice, type Item, type Offer, type Prediction, type TryOn } from '@merry-tailor/core'
import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import { useOnce } from '../../state/use-once'
import { Picker } from '../../ui/controls/Picker'
import { TextField } from '../../ui/controls/TextField'
import { faceOf } from '../../words/offer-face'
import { firstRoundOf } from '../../words/try-on'
import { problemWords } from '../../words/problems'
import { useRanked, useOpenTicket, useActs, strapsIn } from '../../bench'
import { foretellBeside } from '../../form'
import { NEW_ROUND } from './new-round-id'
import { movesBetween, settingIds } from './moves'
import { useLayAhead } from './use-round-lay'
import { Problem } from '../../ui/controls/Problem'

/** Something that can be put on: what it is called, whose it is, and what the round will name. */
interface Wearable {
  value: string
  label: string
  note: string
  of: TryOn['of']
}

/** What is named when this size of this offer is worn: the choice it is of, the piece, or the table. */
function ofWhat(offer: Offer, label: string, choice: WornChoice | undefined): TryOn['of'] {
  const chosen = choice && isOf(choice, offer) && (choice.kind === 'gear' || choice.kind === 'made' || labelsOf(choice).includes(label))
  if (chosen) return { choiceId: choice.id }
  if (offer.kind === 'gear') return { pieceId: offer.piece.id }
  const table = tableIn(offer)
  return table ? { tableId: table.id, tableVersion: table.version } : { named: true }
}

const wearables = (ranked: readonly Offer[], choice: WornChoice | undefined): Wearable[] =>
  ranked.flatMap((offer) => {
    const face = faceOf(offer)
    return face.sizes.map((size): Wearable => {
      const label = offer.kind === 'made' ? 'Made to measure' : size.label
      return { value: `${offerKey(offer)}|${size.label}`, label, note: face.maker, of: ofWhat(offer, size.label, choice) }
    })
  })

const secondsSince = (at: string): number => Math.max(0, Math.min(86_400, Math.round((Date.now() - Date.parse(at)) / 1000)))

/** Begins a round: what is put on, and what was changed since the one before. */
export function NewRound({ item, onMade }: { item: Item; onMade: (id: string) => void }) {
  const { sheet, name } = useOpenTicket()
  const { ranked, choice } = useRanked(item)
  const acts = useActs()
  const once = useOnce()
  const says = firstRoundOf(item.family)
  const rounds = sheet.tryOns.filter((round) => round.itemId === item.id && !round.struck)
  const [picked, setPicked] = useState<string | null>(null)
  // What is made for this dog is tried as a trial first: it needs no name of a maker's.
  const [other, setOther] = useState(item.way === 'made' ? 'Trial' : '')
  const [changed, setChanged] = useState('')
  const [problem, setProblem] = useState<string | null>(null)

  const sizes = wearables(ranked, choice)
  const tried = rounds.map((round) => round.label)
  /** What was chosen and not tried yet, then what was worn last, then the best there is. */
  const chosen = sizes.filter((size) => 'choiceId' in size.of)
  const wish =
    chosen.find((size) => !tried.includes(size.label)) ??
    sizes.find((size) => size.label === rounds.at(-1)?.label) ??
    chosen[0] ??
    sizes.find((size) => size.value === `${ranked[0] ? offerKey(ranked[0]) : ''}|${ranked[0]?.best?.label ?? ''}`)
  const value = picked ?? wish?.value ?? sizes[0]?.value ?? 'other'
  const size = sizes.find((each) => each.value === value)
  const label = size?.label ?? other.trim()
  const last = rounds.at(-1)
  // Foretold while it is being picked: the round opens at the press, and not a moment after.
  const ahead = useLayAhead(item.family, item.id, JSON.stringify(size?.of ?? { named: true }), label)
  /** How the straps stand, or stood when the last round began. */
  const straps = (round?: TryOn) => strapsIn(sheet.settings, ahead.thing, sheet.dog?.id ?? null, round)
  /** Kept before the first answer: what it is expected to show, as it is set now. */
  const foretoldNow = async (): Promise<Prediction | null> => {
    const now = ahead.isFresh ? ahead.now : ahead.asked && (await foretellBeside(`begin ${item.id}`, ahead.asked))?.[0]
    return now ? predictionOf(now) : null
  }
  const begin = async (): Promise<boolean> => {
    if (!label) {
      setProblem('Name the size that is on the dog.')
      return false
    }
    const id = uuid()
    const { error } = await acts.tryOn(
      {
        itemId: item.id,
        of: size?.of ?? { named: true },
        label: label.slice(0, 40),
        settings: settingIds(sheet.settings, ahead.thing),
        changed: changed.trim(),
        foretold: await foretoldNow(),
        moves: last ? movesBetween(item.family, straps(last), straps()) : [],
        seconds: last ? secondsSince(last.at) : null,
      },
      id,
    )
    if (error) {
      setProblem(`Not saved. ${problemWords(error)}`)
      return false
    }
    setChanged('')
    setPicked(null)
    setProblem(null)
    onMade(id)
    return true
  }
  return (
    <form
      id={NEW_ROUND}
      className="shrink-0 space-y-2 border-t-2 border-ink p-3"
      onSubmit={(event) => {
        event.preventDefault()
        void once(begin)
      }}
    >
      <Picker
        label={says.sizeLabel}
        value={value}
        options={[...sizes.map(({ value: each, label: says, note }) => ({ value: each, label: says, note })), { value: 'other', label: 'Another piece' }]}
        onChange={setPicked}
        className="w-full"
      />
      {!size && <TextField label="Its name or size" value={other} maxLength={40} onChange={(event) => setOther(event.target.value)} />}
      {rounds.length > 0 && (
        <TextField
          label="What was changed since?"
          value={changed}
          maxLength={300}
          placeholder="Girth strap let out, both sides"
          onChange={(event) => setChanged(event.target.value)}
        />
      )}
      <Problem>{problem}</Problem>
      <button
        type="submit"
        className={`min-h-14 w-full rounded-[2px] border-2 border-ink px-4 text-left text-[18px] leading-[21px] font-bold ${rounds.length > 0 ? 'bg-panel hover:bg-bench' : 'bg-tape text-tape-ink'}`}
      >
        {rounds.length === 0 ? says.button(label || 'it', name) : says.again(label || 'it')}
      </button>
    </form>
  )
}
