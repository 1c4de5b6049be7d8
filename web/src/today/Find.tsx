import { Command } from 'cmdk'
import { Search } from 'lucide-react'
import { useEffect, useState, type Ref } from 'react'
import { useNavigate } from 'react-router'
import { useFindQuery } from '../api/queries'
import { caughtUp, typedAhead } from '../state/typed-ahead'
import { KeyCap } from '../ui/controls/KeyCap'

const KINDS = { dog: 'Dog', owner: 'Owner', ticket: 'Ticket' } as const

/** A line stands in under the one it belongs to. */
const UNDER = ['', 'border-l-2 border-edge pl-2.5', 'ml-3 border-l-2 border-edge pl-2.5'] as const

/** Finds a dog, an owner or a ticket by typing. */
export function Find({ inputRef, wished }: { inputRef: Ref<HTMLInputElement>; wished: boolean }) {
  const [typed, setTyped] = useState(() => (wished ? typedAhead() : ''))
  useEffect(() => {
    if (wished) caughtUp()
  }, [wished])
  const [open, setOpen] = useState(false)
  const wanted = typed.trim()
  const { data, isFetching } = useFindQuery(wanted, { skip: wanted === '' })
  const found = isFetching ? [] : (data ?? [])
  const navigate = useNavigate()
  const go = (kind: string, id: string): void => {
    setOpen(false)
    setTyped('')
    void navigate(kind === 'ticket' ? `/tickets/${id}` : kind === 'dog' ? `/dogs/${id}` : `/dogs?owner=${id}`)
  }
  const listed = open && wanted !== ''
  return (
    <Command
      shouldFilter={false}
      label="Find dog, owner or ticket"
      className="relative"
      onBlur={(event) => !event.currentTarget.contains(event.relatedTarget) && setOpen(false)}
    >
      <div className="flex h-12 items-center gap-2 border-2 border-ink bg-panel px-3 focus-within:shadow-[inset_0_0_0_3px_var(--tape)]">
        <Search size={19} aria-hidden />
        <Command.Input
          ref={inputRef}
          // Asked for by its key on another screen: it comes after that page is drawn.
          autoFocus={wished}
          value={typed}
          onValueChange={(next) => {
            setTyped(next)
            setOpen(true)
          }}
          onFocus={() => setOpen(true)}
          onKeyDown={(event) => {
            if (event.key !== 'Escape') return
            setTyped('')
            event.currentTarget.blur()
          }}
          placeholder="Dog, owner, ticket"
          className="h-full min-w-0 flex-1 bg-transparent text-[15px] shadow-none! outline-none! placeholder:text-mute"
        />
        <KeyCap>/</KeyCap>
      </div>
      <Command.List
        hidden={!listed}
        aria-label="Found"
        className="absolute inset-x-0 top-[46px] z-40 max-h-[420px] overflow-y-auto border-2 border-ink bg-panel lg:w-[420px]"
      >
        {listed && (
          <>
            {found.map((each) => (
              <Command.Item
                key={`${each.kind}-${each.id}`}
                value={`${each.kind}-${each.id}`}
                onSelect={() => go(each.kind, each.id)}
                className="flex min-h-12 cursor-pointer items-center justify-between gap-3 border-b border-rule px-3 data-[selected=true]:bg-ink data-[selected=true]:text-panel"
              >
                <span className={UNDER[each.depth]}>
                  <span className={each.kind === 'ticket' && each.depth > 0 ? '' : 'font-bold'}>{each.title}</span>{' '}
                  <span className="ml-1 opacity-80">{each.detail}</span>
                </span>
                <span className="text-[13.5px] opacity-80">{KINDS[each.kind]}</span>
              </Command.Item>
            ))}
            {found.length === 0 && !isFetching && <p className="px-3 py-3 text-mute">Nobody here by “{wanted}”.</p>}
          </>
        )}
      </Command.List>
    </Command>
  )
}
