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
