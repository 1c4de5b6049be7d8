import {
  adviseOffer,
  cautionsOf,
  families,
  GARMENT_FAMILIES,
  familyOf,
  formatLength,
  isHarness,
  isOf,
  labelsOf,
  measuresOfTable,
  wornFor,
  newestWeightKg,
  offerKey,
  predictedOf,
  proposedChoice,
  ringsFor,
  RULES_VERSION,
  sizeOf,
  strapsOf,
  tableIn,
  type Item,
  type Picked,
  type Piece,
} from '@merry-tailor/core'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { useSupplyQuery } from '../../api/queries'
import { valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { today } from '../../state/today'
import { useAfterPaint } from '../../state/use-after-paint'
import { useKeys } from '../../state/use-keys'
import { useOnce } from '../../state/use-once'
import { KeyCap } from '../../ui/controls/KeyCap'
import { TextField } from '../../ui/controls/TextField'
import { Worded } from '../../ui/length/Worded'
import { Snag, Unrolling } from '../../ui/State'
import { useMedia } from '../../ui/use-media'
import { cautionWords } from '../../words/cautions'
import { conflictWords } from '../../words/conflicts'
import { activityName } from '../../words/dogs'
import { lowerFirst, upperFirst } from '../../words/first-letter'
import { HOMES, STATES } from '../../words/pieces'
import { faceOf } from '../../words/offer-face'
import { problemWords } from '../../words/problems'
import { adviceInLine, adviceWords } from '../../words/sizes'
import { familyName } from '../../words/stages'
import { titleWords } from '../../words/titles'
import { useBenchForm, NoItem, OnTheDog, useOut, useOpenTicket, useActs, ItemPanel, ItemsInHand, ItemTabs, useItemInHand, useRanked } from '../../bench'
import { becauseWords } from './because-words'
import { ChooseWords } from './ChooseWords'
import { LaidOnDog } from './LaidOnDog'
import { LayMat } from './LayMat'
import { CheckByCheck } from './CheckByCheck'
import { CrateNote } from './CrateNote'
import { MakerSays } from '../../sizes/MakerSays'
import { MeasureCard } from './MeasureCard'
import { NoTable } from './NoTable'
import { OrderFields } from './OrderFields'
import { hangingFirst, soldOutWords } from './hanging-first'
import { NO_OPTIONS, orderOptions, type OrderOptions } from './order-options'
import { OutcomesBlock } from './OutcomesBlock'
import { useUnsettled, waitsForWords } from './use-unsettled'
import { PawsBlock } from './PawsBlock'
import { SettleBlock } from './SettleBlock'
import { sizeName } from '../../sizes/size-name'
import { TableBlock } from '../../sizes/TableBlock'
import { WaysBlock } from './WaysBlock'
import { useWays } from './use-ways'
import { MakersBlock } from './MakersBlock'
import { notNowWords } from './not-now'
import { useOutWords } from './use-out-words'
import { Problem } from '../../ui/controls/Problem'

/** What an item was settled on, in a word or three. */
const settledWords = (kind: string, labels: readonly string[], family: string): string =>
  kind === 'made' ? `${family}, made to measure,` : labels.join(', then ')

/** Makers in the first frame; the rest, and how a size lies, come with the next. */
const AT_FIRST = 4

/** Choose: every size of every serving table, per measure, in prediction words; the fitter decides. */
export function ChooseStage() {
  const { sheet, name } = useOpenTicket()
  const items = sheet.items.filter((item) => !item.removed)
  const [item, setItem] = useItemInHand(items)
  const inHand = item?.id ?? ''
  const { ranked, choice, body, form, out, fresh, cutHere: cut } = useRanked(item)
  const later = useAfterPaint()
  const { form: drawn } = useBenchForm()
  const { data: supply = [] } = useSupplyQuery(undefined)
  const [picked, setPicked] = useState<Picked | null>(null)
  const pickItem = (id: string): void => {
    setItem(id)
    setPicked(null)
  }
  const [just, setJust] = useState<{ now: string; words: string } | null>(null)
  /** What each item is settled on, in its tab. */
  const chosenOf = (each: Item): string => {
    const worn = wornFor(sheet.choices, each.id)
    return worn ? (worn.kind === 'made' ? 'made to measure' : labelsOf(worn).join(', then ')) : 'not chosen yet'
  }
  const [why, setWhy] = useState('')
  const [whyProblem, setWhyProblem] = useState<string | null>(null)
  const [saveError, setSaveError] = useState<string | null>(null)
  const settings = useAppSelector((state) => state.settings)
  const look = { ...valueStyle(settings), unit: settings.unit }
  const acts = useActs()
  const once = useOnce()
  const navigate = useNavigate()
  const narrow = useMedia('(max-width: 767px)')

  const advised = ranked[0]
  const unsettled = useUnsettled()
  const [options, setOptions] = useState<OrderOptions>(NO_OPTIONS)
  const proposed = hangingFirst(proposedChoice(ranked, picked, choice ?? null, body, [...unsettled.keys()]), supply)
  const { offer, size } = proposed ?? {}
  const labels = proposed?.labels ?? []
  const follows = proposed?.follows ?? false
  const overrules = proposed?.overrules ?? false
  const table = offer && faceOf(offer)
  const advice = offer && adviseOffer(offer)
  const chosen = choice ? labelsOf(choice) : []

  const choose = async (): Promise<boolean> => {
    if (!item || !offer || !proposed?.settlement || !advice || !fresh) return false
    if (overrules && why.trim() === '') {
      setWhyProblem('Say why in a few words; it is printed on the docket.')
      return false
    }
    const { settlement } = proposed
    const made =
      settlement.kind === 'made' && table
        ? {
            options: orderOptions(
              options,
              table,
              supply.find((each) => each.tableId === settlement.tableId),
              sheet.ticket.neededOn,
            ),
          }
        : {}
    const { error } = await acts.choose({
      ...settlement,
      ...made,
      itemId: item.id,
      predicted: predictedOf(offer, proposed.settlement),
      rulesVersion: RULES_VERSION,
      overruled: overrules ? { advised: adviceWords(advice, { family: familyOf(offer) }).slice(0, 120), why: why.trim() } : null,
    })
    setSaveError(error ? problemWords(error) : null)
    if (error) return false
    const rest = items.find((each) => each.id !== item.id && !wornFor(sheet.choices, each.id))
    if (rest) {
      setJust({ now: rest.id, words: `${settledWords(settlement.kind, labels, familyName(item.family))} chosen.` })
      setItem(rest.id)
      setPicked(null)
    } else await navigate(`/tickets/${sheet.ticket.id}/${settlement.kind === 'made' ? 'order' : 'try-on'}`)
    return true
  }
  const rows = ranked.flatMap((each) => each.sizes.map((one): Picked => ({ offer: offerKey(each), label: one.label })))
  const move = (by: number) => () => {
    const at = rows.findIndex((row) => row.offer === table?.id && row.label === size?.label)
    const next = rows[Math.min(rows.length - 1, Math.max(0, at + by))]
    if (!next) return
    setPicked(next)
    document.getElementById(`size-${next.offer}-${next.label}`)?.scrollIntoView({ block: 'nearest' })
  }
  const toPieces = `/tickets/${sheet.ticket.id}/pattern/${inHand}`
  const press = (): void => void (cut ? navigate(toPieces) : once(choose))
  useKeys({ Enter: press, ArrowDown: move(1), ArrowUp: move(-1) })

  const booked = useOut()
  const outWords = useOutWords()
  const ways = useWays(ranked, supply, item?.family ?? 'H01')
  if (!item) return <NoItem title="Nothing to size yet">Choose an item under Ask, then every size of it shows here.</NoItem>
  const shownSizes = offer ? (labels.length === 2 ? labels : [size?.label]).flatMap((one) => sizeOf(offer, one) ?? []) : []
  const second = shownSizes.find((one) => one !== size)
  const isLaid = strapsOf(item.family).length > 0
  // The record's weight is no tape.
  const known = Object.entries(body).filter(([id, each]) => id !== 'M00' && each?.mm != null && !each.guess).length
  // The yellow action never goes against the advice: what cannot be had in time is offered in plain.
  const outNow = offer?.kind === 'gear' ? outWords(booked.get(offer.piece.id)) : ''
  const notNow = outNow || (offer && table && labels.length > 0 ? notNowWords(ways, offer, supply, sheet.ticket.neededOn) : '')
  // Judged by the whole ticket, as under Ask: work that another piece on it is made for is no misuse of this one.
  const stops = cautionsOf(sheet, today()).filter(({ level, facts }) => level === 'stop' && (facts.family === undefined || facts.family === item.family))
  // On a phone the act stays under the thumb; beside the sizes it is their foot.
  const foot = (
    <div className="shrink-0 border-t-2 border-ink bg-panel p-3 max-md:sticky max-md:bottom-0 max-md:z-10 max-md:order-3">
      {saveError && <Problem className="mb-2">Not saved. {saveError} The choice stays here; try again.</Problem>}
      {overrules && advice && table && (
        <TextField
          label={`Advised here: ${lowerFirst(adviceWords(advice, table))}. Why another?`}
          value={why}
          maxLength={300}
          problem={whyProblem ?? undefined}
          onChange={(event) => {
            setWhy(event.target.value)
            setWhyProblem(null)
          }}
          className="mb-2"
        />
      )}
      <button
        type="button"
        // What stands there from before the newest tape is read on, but not pressed.
        disabled={!cut && (!proposed?.settlement || !fresh)}
        onClick={press}
        className={`flex min-h-14 w-full items-center justify-between gap-3 rounded-[2px] border-2 border-ink px-4 py-1.5 text-left ${notNow === '' ? 'bg-tape text-tape-ink disabled:bg-tape-rest' : 'bg-panel'}`}
      >
        <ChooseWords
          labels={labels}
          follows={follows}
          table={table}
          known={known}
          guessed={advice?.kind === 'guess'}
          waitsFor={offer ? waitsForWords(measuresOfTable(offer.judged), unsettled) : ''}
          soldOut={offer ? soldOutWords(offer, labels, supply) : ''}
          notNow={notNow}
          out={out || (ranked.length > 0 && !fresh)}
          cut={cut}
        />
        <KeyCap tone={notNow === '' ? 'tape' : 'paper'}>Enter</KeyCap>
      </button>
    </div>
  )
  return (
    <LaidOnDog item={item} offer={offer} size={size} second={second} piece={ranked.find((each) => each.kind === 'gear' && each !== offer)} form={drawn}>
      <ItemsInHand
        items={items}
        current={inHand}
        onPick={pickItem}
        className="min-h-0 flex-1 max-md:flex max-md:flex-col max-md:overflow-y-auto md:grid md:grid-cols-[316px_1fr]"
      >
        <section aria-label="Sizes" className="order-2 flex min-h-0 flex-col bg-panel max-md:shrink-0 md:order-1 md:border-r-2 md:border-ink">
          <ItemTabs items={items} says={chosenOf} />
          {just && just.now === item.id && (
            <p role="status" className="shrink-0 border-b-2 border-ink bg-bench px-4 py-1.5">
              <b>{just.words}</b> Now the {lowerFirst(familyName(item.family))}.
            </p>
          )}
          <header className="shrink-0 border-b-2 border-ink px-4 py-2">
            <h2 className="text-[19px] leading-6">{familyName(item.family)}</h2>
            <p className="text-mute">{sheet.ticket.activities.map(activityName).join(', ') || 'What it will do: not asked yet'}</p>
            <p className="-mb-1 flex flex-wrap gap-x-4">
              {isHarness(item.family) && (
                <Link to={`/tickets/${sheet.ticket.id}/kinds`} className="inline-flex min-h-11 items-center font-bold underline">
                  Which kind
                </Link>
              )}
              {families[item.family].pull !== null && (
                <Link to={`/tickets/${sheet.ticket.id}/hitch`} className="inline-flex min-h-11 items-center font-bold underline">
                  The hitch
                </Link>
              )}
              {item.family === 'H24' && (
                <Link to={`/tickets/${sheet.ticket.id}/seat`} className="inline-flex min-h-11 items-center font-bold underline">
                  The seat
                </Link>
              )}
              {GARMENT_FAMILIES.some((each) => each === item.family) && (
                <Link to={`/tickets/${sheet.ticket.id}/pattern/${item.id}`} className="inline-flex min-h-11 items-center font-bold underline">
                  Its pieces
                </Link>
              )}
              {choice?.kind === 'made' && (
                <Link to={`/tickets/${sheet.ticket.id}/order`} className="inline-flex min-h-11 items-center font-bold underline">
                  Order sheet
                </Link>
              )}
              <Link to={`/tickets/${sheet.ticket.id}/all-sizes`} className="inline-flex min-h-11 items-center font-bold underline">
                All sizes
              </Link>
            </p>
          </header>
          <div className="quiet-scroll min-h-0 flex-1">
            {ranked.length === 0 && !out && <p className="px-4 py-4 text-mute">No size table here is for this kind in this way.</p>}
            {(later ? ranked : ranked.slice(0, AT_FIRST)).map((each) => (
              <TableBlock
                key={offerKey(each)}
                supply={supply.find((heard) => heard.tableId === tableIn(each)?.id)}
                {...(each.kind === 'gear' ? { own: pieceWords(each.piece, outWords(booked.get(each.piece.id))) } : {})}
                table={faceOf(each)}
                sizes={each.sizes}
                neededOn={sheet.ticket.neededOn}
                picked={each === offer ? size?.label : undefined}
                chosen={choice && isOf(choice, each) ? (choice.kind === 'gear' || choice.kind === 'made' ? each.sizes.map((one) => one.label) : chosen) : []}
                onPick={(one) => setPicked({ offer: offerKey(each), label: one })}
              />
            ))}
            {later && <WaysBlock ways={ways} />}
          </div>
          <CheckByCheck name={name} />
          {!narrow && foot}
        </section>
        <section aria-label="How it should fit" className="order-1 flex min-h-0 flex-col max-md:shrink-0 md:order-2">
          <ItemPanel items={items} current={inHand} className="flex min-h-0 flex-1 flex-col">
            <header className="shrink-0 border-b-2 border-ink bg-bench px-5 py-2.5">
              {table && size ? (
                <div className="flex flex-wrap items-center gap-x-5">
                  <h1 className="text-[28px] leading-[34px]">
                    {sizeName(table, size.label)} on {name}:
                  </h1>
                  <p className="max-w-[560px] text-[15px] leading-[19px]">
                    <b>{titleWords(size)}</b>{' '}
                    <span className="block">
                      <Worded text={becauseWords(size, look)} />
                    </span>
                  </p>
                  <p className="ml-auto text-[13.5px] text-mute">Predicted. Nothing seen on the dog yet.</p>
                </div>
              ) : (
                <h1 className="text-[28px] leading-[34px]">{out ? 'Sizes' : cut ? `Cut for ${name} alone` : 'No size to show yet'}</h1>
              )}
            </header>
            <div className="mat quiet-scroll min-h-0 flex-1 p-4" tabIndex={0} role="group" aria-label="The size on the tapes">
              {stops.length > 0 && (
                <div className="mb-4">
                  <Snag title={`${stops.map((stop) => cautionWords(stop).title).join('. ')}.`}>
                    {stops.length === 1 ? 'This stop binds' : 'These stops bind'} the work, not the size.{' '}
                    <Link className="inline-flex min-h-11 items-center font-bold underline" to={`/tickets/${sheet.ticket.id}/ask`}>
                      Read under Ask
                    </Link>
                  </Snag>
                </div>
              )}
              {offer?.kind === 'series' && <CrateNote offer={offer} />}
              {out && <Unrolling />}
              {ranked.length === 0 && !out && <NoTable item={item} name={name} form={drawn} pieces={cut ? toPieces : null} />}
              {later && offer && table && size && (
                // The dog and the first size’s tapes on the left, what to make of them on the right; the second size below.
                <div className="grid gap-4 xl:grid-cols-2 xl:grid-rows-[repeat(9,auto)_1fr]">
                  {!isLaid && <OnTheDog form={drawn} family={item.family} name={name} fits={size.perMeasure} />}
                  <LayMat form={drawn} family={item.family} name={name} look={look} />
                  <div className={`flex flex-col gap-4 xl:col-start-2 xl:row-span-10 ${isLaid ? '' : 'xl:row-start-1'}`}>
                    <SettleBlock table={table} body={body} form={form} near={advice?.labels ?? []} />
                    <PawsBlock offer={offer} />
                    <MakersBlock ranked={ranked} offer={offer} body={body} look={look} />
                    {size.conflict && (
                      <article aria-label="Where the tapes disagree" className="border-[1.5px] border-ink bg-panel px-4 py-3">
                        <h2 className="text-[18px] leading-[22px]">The tapes disagree on {sizeName(table, size.label)}</h2>
                        <p className="mt-1">
                          <Worded text={conflictWords(size.conflict, (mm) => formatLength(mm, look).text)} />
                        </p>
                      </article>
                    )}
                    <OutcomesBlock table={table} sizes={shownSizes}>
                      <MakerSays table={table} size={size} weightKg={newestWeightKg(sheet)} look={look} />
                      {ringsFor(sheet.ticket.activities).length > 1 && families[item.family].shelf !== 'coat' && (
                        <p className="mt-2">Rings: order back, left and right. The side arm wants one on its own side, and the dog may change sides.</p>
                      )}
                      {advised && advised !== offer && (
                        <p className="mt-2 text-mute">
                          Nearest over all makers: {faceOf(advised).maker}, {adviceInLine(adviseOffer(advised), { family: familyOf(advised) })}.
                        </p>
                      )}
                      {table.way !== 'made' && families[item.family].shelf === 'pulling' && (
                        <p className="mt-2">
                          Slack says nothing about a pulling harness: end mid-back and bunched is the normal look. Judge it pulled back by hand.
                        </p>
                      )}
                    </OutcomesBlock>
                  </div>
                  {offer.kind === 'made' && <OrderFields options={options} table={table} onChange={setOptions} />}
                  {size.perMeasure.map((fit, at) => (
                    <MeasureCard key={fit.measure} n={isLaid ? null : at + 1} fit={fit} size={size} table={table} body={body} first look={look} />
                  ))}
                  {size.perMeasure.length === 1 && (
                    <p className="max-w-[420px]">This maker sizes by one measure alone. It is a first filter; the rest shows on the dog.</p>
                  )}
                </div>
              )}
              {table && second && (
                <>
                  <h2 className="mt-4 mb-2 flex flex-wrap items-baseline gap-x-4 text-[22px] leading-7">
                    Then {second.label}: <span className="font-text text-[15px]">{titleWords(second)}</span>
                  </h2>
                  <div className="grid gap-4 xl:grid-cols-2">
                    {second.perMeasure.map((fit, at) => (
                      <MeasureCard key={fit.measure} n={isLaid ? null : at + 1} fit={fit} size={second} table={table} body={body} first={false} look={look} />
                    ))}
                  </div>
                </>
              )}
              {table && known === 0 && (
                <p className="mt-4 font-bold">
                  No tape yet. Take one under Measure, or start with two sizes on the rack under{' '}
                  <Link className="underline" to={`/tickets/${sheet.ticket.id}/try-on`}>
                    Try on
                  </Link>
                  .
                </p>
              )}
            </div>
          </ItemPanel>
        </section>
        {narrow && foot}
      </ItemsInHand>
    </LaidOnDog>
  )
}

/** Where one of our pieces is and in what state. */
const pieceWords = (piece: Piece, out: string): string =>
  `${out === '' ? '' : `${upperFirst(out)}. `}${HOMES[piece.home]}${piece.holder ? `, ${piece.holder}` : ''}; ${lowerFirst(STATES[piece.state])}.${Object.keys(piece.flat).length > 0 ? ' Laid flat and measured.' : ' By its label alone.'}`
