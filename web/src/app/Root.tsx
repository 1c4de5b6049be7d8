import { useEffect, useState } from 'react'
import { Outlet, useLocation, useNavigate } from 'react-router'
import { useIsAsked } from '../api/access'
import { outbox } from '../api/outbox'
import { useDayQuery, useSizeTablesQuery } from '../api/queries'
import { shopApi } from '../api/shop-api'
import { prepareForms } from '../form'
import { LetterKeys } from '../ui/controls/KeyCap'
import { KeysDialog } from '../frame/KeysDialog'
import { SignIn } from '../frame/SignIn'
import { settingsChanged } from '../state/settings'
import { useAppDispatch, useAppSelector } from '../state/store'
import { useKeys } from '../state/use-keys'
import { useToday } from '../state/use-today'
import { useNewTicket } from '../state/use-new-ticket'

/** Around every screen: theme, the keys that work everywhere, and the data every screen leans on. */
export function Root() {
  useDayQuery(useToday())
  useSizeTablesQuery(undefined)
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

  useEffect(prepareForms, [])
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

  if (asked) return <SignIn onIn={onIn} />
  return (
    <LetterKeys value={letterKeys}>
      <Outlet />
      <KeysDialog open={keysOpen} onOpenChange={setKeysOpen} />
    </LetterKeys>
  )
}
