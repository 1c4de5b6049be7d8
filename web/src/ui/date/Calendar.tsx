import { format, parseISO } from 'date-fns'
import { DayPicker } from 'react-day-picker'

interface CalendarProps {
  day: string
  onPick: (day: string) => void
  weekStartsOn: 0 | 1
}

const CELL = 'size-11 rounded-[2px] border-2 border-transparent font-semibold hover:border-ink'
const STEP = 'inline-flex size-11 items-center justify-center'

/** A month to pick a day from. */
export default function Calendar({ day, onPick, weekStartsOn }: CalendarProps) {
  const selected = day === '' ? undefined : parseISO(day)
  return (
    <DayPicker
      mode="single"
      selected={selected}
      defaultMonth={selected}
      weekStartsOn={weekStartsOn}
      autoFocus
      onSelect={(picked) => {
        if (picked) onPick(format(picked, 'yyyy-MM-dd'))
      }}
      classNames={{
        months: 'relative',
        month_caption: 'flex h-11 items-center px-2 font-display text-[18px] font-bold',
        nav: 'absolute top-0 right-0 flex',
        button_previous: STEP,
        button_next: STEP,
        chevron: 'size-5 fill-current',
        weekday: 'size-11 text-[13px] font-semibold text-mute',
        day_button: CELL,
        today: 'underline',
        selected: '[&>button]:bg-ink [&>button]:text-panel',
        outside: 'opacity-40',
      }}
    />
  )
}
