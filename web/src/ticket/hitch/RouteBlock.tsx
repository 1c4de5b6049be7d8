import { SURFACES, type Surface } from '@merry-tailor/core'
import { NumberEntry } from '../../length-entry'
import { Button } from '../../ui/controls/Button'
import { Named } from '../../ui/controls/Named'
import { Picker } from '../../ui/controls/Picker'
import { SURFACE_NAMES } from '../../words/hitch'
import type { DraftNow, Stretch } from './draft-now'
import { GradeField } from './GradeField'

/** So many stretches make a way. */
const MOST = 12

/** The way it is planned for, stretch by stretch: what pulls hardest, where it runs by itself, what it all comes to. */
export function RouteBlock({
  route,
  now,
  name,
  kg,
  onSet,
}: {
  route: readonly Stretch[]
  now: DraftNow | null
  name: string
  kg: (newton: number) => string
  onSet: (route: Stretch[]) => void
}) {
  const found = now?.route ?? null
  const put = (i: number, over: Partial<Stretch>): void => onSet(route.map((each, k) => (k === i ? { ...each, ...over } : each)))
  return (
    <details className="border-t border-rule" open={route.length > 0 || undefined}>
      <summary className="flex min-h-11 cursor-pointer items-center justify-between font-bold">
        The way <span className="text-[14px] font-normal text-mute">{route.length === 0 ? 'none planned' : `${route.length} stretches`}</span>
      </summary>
      <ol className="space-y-2">
        {route.map((stretch, i) => (
          <li key={i} className={`space-y-1.5 border-l-[5px] py-1 pl-2 ${found?.worst === i ? 'border-ink' : 'border-rule'}`}>
            <p className="flex flex-wrap items-baseline justify-between gap-x-2 text-[15px]">
              <b className="whitespace-nowrap">Stretch {i + 1}</b>
              {found && (
                <span className={found.holdBack.includes(i) ? 'font-bold text-chalk' : ''}>
                  {found.holdBack.includes(i) ? `holds back ${kg(found.pullsN[i] ?? 0)}` : `pulls ${kg(found.pullsN[i] ?? 0)}`}
                </span>
              )}
              <button
                type="button"
                className="min-h-11 min-w-11 px-1 font-semibold underline"
                aria-label={`Take stretch ${i + 1} off`}
                onClick={() => onSet(route.filter((_, k) => k !== i))}
              >
                off
              </button>
            </p>
            <NumberEntry
              label="Metres"
              value={stretch.lengthM}
              onSet={(lengthM) => put(i, { lengthM })}
              least={1}
              most={100_000}
              problem="From 1 to 100,000 m."
            />
            <Named label={`Stretch ${i + 1} runs on`}>
              <Picker
                label={`Stretch ${i + 1} runs on`}
                value={stretch.surface}
                options={(Object.keys(SURFACES) as Surface[]).map((value) => ({ value, label: SURFACE_NAMES[value] }))}
                onChange={(surface) => put(i, { surface })}
                className="w-full"
              />
            </Named>
            <GradeField value={stretch.gradePercent} onSet={(gradePercent) => put(i, { gradePercent })} />
          </li>
        ))}
      </ol>
      {route.length < MOST && (
        <p className="py-2">
          <Button onClick={() => onSet([...route, { lengthM: 200, surface: 'gravel', gradePercent: 0 }])}>Add a stretch</Button>
        </p>
      )}
      {found && (
        <p className="pb-2 text-[14.5px] leading-[18px]">
          Stretch {found.worst + 1} pulls hardest, <b>{kg(found.worstN)}</b>; over all the way {kg(found.meanN)}, {(found.workKj + found.holdKj).toFixed(1)} kJ
          of work{found.holdBack.length > 0 ? `. Downhill it runs by itself: brake it, or lead ${name} down` : ''}.
        </p>
      )}
    </details>
  )
}
