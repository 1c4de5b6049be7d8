import { newestTables, PIECE_HOMES, PIECE_STATES, typicalForm, type Change, type Piece, type Retired } from '@merry-tailor/core'
import { useState } from 'react'
import { useChangePieceMutation, useDogsQuery, useSizeTablesQuery } from '../api/queries'
import { today } from '../state/today'
import { Button } from '../ui/controls/Button'
import { Picker } from '../ui/controls/Picker'
import { SavedField } from '../ui/controls/SavedField'
import { Segmented } from '../ui/controls/Segmented'
import { GearSketch } from '../ui/plates/GearSketch'
import { BUILDS, HOMES, RETIRED, STATES } from '../words/pieces'
import { problemWords } from '../words/problems'
import { familyName } from '../words/stages'
import { saveField } from '../state/save-field'
import { PieceOut } from './PieceOut'
import { PieceSet } from './PieceSet'
import { FlatMeasures } from './FlatMeasures'
import { Problem } from '../ui/controls/Problem'

const NOBODY = 'nobody'
const NO_TABLE = 'none'

/** One piece: what it is, laid flat, whose and on whom, and when it is out of use. */
export function PieceView({ piece }: { piece: Piece }) {
  const [changePiece] = useChangePieceMutation()
  const { data: dogs = [] } = useDogsQuery(undefined)
  const { data: tables = [] } = useSizeTablesQuery(undefined)
  const [refused, setRefused] = useState<string | null>(null)
  const send = (changes: Change[]) => changePiece({ id: piece.id, changes })
  const set = async (field: keyof Piece, to: unknown): Promise<string | null> => {
    const answer = await send([{ field, from: piece[field], to: to }])
    const says = answer.error ? problemWords(answer.error) : null
    setRefused(says)
    return says
  }
  const text = (field: 'tag' | 'maker' | 'label' | 'sliders' | 'holder' | 'wear', label: string, maxLength: number, multiline = false) => (
    <SavedField
      label={label}
      value={piece[field]}
      maxLength={maxLength}
      multiline={multiline}
      onSave={(typed, seen) => saveField(send, field, seen, typed.trim())}
    />
  )
  const own = newestTables(tables).filter((table) => table.family === piece.family)
  const labels = own.find((table) => table.id === piece.tableId)?.sizes.map((size) => size.label) ?? []
  return (
    <div className="min-h-full max-w-[860px] border-ink bg-panel tablet:border-r-2">
      <header className="flex flex-wrap items-center gap-x-5 border-b-2 border-ink px-5 py-3">
        <div className="flex-1">
          <h1 className="text-[26px] leading-[34px]">{piece.tag}</h1>
          <p className="text-mute">
            {familyName(piece.family)}
            {piece.retired ? `. Out of use since ${piece.retired.on}: ${RETIRED[piece.retired.why].toLowerCase()}` : ''}.
          </p>
        </div>
        <GearSketch form={typicalForm(null)} family={piece.family} width={150} height={96} label={`${familyName(piece.family)} on a middle dog`} />
      </header>
      <PieceOut pieceId={piece.id} />
      <div className="space-y-4 bg-panel px-5 py-4">
        <Problem barred>{refused}</Problem>
        <div className="grid gap-4 sm:grid-cols-2">
          {text('tag', 'Name written on it', 40)}
          {text('maker', 'Maker', 80)}
          <div>
            <span className="mb-1 block text-[13.5px] font-semibold text-mute">Size table of its label</span>
            <Picker
              label="Size table of its label"
              value={piece.tableId ?? NO_TABLE}
              options={[{ value: NO_TABLE, label: 'Not known' }, ...own.map((table) => ({ value: table.id, label: table.maker, note: table.name }))]}
              onChange={(id) => void set('tableId', id === NO_TABLE ? null : id)}
              className="w-full"
            />
          </div>
          {labels.length > 0 ? (
            <div>
              <span className="mb-1 block text-[13.5px] font-semibold text-mute">Size on its label</span>
              <Picker
                label="Size on its label"
                value={labels.includes(piece.label) ? piece.label : ''}
                options={labels.map((label) => ({ value: label, label }))}
                onChange={(label) => void set('label', label)}
                className="w-full"
              />
            </div>
          ) : (
            text('label', 'Size on its label', 40)
          )}
        </div>
        {piece.family === 'H24' && (
          <div className="space-y-2">
            <span className="block text-[13.5px] font-semibold text-mute">How it is built</span>
            <Segmented
              label="How it is built"
              value={piece.build ?? ''}
              options={[{ value: '', label: 'Not said' }, ...BUILDS]}
              onChange={(build) => void set('build', build === '' ? null : build)}
            />
          </div>
        )}
        <FlatMeasures piece={piece} onSave={(flat) => set('flat', flat)} />
        <PieceSet piece={piece} />
        <div className="grid gap-4 border-t-2 border-ink pt-3 sm:grid-cols-2">
          <div className="space-y-2">
            <span className="block text-[13.5px] font-semibold text-mute">Whose it is</span>
            <Segmented
              label="Whose it is"
              value={piece.home}
              options={PIECE_HOMES.map((home) => ({ value: home, label: HOMES[home] }))}
              onChange={(home) => void set('home', home)}
            />
          </div>
          {text('holder', piece.home === 'loan' ? 'Lent to' : 'Where it hangs', 80)}
          <div>
            <span className="mb-1 block text-[13.5px] font-semibold text-mute">Worn by</span>
            <Picker
              label="Worn by"
              value={piece.wearerId ?? NOBODY}
              options={[{ value: NOBODY, label: 'Nobody' }, ...dogs.map((dog) => ({ value: dog.id, label: dog.name }))]}
              onChange={(id) => void set('wearerId', id === NOBODY ? null : id)}
              className="w-full"
            />
          </div>
          {text('sliders', 'Sliders stand at', 200)}
          <div className="space-y-2">
            <span className="block text-[13.5px] font-semibold text-mute">State</span>
            <Segmented
              label="State"
              value={piece.state}
              options={PIECE_STATES.map((state) => ({ value: state, label: STATES[state] }))}
              onChange={(state) => void set('state', state)}
            />
          </div>
          {text('wear', 'Wear seen', 500)}
        </div>
        <Retire piece={piece} onSet={(retired) => void set('retired', retired)} />
      </div>
    </div>
  )
}

/** Out of use, or back. What was in a crash stays out: a crash can weaken it where no eye sees it. */
function Retire({ piece, onSet }: { piece: Piece; onSet: (retired: Retired | null) => void }) {
  if (piece.retired)
    return (
      <section aria-label="Out of use" className="border-t-2 border-ink pt-3">
        {piece.retired.why === 'crash' ? (
          <p className="font-semibold">It was in a crash and stays out of use. Cut it through, so that nobody wears it again.</p>
        ) : (
          <Button onClick={() => onSet(null)}>Take it back into use</Button>
        )}
      </section>
    )
  const out = (why: Retired['why']) => onSet({ on: today(), why })
  return (
    <section aria-label="Out of use" className="border-t-2 border-ink pt-3">
      <h2 className="text-[19px] leading-6">Take it out of use</h2>
      {piece.family === 'H24' && <p className="mt-1">After any crash, even a light one: replace it. Ask the maker where in doubt.</p>}
      <div className="mt-2 flex flex-wrap gap-2">
        {piece.family === 'H24' && (
          <Button tone="snag" onClick={() => out('crash')}>
            Was in a crash
          </Button>
        )}
        <Button onClick={() => out('worn-out')}>Worn out</Button>
        <Button onClick={() => out('lost')}>Lost</Button>
        <Button onClick={() => out('sold')}>Sold</Button>
      </div>
    </section>
  )
}
