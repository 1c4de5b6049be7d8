import type { ShopFields } from '@merry-tailor/core'
import type { ReactNode } from 'react'
import { useState } from 'react'
import { deviceBook } from '../api/book-mark'
import { useChangeShopMutation } from '../api/queries'
import { shopApi } from '../api/shop-api'
import { readingStyle, settingsChanged, valueStyle, type Settings } from '../state/settings'
import { PlaceFrame } from '../frame/Strip'
import { useAppDispatch, useAppSelector } from '../state/store'
import { useShop } from '../state/use-shop'
import { SavedField, type SaveResult } from '../ui/controls/SavedField'
import { Segmented } from '../ui/controls/Segmented'
import { SwitchBox } from '../ui/controls/SwitchBox'
import { Tape } from '../ui/tape/Tape'
import { problemOf, problemWords } from '../words/problems'
import { Fitters } from './Fitters'
import { LineBands } from './LineBands'
import { Predicted } from './Predicted'
import { Disagreements } from './Disagreements'
import { WhoGetsIn } from './WhoGetsIn'
import { Drawer } from './Drawer'
import { WholeBook } from './WholeBook'
import { Problem } from '../ui/controls/Problem'

const SAMPLE_MM = 611

/** Shop: what the whole shop agreed on, who works here, and what this device alone does. */
export function SettingsPage() {
  const settings = useAppSelector((state) => state.settings)
  const shop = useShop()
  const dispatch = useAppDispatch()
  const [change] = useChangeShopMutation()
  const [refused, setRefused] = useState<string | null>(null)
  const set = (next: Partial<Settings>) => dispatch(settingsChanged(next))
  const agreed = async <K extends keyof ShopFields>(field: K, to: ShopFields[K]): Promise<void> => {
    const answer = await change([{ field, from: shop[field], to }])
    setRefused(answer.error ? problemWords(answer.error) : null)
  }
  const number = (field: 'toleranceMm' | 'toleranceShare' | 'restSeconds', label: string, hint: string, scale: number) => (
    <SavedField
      label={label}
      hint={hint}
      value={String(Number((shop[field] * scale).toFixed(2)))}
      onSave={async (typed) => {
        const value = Number(typed.replace(',', '.'))
        if (!Number.isFinite(value)) return { kept: false, problem: 'A number, please.' }
        const answer = await change([{ field, from: shop[field], to: field === 'restSeconds' ? Math.round(value / scale) : value / scale }])
        if (!answer.error) return { kept: true }
        const theirs = problemOf(answer.error)?.conflicts?.[0]?.theirs
        return { kept: false, problem: problemWords(answer.error), ...(typeof theirs === 'number' ? { theirs: String(theirs * scale) } : {}) }
      }}
    />
  )
  const saveText = async (field: 'timeZone' | 'copyFolder' | 'name' | 'address' | 'greeting', typed: string): Promise<SaveResult> => {
    const answer = await change([{ field, from: shop[field], to: typed.trim() }])
    if (!answer.error) return { kept: true }
    const theirs = problemOf(answer.error)?.conflicts?.[0]?.theirs
    return { kept: false, problem: problemWords(answer.error), ...(typeof theirs === 'string' ? { theirs } : {}) }
  }
  /** The book is another now: this device takes it as it is, since it was asked for here. */
  const afterBringingBack = (): void => {
    void deviceBook.follow().then(() => dispatch(shopApi.util.resetApiState()))
  }
  const look = { ...valueStyle(settings), unit: settings.unit }
  const fine = readingStyle(settings)
  return (
    <PlaceFrame name="Shop" detail="The shop’s agreements, and this device">
      <div className="quiet-scroll grid min-h-0 flex-1 grid-cols-1 content-start auto-rows-max lg:grid-cols-[560px_1fr]" tabIndex={-1}>
        <section aria-label="Settings" className="space-y-4 bg-panel px-5 py-4 lg:min-h-full lg:border-r-2 lg:border-ink">
          <Fitters />
          <h2 className="text-[19px] leading-6">The whole shop</h2>
          <SavedField label="The shop’s name" hint="Stands on every paper." value={shop.name} maxLength={80} onSave={(typed) => saveText('name', typed)} />
          <SavedField
            label="Where it is reached"
            hint="Street, town, telephone: under the name on every paper."
            multiline
            value={shop.address}
            maxLength={300}
            onSave={(typed) => saveText('address', typed)}
          />
          <SavedField
            label="A line for customers"
            hint="At the foot of what goes out: please answer by, thank you."
            value={shop.greeting}
            maxLength={200}
            onSave={(typed) => saveText('greeting', typed)}
          />
          <Problem barred>{refused}</Problem>
          <Line label="Inches shown to">
            <Segmented
              label="Inches shown to"
              value={shop.inchStep === 0.125 ? '8' : '16'}
              options={[
                { value: '8', label: 'An eighth' },
                { value: '16', label: 'A sixteenth' },
              ]}
              onChange={(step) => void agreed('inchStep', step === '8' ? 0.125 : 0.0625)}
            />
          </Line>
          <Line label="Centimetres shown to">
            <Segmented
              label="Centimetres shown to"
              value={shop.cmStep === 0.5 ? '5' : '1'}
              options={[
                { value: '5', label: 'A half' },
                { value: '1', label: 'A millimetre' },
              ]}
              onChange={(step) => void agreed('cmStep', step === '5' ? 0.5 : 0.1)}
            />
          </Line>
          <Line label="A new device begins in">
            <Segmented
              label="A new device begins in"
              value={shop.unit}
              options={[
                { value: 'in', label: 'Inches' },
                { value: 'cm', label: 'Centimetres' },
              ]}
              onChange={(unit) => void agreed('unit', unit)}
            />
          </Line>
          <Line label="Cross-backs are made to">
            <Segmented
              label="Measuring school"
              value={shop.school}
              options={[
                { value: 'A', label: 'School A' },
                { value: 'B', label: 'School B' },
                { value: 'both', label: 'Both' },
              ]}
              onChange={(school) => void agreed('school', school)}
            />
          </Line>
          <p className="-mt-2 text-[13.5px] text-mute">
            A counts from the breastbone under the body, B from the withers over the side. The two are never converted.
          </p>
          <Line label="Each tape is taken">
            <Segmented
              label="Repeat rule"
              value={shop.repeat}
              options={[
                { value: 'twice', label: 'Twice, third on doubt' },
                { value: 'three', label: 'Three times, mean' },
              ]}
              onChange={(repeat) => void agreed('repeat', repeat)}
            />
          </Line>
          <SwitchBox
            label="Largest rings: keep the largest of several"
            checked={shop.largestCounts}
            onChange={(on) => void agreed('largestCounts', on)}
            className="w-full"
          />
          <SwitchBox
            label="Lengths that must not be too long: the shorter on doubt"
            checked={shop.shorterOnDoubt}
            onChange={(on) => void agreed('shorterOnDoubt', on)}
            className="w-full"
          />
          <div className="grid grid-cols-3 gap-3">
            {number('toleranceMm', 'Two readings may differ, mm', 'The larger of this', 1)}
            {number('toleranceShare', 'or of the length, per 100', 'and this', 100)}
            {number('restSeconds', 'Rest between rounds, min', 'Let the dog walk', 1 / 60)}
          </div>
          <Line label="Paper">
            <Segmented
              label="Paper"
              value={shop.paper}
              options={[
                { value: 'A4', label: 'A4' },
                { value: 'Letter', label: 'Letter' },
              ]}
              onChange={(paper) => void agreed('paper', paper)}
            />
          </Line>
          <SwitchBox
            label="Letter keys (R, D, U, P, F, E, C, N, S)"
            checked={shop.letterKeys}
            onChange={(on) => void agreed('letterKeys', on)}
            className="w-full"
          />
          <LineBands
            bands={shop.lineBands}
            onSet={async (to) => {
              const answer = await change([{ field: 'lineBands', from: shop.lineBands, to }])
              return answer.error ? { kept: false, problem: problemWords(answer.error) } : { kept: true }
            }}
          />
          <Disagreements views={shop.views} onTake={(views) => void agreed('views', views)} />
          <SavedField
            label="The shop’s time zone"
            hint="By its name, as Europe/Oslo; empty: the server’s own. Days begin and end by it."
            value={shop.timeZone}
            onSave={(typed) => saveText('timeZone', typed)}
          />
          <SavedField
            label="Folder for copies"
            hint="On the server’s computer: a stick, or a folder that is kept in step elsewhere. Empty: beside the book."
            value={shop.copyFolder}
            onSave={(typed) => saveText('copyFolder', typed)}
          />
          <WhoGetsIn />
          <h2 className="border-t-2 border-ink pt-3 text-[19px] leading-6">This device</h2>
          <Line label="Unit here">
            <Segmented
              label="Unit here"
              value={settings.unit}
              options={[
                { value: 'in', label: 'Inches' },
                { value: 'cm', label: 'Centimetres' },
              ]}
              onChange={(unit) => set({ unit })}
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
          <SwitchBox label="Voice when measuring alone" checked={settings.voice} onChange={(voice) => set({ voice })} className="w-full" />
          <Predicted />
          <Drawer onBack={afterBringingBack} />
          <WholeBook onBack={afterBringingBack} />
        </section>
        <section aria-label="Sample" className="mat p-6 lg:min-h-full">
          <div className="max-w-[420px] border-[1.5px] border-ink bg-panel px-4 py-3 lg:sticky lg:top-6">
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
