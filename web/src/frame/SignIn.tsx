import { useState, type SyntheticEvent, type ReactNode } from 'react'
import { access, type Told } from '../api/access'
import { useOnce } from '../state/use-once'
import { TextField } from '../ui/controls/TextField'
import { Problem } from '../ui/controls/Problem'

/** How this device may be called until somebody says. */
const usualName = (): string => (/iPhone|Android|Mobile/.test(navigator.userAgent) ? 'A phone' : 'A computer')
const AWAY = 'The server does not answer. What was typed stays here; try again.'

interface SignInProps {
  /** A code from the address, where this device is being let in by one. */
  code?: string
  onIn: () => void
}

/** The door: this device is let in by the shop's passphrase, or by a code of a device that is in. */
export function SignIn({ code = '', onIn }: SignInProps) {
  const once = useOnce()
  const [by, setBy] = useState<'passphrase' | 'code'>(code === '' ? 'passphrase' : 'code')
  const [secret, setSecret] = useState(code)
  const [name, setName] = useState(usualName)
  const [problem, setProblem] = useState<{ at: 'secret' | 'name' | null; text: string } | null>(null)
  const enter = (event: SyntheticEvent): void => {
    event.preventDefault()
    if (secret.trim() === '' || name.trim() === '') {
      setProblem(secret.trim() === '' ? { at: 'secret', text: by === 'code' ? 'Type the code.' : 'Type the passphrase.' } : { at: 'name', text: 'Call it something, so that it can be locked out.' }) // prettier-ignore
      return
    }
    void once(async () => {
      const told: Told<unknown> = await (by === 'code' ? access.pair(secret, name.trim()) : access.signIn(secret, name.trim()))
      if (!told.ok) setProblem({ at: told.problem ? 'secret' : null, text: told.problem?.detail ?? AWAY })
      else {
        setProblem(null)
        onIn()
      }
      return told.ok
    })
  }
  return (
    <Door title={by === 'code' ? 'Let this device in' : 'This shop asks for its passphrase'}>
      <form onSubmit={enter} className="space-y-3" noValidate>
        <TextField
          key={by}
          label={by === 'code' ? 'Code from a device that is in' : 'Passphrase'}
          type={by === 'code' ? 'text' : 'password'}
          value={secret}
          autoFocus={code === ''}
          autoComplete={by === 'code' ? 'off' : 'current-password'}
          autoCapitalize={by === 'code' ? 'characters' : 'none'}
          maxLength={200}
          problem={problem?.at === 'secret' ? problem.text : undefined}
          onChange={(event) => setSecret(event.target.value)}
        />
        <TextField
          label="What this device is called"
          value={name}
          maxLength={60}
          hint="Under Shop it can be locked out by this name."
          problem={problem?.at === 'name' ? problem.text : undefined}
          onChange={(event) => setName(event.target.value)}
        />
        {problem?.at === null && <Problem>{problem.text}</Problem>}
        <button type="submit" className="min-h-14 w-full rounded-[2px] border-2 border-ink bg-tape px-4 text-[19px] font-bold text-tape-ink">
          Let me in
        </button>
        <button
          type="button"
          onClick={() => {
            setBy(by === 'code' ? 'passphrase' : 'code')
            setSecret('')
            setProblem(null)
          }}
          className="min-h-11 font-bold underline"
        >
          {by === 'code' ? 'I know the passphrase' : 'I have a code'}
        </button>
      </form>
      <p className="text-[14.5px] leading-[19px] text-mute">Nothing typed on this device is lost: what waits here is sent once it is in.</p>
    </Door>
  )
}

function Door({ title, children }: { title: string; children: ReactNode }) {
  return (
    <main className="mat flex min-h-dvh items-center justify-center p-4">
      <div className="w-full max-w-[420px] space-y-4 border-2 border-ink bg-panel p-5">
        <h1 className="text-[26px] leading-8">{title}</h1>
        {children}
      </div>
    </main>
  )
}
