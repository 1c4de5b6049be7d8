import { returnUntil } from '@merry-tailor/core'
import { daysToIcs } from '@merry-tailor/core/formats'
import { longDay } from '../../state/today'
import { SaveText } from '../../ui/controls/SaveText'

/** Until when a crate that was chosen is usually taken back, as words and as a day for a calendar. */
export function TakenBack({ name, label, chosenOn }: { name: string; label: string; chosenOn: string }) {
  const until = returnUntil(chosenOn)
  return (
    <p>
      <b>Chosen {longDay(chosenOn)}:</b> usually taken back until {longDay(until)}; exchange is often longer, ask where it comes from.{' '}
      <SaveText
        name={`crate-${name}.ics`}
        type="text/calendar"
        text={() =>
          daysToIcs(
            [{ on: until, title: `${name}’s crate ${label}: last usual day to bring it back`, note: 'Ask where it comes from; exchange is often longer.' }],
            {
              name: `${name}’s crate`,
              stamp: new Date().toISOString(),
            },
          )
        }
      >
        Day
      </SaveText>
    </p>
  )
}
