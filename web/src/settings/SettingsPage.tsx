import type { ReactNode } from 'react'
import { readingStyle, settingsChanged, valueStyle, type Settings } from '../app/settings'
import { PlaceFrame } from '../app/Strip'
import { useAppDispatch, useAppSelector } from '../app/store'
import { Segmented } from '../ui/controls/Segmented'
import { SwitchBox } from '../ui/controls/SwitchBox'
import { TextField } from '../ui/controls/TextField'
import { Tape } from '../ui/tape/Tape'

const SAMPLE_MM = 611

/** Shop: one column of settings; each shows its effect on a sample tape. */
export function SettingsPage() {
  const settings = useAppSelector((state) => state.settings)
  const dispatch = useAppDispatch()
  const set = (change: Partial<Settings>) => dispatch(settingsChanged(change))
  const look = { ...valueStyle(settings), unit: settings.unit }
  const fine = readingStyle(settings)
  return (
    <PlaceFrame name="Shop" detail="Kept on this device">
      <div className="quiet-scroll grid min-h-0 flex-1 grid-cols-1 content-start lg:grid-cols-[560px_1fr]" tabIndex={-1}>
        <section aria-label="Settings" className="space-y-4 bg-panel px-5 py-4 lg:min-h-full lg:border-r-2 lg:border-ink">
          <TextField
            label="Who is at the bench"
            value={settings.fitter}
            maxLength={60}
            placeholder="Your name, kept with every reading"
            onChange={(event) => set({ fitter: event.target.value })}
          />
          <Line label="Unit">
            <Segmented
              label="Unit"
              value={settings.unit}
              options={[
                { value: 'in', label: 'Inches' },
                { value: 'cm', label: 'Centimetres' },
              ]}
              onChange={(unit) => set({ unit })}
            />
          </Line>
          <Line label="Inches shown to">
            <Segmented
              label="Inches shown to"
              value={settings.inchStep === 0.125 ? '8' : '16'}
              options={[
                { value: '8', label: 'An eighth' },
                { value: '16', label: 'A sixteenth' },
              ]}
              onChange={(step) => set({ inchStep: step === '8' ? 0.125 : 0.0625 })}
            />
          </Line>
          <Line label="Centimetres shown to">
            <Segmented
              label="Centimetres shown to"
              value={settings.cmStep === 0.5 ? '5' : '1'}
              options={[
                { value: '5', label: 'A half' },
                { value: '1', label: 'A millimetre' },
              ]}
              onChange={(step) => set({ cmStep: step === '5' ? 0.5 : 0.1 })}
            />
          </Line>
          <Line label="Light">
            <Segmented
              label="Light"
              value={settings.theme}
              options={[
                { value: 'light', label: 'Day' },
                { value: 'evening', label: 'Evening' },
              ]}
              onChange={(theme) => set({ theme })}
            />
          </Line>
          <Line label="Hand on the phone">
            <Segmented
              label="Hand on the phone"
              value={settings.hand}
              options={[
                { value: 'right', label: 'Right' },
                { value: 'left', label: 'Left' },
              ]}
              onChange={(hand) => set({ hand })}
            />
          </Line>
          <Line label="Paper">
            <Segmented
              label="Paper"
              value={settings.paper}
              options={[
                { value: 'A4', label: 'A4' },
                { value: 'Letter', label: 'Letter' },
              ]}
              onChange={(paper) => set({ paper })}
            />
          </Line>
          <SwitchBox
            label="Letter keys (R, D, U, P, F, E, C, N)"
            checked={settings.letterKeys}
            onChange={(letterKeys) => set({ letterKeys })}
            className="w-full"
          />
        </section>
        <section aria-label="Sample" className="mat p-6 lg:min-h-full">
          <div className="max-w-[420px] border-[1.5px] border-ink bg-panel px-4 py-3">
            <h2 className="text-[18px] leading-6">A sample tape</h2>
            <Tape
              look={look}
              fromMm={570}
              toMm={660}
              live
              height={58}
              pins={[{ mm: SAMPLE_MM, kind: 'ink', value: true }]}
              title="A sample tape with your settings"
            />
            <p className="mt-2 text-mute">
              Values to the shop’s step; single readings are shown finer ({fine.unit === 'in' ? 'sixteenths' : 'millimetres'}), as they were taken. Everything
              is stored in millimetres.
            </p>
          </div>
        </section>
      </div>
    </PlaceFrame>
  )
}

function Line({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div className="flex flex-wrap items-center justify-between gap-3 border-b border-rule pb-3">
      <span className="font-semibold">{label}</span>
      {children}
    </div>
  )
}
