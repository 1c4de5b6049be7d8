import type { Activity, FamilyId } from '../model/index.ts'

/** `first` choice, `works`, only under `conditions`, `wrong`, or `pointless` (handbook 5.3). */
export type Suits = 'first' | 'works' | 'conditions' | 'wrong' | 'pointless'

export interface Family {
  id: FamilyId
  name: string
  build: string
  /** Bears a load: binds the cautions about growing bones, heat and flat faces. */
  pulls: boolean
  activities: Readonly<Record<Activity, Suits>>
  /** Handbook 5.4: why right, why wrong, in a sentence each. */
  right: string
  wrong: string
}

/** Source: handbook 5.2 to 5.4, common practice; H11 beside the runner and for weight, from memory, unverified. */
export const families: Readonly<Record<FamilyId, Family>> = {
  H01: {
    id: 'H01',
    name: 'Walking Y, short',
    build: 'Neck ring with a Y on the breastbone, sternum strap, girth strap behind the elbows, back ring.',
    pulls: false,
    activities: {
      stroll: 'first',
      'learning-puller': 'works',
      'long-hike': 'first',
      scramble: 'conditions',
      'beside-runner': 'works',
      'front-of-runner': 'conditions',
      'bike-front': 'wrong',
      'bike-side': 'works',
      'ski-front': 'wrong',
      'sled-team': 'wrong',
      'wheel-place': 'wrong',
      'weight-drag': 'wrong',
      cart: 'wrong',
      tracking: 'first',
      car: 'wrong',
    },
    right: 'The shoulder swings free; it bears on the breastbone.',
    wrong: 'For draught: too little padding, the pull point is wrong, sliders creep.',
  },
  H11: {
    id: 'H11',
    name: 'Full cross-back',
    build: 'Fixed sewn, padded neck, straps crossing on the back, side straps on the ribs, tug loop at the tail.',
    pulls: true,
    activities: {
      stroll: 'pointless',
      'learning-puller': 'pointless',
      'long-hike': 'pointless',
      scramble: 'pointless',
      'beside-runner': 'conditions',
      'front-of-runner': 'works',
      'bike-front': 'first',
      'bike-side': 'conditions',
      'ski-front': 'works',
      'sled-team': 'first',
      'wheel-place': 'conditions',
      'weight-drag': 'conditions',
      cart: 'wrong',
      tracking: 'pointless',
      car: 'wrong',
    },
    right: 'The whole body goes into the harness; the load lies along the ribs.',
    wrong: 'Short backs and thick necks: it can be far too long. Lines that rise steeply.',
  },
}

/** How a family suits one activity. */
export const suits = (family: FamilyId, activity: Activity): Suits => families[family].activities[activity]
