import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import type { LengthStyle, ShopFields } from '@merry-tailor/core'

/** What this device's user set, and what it follows of the shop's agreements. */
export interface Settings {
  unit: 'in' | 'cm'
  /** The unit was chosen on this device; until then it is the shop's. */
  unitChosen: boolean
  theme: 'light' | 'evening'
  /** Steps shown, in the unit itself (handbook 4.7: an eighth of an inch or half a centimetre, as the shop sets it). */
  inchStep: 0.125 | 0.0625
  cmStep: 0.5 | 0.1
  hand: 'right' | 'left'
  letterKeys: boolean
  paper: 'A4' | 'Letter'
  fitter: string
  /** Who holds the head. */
  helper: string
  /** Prompts and readings spoken, where the browser can. */
  voice: boolean
}

const usual: Settings = {
  unit: 'in',
  unitChosen: false,
  theme: 'light',
  inchStep: 0.125,
  cmStep: 0.5,
  hand: 'right',
  letterKeys: true,
  paper: 'A4',
  fitter: '',
  helper: '',
  voice: false,
}
const KEY = 'merry-tailor-settings'

export function readSettings(): Settings {
  try {
    return { ...usual, ...(JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<Settings>) }
  } catch {
    return usual
  }
}

export function keepSettings(settings: Settings): void {
  try {
    localStorage.setItem(KEY, JSON.stringify(settings))
  } catch {
    // A device that keeps nothing still works; it only forgets.
  }
}

export const settingsSlice = createSlice({
  name: 'settings',
  initialState: readSettings,
  reducers: {
    changed: (state, action: PayloadAction<Partial<Settings>>) => ({
      ...state,
      ...action.payload,
      ...(action.payload.unit ? { unitChosen: true } : {}),
    }),
    followShop: (state, { payload }: PayloadAction<ShopFields>) => {
      const { inchStep, cmStep, paper, letterKeys } = payload
      const unit = state.unitChosen ? state.unit : payload.unit
      const same = state.inchStep === inchStep && state.cmStep === cmStep && state.paper === paper && state.letterKeys === letterKeys && state.unit === unit
      return same ? state : { ...state, inchStep, cmStep, paper, letterKeys, unit }
    },
  },
})

export const settingsChanged = settingsSlice.actions.changed
export const { followShop } = settingsSlice.actions

/** The step agreed values and gaps are shown at. */
export const valueStyle = (settings: Settings): LengthStyle => ({
  unit: settings.unit,
  step: settings.unit === 'in' ? settings.inchStep : settings.cmStep,
})

/** The finer step single readings are shown at, so that what was typed is seen again. */
export const readingStyle = (settings: Settings): LengthStyle => ({ unit: settings.unit, step: settings.unit === 'in' ? 0.0625 : 0.1 })
