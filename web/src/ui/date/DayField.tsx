import { format } from 'date-fns'
import { CalendarDays } from 'lucide-react'
import { Popover } from 'radix-ui'
import { lazy, Suspense, useState, type ReactNode } from 'react'
import { SavedField, type SaveResult } from '../controls/SavedField'
import { DAY_HINTS, dayOrder, dayText, parseDay } from './day-text'

const today = (): string => format(new Date(), 'yyyy-MM-dd')

const Calendar = lazy(() => import('./Calendar'))

interface DayFieldProps {
  label: string
  /** `YYYY-MM-DD`, or `''`. */
  value: string
  onSave: (day: string, seen: string) => Promise<SaveResult>
  hint?: ReactNode
  className?: string
  /** What stands there instead of a day, and what else than a day may be typed. */
  other?: { text: string; read: (typed: string, seen: string) => Promise<SaveResult> | null }
}

/** A day, typed in the reader's own order or picked from a month. */
export function DayField({ label, value, onSave, hint, className, other }: DayFieldProps) {
  const order = dayOrder()
  const [open, setOpen] = useState(false)
  const shown = value === '' ? (other?.text ?? '') : dayText(value, order)
  const dayIn = (text: string): string => (text === '' ? '' : (parseDay(text, order, today()) ?? ''))
  const keep = async (typed: string, seen: string): Promise<SaveResult> => {
    if (typed.trim() === '') return onSave('', dayIn(seen))
    const day = parseDay(typed, order, today())
    if (day !== null) return withDays(await onSave(day, dayIn(seen)), order)
    return other?.read(typed, seen) ?? { kept: false, problem: `That is no day. Type it as ${DAY_HINTS[order]}.` }
  }
  return (
    <SavedField
      label={label}
      value={shown}
      hint={hint}
      placeholder={DAY_HINTS[order]}
      maxLength={30}
      onSave={keep}
      {...(className === undefined ? {} : { className })}
      trailing={
        <Popover.Root open={open} onOpenChange={setOpen}>
          <Popover.Trigger
            aria-label={`${label}: pick a day`}
            className="inline-flex size-11 shrink-0 items-center justify-center border-2 border-l-0 border-ink"
          >
            <CalendarDays size={20} aria-hidden />
          </Popover.Trigger>
          <Popover.Portal>
            <Popover.Content collisionPadding={8} align="end" sideOffset={4} className="z-30 min-h-[360px] min-w-[330px] border-2 border-ink bg-panel p-2">
              <Suspense fallback={null}>
                <Calendar
                  day={value}
                  weekStartsOn={order === 'mdy' ? 0 : 1}
                  onPick={(day) => {
                    setOpen(false)
                    void onSave(day, value)
                  }}
                />
              </Suspense>
            </Popover.Content>
          </Popover.Portal>
        </Popover.Root>
      }
    />
  )
}

/** Somebody else's day, in the reader's own order too. */
const withDays = (result: SaveResult, order: ReturnType<typeof dayOrder>): SaveResult =>
  !result.kept && result.theirs !== undefined && /^\d{4}-\d\d-\d\d$/.test(result.theirs) ? { ...result, theirs: dayText(result.theirs, order) } : result
