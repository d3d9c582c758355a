import type { ReactNode } from 'react'

/** A column: what stands in it, and what it is sorted by and written to a file as. */
export interface Column<Row> {
  key: string
  title: string
  cell: (row: Row) => ReactNode
  /** Sorts by it and goes into the file; without it the column does neither. */
  value?: (row: Row) => string | number
  /** Names the row; one column of a table does. */
  names?: true
}
