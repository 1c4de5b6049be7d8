import { measureIds, typicalForm } from '@merry-tailor/core'
import { useState } from 'react'
import { Button } from '../ui/controls/Button'
import { Picker } from '../ui/controls/Picker'
import { TextField } from '../ui/controls/TextField'
import { Box } from '../ui/grid/Box'
import { EntryGrid, type GridColumn } from '../ui/grid/EntryGrid'
import { TapePlate } from '../ui/plates/TapePlate'
import { platesOf } from '../ui/plates/plate-of'
import { measureName } from '../words/stages'
import { emptyRow, keyOf, type DraftColumn, type DraftProblem, type DraftRow, type TableDraft, weightUnitOf } from './table-draft'
import { Problem } from '../ui/controls/Problem'

/** A cell's number, at the right of a narrow box. */
const CELL = { maxLength: 40, look: 'text-right text-[16px]', className: 'w-[78px]' }

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
  const wordOf = (column: DraftColumn): string => (column.kind === 'measure' ? measureName(column.id) : column.id)
  const sizeOf = (row: DraftRow, r: number): string => row.label || `Size ${r + 1}`
  const columns: GridColumn<DraftRow>[] = [
    {
      id: 'size',
      header: 'Size',
      meta: { head: 'pr-3', cell: 'py-1.5 pr-3', rowHead: true },
      cell: ({ row: { original: row, index } }) => (
        <Box
          label={`Name of size ${index + 1}`}
          value={row.label}
          problem={problem(`row ${row.key} label`)}
          onChange={(event) => change(row.key, { label: event.target.value })}
          {...CELL}
          look="text-[16px] font-bold"
          className="w-[108px]"
        />
      ),
    },
    ...draft.columns.map((column): GridColumn<DraftRow> => ({
      id: keyOf(column),
      header: () => (
        <>
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
              aria-label={`Remove the column ${wordOf(column)}`}
              onClick={() => onChange({ columns: draft.columns.filter((each) => each !== column) })}
              className="min-h-11 px-1 font-semibold underline"
            >
              remove
            </button>
          </span>
        </>
      ),
      meta: { head: 'px-2 pb-1', cell: 'px-2 py-1.5' },
      cell: ({ row: { original: row, index } }) => (
        <div className="flex gap-1.5">
          {([0, 1] as const).map((end) => (
            <Box
              key={end}
              label={`${sizeOf(row, index)}, ${wordOf(column)}, ${end === 0 ? 'from' : 'to'}`}
              value={row.cells[keyOf(column)]?.[end] ?? ''}
              problem={problem(`row ${row.key} ${keyOf(column)} ${end}`)}
              onChange={(event) => type(row, column, end, event.target.value)}
              {...CELL}
            />
          ))}
        </div>
      ),
    })),
    ...(tested
      ? [
          {
            id: 'tested',
            header: 'Tested to, kg',
            meta: { head: 'px-2 pb-1', cell: 'px-2 py-1.5' },
            cell: ({ row: { original: row, index } }) => (
              <Box
                label={`${sizeOf(row, index)}, tested to, kg`}
                value={row.tested}
                problem={problem(`row ${row.key} tested`)}
                onChange={(event) => change(row.key, { tested: event.target.value })}
                {...CELL}
              />
            ),
          } satisfies GridColumn<DraftRow>,
        ]
      : []),
    {
      id: 'remove',
      header: () => <span className="sr-only">Remove</span>,
      meta: { cell: 'py-1.5' },
      cell: ({ row: { original: row, index } }) => (
        <button
          type="button"
          aria-label={`Remove size ${row.label || index + 1}`}
          onClick={() => onChange({ rows: draft.rows.filter((each) => each !== row) })}
          className="min-h-11 px-2 text-[14px] font-semibold underline"
        >
          remove
        </button>
      ),
    },
  ]
  return (
    <div className="overflow-x-auto" tabIndex={-1}>
      <EntryGrid rows={draft.rows} columns={columns} keyOf={({ key }) => `${key}`} headClass="align-bottom text-[14px] text-mute" />
      {problem('rows') && <Problem className="mt-1">{problem('rows')}</Problem>}
      <div className="mt-2 flex flex-wrap items-end gap-3 pb-1">
        <Button onClick={() => onChange({ rows: [...draft.rows, emptyRow()] })} disabled={draft.rows.length >= 60}>
          {draft.rows.length >= 60 ? 'Sixty sizes are the most' : 'Another size'}
        </Button>
        <AddColumn columns={draft.columns} onAdd={(column) => onChange({ columns: [...draft.columns, column] })} />
      </div>
    </div>
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
