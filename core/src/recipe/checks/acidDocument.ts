import type { Day } from '../../ground/zone'
import type { Method } from '../method/method'

/** Who stands behind a document: an authority by its variance, somebody qualified by a product assessment, or the house. */
export const ACID_BY = ['authority', 'assessment', 'house'] as const
export type AcidBy = (typeof ACID_BY)[number]

/** A document that says how long a dessert keeps by its pH, and whether it needs the cold. */
export interface AcidDocument {
  /** Of which version of the method: another may be less acid. */
  version: number
  by: AcidBy
  issuer: string
  /** Its number or reference. */
  number: string
  /** Between these the finished, cooled product's pH is; null: there is no lower end. */
  least: number | null
  most: number
  /** How it is measured: where, how warm, of what. */
  how: string
  /** Calendar days it keeps, the day it was made being day 1. */
  days: number
  needsCold: boolean
  /** The last day it is valid, YYYY-MM-DD. */
  validUntil: Day
}

/** A document holds at most so long before it is looked at anew, days. House figure. */
export const ACID_DOCUMENT_DAYS = 366

/** The longest that any document may let it keep, days. */
export const LONGEST_ACID_DAYS = 60

/** The document that holds for a version of a method on a day; null for another version, and once it has ended. */
export function acidDocumentOn(
  { acid }: { acid: AcidDocument | null },
  { version }: Pick<Method, 'version'>,
  day: Day,
): AcidDocument | null {
  return acid && acid.version === version && day <= acid.validUntil ? acid : null
}
