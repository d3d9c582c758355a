/** Written into decisions, so that a record says which judge found what. The version of the package. */
export const CORE_VERSION = '0.1.13'
