import { FAMILY_IDS, type FamilyId, families, type Piece } from '@merry-tailor/core'
import { useState } from 'react'
import { useSearchParams } from 'react-router'
import { v7 as uuid } from 'uuid'
import { useAddPieceMutation, useDogsQuery, usePiecesQuery } from '../api/queries'
import { PlaceFrame } from '../frame/Strip'
import { useOnce } from '../state/use-once'
import { Picker } from '../ui/controls/Picker'
import { Segmented } from '../ui/controls/Segmented'
import { TextField } from '../ui/controls/TextField'
import { Empty, Snag, Unrolling } from '../ui/State'
import { problemWords } from '../words/problems'
import { familyName } from '../words/stages'
import { HOMES, RETIRED, STATES } from '../words/pieces'
import { FlatsInOut } from './FlatsInOut'
import { FRESH } from './fresh-piece'
import { CarsView } from './CarsView'
import { ListPane } from './ListPane'
import { PieceView } from './PieceView'
import { RigsView } from './RigsView'

const VIEWS = ['pieces', 'carts', 'cars'] as const

/** Gear: every piece the shop can lay a hand on, with its flat measures, state and wearer. */
export function GearPage() {
  const { data: pieces, error } = usePiecesQuery(undefined)
  const { data: dogs = [] } = useDogsQuery(undefined)
  const [search, setSearch] = useSearchParams()
  const view = VIEWS.find((each) => each === search.get('view')) ?? 'pieces'
  const picked = search.get('piece')
  const setPicked = (id: string): void => setSearch({ piece: id }, { replace: true })
  const inUse = (pieces ?? []).filter((piece) => piece.retired === null)
  const out = (pieces ?? []).filter((piece) => piece.retired !== null)
  const piece = pieces?.find((each) => each.id === picked) ?? inUse[0] ?? out[0]
  const wearer = (each: Piece): string => dogs.find((dog) => dog.id === each.wearerId)?.name ?? ''
  return (
    <PlaceFrame name="Gear" detail={`${inUse.length} pieces in use`}>
      <div className="shrink-0 border-b-2 border-ink bg-panel px-3 py-1.5">
        <Segmented
          label="What is shown"
          value={view}
          options={[
            { value: 'pieces', label: 'Pieces' },
            { value: 'carts', label: 'Carts' },
            { value: 'cars', label: 'Cars' },
          ]}
          onChange={(to) => setSearch(to === 'pieces' ? {} : { view: to }, { replace: true })}
        />
      </div>
      {view === 'carts' && <RigsView />}
      {view === 'cars' && <CarsView />}
      {view === 'pieces' && (
        <ListPane
          label="Pieces"
          pickedLabel="Piece"
          rows={[...inUse, ...out].map((each) => ({
            id: each.id,
            title: each.tag,
            aside: each.retired ? RETIRED[each.retired.why] : STATES[each.state],
            note: `${familyName(each.family)}${each.label ? `, ${each.label}` : ''}. ${HOMES[each.home]}${wearer(each) ? `, worn by ${wearer(each)}` : ''}`,
          }))}
          current={piece?.id ?? null}
          onPick={setPicked}
          foot={
            <>
              {pieces && <FlatsInOut pieces={pieces} />}
              <NewOne onMade={setPicked} />
            </>
          }
        >
          {error ? (
            <div className="p-4">
              <Snag title="The pieces can’t be read.">{problemWords(error)}</Snag>
            </div>
          ) : !pieces ? (
            <Unrolling />
          ) : piece ? (
            <PieceView key={piece.id} piece={piece} />
          ) : (
            <Empty>Nothing here yet. Add the first piece: lay it flat, measure it, and Choose will say which dogs it may fit.</Empty>
          )}
        </ListPane>
      )}
    </PlaceFrame>
  )
}

function NewOne({ onMade }: { onMade: (id: string) => void }) {
  const [addPiece] = useAddPieceMutation()
  const [tag, setTag] = useState('')
  const [family, setFamily] = useState<FamilyId>('H01')
  const [problem, setProblem] = useState<string | null>(null)
  const once = useOnce()
  const make = async (): Promise<boolean> => {
    if (tag.trim() === '') {
      setProblem('Write on it what it is called here, and type that.')
      return false
    }
    const id = uuid()
    const answer = await addPiece({ id, body: { ...FRESH, tag: tag.trim(), family, at: new Date().toISOString() } })
    if (answer.error) {
      setProblem(`Not saved. ${problemWords(answer.error)} The name stays here.`)
      return false
    }
    setTag('')
    setProblem(null)
    onMade(id)
    return true
  }
  return (
    <form
      className="shrink-0 space-y-2 border-t-2 border-ink p-3"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void once(make)
      }}
    >
      <TextField
        label="Name written on the piece"
        maxLength={40}
        value={tag}
        problem={problem ?? undefined}
        onChange={(event) => {
          setTag(event.target.value)
          setProblem(null)
        }}
      />
      <Picker label="Kind" value={family} options={FAMILY_IDS.map((id) => ({ value: id, label: families[id].name }))} onChange={setFamily} className="w-full" />
      <button type="submit" className="min-h-14 w-full rounded-[2px] border-2 border-ink bg-tape px-4 text-[18px] font-bold text-tape-ink">
        Add a piece
      </button>
    </form>
  )
}
