import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableContainer from '@mui/material/TableContainer'
import TableHead from '@mui/material/TableHead'
import TableRow from '@mui/material/TableRow'
import TableSortLabel from '@mui/material/TableSortLabel'
import {
  getCoreRowModel,
  getSortedRowModel,
  useReactTable,
  type ColumnDef,
  type SortingState,
  type VisibilityState,
} from '@tanstack/react-table'
import { useVirtualizer } from '@tanstack/react-virtual'
import { useMemo, useRef, useState, type MouseEvent } from 'react'
import { clsx } from 'clsx'
import { HIDDEN } from '../hidden'
import styles from './dataTable.module.css'
import type { Column } from './column'
import { csvOf, download } from './csv'
import { TableKeys } from './TableKeys'

interface Props<Row> {
  /** What the table is, read out before it. */
  caption: string
  columns: readonly Column<Row>[]
  rows: readonly Row[]
  rowKey: (row: Row) => string
  /** The column that it is sorted by at first; without it rows stand as given. */
  sortedBy?: string
  /** Offers choosing columns and taking the rows as a file of this name. */
  file?: string
  onOpen?: (row: Row) => void
  isChosen?: (row: Row) => boolean
  className?: string
}

/** A link or key in a row does what it says, and nothing beside it. */
const leadsNowhere = (target: EventTarget | null) => !(target instanceof Element && target.closest('a, button'))

/** With more rows than these only those near the screen are drawn. */
const MANY = 60
const ROW = 58

/** Rows that people compare: sorted by any column, head kept in sight, reached by keyboard. */
export function DataTable<Row>(props: Props<Row>) {
  const { caption, columns, rows, rowKey, sortedBy, file, onOpen, isChosen, className } = props
  const [sorting, setSorting] = useState<SortingState>(sortedBy ? [{ id: sortedBy, desc: false }] : [])
  const [columnVisibility, setVisible] = useState<VisibilityState>({})
  const definitions = useMemo(() => columns.map(definitionOf), [columns])
  const data = useMemo(() => [...rows], [rows])
  const table = useReactTable({
    data,
    columns: definitions,
    state: { sorting, columnVisibility },
    onSortingChange: setSorting,
    onColumnVisibilityChange: setVisible,
    getRowId: rowKey,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
    enableSortingRemoval: false,
    sortDescFirst: false,
  })
  const box = useRef<HTMLDivElement>(null)
  const sorted = table.getRowModel().rows
  const virtual = useVirtualizer({
    count: sorted.length,
    getScrollElement: () => box.current,
    estimateSize: () => ROW,
    overscan: 12,
    enabled: sorted.length > MANY,
  })
  const drawn = sorted.length > MANY ? virtual.getVirtualItems() : null
  const [above, below] = drawn ? [drawn[0]?.start ?? 0, virtual.getTotalSize() - (drawn.at(-1)?.end ?? 0)] : [0, 0]
  const shown = drawn ? drawn.map(({ index }) => sorted[index]!) : sorted
  const byKey = new Map(columns.map((column) => [column.key, column]))
  return (
    <>
      {file !== undefined && (
        <TableKeys
          columns={table.getAllLeafColumns().map((column) => ({
            key: column.id,
            title: byKey.get(column.id)!.title,
            shown: column.getIsVisible(),
            onShow: (show) => column.toggleVisibility(show),
          }))}
          onFile={() =>
            download(
              file,
              csvOf(
                columns,
                sorted.map(({ original }) => original),
              ),
            )
          }
        />
      )}
      <TableContainer
        ref={box}
        tabIndex={0}
        role="region"
        aria-label={caption}
        className={clsx(styles.box, onOpen && styles.opens, className)}
      >
        <Table stickyHeader>
          <caption style={HIDDEN}>{caption}</caption>
          <TableHead>
            {table.getHeaderGroups().map((group) => (
              <TableRow key={group.id}>
                {group.headers.map(({ id, column }) => {
                  const way = column.getIsSorted()
                  return (
                    <TableCell key={id} scope="col" sortDirection={way || undefined}>
                      {column.getCanSort() ? (
                        <TableSortLabel
                          active={way !== false}
                          direction={way || 'asc'}
                          onClick={() => column.toggleSorting()}
                        >
                          {byKey.get(id)!.title}
                        </TableSortLabel>
                      ) : (
                        byKey.get(id)!.title
                      )}
                    </TableCell>
                  )
                })}
              </TableRow>
            ))}
          </TableHead>
          <TableBody>
            {above > 0 && <Gap height={above} />}
            {shown.map((row) => (
              <TableRow
                key={row.id}
                data-index={row.index}
                ref={drawn ? virtual.measureElement : undefined}
                selected={isChosen?.(row.original) ?? false}
                onClick={onOpen && ((event: MouseEvent) => leadsNowhere(event.target) && onOpen(row.original))}
              >
                {row.getVisibleCells().map((cell) => {
                  const named = byKey.get(cell.column.id)!.names
                  return (
                    <TableCell key={cell.id} {...(named ? { component: 'th', scope: 'row' } : {})}>
                      {byKey.get(cell.column.id)!.cell(row.original)}
                    </TableCell>
                  )
                })}
              </TableRow>
            ))}
            {below > 0 && <Gap height={below} />}
          </TableBody>
        </Table>
      </TableContainer>
    </>
  )
}

/** Stands for rows that are not drawn. */
function Gap({ height }: { height: number }) {
  return (
    <TableRow aria-hidden>
      <TableCell style={{ height, padding: 0, border: 0 }} />
    </TableRow>
  )
}

/** What stands in a cell is drawn by the table itself: a component made anew with each drawing would lose the tap on it. */
function definitionOf<Row>({ key, value }: Column<Row>): ColumnDef<Row> {
  return {
    id: key,
    accessorFn: (row) => value?.(row) ?? '',
    enableSorting: value !== undefined,
    sortingFn: (left, right, id) => compared(left.getValue(id), right.getValue(id)),
  }
}

function compared(left: string | number, right: string | number): number {
  return typeof left === 'number' && typeof right === 'number'
    ? left - right
    : String(left).localeCompare(String(right), undefined, { numeric: true })
}
