import type { Check, Foretold, Observation, PullState, TryOn } from '@merry-tailor/core'
import { useState } from 'react'
import { placeOfCheck, useBenchForm, useOpenTicket, type LaidState } from '../../bench'
import { GearPlate, type PlateTag } from '../../ui/plates/GearPlate'
import { useMedia } from '../../ui/use-media'
import { useWidth } from '../../ui/use-width'
import { useKeys } from '../../state/use-keys'
import { KeyCap } from '../../ui/controls/KeyCap'

interface RoundMatProps {
  round: TryOn
  state: PullState
  checks: readonly Check[]
  newest: ReadonlyMap<string, Observation>
  foretold: Foretold
  riseRad: number
  label: string
}

const VIEWS = ['side', 'above', 'front', 'below'] as const

/** The dog of this round with what it wears, each check of the state by its number: hollow foretold, solid seen. */
export function RoundMat({ round, state, checks, newest, foretold, riseRad, label }: RoundMatProps) {
  const { form } = useBenchForm()
  const { name } = useOpenTicket()
  const [ref, width] = useWidth<HTMLDivElement>(560)
  const phone = useMedia('(max-width: 767px)')
  const [view, setView] = useState(0)
  const turn = (): void => setView((view + 1) % VIEWS.length)
  useKeys({ f: turn })
  const { laid } = foretold
  if (!laid) return null
  const pulls = laid.pulling.nodes.tug !== undefined || laid.pulling.family === 'H21'
  const as: LaidState = state === 'pulling' || (state === 'moving' && pulls) ? 'pulling' : 'slack'
  const tags = checks.flatMap((check, i): PlateTag[] => {
    const at = placeOfCheck({ check: check.id }, foretold, form, as)
    const seen = newest.get(`${check.id}/${state}`)
    const expected = round.foretold?.checks.find((each) => each.check === check.id && each.state === state && each.grade !== 'none')
    return at ? [{ n: i + 1, at, grade: seen?.grade ?? expected?.grade ?? 'none', seen: seen !== undefined }] : []
  })
  const shown = VIEWS[view] ?? 'side'
  return (
    <div ref={ref} className="mat relative border-b-2 border-ink">
      <GearPlate
        form={form}
        view={shown}
        lay={laid[as]}
        ghost={as === 'pulling' ? laid.slack : null}
        tags={tags}
        riseRad={as === 'pulling' && pulls ? riseRad : null}
        width={width}
        height={phone ? 230 : Math.round(Math.min(330, Math.max(220, width * 0.52)))}
        label={`${label} on ${name}, ${as}, from the ${shown}: hollow numbers are foretold, solid ones seen`}
      />
      <button
        type="button"
        onClick={turn}
        className="absolute top-2 left-2 inline-flex min-h-11 items-center gap-2 rounded-[2px] border-[1.5px] border-ink bg-panel px-3 text-[14.5px] font-bold"
      >
        Seen from {shown === 'side' ? 'the side' : shown === 'front' ? 'the front' : shown} <KeyCap>F</KeyCap>
      </button>
    </div>
  )
}
