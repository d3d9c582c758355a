/** Where a number is from, and how sure we are of having it right. A starting point: check it where you are. */
export interface Source {
  document: string
  section: string
  edition: string
  confidence: 'high' | 'medium'
}

/** A written permission for a looser line; it ends with its last day. */
export interface Variance {
  authority: string
  reference: string
  reason: string
  /** The last day it is valid, YYYY-MM-DD. */
  validUntil: string
}
