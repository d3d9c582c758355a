/** A UUID, made where the thing was made. */
export type Id = string

/** SHA-256, lower-case hexadecimal. */
export type Hash = string

export type SubjectType = 'kitchen' | 'limits' | 'method' | 'batch' | 'instrument' | 'lot' | 'item' | 'vessel' | 'unit'

export interface Subject {
  type: SubjectType
  id: Id
}

export type Role = 'cook' | 'chef' | 'lead' | 'inspector'

export type InstrumentKind = 'probe' | 'infrared' | 'display'
