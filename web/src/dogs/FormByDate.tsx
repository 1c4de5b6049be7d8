import { aboutDog, type Body, type Dog, stationOrder, type Visit } from '@merry-tailor/core'
import { format, parseISO } from 'date-fns'
import { Slider } from 'radix-ui'
import { useMemo } from 'react'
import { useForm } from '../form'
import { FormPlate } from '../ui/plates/FormPlate'
import { useBox } from '../ui/use-width'

interface FormByDateProps {
  dog: Dog
  visits: readonly Visit[]
  /** The date looked at and the one it is compared with, as places in `visits`. */
  at: readonly [number, number]
  onAt: (at: [number, number]) => void
}

const NOBODY: Body = {}

const day = (visit: Visit | undefined): string => (visit ? format(parseISO(visit.on), 'd MMM yyyy') : '')

/** The form on one date, with the outline of another date as a ghost; two knobs choose them. */
export function FormByDate({ dog, visits, at, onAt }: FormByDateProps) {
  const [ref, { width, height }] = useBox<HTMLDivElement>(388, 300)
  const [then, now] = [visits[at[0]], visits[at[1]]]
  const about = useMemo(() => [aboutDog(dog, then?.on ?? ''), aboutDog(dog, now?.on ?? '')] as const, [dog, then?.on, now?.on])
  const before = useForm(then?.known ?? NOBODY, about[0])
  const form = useForm(now?.known ?? NOBODY, about[1])
  const ids = Object.keys(now?.known ?? {})
    .filter((id) => !id.includes('/'))
    .sort(stationOrder)
  return (
    <>
      <div ref={ref} className="mat min-h-[240px] flex-1 overflow-hidden lg:max-h-[330px]">
        <FormPlate
          form={form}
          view="side"
          ghost={then && then !== now ? before : null}
          others={ids.slice(0, 12).map((measure, i) => ({ measure, row: i + 1, doubt: false }))}
          width={width}
          height={height}
          phone
        />
      </div>
      {visits.length > 1 && (
        <div className="border-t-2 border-ink bg-panel px-4 pt-1 pb-2">
          <Slider.Root
            min={0}
            max={visits.length - 1}
            step={1}
            value={[...at]}
            onValueChange={([a = 0, b = 0]) => onAt([a, b])}
            className="relative flex h-11 w-full touch-none items-center select-none"
          >
            <Slider.Track className="relative h-[22px] grow border-y-[1.4px] border-tape-ink bg-tape-rest">
              <Slider.Range className="absolute h-full bg-tape" />
            </Slider.Track>
            <Slider.Thumb aria-label="Compared with" className="flex h-11 w-6 items-center justify-center border-2 border-ink bg-chalk-bg" />
            <Slider.Thumb aria-label="Date shown" className="flex h-11 w-6 items-center justify-center border-2 border-ink bg-tape" />
          </Slider.Root>
          <p className="flex justify-between text-[14px]">
            <span className="text-chalk">dashed: {day(then)}</span>
            <b>{day(now)}</b>
          </p>
        </div>
      )}
    </>
  )
}
