import type { Tracing } from '@merry-tailor/core'
import { bootOutingsToCsv, bootsToCsv, tracingsToJson, tracingSvg, type BootRow } from '@merry-tailor/core/formats'
import { Link } from 'react-router'
import { useOpenTicket } from '../../bench'
import { SaveText } from '../../ui/controls/SaveText'
import { pawName } from '../../words/measuring'

/** What can be taken out: outlines, boots and outings as files; outlines in true scale and the boot list on paper. */
export function TakeOut({ live, itemId, rows }: { live: Tracing | null; itemId: string; rows: readonly BootRow[] }) {
  const { sheet, name } = useOpenTicket()
  const tracings = sheet.tracings.filter((each) => !each.removed)
  const paper = 'inline-flex min-h-11 items-center font-bold underline'
  return (
    <p className="flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-rule bg-panel px-4 py-2 text-[14.5px]">
      <Link className={paper} to={`/tickets/${sheet.ticket.id}/paws/list?item=${itemId}`}>
        Boot list on paper
      </Link>
      {tracings.length > 0 && (
        <Link className={paper} to={`/tickets/${sheet.ticket.id}/paws/outlines`}>
          Outlines 1:1 on paper
        </Link>
      )}
      {rows.length > 0 && (
        <SaveText name={`boots-${name}.csv`} type="text/csv" text={() => bootsToCsv(rows)}>
          Boots
        </SaveText>
      )}
      {tracings.length > 0 && (
        <SaveText name={`paws-${sheet.ticket.number}.json`} type="application/json" text={() => tracingsToJson(tracings)}>
          Outlines
        </SaveText>
      )}
      {live && (
        <SaveText name={`paw-${live.paw}.svg`} type="image/svg+xml" text={() => tracingSvg(live)}>
          {`${pawName(live.paw)} 1:1`}
        </SaveText>
      )}
      {sheet.bootOutings.length > 0 && (
        <SaveText name={`boot-outings-${name}.csv`} type="text/csv" text={() => bootOutingsToCsv(sheet.bootOutings)}>
          Outings
        </SaveText>
      )}
    </p>
  )
}
