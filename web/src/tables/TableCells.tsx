import { measureIds, typicalForm } from '@merry-tailor/core'
import { useState } from 'react'
import { Button } from '../ui/controls/Button'
import { Picker } from '../ui/controls/Picker'
import { TextField } from '../ui/controls/TextField'
import { TapePlate } from '../ui/plates/TapePlate'
import { platesOf } from '../ui/plates/plate-of'
import { measureName } from '../words/stages'
import { emptyRow, keyOf, type DraftColumn, type DraftProblem, type DraftRow, type TableDraft, weightUnitOf } from './table-draft'

interface TableCellsProps {
  draft: TableDraft
  problems: readonly DraftProblem[]
  onChange: (change: Partial<TableDraft>) => void
}

/** Rows are sizes, columns measures with the picture of their path, cells from and to. */
export function TableCells({ draft, problems, onChange }: TableCellsProps) {
  const problem = (at: string): string | undefined => problems.find((each) => each.at === at)?.says
  const change = (key: number, over: Partial<DraftRow>): void => onChange({ rows: draft.rows.map((row) => (row.key === key ? { ...row, ...over } : row)) })
  const type = (row: DraftRow, column: DraftColumn, end: 0 | 1, text: string): void => {
    const [from = '', to = ''] = row.cells[keyOf(column)] ?? []
    change(row.key, { cells: { ...row.cells, [keyOf(column)]: end === 0 ? [text, to] : [from, text] } })
  }
  const tested = draft.family === 'H24' || draft.rows.some((row) => row.tested !== '')
  const form = typicalForm(null)
  return (
    <div className="overflow-x-auto" tabIndex={-1}>
      <table className="border-collapse">
        <thead>
          <tr className="align-bottom text-[14px] text-mute">
            <th scope="col" className="pr-3 text-left">
              Size
            </th>
            {draft.columns.map((column) => (
              <th key={keyOf(column)} scope="col" className="px-2 pb-1 text-left">
                {column.kind === 'measure' && (
                  <TapePlate
                    form={form}
                    plate={platesOf(column.id)[0] ?? 'side'}
                    measure={column.id}
                    width={150}
                    height={84}
                    plain
                    label={`Path of ${measureName(column.id).toLowerCase()}`}
                  />
                )}
                <span className="block max-w-[168px] text-[15px] leading-[18px] text-ink">
                  {column.kind === 'measure' ? measureName(column.id) : `Strap: ${column.id}`}
                </span>
                <span className="flex items-center justify-between text-[13.5px] font-normal">
                  from, to, {column.kind === 'measure' && column.id === 'M00' ? weightUnitOf(draft.unit) : draft.unit}
                  <button
                    type="button"
                    aria-label={`Take out the column ${column.kind === 'measure' ? measureName(column.id) : column.id}`}
                    onClick={() => onChange({ columns: draft.columns.filter((each) => each !== column) })}
                    className="min-h-11 px-1 font-semibold underline"
                  >
                    take out
                  </button>
                </span>
              </th>
            ))}
            {tested && (
              <th scope="col" className="px-2 pb-1 text-left">
                Tested to, kg
              </th>
            )}
            <th />
          </tr>
        </thead>
        <tbody>
          {draft.rows.map((row, r) => (
            <tr key={row.key} className="border-t border-rule align-top">
              <th scope="row" className="py-1.5 pr-3 text-left">
                <Cell
                  label={`Name of size ${r + 1}`}
                  value={row.label}
                  wide
                  problem={problem(`row ${row.key} label`)}
                  onType={(label) => change(row.key, { label })}
                />
              </th>
              {draft.columns.map((column) => (
                <td key={keyOf(column)} className="px-2 py-1.5">
                  <span className="flex gap-1.5">
                    {([0, 1] as const).map((end) => (
                      <Cell
                        key={end}
                        label={`${row.label || `Size ${r + 1}`}, ${column.kind === 'measure' ? measureName(column.id) : column.id}, ${end === 0 ? 'from' : 'to'}`}
                        value={row.cells[keyOf(column)]?.[end] ?? ''}
                        problem={problem(`row ${row.key} ${keyOf(column)} ${end}`)}
                        onType={(text) => type(row, column, end, text)}
                      />
                    ))}
                  </span>
                </td>
              ))}
              {tested && (
                <td className="px-2 py-1.5">
                  <Cell
                    label={`${row.label || `Size ${r + 1}`}, tested to, kg`}
                    value={row.tested}
                    problem={problem(`row ${row.key} tested`)}
                    onType={(text) => change(row.key, { tested: text })}
                  />
                </td>
              )}
              <td className="py-1.5">
                <button
                  type="button"
                  aria-label={`Take out size ${row.label || r + 1}`}
                  onClick={() => onChange({ rows: draft.rows.filter((each) => each !== row) })}
                  className="min-h-11 px-2 text-[14px] font-semibold underline"
                >
                  take out
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {problem('rows') && (
        <p role="alert" className="mt-1 font-semibold text-snag">
          {problem('rows')}
        </p>
      )}
      <div className="mt-2 flex flex-wrap items-end gap-3 pb-1">
        <Button onClick={() => onChange({ rows: [...draft.rows, emptyRow()] })} disabled={draft.rows.length >= 60}>
          {draft.rows.length >= 60 ? 'Sixty sizes are the most' : 'Another size'}
        </Button>
        <AddColumn columns={draft.columns} onAdd={(column) => onChange({ columns: [...draft.columns, column] })} />
      </div>
    </div>
  )
}

function Cell({
  label,
  value,
  problem,
  onType,
  wide = false,
}: {
  label: string
  value: string
  problem: string | undefined
  onType: (text: string) => void
  wide?: boolean
}) {
  return (
    <span className={`block ${wide ? 'w-[108px]' : 'w-[78px]'}`}>
      <input
        aria-label={label}
        aria-invalid={problem ? true : undefined}
        value={value}
        maxLength={40}
        onChange={(event) => onType(event.target.value)}
        className={`h-11 w-full rounded-[2px] border-2 bg-panel px-2 text-[16px] ${wide ? 'font-bold' : 'text-right'} ${problem ? 'border-snag' : 'border-edge'}`}
      />
      {problem && (
        <span role="alert" className="block text-[13px] leading-[15px] font-semibold text-snag">
          {problem}
        </span>
      )}
    </span>
  )
}

function AddColumn({ columns, onAdd }: { columns: readonly DraftColumn[]; onAdd: (column: DraftColumn) => void }) {
  const [strap, setStrap] = useState('')
  const open = measureIds.filter((id) => !columns.some((column) => column.kind === 'measure' && column.id === id))
  const name = strap.trim()
  const taken = columns.some((column) => column.kind === 'strap' && column.id === name)
  return (
    <>
      <Picker
        label="Another measure"
        value=""
        placeholder="Another measure"
        options={open.map((id) => ({ value: id, label: measureName(id) }))}
        onChange={(id) => onAdd({ kind: 'measure', id })}
      />
      <form
        className="flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault()
          if (name === '' || taken) return
          onAdd({ kind: 'strap', id: name })
          setStrap('')
        }}
      >
        <TextField
          label="A strap the maker gives lengths for"
          maxLength={40}
          value={strap}
          problem={taken ? 'It has its column.' : undefined}
          onChange={(event) => setStrap(event.target.value)}
        />
        <Button type="submit">Its column</Button>
      </form>
    </>
  )
}
