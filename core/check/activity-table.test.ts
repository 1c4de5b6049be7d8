import { describe, expect, it } from 'vitest'
import { chooseStyles } from '../src/choose/index.ts'
import { ACTIVITIES, type Activity, type Dog, type FamilyId } from '../src/model/index.ts'

/**
 * Handbook 5.3, common practice (italic cells from memory, unverified): a letter to a cell, f first, w works, c only
 * under conditions (`✗–△` too), x wrong, - pointless; fifteen activities, then puppy and flat face.
 */
const TABLE: Readonly<Record<string, string>> = {
  H01: 'fwfcwcxwxxxxxfxff',
  H02: 'wcwxwffwfwxxxwxxc',
  H03: 'ccxcxxxxxxxxxcxxx',
  H04: 'wxxxxxxxxxxxxxxcc',
  H05: 'wxcxxxxxxxxxxxxcw',
  H06: 'wxcxxxxxxxxxxxxcw',
  H07: 'wcwxxxxxxxxxxcxcc',
  H08: 'cfxxxxxxxxxxxxxxc',
  H09: 'wwffcxxxxxxxxwxcw',
  H10: 'wcwxfcxwxxxxxwxxw',
  H11: '----cwfcwfccx-xxx',
  H12: '-----wf-wfc-x-xxx',
  H13: '-----wf-wfc-x-xxx',
  H14: '--w-wfwcfxxxxwxxx',
  H15: '--f-wwwwwfxxx-xxx',
  H16: '-----ww-wfc-x-xxx',
  H17: '------ww-fc-x-xxx',
  H18: '-----wf-wfc-x-xxx',
  H19: '-----xx-xwfcx-xxx',
  H20: '-----xx-xwfwx-xxx',
  H21: 'w-wxwffwwwxxxwxxc',
  H22: '------x--x-fc-xxx',
  H23: '------x--x-wf-xxx',
  H24: 'c-xxxxxxxxxxxxfww',
}
const RANKS = { f: 'first', w: 'works', c: 'conditions', x: 'wrong', '-': 'pointless' } as const
const rank = (letter: string | undefined) => RANKS[(letter ?? '-') as keyof typeof RANKS]
const ORDER = ['first', 'works', 'conditions', 'wrong', 'pointless']
const worse = (a: string, b: string): string => (ORDER.indexOf(a) > ORDER.indexOf(b) ? a : b)

const dog = (over: Partial<Dog> = {}): Dog => ({
  id: '01900000-0000-7000-8000-000000000001',
  name: 'Tern',
  breed: '',
  crossWith: '',
  sex: null,
  born: '2020-01-01',
  ageMonths: null,
  ageSaidOn: null,
  weightKg: 20,
  coat: null,
  flatFace: false,
  sparing: false,
  notes: '',
  ownerId: null,
  createdAt: '2026-01-01T00:00:00Z',
  ...over,
})
const on = '2026-10-05'
const ranks = (who: Dog, purpose: Activity) =>
  Object.fromEntries(chooseStyles({ dog: who, purpose, hitch: null, options: { on } }).map(({ family, rank: r }) => [family, r])) as Record<FamilyId, string>

describe('the activity table 5.3', () => {
  for (const [family, letters] of Object.entries(TABLE)) {
    it(`${family}: every activity, grown and with an ordinary face`, () => {
      const got = ACTIVITIES.map((purpose) => ranks(dog(), purpose)[family as FamilyId])
      expect(got).toEqual(ACTIVITIES.map((_, i) => rank(letters[i])))
    })
    it(`${family}: a puppy and a flat face only ever lower it, to their columns`, () => {
      const [puppy, flat] = [dog({ born: '2026-04-01' }), dog({ flatFace: true })]
      const stroll = rank(letters[0])
      expect(ranks(puppy, 'stroll')[family as FamilyId]).toBe(worse(stroll, rank(letters[15] === '-' ? 'x' : letters[15])))
      expect(ranks(flat, 'stroll')[family as FamilyId]).toBe(worse(stroll, rank(letters[16])))
    })
  }
})
