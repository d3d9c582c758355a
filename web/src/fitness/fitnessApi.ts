import type { Id, Instant, Symptom, Unfit } from '@logged-thermal/core'
import { api, type LeadSigned } from '../app/api'

/** A batch or a thing in the store that somebody had in hand. */
export interface Handled {
  type: 'batch' | 'item'
  id: Id
  code: string
  name: string
  first: Instant
  last: Instant
  /** Whether a heat that its limits ask for is proven after the last of it. */
  heatedAfter: boolean
  /** A batch: what of it is still held. */
  left: { id: Id; code: string; name: string }[]
}

export interface UnfitPerson extends Unfit {
  id: Id
  person: Id
  toldAt: Instant
  toldBy: Id
  /** Back with open food; null: not yet. */
  back: { at: Instant; by: Id; papers: string; covered: boolean } | null
  handled: Handled[]
}

export interface UnfitPeople {
  now: Instant
  people: UnfitPerson[]
}

/** What the lead asks or says of it: each answers with the whole list, and none of it is kept beside the page. */
export type FitnessAsked =
  | { act: 'seen' }
  | { act: 'tell'; body: { person: Id; symptoms: Symptom[]; onset: Instant; freeSince?: Instant } }
  | { act: 'back'; id: Id; body: { papers: string; covered: boolean } }
  | { act: 'forget'; id: Id }

const fitnessApi = api.injectEndpoints({
  endpoints: (build) => ({
    fitness: build.mutation<UnfitPeople, FitnessAsked & { signed: LeadSigned }>({
      query: (asked) => ({
        url: pathOf(asked),
        method: 'POST',
        body: { ...('body' in asked ? asked.body : {}), ...asked.signed },
      }),
    }),
  }),
})

export const { useFitnessMutation } = fitnessApi

function pathOf(asked: FitnessAsked): string {
  if (asked.act === 'tell') return 'fitness'
  return asked.act === 'seen' ? 'fitness/seen' : `fitness/${asked.id}/${asked.act}`
}
