import type { Id } from '@logged-thermal/core'

/** What is done beside the work of those who wait: each kind of job with what it is told. */
export interface JobData {
  notice: { kitchen: Id; name: string }
  /** A packet, by its id. */
  packet: { kitchen: Id; name: string }
}

export type JobKind = keyof JobData

/** How each is taken: one at a time of a kitchen; what fails is tried again, each time after twice as long. */
export const QUEUES: Record<JobKind, { retryLimit: number; retryDelay: number; expireInSeconds: number }> = {
  // Ten tries are half a day: so long a mail server may be away.
  notice: { retryLimit: 10, retryDelay: 30, expireInSeconds: 120 },
  // What is left half made by a server that stopped is made anew.
  packet: { retryLimit: 3, retryDelay: 5, expireInSeconds: 3600 },
}

/** Where the library keeps its tables. */
export const JOBS_SCHEMA = 'pgboss'
