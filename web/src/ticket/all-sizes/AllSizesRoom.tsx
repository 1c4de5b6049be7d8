import { chooseStyles, familyOf, offeredTables, offerKey, optionsOf, stillGrows, type FamilyId, type Offer, type RankedSize } from '@merry-tailor/core'
import { useMemo, useRef, useState, type ComponentPropsWithRef } from 'react'
import { Link } from 'react-router'
import { usePiecesQuery, useSizeTablesQuery } from '../../api/queries'
import { valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { today } from '../../state/today'
import { useShop } from '../../state/use-shop'
import { useRankAll } from '../../form'
import { Toggles } from '../../ui/controls/Toggles'
import { Mark } from '../../ui/marks/Mark'
import { VerdictWord } from '../../said/VerdictWord'
import { useWindow } from '../../ui/long-list/use-window'
import { Unrolling } from '../../ui/State'
import { Worded } from '../../ui/length/Worded'
import { missedBy } from '../../words/misses'
import { faceOf } from '../../words/offer-face'
import { familyName, measureName, wayName } from '../../words/stages'
import { titleWords } from '../../words/titles'
import { verdictWord } from '../../words/verdicts'
import { sizeName } from '../../sizes/size-name'
import { shortName } from '../../sizes/TableBlock'
import { useSizedBody, useBenchForm, useOpenTicket } from '../../bench'

interface Row {
  offer: Offer
  size: RankedSize
}

/** Height of a size before it was drawn, px. */
const ROW_PX = 61

/** Every size of everything that suits this dog and its work, best first, each measure with its mark. */
export function AllSizesRoom() {
  const { sheet, name } = useOpenTicket()
  const { form, solved } = useBenchForm()
  const { body } = useSizedBody()
  const { data: tables, isLoading: tablesOut } = useSizeTablesQuery(undefined)
  const { data: pieces, isLoading: piecesOut } = usePiecesQuery(undefined)
  const out = tablesOut || piecesOut
  const { views } = useShop()
  const [only, setOnly] = useState<FamilyId | null>(null)
  const scroll = useRef<HTMLDivElement>(null)
  const list = useRef<HTMLUListElement>(null)

  const families = useMemo(() => {
    const onTicket = sheet.items.filter((item) => !item.removed).map((item) => item.family)
    const suit = sheet.ticket.activities.flatMap((purpose) =>
      chooseStyles({ dog: sheet.dog, purpose, hitch: null, form: solved ? form : null, options: optionsOf(sheet.ticket, today(), views) })
        .filter(({ rank }) => rank === 'first' || rank === 'works')
        .map(({ family }) => family),
    )
    return [...new Set([...onTicket, ...suit])]
  }, [sheet.items, sheet.ticket, sheet.dog, form, solved, views])
  const question = useMemo(
    () =>
      out
        ? null
        : {
            tables: offeredTables(tables ?? []),
            labelTables: tables ?? [],
            body,
            families,
            views,
            growing: stillGrows(sheet.dog, today()),
            pieces: pieces ?? [],
          },
    [out, tables, pieces, body, families, views, sheet.dog],
  )
  const ranked = useRankAll(`all of ${sheet.ticket.id}`, question)?.offers ?? null
  const rows = useMemo(() => {
    const ORDER = { holds: 0, doubt: 1, none: 2, fails: 3 }
    return (ranked ?? [])
      .flatMap((offer) => offer.sizes.map((size): Row => ({ offer, size })))
      .sort(
        (a, b) =>
          ORDER[a.size.grade] - ORDER[b.size.grade] ||
          Number(b.offer.kind === 'gear') - Number(a.offer.kind === 'gear') ||
          (b.size.chance ?? 0) - (a.size.chance ?? 0),
      )
  }, [ranked])
  const shown = rows.filter((row) => only === null || familyOf(row.offer) === only)
  const keyOf = ({ offer, size }: Row): string => `${offerKey(offer)} ${size.label}`
  const drawn = useWindow({ count: shown.length, keyOf: (i) => (shown[i] ? keyOf(shown[i]) : ''), usualPx: () => ROW_PX, scroll, list })
  const present = families.filter((family) => rows.some((row) => familyOf(row.offer) === family))

  return (
    <div ref={scroll} className="quiet-scroll min-h-0 flex-1">
      <header className="border-b-2 border-ink bg-bench px-5 py-2.5">
        <h1 className="text-[26px] leading-[34px]">Every size for {name}</h1>
        <p className="text-mute">
          {ranked === null
            ? 'Judging the tables.'
            : `${shown.length} sizes of what suits the work, judged on every part they are sized by. Predicted; a hand on the dog decides.`}
        </p>
        {present.length > 1 && (
          <Toggles<FamilyId | 'all'>
            label="Kinds shown"
            options={[{ value: 'all', label: 'All kinds' }, ...present.map((value) => ({ value, label: familyName(value) }))]}
            isOn={(family) => family === (only ?? 'all')}
            onToggle={(family) => setOnly(family === 'all' ? null : family)}
            className="mt-1"
          />
        )}
      </header>
      {ranked === null ? (
        <Unrolling />
      ) : shown.length === 0 ? (
        <p className="px-5 py-4">
          No size table serves what suits {name}. Bring one in under{' '}
          <Link className="font-bold underline" to="/sizes">
            Sizes
          </Link>
          , or say under Ask what the dog will do.
        </p>
      ) : (
        <ul ref={list} aria-label="Sizes, best first" className="bg-panel" style={{ paddingTop: drawn.beforePx, paddingBottom: drawn.afterPx }}>
          {drawn.rows.map(({ index, props }) => {
            const row = shown[index]
            return row && <SizeRow key={keyOf(row)} row={row} place={{ ...props, 'aria-setsize': shown.length, 'aria-posinset': index + 1 }} />
          })}
        </ul>
      )}
    </div>
  )
}

function SizeRow({ row: { offer, size }, place }: { row: Row; place: ComponentPropsWithRef<'li'> }) {
  const face = faceOf(offer)
  const settings = useAppSelector((state) => state.settings)
  const look = { ...valueStyle(settings), unit: settings.unit }
  return (
    <li {...place} className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule px-5 py-2">
      <span className="w-[220px] max-md:w-full">
        <b className="block text-[17px] leading-[21px]">{sizeName(face, size.label)}</b>
        <span className="text-[13.5px] text-mute">
          {face.maker}, {offer.kind === 'gear' ? 'ours' : wayName(face.way).toLowerCase()}
        </span>
      </span>
      <span className="w-[180px] text-[14.5px] max-md:hidden">{familyName(face.family)}</span>
      <span className="w-[190px]" title={titleWords(size)}>
        <VerdictWord grade={size.grade} basis={size.basis} size={19} />
      </span>
      <span className="flex flex-1 flex-wrap gap-x-4 gap-y-1">
        {size.perMeasure.map((fit) => (
          <span key={fit.measure} className="inline-flex items-center gap-1.5 text-[14px]" title={measureName(fit.measure)}>
            <Mark grade={fit.grade} basis={size.basis} size={18} />
            {shortName(fit.measure)}
            {(fit.grade === 'fails' || fit.grade === 'doubt') && fit.byMm !== null && fit.byMm !== 0 && (
              <b className={fit.grade === 'fails' ? 'text-snag' : 'text-chalk'}>
                <Worded text={missedBy(fit.measure, fit.byMm, look)} />
              </b>
            )}
            {fit.guess && <span className="text-mute">guess</span>}
            <span className="sr-only">{verdictWord(fit.grade, 'predicted')}</span>
          </span>
        ))}
      </span>
    </li>
  )
}
