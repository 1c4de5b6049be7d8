import { Suspense, useEffect, useState } from 'react'
import { Outlet, useLocation, useNavigate } from 'react-router'
import { useIsAsked } from '../api/access'
import { outbox } from '../api/outbox'
import { useKeptAtHand } from '../api/queries'
import { shopApi } from '../api/shop-api'
import { warmRooms } from './warm-rooms'
import { LetterKeys } from '../ui/controls/KeyCap'
import { lazyPart } from '../state/lazy-part'
import { settingsChanged } from '../state/settings'
import { useAppDispatch, useAppSelector } from '../state/store'
import { useKeys } from '../state/use-keys'
import { useToday } from '../state/use-today'
import { useNewTicket } from '../state/use-new-ticket'

const KeysDialog = lazyPart(async () => (await import('../frame/KeysDialog')).KeysDialog)
const SignIn = lazyPart(async () => (await import('../frame/SignIn')).SignIn)

/** Around every screen: theme, the keys that work everywhere, and the data every screen leans on. */
export function Root() {
  useKeptAtHand(useToday())
  const dispatch = useAppDispatch()
  const navigate = useNavigate()
  const { pathname } = useLocation()
  const { theme, unit, letterKeys } = useAppSelector((state) => state.settings)
  const [keysOpen, setKeysOpen] = useState(false)
  const openTicket = useNewTicket()
  const asked = useIsAsked()
  const onIn = (): void => {
    dispatch(shopApi.util.resetApiState())
    void outbox.drain()
  }

  useEffect(() => void warmRooms(), [])
  useEffect(() => {
    document.documentElement.dataset.theme = theme
  }, [theme])

  useKeys(
    {
      '?': () => setKeysOpen(true),
      e: () => dispatch(settingsChanged({ theme: theme === 'light' ? 'evening' : 'light' })),
      u: () => dispatch(settingsChanged({ unit: unit === 'in' ? 'cm' : 'in' })),
      n: () => void openTicket({}),
      '/': () => {
        if (pathname !== '/') void navigate('/', { state: { focus: 'find' } })
      },
      c: () => {
        if (pathname !== '/') void navigate('/', { state: { focus: 'counter' } })
      },
    },
    true,
  )

  if (asked)
    return (
      <Suspense>
        <SignIn onIn={onIn} />
      </Suspense>
    )
  return (
    <LetterKeys value={letterKeys}>
      <Outlet />
      {keysOpen && (
        <Suspense>
          <KeysDialog open onOpenChange={setKeysOpen} />
        </Suspense>
      )}
    </LetterKeys>
  )
}
