import { useState, type ReactNode } from 'react'
import { useForm } from 'react-hook-form'
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
  const { register, handleSubmit, setError, resetField, clearErrors, formState } = useForm({ defaultValues: { secret: code, name: usualName() } })
  const { errors } = formState
  const isSaid = (words: string) => (typed: string) => typed.trim() !== '' || words
  const enter = handleSubmit(({ secret, name }) =>
    once(async () => {
      const told: Told<unknown> = await (by === 'code' ? access.pair(secret, name.trim()) : access.signIn(secret, name.trim()))
      if (told.ok) onIn()
      else setError(told.problem ? 'secret' : 'root', { message: told.problem?.detail ?? AWAY })
      return told.ok
    }),
  )
  return (
    <Door title={by === 'code' ? 'Let this device in' : 'This shop asks for its passphrase'}>
      <form onSubmit={(event) => void enter(event)} className="space-y-3" noValidate>
        <TextField
          key={by}
          label={by === 'code' ? 'Code from a device that is in' : 'Passphrase'}
          type={by === 'code' ? 'text' : 'password'}
          autoFocus={code === ''}
          autoComplete={by === 'code' ? 'off' : 'current-password'}
          autoCapitalize={by === 'code' ? 'characters' : 'none'}
          maxLength={200}
          problem={errors.secret?.message}
          {...register('secret', { validate: isSaid(by === 'code' ? 'Type the code.' : 'Type the passphrase.') })}
        />
        <TextField
          label="What this device is called"
          maxLength={60}
          hint="Under Shop it can be locked out by this name."
          problem={errors.name?.message}
          {...register('name', { validate: isSaid('Call it something, so that it can be locked out.') })}
        />
        <Problem>{errors.root?.message}</Problem>
        <button type="submit" className="min-h-14 w-full rounded-[2px] border-2 border-ink bg-tape px-4 text-[19px] font-bold text-tape-ink">
          Let me in
        </button>
        <button
          type="button"
          onClick={() => {
            setBy(by === 'code' ? 'passphrase' : 'code')
            resetField('secret', { defaultValue: '' })
            clearErrors()
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
