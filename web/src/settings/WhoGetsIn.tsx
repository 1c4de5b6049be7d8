import { useCallback, useEffect, useState, type SyntheticEvent } from 'react'
import { useForm } from 'react-hook-form'
import { access, useAccess, type Access, type AccessDevice } from '../api/access'
import { longDay } from '../state/today'
import { useOnce } from '../state/use-once'
import { Button } from '../ui/controls/Button'
import { TextField } from '../ui/controls/TextField'
import { TickRow } from '../ui/controls/TickRow'
import { QrCode } from './QrCode'
import { Problem } from '../ui/controls/Problem'

const AWAY = 'The server does not answer. What was typed stays here; try again.'

/** Who gets in: the shop's passphrase, devices that are in, one more let in by a code, and how each learns to trust the shop. */
export function WhoGetsIn() {
  const { access: now, again } = useAccess()
  return (
    <section aria-label="Who gets in" className="space-y-3 border-t-2 border-ink pt-3">
      <h2 className="text-[19px] leading-6">Who gets in</h2>
      {now === null ? (
        <p className="text-mute">The server does not answer just now: who gets in is said when it does.</p>
      ) : (
        <>
          <p className="text-[15px] leading-[19px]">
            {now.lan
              ? 'Other devices reach this shop and are asked for its passphrase, or for a code.'
              : 'Only this computer reaches the shop. Every program and person on it does; other devices do not.'}
          </p>
          <Passphrase now={now} onDone={again} />
          {now.set && <Devices />}
          {now.set && now.lan && <LetIn lan={now.lan} />}
          {now.set && !now.lan && (
            <p className="border-l-[5px] border-ink pl-3 text-[15px] leading-[19px]">
              To let other devices in, start the server with MERRY_HOST=0.0.0.0 in the shop’s own network. It then opens by HTTPS with a certificate of its own.
            </p>
          )}
          {now.set && <Everywhere now={now} onDone={again} />}
        </>
      )}
    </section>
  )
}

/** The passphrase, set the first time or changed. */
function Passphrase({ now, onDone }: { now: Access; onDone: () => void }) {
  const once = useOnce()
  const [open, setOpen] = useState(false)
  const { register, handleSubmit, setError, reset, formState } = useForm({ defaultValues: { old: '', passphrase: '', twice: '' } })
  const { errors } = formState
  const [done, setDone] = useState(false)
  const keep = handleSubmit(({ old, passphrase }) =>
    once(async () => {
      const told = await access.setPassphrase(now.set ? old : null, passphrase)
      if (told.ok) {
        reset()
        setDone(true)
        setOpen(false)
        onDone()
      } else {
        const at = told.problem?.fields?.[0]?.path
        setError(at === 'old' || at === 'passphrase' ? at : 'root', { message: told.problem?.detail ?? AWAY })
      }
      return told.ok
    }),
  )
  if (!open)
    return (
      <p className="flex flex-wrap items-center gap-x-3">
        <span>
          <b>{now.set ? 'The shop has a passphrase.' : 'No passphrase yet.'}</b> {done ? 'Kept.' : ''}
        </span>
        <Button tone={now.set ? 'quiet' : 'primary'} onClick={() => setOpen(true)}>
          {now.set ? 'Change it' : 'Give the shop a passphrase'}
        </Button>
      </p>
    )
  return (
    <form onSubmit={(event) => void keep(event)} noValidate className="space-y-2 border-2 border-ink p-3">
      {now.set && <TextField label="The passphrase so far" type="password" autoComplete="current-password" maxLength={200} problem={errors.old?.message} {...register('old')} />}
      <TextField label="New passphrase" type="password" autoComplete="new-password" maxLength={200} hint="Ten characters or more; a few words are good." problem={errors.passphrase?.message} {...register('passphrase')} />
      <TextField label="Once more" type="password" autoComplete="new-password" maxLength={200} problem={errors.twice?.message} {...register('twice', { validate: (typed, all) => typed === all.passphrase || 'Not the same twice.' })} />
      <Problem>{errors.root?.message}</Problem>
      <p className="text-[14px] leading-[18px] text-mute">Nobody can tell it to you later. Without it, access.json beside the book is taken away and the passphrase set anew; the book stays.</p>
      <div className="flex gap-2">
        <Button type="submit">Keep it</Button>
        <Button tone="quiet" onClick={() => setOpen(false)}>
          Leave it
        </Button>
      </div>
    </form>
  ) // prettier-ignore
}

/** Devices that were let in, each locked out by one press. */
function Devices() {
  const [devices, setDevices] = useState<readonly AccessDevice[] | null>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const again = useCallback(() => {
    void access.devices().then((told) => {
      if (told.ok) setDevices(told.data)
    })
  }, [])
  useEffect(again, [again])
  const lock = async ({ id }: AccessDevice, locked: boolean): Promise<void> => {
    const told = await access.setLocked(id, locked)
    setProblem(told.ok ? null : (told.problem?.detail ?? AWAY))
    again()
  }
  if (devices === null || devices.length === 0) return <p className="text-mute">{devices === null ? '' : 'No other device is in yet.'}</p>
  return (
    <ul aria-label="Devices" className="border-t border-rule">
      {devices.map((device) => (
        <li key={device.id} className="flex flex-wrap items-center justify-between gap-x-3 border-b border-rule py-1">
          <span className={device.lockedAt ? 'text-mute line-through' : ''}>
            <b>{device.name}</b>
            {device.this ? ', this one' : ''}
            <span className="block text-[13.5px] text-mute">
              let in {longDay(device.pairedAt.slice(0, 10))}, seen {longDay(device.seenAt.slice(0, 10))}
            </span>
          </span>
          <Button tone="quiet" onClick={() => void lock(device, device.lockedAt === null)} aria-label={`${device.lockedAt ? 'Let in again' : 'Lock out'}: ${device.name}`}>
            {device.lockedAt ? 'Let it in again' : 'Lock it out'}
          </Button>
        </li>
      ))}
      {problem && (
        <li role="alert" className="py-1 font-semibold text-snag">
          {problem}
        </li>
      )}
    </ul>
  ) // prettier-ignore
}

/** One more device: first it trusts the shop's certificate, then it opens the shop by a code. */
function LetIn({ lan }: { lan: NonNullable<Access['lan']> }) {
  const [code, setCode] = useState<{ code: string; until: string } | null>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const [at, setAt] = useState(0)
  const make = async (): Promise<void> => {
    const told = await access.pairing()
    setProblem(told.ok ? null : (told.problem?.detail ?? AWAY))
    if (told.ok) setCode(told.data)
  }
  const address = lan.addresses[at] ?? lan.addresses[0]
  if (!code)
    return (
      <div>
        <Button tone="primary" onClick={() => void make()}>
          Let a device in
        </Button>
        <Problem className="mt-1">{problem}</Problem>
      </div>
    )
  return (
    <div className="space-y-3 border-2 border-ink p-3">
      <ol className="grid gap-4 sm:grid-cols-2">
        <li>
          <b>1. It trusts this shop.</b> In the shop’s own network, once.
          <QrCode text={lan.trustAt} label={`Address of the shop’s certificate: ${lan.trustAt}`} />
          <span className="block text-[14px] break-all">{lan.trustAt}</span>
          <span className="block text-[13.5px] leading-[17px] break-all text-mute">Fingerprint {lan.fingerprint}</span>
        </li>
        <li>
          <b>2. It opens the shop.</b> Good for five minutes, once.
          <QrCode text={`${address?.url ?? ''}/pair#${code.code}`} label={`Address with the code: ${address?.url ?? ''}/pair`} />
          <span className="block text-[14px] break-all">{address?.url}/pair</span>
          <span className="block text-[19px] font-bold tracking-wide">
            {code.code.slice(0, 4)} {code.code.slice(4, 8)} {code.code.slice(8)}
          </span>
        </li>
      </ol>
      <p className="flex flex-wrap gap-2">
        {lan.addresses.length > 1 && (
          <Button tone="quiet" onClick={() => setAt((at + 1) % lan.addresses.length)}>
            Another of its addresses
          </Button>
        )}
        <Button tone="quiet" onClick={() => void make()}>
          Another code
        </Button>
        <Button tone="quiet" onClick={() => setCode(null)}>
          Done
        </Button>
      </p>
    </div>
  )
}

/** The passphrase asked on the server's own computer too. */
function Everywhere({ now, onDone }: { now: Access; onDone: () => void }) {
  const once = useOnce()
  const [asking, setAsking] = useState(false)
  const [typed, setTyped] = useState('')
  const [problem, setProblem] = useState<string | null>(null)
  const set = (event: SyntheticEvent): void => {
    event.preventDefault()
    void once(async () => {
      const told = await access.setEverywhere(!now.everywhere, typed)
      setProblem(told.ok ? null : (told.problem?.detail ?? AWAY))
      if (told.ok) {
        setAsking(false)
        setTyped('')
        onDone()
      }
      return told.ok
    })
  }
  return (
    <div>
      <TickRow on={now.everywhere} onChange={() => setAsking(true)}>
        Ask on the server’s own computer too
      </TickRow>
      {asking && (
        <form onSubmit={set} noValidate className="flex flex-wrap items-end gap-2">
          <TextField label="Passphrase" type="password" autoComplete="current-password" value={typed} problem={problem ?? undefined} onChange={(event) => setTyped(event.target.value)} />
          <Button type="submit">{now.everywhere ? 'No longer ask' : 'Ask from now on'}</Button>
          <Button tone="quiet" onClick={() => setAsking(false)}>
            Leave it
          </Button>
        </form>
      )}
    </div>
  ) // prettier-ignore
}
