import { writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { ACTIVITIES, adjustersOf, allFamilies, hasOwnChecks, type Activity, type Family, type Suit, type Suits } from '../core/src/index.ts'

/** Where the table stands. */
export const TABLE = fileURLToPath(new URL('../docs/families.md', import.meta.url))

const MARKS: Readonly<Record<Suits, string>> = { first: '●', works: '○', conditions: '△', wrong: '✗', pointless: '' }
const HEADS: Readonly<Record<Activity, string>> = {
  stroll: 'Stroll',
  'learning-puller': 'Puller, learning',
  'long-hike': 'Long hike',
  scramble: 'Scramble',
  'beside-runner': 'Beside runner',
  'front-of-runner': 'In front of runner',
  'bike-front': 'Bike, in front',
  'bike-side': 'Bike, side arm',
  'ski-front': 'Ski',
  'sled-team': 'Sled team',
  'wheel-place': 'Wheel place',
  'weight-drag': 'Weight',
  cart: 'Cart',
  tracking: 'Tracking',
  car: 'Car',
}

const row = (cells: readonly string[]): string => `| ${cells.join(' | ')} |`
const table = (head: readonly string[], rows: readonly (readonly string[])[]): string[] => [row(head), row(head.map(() => '---')), ...rows.map(row)]
const cell = (suit: Suit | null | undefined): string => (suit ? [MARKS[suit.rank], suit.when].filter(Boolean).join(' ') : '')

function tapes({ tapes: { stock, made } }: Family): string {
  const said = (wants: typeof stock): string =>
    wants.map(({ measure, need, either }) => `${measure}${need === 'warning' ? '?' : ''}${either ? '/' : ''}`).join(' ')
  return made ? `${said(stock)}; A ${said(made.A)}; B ${said(made.B)}` : said(stock)
}

const parts = ({ id, parts: { edges, rings, pull, panels } }: Family): string =>
  [
    edges.length > 0 ? edges.map(({ role }) => role).filter((role, i, all) => all.indexOf(role) === i).join(', ') : '', // prettier-ignore
    panels.map(({ kind }) => kind).join(', '),
    adjustersOf(id) > 0 ? `${adjustersOf(id)} sliders` : '',
    rings.length + (pull ? 1 : 0) > 0 ? `${rings.length + (pull ? 1 : 0)} rings` : '',
  ]
    .filter(Boolean)
    .join('; ')

/** All families at a glance, as Markdown, made from their files. */
export function familiesTable(): string {
  const what = allFamilies.map((family) => [
    `[${family.id}](../core/src/gear/families/${family.id.toLowerCase()}.ts)`,
    family.name,
    family.shelf,
    family.kin.join(', '),
    tapes(family),
    family.decides.join(' '),
    `${family.between.rule}: ${family.between.because}`,
    parts(family),
    [family.pull, family.line].filter(Boolean).join(', '),
    family.head ?? '',
    family.checks.length === 0 ? '' : `${family.checks.length}${hasOwnChecks(family.id) ? '' : ', of every harness'}`,
    family.symptoms.length === 0 ? '' : `${family.symptoms[0]?.id ?? ''} to ${family.symptoms.at(-1)?.id ?? ''}`,
  ])
  const suits = allFamilies
    .filter(({ suits: all }) => Object.keys(all).length > 0)
    .map((family) => [family.id, ...ACTIVITIES.map((activity) => cell(family.suits[activity])), cell(family.puppy), cell(family.flatFace)])
  return [
    '# Families at a glance',
    '',
    'Made by `npx tsx scripts/families-table.ts` from the files in `core/src/gear/families`, one a family; a test holds it to them and to the handbook. `?` only checks, `/` one of the two is enough.',
    '',
    ...table(['ID', 'Name', 'Shelf', 'Shares', 'Tapes', 'Decides', 'Between sizes', 'Parts', 'Pull, line', 'Head', 'Checks', 'Symptoms'], what),
    '',
    '## What each suits',
    '',
    '● first choice, ○ works, △ only under conditions, ✗ wrong, empty: pointless.',
    '',
    ...table(['ID', ...ACTIVITIES.map((activity) => HEADS[activity]), 'Puppy', 'Flat face'], suits),
    '',
  ].join('\n')
}

if (process.argv[1] === fileURLToPath(import.meta.url)) writeFileSync(TABLE, familiesTable())
