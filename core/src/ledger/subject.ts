/** A UUID, made where the thing was made. */
export type Id = string

/** SHA-256, lower-case hexadecimal. */
export type Hash = string

export type SubjectType =
  'kitchen' | 'limits' | 'method' | 'batch' | 'instrument' | 'lot' | 'item' | 'vessel' | 'unit' | 'matter'

export interface Subject {
  type: SubjectType
  id: Id
}

export const ROLES = ['cook', 'chef', 'lead', 'inspector'] as const

export type Role = (typeof ROLES)[number]

/** Who may make an entry: somebody of the kitchen in a role, or the program itself, which signs with the kitchen's id. */
export type Actor = Role | 'installation'
