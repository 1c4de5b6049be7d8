/** `first` choice, `works`, only under `conditions`, `wrong`, or `pointless` (handbook 5.3). */
export type Suits = 'first' | 'works' | 'conditions' | 'wrong' | 'pointless'

/** How a family suits one activity, and when: words that go on after "suits". */
export interface Suit {
  rank: Suits
  when?: string
}

const suit =
  (rank: Suits) =>
  (when?: string): Suit =>
    when === undefined ? { rank } : { rank, when }

export const first = suit('first')
export const works = suit('works')
export const conditions = suit('conditions')
export const wrong = suit('wrong')

/** No pulling, at a bike or with a load, of any kind (handbook 5.3). */
export const noLoad = {
  'front-of-runner': wrong(),
  'bike-front': wrong(),
  'bike-side': wrong(),
  'ski-front': wrong(),
  'sled-team': wrong(),
  'wheel-place': wrong(),
  'weight-drag': wrong(),
  cart: wrong(),
} as const
