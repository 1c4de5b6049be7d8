import type { ReactNode } from 'react'
import { metaHelper, tableFeatures, useTable, type ColumnDef, type RowData } from '@tanstack/react-table'

/** How a column is drawn: classes of its head and its cells; a column of row heads is read as such. */
interface ColumnLook {
  head?: string
  cell?: string
  rowHead?: boolean
}

const features = tableFeatures({ columnMeta: metaHelper<ColumnLook>() })
export type GridColumn<Row extends RowData> = ColumnDef<typeof features, Row>

/** Called, not mounted: a column made anew with each key must not take the box away that is typed into. */
const drawn = (of: unknown, context: unknown): ReactNode => (typeof of === 'function' ? (of as (context: unknown) => ReactNode)(context) : (of as ReactNode))

interface EntryGridProps<Row extends RowData> {
  rows: readonly Row[]
  columns: GridColumn<Row>[]
  keyOf: (row: Row) => string
  className?: string
  headClass?: string
}

/** A table that is typed into: rows, columns (in groups where a head stands over several), and a box in each cell. */
export function EntryGrid<Row extends RowData>({ rows, columns, keyOf, className = '', headClass = 'text-[14px] text-mute' }: EntryGridProps<Row>) {
  'use no memo'
  const table = useTable({ features, data: rows, columns, getRowId: keyOf })
  const [heads] = table.getHeaderGroups()
  return (
    <table className={`border-collapse text-left ${className}`}>
      <thead>
        <tr className={headClass}>
          {heads?.headers.map((head) => (
            <th key={head.id} scope={head.colSpan > 1 ? 'colgroup' : 'col'} colSpan={head.colSpan} className={head.column.columnDef.meta?.head}>
              {drawn(head.column.columnDef.header, head.getContext())}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {table.getRowModel().rows.map((row) => (
          <tr key={row.id} className="border-t border-rule align-top">
            {row.getAllCells().map((cell) => {
              const { cell: look, rowHead } = cell.column.columnDef.meta ?? {}
              const inner = drawn(cell.column.columnDef.cell, cell.getContext())
              return rowHead ? (
                <th key={cell.id} scope="row" className={`font-normal ${look ?? ''}`}>
                  {inner}
                </th>
              ) : (
                <td key={cell.id} className={look}>
                  {inner}
                </td>
              )
            })}
          </tr>
        ))}
      </tbody>
    </table>
  )
}
