import { insideOf, type FamilyId, type Inside, type MeasuredCrate } from '@merry-tailor/core'
import { useState } from 'react'
import { useChangeShopMutation } from '../../api/queries'
import { LengthEntry } from '../../length-entry'
import { useOnce } from '../../state/use-once'
import { useShop } from '../../state/use-shop'
import { problemWords } from '../../words/problems'
import { Problem } from '../../ui/controls/Problem'

/** A crate's inside as somebody measured it: length, width, height, and its door where it has one. */
export function InsideFields({ family, label, inside, onDone }: { family: FamilyId; label: string; inside: Inside; onDone: () => void }) {
  const { crates } = useShop()
  const [change] = useChangeShopMutation()
  const once = useOnce()
  const [problem, setProblem] = useState<string | null>(null)
  const [now, setNow] = useState({ lengthMm: inside.lengthMm, widthMm: inside.widthMm, heightMm: inside.heightMm })
  const [door, setDoor] = useState(inside.door ?? null)
  const [wrong, setWrong] = useState<readonly string[]>([])
  const field = (name: string, mm: number, onSet: (mm: number) => void) => (
    <LengthEntry
      label={name}
      mm={mm}
      least={50}
      most={3000}
      onSet={onSet}
      onRead={(good) => setWrong((was) => (good ? was.filter((each) => each !== name) : [...new Set([...was, name])]))}
    />
  )
  const keep = (next: MeasuredCrate[]): void =>
    void once(async () => {
      const answer = await change([{ field: 'crates', from: crates, to: next }])
      setProblem(answer.error ? `Not kept. ${problemWords(answer.error)}` : null)
      const kept = !answer.error
      if (kept) onDone()
      return kept
    })
  const isThis = (each: MeasuredCrate): boolean => each.label === label && each.family === family
  const others = crates.filter((each) => !isThis(each))
  const usual = insideOf(label)
  return (
    <div className="space-y-2 border-2 border-ink bg-panel p-2.5">
      <div className="grid grid-cols-3 gap-2">
        {field('Length', now.lengthMm, (lengthMm) => setNow({ ...now, lengthMm }))}
        {field('Width', now.widthMm, (widthMm) => setNow({ ...now, widthMm }))}
        {field('Height', now.heightMm, (heightMm) => setNow({ ...now, heightMm }))}
      </div>
      {door ? (
        <div className="grid grid-cols-2 gap-2">
          {field('Door, width', door.widthMm, (widthMm) => setDoor({ ...door, widthMm }))}
          {field('Door, height', door.heightMm, (heightMm) => setDoor({ ...door, heightMm }))}
        </div>
      ) : (
        <button
          type="button"
          onClick={() => setDoor({ widthMm: usual.widthMm * 0.75, heightMm: usual.heightMm * 0.85 })}
          className="min-h-11 font-bold underline"
        >
          Its door too
        </button>
      )}
      <Problem>{problem}</Problem>
      <div className="flex flex-wrap gap-2">
        <button
          type="button"
          disabled={wrong.length > 0}
          onClick={() => keep([...others, { family, label, ...now, door }])}
          className="min-h-11 rounded-[2px] border-2 border-ink bg-panel px-4 font-bold hover:bg-bench disabled:text-mute"
        >
          Keep it
        </button>
        {crates.some(isThis) && (
          <button type="button" onClick={() => keep(others)} className="min-h-11 px-2 font-bold underline">
            By its label again
          </button>
        )}
        <button type="button" onClick={onDone} className="min-h-11 px-2 underline">
          Leave it
        </button>
      </div>
    </div>
  )
}
