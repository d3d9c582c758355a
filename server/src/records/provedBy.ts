import type { HeadStatement } from '@logged-thermal/core'

/** What a printed record is proved by: the head that it is held against, and the file that leads to it. */
export interface ProvedBy {
  head: HeadStatement
  /** The name of the file that leads to it. */
  file: string
}
