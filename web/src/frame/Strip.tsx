import { Moon, Sun } from 'lucide-react'
import { memo, Suspense, useState, useSyncExternalStore, type ReactNode } from 'react'
import { Link, NavLink } from 'react-router'
import { Brand } from '../ui/Brand'
import { PinkedEdge } from '../ui/PinkedEdge'
import { Segmented } from '../ui/controls/Segmented'
import { CLOCK_APART_MS, deviceBook } from '../api/book-mark'
import { useCopiesQuery } from '../api/queries'
import { Refused } from './Refused'
import { lazyPart } from '../state/lazy-part'
import { settingsChanged } from '../state/settings'
import { useAppDispatch, useAppSelector } from '../state/store'
import { DAMAGED_BOOK } from '../words/damaged-book'
import { clock, longDay } from '../state/today'
import { useTitle } from '../state/use-title'

/** The dark cloth along the top: brand, what is open, stitch or places, and what is kept. */
export function Strip({ title, children }: { title: ReactNode; children: ReactNode }) {
  return (
    <header className="on-cloth relative z-20 flex h-[54px] shrink-0 items-stretch bg-cloth text-cloth-ink phone:mb-[4px] phone:h-[68px] print:hidden">
      <Link
        to="/"
        aria-label="Merry Tailor, to Today"
        className="hidden w-[60px] items-center justify-center phone:flex bench:w-[153px] bench:justify-start bench:pl-5"
      >
        <span className="bench:hidden">
          <Brand small />
        </span>
        <span className="hidden bench:inline">
          <Brand />
        </span>
      </Link>
      <div className="hidden w-px border-l-[1.5px] border-dotted border-cloth-line phone:block" />
      <div className="flex min-w-0 flex-1 flex-col justify-center px-3 phone:max-w-[30vw] phone:flex-none phone:px-5 bench:max-w-[34vw] bench:px-[22px]">
        {title}
      </div>
      <div className="hidden w-px border-l-[1.5px] border-dotted border-cloth-line phone:block" />
      <div className="flex min-w-0 items-center justify-end phone:flex-1 phone:justify-center">{children}</div>
      <div className="hidden w-px border-l-[1.5px] border-dotted border-cloth-line md:block" />
      <Kept />
      <PinkedEdge />
    </header>
  )
}

const OtherBook = lazyPart(async () => (await import('./OtherBook')).OtherBook)

/** Has another book answered since this page was opened? What it came to is said to its end. */
function useOtherBook(): boolean {
  const there = useSyncExternalStore(watchBook, () => deviceBook.other !== null)
  const [ever, setEver] = useState(there)
  if (there && !ever) setEver(true)
  return there || ever
}

const LINE = 'shrink-0 border-b-2 border-l-[5px] border-ink px-4 py-2 print:hidden'

/** Another book, a clock that goes wrong, a device or a disk that keeps nothing, an old copy: one line each, with what to do. */
export const Warnings = memo(function Warnings() {
  const { data: drawer } = useCopiesQuery(undefined)
  const { cannotKeep, why, elsewhere } = useAppSelector((state) => state.saving)
  const other = useOtherBook()
  const apart = useSyncExternalStore(watchBook, () => (Math.abs(deviceBook.skewMs) > CLOCK_APART_MS ? Math.round(deviceBook.skewMs / 60_000) : 0))
  return (
    <>
      {other && (
        <Suspense>
          <OtherBook />
        </Suspense>
      )}
      {cannotKeep !== null && (
        <p role="status" className={`${LINE} border-l-snag bg-snag-bg`}>
          <b>This device can keep nothing: {cannotKeep}.</b> What is done goes straight to the server; with the server away it is only in this page. Make room,
          then load the page again.
        </p>
      )}
      {!canOpenAlone() && (
        <p role="status" className={`${LINE} border-l-chalk bg-chalk-bg`}>
          <b>This device opens only while the server answers:</b> its address is not a secure one. Under Shop, Who gets in, another device shows how it is
          trusted.
        </p>
      )}
      {why !== null && (
        <p role="status" className={`${LINE} border-l-chalk bg-chalk-bg`}>
          <b>Kept here, not sent.</b> {why}
        </p>
      )}
      {drawer?.damage && (
        <p role="status" className={`${LINE} border-l-snag bg-snag-bg`}>
          <b>{DAMAGED_BOOK.title}</b> {DAMAGED_BOOK.todo} What devices have not sent stays with them.
        </p>
      )}
      {drawer?.canCopy && (drawer.failure !== null || isOld(drawer.copies[0]?.at)) && (
        <p role="status" className={`${LINE} border-l-chalk bg-chalk-bg`}>
          <b>
            {drawer.copies[0]
              ? `The last copy of the book is from ${longDay(drawer.copies[0].at.slice(0, 10))}.`
              : 'The last copy of the book could not be made.'}
          </b>{' '}
          {drawer.failure ?? 'Look under Shop why none was made since.'}
        </p>
      )}
      {apart !== 0 && (
        <p role="status" className={`${LINE} border-l-chalk bg-chalk-bg`}>
          <b>
            This device’s clock is {minutesWords(Math.abs(apart))} {apart > 0 ? 'behind' : 'ahead of'} the server’s.
          </b>{' '}
          What counts is what came last; set the clock so that times read right.
        </p>
      )}
      {elsewhere > 0 && (
        <p role="status" className={`${LINE} border-l-chalk bg-chalk-bg`}>
          <b>{elsewhere === 1 ? '1 thing done here waits' : `${elsewhere} things done here wait`} for another book.</b> It is sent when that book is open again.
        </p>
      )}
    </>
  )
})

/** A page of an insecure address keeps no shell on the device; a browser that does not say so is taken at its best. */
const canOpenAlone = (): boolean => (window as { isSecureContext?: boolean }).isSecureContext !== false

/** A copy of the day before yesterday is too old to rely on. */
const isOld = (at: string | undefined): boolean => at !== undefined && Date.now() - new Date(at).getTime() > 2 * 86_400_000

const watchBook = (listener: () => void): (() => void) => deviceBook.onChange(listener)
const minutesWords = (minutes: number): string =>
  minutes < 120 ? `${minutes} minutes` : minutes < 48 * 60 ? `${Math.round(minutes / 60)} hours` : `${Math.round(minutes / 1440)} days`

/** What could not be kept, wherever it was done: what happened, what is kept, what to do. */
export const NotKept = memo(function NotKept() {
  const failure = useAppSelector((state) => state.saving.failure)
  return failure ? (
    <p role="status" className="shrink-0 border-b-2 border-l-[5px] border-ink border-l-snag bg-snag-bg px-4 py-2 print:hidden">
      <b>The last act was not saved.</b> {failure} What was saved before is kept; do it once more.
    </p>
  ) : null
})

/** Saved at, theme and units. */
const Kept = memo(function Kept() {
  const dispatch = useAppDispatch()
  const theme = useAppSelector((state) => state.settings.theme)
  const saving = useAppSelector((state) => state.saving)
  return (
    <div className="hidden items-center gap-2 pr-4 pl-3.5 md:flex">
      <p
        aria-live="polite"
        className={`hidden text-[13.5px] leading-[17px] lg:block ${saving.waiting > 0 || !saving.reached || saving.cannotKeep !== null ? 'w-[96px]' : 'w-[44px]'} ${saving.failure || saving.cannotKeep !== null || saving.waiting > 0 ? 'font-bold text-tape' : 'text-cloth-mute'}`}
      >
        {saving.cannotKeep !== null
          ? 'Keeps nothing here'
          : saving.waiting > 0
            ? saving.reached
              ? `Sending ${saving.waiting}`
              : `Not sent: ${saving.waiting}, kept here`
            : saving.failure
              ? 'Not saved'
              : !saving.reached
                ? 'Server away'
                : saving.savedAt
                  ? `Saved ${clock(saving.savedAt)}`
                  : ''}
      </p>
      <button
        type="button"
        onClick={() => dispatch(settingsChanged({ theme: theme === 'light' ? 'evening' : 'light' }))}
        aria-label={theme === 'light' ? 'Evening colours' : 'Day colours'}
        className="flex h-11 w-11 items-center justify-center border border-cloth-mute text-cloth-ink"
      >
        {theme === 'light' ? <Moon size={20} aria-hidden /> : <Sun size={20} aria-hidden />}
      </button>
      <UnitSwitch />
    </div>
  )
})

const UNITS = [
  { value: 'in', label: 'in' },
  { value: 'cm', label: 'cm' },
] as const

const UnitSwitch = memo(function UnitSwitch() {
  const dispatch = useAppDispatch()
  const unit = useAppSelector((state) => state.settings.unit)
  return <Segmented label="Unit" onCloth value={unit} options={UNITS} onChange={(next) => dispatch(settingsChanged({ unit: next }))} />
})

const PLACES = [
  ['/', 'Today'],
  ['/dogs', 'Dogs'],
  ['/sizes', 'Sizes'],
  ['/gear', 'Gear'],
  ['/shop', 'Shop'],
] as const

/** The places: on every screen that is no ticket, where a ticket has its stitch. */
export function Places() {
  return (
    <nav aria-label="Places" className="flex h-full items-stretch phone:w-full phone:justify-start phone:pl-8 bench:pl-[50px]">
      {PLACES.map(([to, name]) => (
        <NavLink
          key={to}
          to={to}
          end={to === '/'}
          className={({ isActive }) =>
            `relative flex min-w-11 items-center justify-center px-2 text-[15.5px] font-semibold phone:px-4 ${isActive ? 'font-bold text-tape' : 'text-cloth-ink'}`
          }
        >
          {({ isActive }) => (
            <>
              {name}
              {isActive && (
                <svg aria-hidden className="absolute bottom-[6px] left-2 phone:bottom-[10px] phone:left-4" width="calc(100% - 16px)" height={3}>
                  <line x1={0} x2="100%" y1={1.5} y2={1.5} stroke="var(--tape)" strokeWidth={3} strokeDasharray="11 5" />
                </svg>
              )}
            </>
          )}
        </NavLink>
      ))}
    </nav>
  )
}

/** A place's frame: strip with its name and the places, then the room. */
export function PlaceFrame({ name, detail, children }: { name: string; detail: string; children: ReactNode }) {
  useTitle(name)
  return (
    <div className="relative flex h-dvh flex-col overflow-hidden">
      <Strip
        title={
          <>
            <h1 className="truncate font-display text-[20px] leading-6 font-bold phone:text-[25px] phone:leading-[27px]">{name}</h1>
            {/* On a phone the places take its room; what it says stands in the lists. */}
            <p className="hidden truncate text-[13.5px] text-cloth-mute phone:block phone:text-[14.5px]">{detail}</p>
          </>
        }
      >
        <Places />
      </Strip>
      <Warnings />
      <NotKept />
      <Refused />
      <main className="flex min-h-0 flex-1 flex-col">{children}</main>
    </div>
  )
}
