import { spaceProblem, type Car, type CarSpace, type SpaceProblem } from '@merry-tailor/core'
import { useState } from 'react'
import { useChangeCarMutation } from '../../api/queries'
import { LengthEntry } from '../../length-entry'
import { useOnce } from '../../state/use-once'
import { problemWords } from '../../words/problems'
import { Problem } from '../../ui/controls/Problem'

const PROBLEMS: Readonly<Record<SpaceProblem, string>> = {
  'floor-crosses': 'The floor crosses itself or is bent inwards: look at its corners.',
  'side-crosses': 'The side crosses itself or is bent inwards: look at its corners.',
  'arch-outside': 'An arch lies outside the floor.',
}
const top = (points: readonly (readonly [number, number])[], k: 0 | 1): number => Math.max(...points.map((p) => p[k]))

/** A plain boot to begin with, mm. */
export const PLAIN: CarSpace = {
  floor: [[0, 0], [900, 0], [900, 1050], [0, 1050]],
  side: [[0, 0], [900, 0], [760, 720], [0, 780]],
  arches: [{ xMm: [350, 800], yMm: [0, 110], heightMm: 300 }, { xMm: [350, 800], yMm: [940, 1050], heightMm: 300 }],
  opening: [[0, 0], [1000, 0], [900, 700], [100, 700]],
  floorUpMm: 600,
  sillMm: 30,
  anchors: [[60, 60, 0], [60, 990, 0], [850, 60, 0], [850, 990, 0]],
} // prettier-ignore

interface Plain {
  long: number
  wide: number
  high: number
  /** Length at the roof. */
  back: number
  arch: number
  archHigh: number
  openWide: number
  openHigh: number
}

/** A space in the few numbers a tape gives at once. */
function plainOf({ floor, side, arches, opening }: CarSpace): Plain {
  const arch = arches[0]
  return {
    long: top(floor, 0),
    wide: top(floor, 1),
    high: top(side, 1),
    back: side.reduce((most, p) => (p[0] > most && p[1] > 100 ? p[0] : most), 0),
    arch: arch ? arch.yMm[1] - arch.yMm[0] : 0,
    archHigh: arch?.heightMm ?? 300,
    openWide: top(opening ?? [[0, 0]], 0),
    openHigh: top(opening ?? [[0, 0]], 1),
  }
}

/** The same numbers as a space: straight sides, arches over the axle, eyes in the corners. */
function spaceOf({ long, wide, high, back, arch, archHigh, openWide, openHigh }: Plain, was: CarSpace): CarSpace {
  const along: [number, number] = [long * 0.4, long * 0.9]
  return {
    ...was,
    floor: [[0, 0], [long, 0], [long, wide], [0, wide]],
    side: [[0, 0], [long, 0], [Math.min(back, long), high], [0, high]],
    arches: arch > 0 ? [{ xMm: along, yMm: [0, arch], heightMm: archHigh }, { xMm: along, yMm: [wide - arch, wide], heightMm: archHigh }] : [],
    opening: openWide > 0 && openHigh > 0 ? [[0, 0], [openWide, 0], [openWide * 0.94, openHigh], [openWide * 0.06, openHigh]] : null,
    anchors: [[60, 60, 0], [60, wide - 60, 0], [long - 60, 60, 0], [long - 60, wide - 60, 0]],
  } // prettier-ignore
}

interface SpaceFieldsProps {
  car: Car
  /** The space as it is being measured; `null` while it is not. */
  draft: CarSpace | null
  onDraft: (next: CarSpace | null) => void
  say: (mm: number) => string
}

/** The load space typed in, beside its corners that can be dragged; kept with the car. */
export function SpaceFields({ car, draft, onDraft, say }: SpaceFieldsProps) {
  const [change] = useChangeCarMutation()
  const once = useOnce()
  const [problem, setProblem] = useState<string | null>(null)
  if (!draft) {
    const now = car.space && plainOf(car.space)
    return (
      <button type="button" onClick={() => onDraft(car.space ?? PLAIN)} className="min-h-11 text-left font-bold underline">
        {now ? `Measure it again (${say(now.long)} by ${say(now.wide)}, ${say(now.high)} high)` : 'Measure its load space'}
      </button>
    )
  }
  const now = plainOf(draft)
  const wrong = spaceProblem(draft)
  const set = (over: Partial<Plain>): void => onDraft(spaceOf({ ...now, ...over }, draft))
  const keep = (): void =>
    void once(async () => {
      const answer = await change({ id: car.id, changes: [{ field: 'space', from: car.space, to: draft }] })
      setProblem(answer.error ? `Not kept. ${problemWords(answer.error)}` : null)
      if (!answer.error) onDraft(null)
      return !answer.error
    })
  const field = (label: string, key: keyof Plain, least: number, most: number) => (
    <LengthEntry label={label} mm={now[key]} least={least} most={most} onSet={(mm) => set({ [key]: mm })} />
  )
  return (
    <div className="space-y-2 border-2 border-ink p-2.5">
      <p className="text-[14px] text-mute">Type the lengths, or drag the corners in the picture; arrow keys move a corner 5 mm, with Shift 1 mm.</p>
      <div className="grid grid-cols-2 gap-2">
        {field('Floor, sill to seat', 'long', 200, 4000)}
        {field('Floor, wide', 'wide', 200, 2500)}
        {field('Height', 'high', 200, 2500)}
        {field('Length at the top', 'back', 100, 4000)}
        {field('Arch, each side', 'arch', 0, 600)}
        {field('Arch, high', 'archHigh', 0, 1200)}
        {field('Opening, wide', 'openWide', 0, 2500)}
        {field('Opening, high', 'openHigh', 0, 2500)}
        <LengthEntry label="Sill over the floor" mm={draft.sillMm} least={0} most={600} onSet={(sillMm) => onDraft({ ...draft, sillMm })} />
        <LengthEntry label="Floor over the ground" mm={draft.floorUpMm} least={0} most={1500} onSet={(floorUpMm) => onDraft({ ...draft, floorUpMm })} />
      </div>
      {(wrong ?? problem) && (
        <Problem>
          {wrong ? PROBLEMS[wrong] : problem}
        </Problem>
      )}
      <div className="flex gap-2">
        <button type="button" disabled={wrong !== null} onClick={keep} className="min-h-11 rounded-[2px] border-2 border-ink bg-panel px-4 font-bold hover:bg-bench disabled:opacity-50">
          Keep it
        </button>
        <button type="button" onClick={() => onDraft(null)} className="min-h-11 px-2 underline">
          Leave it
        </button>
      </div>
    </div>
  ) // prettier-ignore
}
