import { useState } from 'react'
import { useNavigate } from 'react-router'
import { outbox } from '../api/outbox'
import { SignIn } from './SignIn'

/** Where a code in the address leads: the device is named and let in; the code is taken out of the address at once. */
export function PairRoom() {
  const navigate = useNavigate()
  const [code] = useState(() => {
    const given = decodeURIComponent(window.location.hash.slice(1))
    if (given !== '') window.history.replaceState(null, '', window.location.pathname)
    return given
  })
  return (
    <SignIn
      code={code}
      onIn={() => {
        void outbox.drain()
        void navigate('/', { replace: true })
      }}
    />
  )
}
