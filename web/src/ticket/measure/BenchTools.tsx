import { estimateMinutes, measureIds, measures, readingsWanted, tapeKey } from '@merry-tailor/core'
import { memo } from 'react'
import { ChevronDown, Redo2, Undo2 } from 'lucide-react'
import { DropdownMenu } from 'radix-ui'
import { Link, useNavigate } from 'react-router'
import { useShop } from '../../state/use-shop'
import { KeyCap } from '../../ui/controls/KeyCap'
import { notPinned, useOpenTicket, useActs, useBench, useTapes, type TapeRow } from '../../bench'

const row =
  'flex min-h-12 cursor-pointer items-center justify-between gap-4 border-b border-rule px-4 text-[15px] font-semibold outline-none last:border-0 data-[highlighted]:bg-ink data-[highlighted]:text-panel'

/** Taking back and doing again, and the other ways of taking these tapes. */
export const BenchTools = memo(function BenchTools({ rows, onPick }: { rows: readonly TapeRow[]; onPick: (key: string) => void }) {
  const { sheet } = useOpenTicket()
  const acts = useActs()
  const shop = useShop()
  const [bench, change] = useBench()
  const { left } = useTapes()
  const navigate = useNavigate()
  const base = `/tickets/${sheet.ticket.id}`
  const minutes = estimateMinutes(
    rows.filter((each) => each.agreed?.state !== 'agrees').map((each) => each.tape),
    readingsWanted(shop),
  )
  const whole = sheet.ticket.wholeBody
  const typed = notPinned(sheet.ticket.id)
  const shown = new Set(rows.map((each) => each.tape.measure))
  const icon = 'inline-flex h-11 w-11 items-center justify-center border-r border-rule aria-disabled:text-mute hover:bg-bench'
  const add = (measure: string): void => {
    const keys = (measures[measure]?.places.length ?? 0) > 0 ? (measures[measure]?.places ?? []).map((place) => tapeKey(measure, place)) : [measure]
    change({ extra: [...bench.extra, ...keys] })
    onPick(keys[0] ?? measure)
  }
  return (
    <div className="flex shrink-0 items-stretch border-b-2 border-ink">
      <button
        type="button"
        aria-label="Undo"
        aria-disabled={!acts.undo}
        title={acts.undo ? 'Undo' : 'Nothing to take back yet'}
        onClick={() => acts.undo?.()}
        className={icon}
      >
        <Undo2 size={20} aria-hidden />
      </button>
      <button
        type="button"
        aria-label="Redo"
        aria-disabled={!acts.redo}
        title={acts.redo ? 'Redo' : 'Nothing was taken back'}
        onClick={() => acts.redo?.()}
        className={icon}
      >
        <Redo2 size={20} aria-hidden />
      </button>
      <p className="flex flex-1 items-center px-3 text-[14px] text-mute">{left > 0 && minutes > 0 ? `about ${minutes} min left` : 'all taken'}</p>
      {typed > 0 && (
        <Link to={`${base}/quick`} className="inline-flex min-h-11 items-center px-2 text-[14px] font-semibold underline">
          {typed} typed, not pinned
        </Link>
      )}
      <DropdownMenu.Root modal={false}>
        <DropdownMenu.Trigger className="inline-flex min-h-11 items-center gap-2 border-l border-rule px-3 text-[15px] font-semibold hover:bg-bench">
          Ways <ChevronDown size={18} aria-hidden />
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content
            align="start"
            sideOffset={4}
            collisionPadding={8}
            className="quiet-scroll z-40 max-h-[76dvh] w-[330px] border-2 border-ink bg-panel text-ink"
          >
            <DropdownMenu.Item className={row} onSelect={() => void navigate(`${base}/solo`)}>
              Alone, read from two metres <KeyCap>S</KeyCap>
            </DropdownMenu.Item>
            <DropdownMenu.CheckboxItem
              className={row}
              checked={bench.rounds === 'apart'}
              onCheckedChange={(on) => change({ rounds: on ? 'apart' : 'together', restUntil: null })}
            >
              One round, rest, round backwards <Tick on={bench.rounds === 'apart'} />
            </DropdownMenu.CheckboxItem>
            <DropdownMenu.CheckboxItem className={row} checked={bench.method === 'digital'} onCheckedChange={(on) => change({ method: on ? 'digital' : null })}>
              Digital tape or scale <Tick on={bench.method === 'digital'} />
            </DropdownMenu.CheckboxItem>
            <DropdownMenu.CheckboxItem
              className={row}
              checked={whole}
              onCheckedChange={(on) => void acts.act({ act: 'change', changes: [{ field: 'wholeBody', from: whole, to: on }] })}
            >
              All of it: the whole body sheet <Tick on={whole} />
            </DropdownMenu.CheckboxItem>
            <DropdownMenu.Sub>
              <DropdownMenu.SubTrigger className={row}>Another tape…</DropdownMenu.SubTrigger>
              <DropdownMenu.Portal>
                <DropdownMenu.SubContent collisionPadding={8} className="quiet-scroll z-50 max-h-[70dvh] w-[310px] border-2 border-ink bg-panel text-ink">
                  {measureIds
                    .filter((id) => !shown.has(id))
                    .map((id) => (
                      <DropdownMenu.Item key={id} className={row} onSelect={() => add(id)}>
                        {measures[id]?.name} <span className="text-[13.5px] font-normal opacity-80">{id}</span>
                      </DropdownMenu.Item>
                    ))}
                </DropdownMenu.SubContent>
              </DropdownMenu.Portal>
            </DropdownMenu.Sub>
            <DropdownMenu.Item className={row} onSelect={() => void navigate(`${base}/form`)}>
              Print the measuring form
            </DropdownMenu.Item>
            <DropdownMenu.Item className={row} onSelect={() => void navigate(`${base}/quick`)}>
              Type a filled form in
            </DropdownMenu.Item>
            <DropdownMenu.Item className={row} onSelect={() => void navigate(`${base}/letters`)}>
              Numbers that came by mail or phone
            </DropdownMenu.Item>
            <DropdownMenu.Item className={row} onSelect={() => void navigate('/round')}>
              A whole line of dogs
            </DropdownMenu.Item>
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
    </div>
  )
})

const Tick = ({ on }: { on: boolean }) => <span aria-hidden>{on ? '✓' : ''}</span>
