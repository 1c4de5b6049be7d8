import {
  formatWeight,
  isPossibleBand,
  MM_PER_UNIT,
  parseLength,
  parseWeight,
  type SizeTable,
  type LengthUnit,
  type ShopFields,
  measuresOfTable,
} from '@merry-tailor/core'
import { SizeTable as SizeTableSchema } from '@merry-tailor/core/schemas'

/** A column of a table being edited: a measure by its ID, or a strap by the maker's name. */
export interface DraftColumn {
  kind: 'measure' | 'strap'
  id: string
}

/** A row as typed. Cells by column key, `[from, to]` as text. */
export interface DraftRow {
  key: number
  label: string
  cells: Readonly<Record<string, readonly [string, string]>>
  tested: string
}

/** A size table as it is being typed; nothing here is refused, it is judged beside. */
export interface TableDraft {
  id: string
  version: number
  name: string
  maker: string
  family: SizeTable['family']
  way: SizeTable['way']
  school: SizeTable['school'] | ''
  /** What its cells are typed in. */
  unit: 'in' | 'cm'
  /** What the maker printed it in: millimetres are typed as centimetres and stay millimetres. */
  printedIn: SizeTable['unit']
  between: 'down' | 'up' | ''
  fingers: string
  cut: 'roomy' | 'true' | 'snug' | ''
  weeks: string
  peakWeeks: string
  price: string
  columns: readonly DraftColumn[]
  rows: readonly DraftRow[]
  unjudged: readonly string[]
  peakMonths: readonly number[]
  /** How a car harness is built; of drafts kept before it was asked, left out. */
  build?: NonNullable<SizeTable['build']> | ''
  /** What the maker of a car harness says it holds. */
  claim?: string
  /** The maker’s strap names, tied to the family’s straps. */
  strapWords?: Readonly<Record<string, string | null>>
}

/** Was this kept by the editor? */
export const isTableDraft = (kept: unknown): kept is TableDraft =>
  typeof kept === 'object' && kept !== null && ['rows', 'columns', 'unit', 'peakMonths', 'unjudged'].every((field) => field in kept)

export const keyOf = ({ kind, id }: DraftColumn): string => `${kind} ${id}`

const MM: Readonly<Record<'in' | 'cm', number>> = { in: MM_PER_UNIT.in, cm: MM_PER_UNIT.cm }
/** A length as it is typed back into a cell: no more digits than it needs. */
export const cellText = (mm: number, unit: 'in' | 'cm'): string => String(Number((mm / MM[unit]).toFixed(4)))
/** A weight is typed in what goes with the table's unit: pounds with inches, kilograms with centimetres. */
export const weightUnitOf = (unit: 'in' | 'cm'): 'kg' | 'lb' => (unit === 'in' ? 'lb' : 'kg')
const weightCell = (kg: number, unit: 'in' | 'cm'): string => formatWeight(kg, weightUnitOf(unit)).replace(/ (?:kg|lb)$/, '')

/** Bands are dragged in these steps. */
export const stepMm = (unit: 'in' | 'cm', shop: Pick<ShopFields, 'inchStep' | 'cmStep'>): number =>
  unit === 'in' ? shop.inchStep * MM_PER_UNIT.in : shop.cmStep * MM_PER_UNIT.cm

let next = 0
const freshKey = (): number => (next += 1)
export const emptyRow = (): DraftRow => ({ key: freshKey(), label: '', cells: {}, tested: '' })

export function draftOf(table: SizeTable, version: number): TableDraft {
  const unit: 'in' | 'cm' = table.unit === 'in' ? 'in' : 'cm'
  const ids = measuresOfTable(table)
  const straps = [...new Set(table.sizes.flatMap((size) => Object.keys(size.straps ?? {})))].sort()
  const text = (band: readonly [number, number] | undefined): readonly [string, string] =>
    band ? [cellText(band[0], unit), cellText(band[1], unit)] : ['', '']
  const weights = (band: readonly [number, number] | undefined): readonly [string, string] =>
    band ? [weightCell(band[0], unit), weightCell(band[1], unit)] : ['', '']
  const span = (pair: readonly [number, number] | undefined): string => (pair ? (pair[0] === pair[1] ? String(pair[0]) : `${pair[0]}-${pair[1]}`) : '')
  return {
    id: table.id,
    version,
    name: table.name,
    maker: table.maker,
    family: table.family,
    way: table.way,
    school: table.school ?? '',
    unit,
    printedIn: table.unit,
    between: table.between ?? '',
    fingers: span(table.rules?.fingers),
    cut: table.rules?.cut ?? '',
    weeks: span([table.lead.minWeeks, table.lead.maxWeeks]),
    peakWeeks: table.lead.peak ? span([table.lead.peak.minWeeks, table.lead.peak.maxWeeks]) : '',
    price: span(table.price),
    columns: [...ids.map((id) => ({ kind: 'measure' as const, id })), ...straps.map((id) => ({ kind: 'strap' as const, id }))],
    rows: table.sizes.map((size) => ({
      key: freshKey(),
      label: size.label,
      cells: Object.fromEntries([
        ...ids.map((id) => [`measure ${id}`, id === 'M00' ? weights(size.bands.M00) : text(size.bands[id])] as const),
        ...straps.map((id) => [`strap ${id}`, text(size.straps?.[id])] as const),
      ]),
      tested: size.testedKg === undefined ? '' : String(size.testedKg),
    })),
    unjudged: table.unjudged ?? [],
    peakMonths: table.lead.peak?.months ?? [],
    build: table.build ?? '',
    claim: table.claim ?? '',
    strapWords: table.strapWords ?? {},
  }
}

export const freshDraft = (unit: 'in' | 'cm'): TableDraft => ({
  id: '',
  version: 1,
  name: '',
  maker: '',
  family: 'H01',
  way: 'stock',
  school: '',
  unit,
  printedIn: unit,
  between: '',
  fingers: '',
  cut: '',
  weeks: '0',
  peakWeeks: '',
  price: '',
  columns: [{ kind: 'measure', id: 'M07' }],
  rows: [emptyRow(), emptyRow()],
  unjudged: [],
  peakMonths: [],
})

/** The draft in the other unit: every length that can be read keeps its length. */
export function inUnit(draft: TableDraft, unit: 'in' | 'cm'): TableDraft {
  const turnWeight = (text: string): string => {
    const read = parseWeight(text, weightUnitOf(draft.unit))
    return read.ok ? weightCell(read.kg, unit) : text
  }
  const turn = (text: string): string => {
    const read = parseLength(text, draft.unit)
    return read.ok ? cellText(read.mm, unit) : text
  }
  return {
    ...draft,
    unit,
    rows: draft.rows.map((row) => ({
      ...row,
      cells: Object.fromEntries(
        Object.entries(row.cells).map(([key, [from, to]]) => [key, key === 'measure M00' ? [turnWeight(from), turnWeight(to)] : [turn(from), turn(to)]]),
      ),
    })),
  }
}

/** `id` from the maker's and the table's name, free among those taken. */
export function tableId(draft: Pick<TableDraft, 'maker' | 'name'>, taken: readonly string[]): string {
  const slug =
    `${draft.maker} ${draft.name}`
      .normalize('NFKD')
      .replace(/\p{M}/gu, '')
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 54)
      .replace(/-+$/, '') || 'table'
  for (let n = 1; ; n++) {
    const id = n === 1 ? slug : `${slug}-${n}`
    if (!taken.includes(id)) return id
  }
}

export interface DraftProblem {
  /** `row 3 measure M07 0`: where in the draft; `maker`, `weeks` for its own fields. */
  at: string
  says: string
  /** One end of two is typed: no slip while the other is on its way. */
  half?: true
}

export interface JudgedDraft {
  /** Sizes as far as they can be read: for tapes and pins while typing. */
  sizes: SizeTable['sizes']
  problems: DraftProblem[]
  /** The whole table, when nothing is wrong. */
  table: SizeTable | null
}

const pairOf = (text: string): [number, number] | null => {
  const match = /^(\d+(?:[.,]\d+)?)(?:\s*(?:-|–|to)\s*(\d+(?:[.,]\d+)?))?$/.exec(text.trim())
  if (!match?.[1]) return null
  const number = (digits: string): number => Number(digits.replace(',', '.'))
  return [number(match[1]), number(match[2] ?? match[1])]
}

/** Words of the straps that are still columns; what was tied for another is let go. */
const tiedWords = ({ strapWords = {}, columns }: TableDraft): [string, string | null][] =>
  Object.entries(strapWords).filter(([word]) => columns.some(({ kind, id }) => kind === 'strap' && id === word))

/** Reads a draft: what stands, and at which field what is wrong. */
export function judgeDraft(draft: TableDraft): JudgedDraft {
  const problems: DraftProblem[] = []
  const wrong = (at: string, says: string): void => void problems.push({ at, says })
  const wrongEnd = (at: string, text: string, says: string): void =>
    void problems.push(text.trim() === '' ? { at, says: 'Both ends, please.', half: true } : { at, says })
  const unit: LengthUnit = draft.unit
  const seen = new Map<string, number>()
  if (draft.maker.trim() === '') wrong('maker', 'Whose table is it?')
  if (draft.name.trim() === '') wrong('name', 'Give it a name to find it by.')
  const sizes = draft.rows.map((row, r): SizeTable['sizes'][number] => {
    const label = row.label.trim()
    if (label === '') wrong(`row ${row.key} label`, 'Name this size.')
    else if (seen.has(label)) wrong(`row ${row.key} label`, `Row ${seen.get(label)} is called ${label} too.`)
    else seen.set(label, r + 1)
    const read = (kind: DraftColumn['kind']): Record<string, [number, number]> =>
      Object.fromEntries(
        draft.columns
          .filter((column) => column.kind === kind)
          .flatMap((column) => {
            const key = keyOf(column)
            const [from = '', to = ''] = row.cells[key] ?? []
            if (from.trim() === '' && to.trim() === '') return []
            const ends = [from, to].map((text, end) => {
              if (column.id === 'M00') {
                const weight = parseWeight(text, weightUnitOf(draft.unit))
                if (weight.ok) return weight.kg
                wrongEnd(`row ${row.key} ${key} ${end}`, text, 'A weight, such as 18 or 40 lb.')
                return null
              }
              const length = parseLength(text, unit)
              if (length.ok) return length.mm
              wrongEnd(`row ${row.key} ${key} ${end}`, text, 'A length, such as 13 1/2 or 34.5.')
              return null
            })
            const [a, b] = ends
            if (a == null || b == null) return []
            if (a > b) {
              wrong(`row ${row.key} ${key} 1`, 'Smaller than its other end.')
              return []
            }
            if (kind === 'measure' && !isPossibleBand(column.id, [a, b])) {
              wrong(`row ${row.key} ${key} 0`, 'No dog measures that. Look at the unit and the path.')
              return []
            }
            return [[column.id, [a, b] as [number, number]]]
          }),
      )
    const straps = read('strap')
    const kg = row.tested.trim() === '' ? undefined : Number(row.tested.replace(',', '.'))
    if (kg !== undefined && !(kg > 0 && kg <= 150)) wrong(`row ${row.key} tested`, 'Kilograms, up to 150.')
    return {
      label: label || `row ${r + 1}`,
      bands: read('measure'),
      ...(Object.keys(straps).length > 0 ? { straps } : {}),
      ...(kg !== undefined && kg > 0 ? { testedKg: kg } : {}),
    }
  })
  if (draft.rows.length === 0) wrong('rows', 'A table needs a size.')
  if (sizes.every((size) => Object.keys(size.bands).length === 0)) wrong('rows', 'Nothing to size by yet: fill in one band.')
  const weeks = pairOf(draft.weeks)
  if (!weeks) wrong('weeks', 'Weeks, such as 0, or 4-6.')
  else if (weeks[0] > weeks[1]) wrong('weeks', 'The shorter time comes first.')
  const peak = draft.peakWeeks.trim() === '' ? null : pairOf(draft.peakWeeks)
  if (draft.peakWeeks.trim() !== '' && !peak) wrong('peakWeeks', 'Weeks, such as 6-10, or nothing.')
  const fingers = draft.fingers.trim() === '' ? null : pairOf(draft.fingers)
  if (draft.fingers.trim() !== '' && (!fingers || fingers[1] > 8)) wrong('fingers', 'Fingers, such as 2, or 1-2; or nothing.')
  const price = draft.price.trim() === '' ? null : pairOf(draft.price)
  if (draft.price.trim() !== '' && (!price || price[0] > price[1])) wrong('price', 'A price, such as 38, or 30-45; or nothing.')
  if (problems.length > 0 || !weeks) return { sizes, problems, table: null }
  const read = SizeTableSchema.safeParse({
    id: draft.id,
    version: draft.version,
    name: draft.name,
    maker: draft.maker,
    family: draft.family,
    way: draft.way,
    ...(draft.school ? { school: draft.school } : {}),
    unit: draft.unit === 'cm' && draft.printedIn === 'mm' ? 'mm' : draft.unit,
    between: draft.between || null,
    sizes,
    lead: {
      minWeeks: weeks[0],
      maxWeeks: weeks[1],
      ...(peak ? { peak: { months: draft.peakMonths.length > 0 ? [...draft.peakMonths] : [9, 10, 11, 12, 1], minWeeks: peak[0], maxWeeks: peak[1] } } : {}),
    },
    ...(fingers || draft.cut ? { rules: { ...(fingers ? { fingers } : {}), ...(draft.cut ? { cut: draft.cut } : {}) } } : {}),
    ...(price ? { price } : {}),
    ...(draft.build ? { build: draft.build } : {}),
    ...(draft.claim?.trim() ? { claim: draft.claim.trim() } : {}),
    ...(tiedWords(draft).length > 0 ? { strapWords: Object.fromEntries(tiedWords(draft)) } : {}),
    ...(draft.unjudged.length > 0 ? { unjudged: [...draft.unjudged] } : {}),
  })
  if (read.success) return { sizes, problems, table: read.data }
  return { sizes, problems: read.error.issues.map((issue) => ({ at: issue.path.join(' ') || 'rows', says: issue.message })), table: null }
}
