import type { RankedWay, WayReason } from '@merry-tailor/core'

export const WAY_VERDICTS: Readonly<Record<RankedWay['verdict'], string>> = { first: 'Best', works: 'Possible', 'not-now': 'Not this time' }

/** What a reason says for, and against. */
export const WAY_REASONS: Readonly<Record<WayReason, readonly [string, string]>> = {
  'at-hand': ['its fit shows on the dog today', ''],
  'none-near': ['', 'no size of it is near'],
  'sure-enough': ['should hold on every tape', ''],
  'two-out': ['', 'two measures are outside the chart'],
  'odd-body': ['an unusual body: cut to it', 'an unusual body for a chart'],
  growing: ['', 'the dog still grows'],
  'first-weeks': ['true fit shows only once the dog pulls', 'wait until the dog pulls: true fit shows only under load'],
  'too-late': ['', 'too late for the day needed'],
  'in-time': ['in time', ''],
  season: ['quicker than made in the season', 'peak season: the longer weeks'],
  'none-on-shelf': ['', 'none on the supplier’s shelf'],
  'over-budget': ['', 'over what it may cost'],
  'shop-view': ['the shop’s own side', ''],
  'never-second-hand': ['', 'gear for the car never second-hand'],
  'check-seams': ['', 'only after a look at seams and sliders, and with its history'],
}
