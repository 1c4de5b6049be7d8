import { formatLength, formatWeight, parseLength, parseWeight } from '@merry-tailor/core'
import { useState } from 'react'
import { useAccess } from '../api/access'
import { readingStyle } from '../state/settings'
import { useAppSelector } from '../state/store'
import { Button } from '../ui/controls/Button'
import { TextField } from '../ui/controls/TextField'
import { cablePort, hasSerial, standInPort } from './port'
import { valueOf, type Device } from './use-device'
import { Problem } from '../ui/controls/Problem'

const LOW_BATTERY = 20

/** The device in hand: what it reads, how its battery is, and where it hangs. The simulated ones have their hand here. */
export function DevicePanel({ device, waitsFor }: { device: Device; waitsFor: string }) {
  const settings = useAppSelector((state) => state.settings)
  const { port, frame, noise, problem } = device
  const simulated = port?.simulated === true
  const value = frame ? valueOf(frame) : null
  const standIns = useAccess().access?.standIns === true
  return (
    <section aria-label="Digital tape and scale" className="border-b border-rule px-[18px] pt-2.5 pb-3">
      <div className="flex items-center justify-between gap-2">
        <h3 className="text-[18px] leading-[22px]">Digital tape and scale</h3>
        {port && (
          <Button tone="quiet" onClick={device.disconnect}>
            Let go
          </Button>
        )}
      </div>
      {!port && (
        <div className="mt-2 flex flex-wrap gap-2">
          {hasSerial() && <Button onClick={() => device.connect(cablePort)}>On a cable</Button>}
          {standIns && (
            <>
              <Button tone="quiet" onClick={() => device.connect(standInPort('tape'))}>
                Simulated tape
              </Button>
              <Button tone="quiet" onClick={() => device.connect(standInPort('scale'))}>
                Simulated scale
              </Button>
            </>
          )}
          {!hasSerial() && !standIns && (
            <p className="text-mute">This browser opens no cable. One that does, on the shop’s own computer or by its secure address, can.</p>
          )}
        </div>
      )}
      <Problem barred className="mt-2">
        {problem}
      </Problem>
      {port && (
        <>
          <p className="mt-1 text-mute">
            {port.name}. A squeeze of its button pins into {port.reads === 'weight' ? 'weight' : waitsFor.toLowerCase()}.
          </p>
          <p className="mt-1 flex items-baseline justify-between gap-3" aria-live="polite">
            <span className="text-[25px] leading-8 font-bold">
              {value ? (value.mass ? formatWeight(value.value) : formatLength(value.value, readingStyle(settings)).text) : 'nothing yet'}
            </span>
            {frame && (
              <span className={frame.battery <= LOW_BATTERY ? 'font-bold text-chalk' : 'text-mute'}>
                battery {frame.battery} of 100{frame.battery <= LOW_BATTERY ? ': change it soon' : ''}
              </span>
            )}
          </p>
          {noise > 0 && <p className="text-[13.5px] text-mute">{noise === 1 ? 'One line was noise' : `${noise} lines were noise`} and passed over.</p>}
          {simulated && <StandInHand device={port.name.endsWith('tape') ? 'tape' : 'scale'} />}
        </>
      )}
    </section>
  )
}

/** The hand of the simulated device: roll it to a value, squeeze its button, and let it misbehave. */
function StandInHand({ device }: { device: 'tape' | 'scale' }) {
  const unit = useAppSelector((state) => state.settings.unit)
  const [typed, setTyped] = useState('')
  const [temper, setTemper] = useState({ jitter: '0', lost: '0', battery: '90' })
  const [problem, setProblem] = useState<string | undefined>()
  const act = async (what: 'roll' | 'squeeze' | 'set'): Promise<void> => {
    const read = device === 'tape' ? parseLength(typed, unit) : parseWeight(typed)
    if (what !== 'set' && !read.ok) {
      setProblem(device === 'tape' ? 'A length to roll to, such as 11 3/4 or 29.8 cm.' : 'A weight, such as 27.3 kg.')
      return
    }
    setProblem(undefined)
    const value = read.ok ? ('mm' in read ? read.mm : read.kg) : undefined
    const number = (text: string): number => Math.max(0, Number(text.replace(',', '.')) || 0)
    const answer = await fetch(`/api/stand-ins/${device}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        act: what,
        ...(what === 'set' ? {} : { value }),
        jitter: Math.min(50, number(temper.jitter)),
        dropOuts: Math.min(1, number(temper.lost) / 100),
        battery: Math.min(100, Math.round(number(temper.battery))),
      }),
    }).catch(() => null)
    if (!answer?.ok) setProblem('The simulated device does not answer.')
  }
  const field = (key: keyof typeof temper, label: string) => (
    <TextField
      label={label}
      value={temper[key]}
      inputMode="decimal"
      onChange={(event) => setTemper((all) => ({ ...all, [key]: event.target.value }))}
      onBlur={() => void act('set')}
    />
  )
  return (
    <form
      aria-label="Hand of the simulated device"
      className="mt-2 border-t border-rule pt-2"
      onSubmit={(event) => {
        event.preventDefault()
        void act('squeeze')
      }}
    >
      <TextField
        label={device === 'tape' ? 'Roll it to' : 'Load it with'}
        value={typed}
        problem={problem}
        onChange={(event) => {
          setTyped(event.target.value)
          setProblem(undefined)
        }}
      />
      <div className="mt-2 flex gap-2">
        <Button onClick={() => void act('roll')}>{device === 'tape' ? 'Roll' : 'Load'}</Button>
        <Button type="submit">Squeeze</Button>
      </div>
      <div className="mt-2 grid grid-cols-3 gap-2">
        {field('jitter', device === 'tape' ? 'Jitter, mm' : 'Jitter, kg')}
        {field('lost', 'Lost of 100')}
        {field('battery', 'Battery')}
      </div>
    </form>
  )
}
