import type { Id, Role } from '@logged-thermal/core'
import { api, type LeadSigned, type ShiftNow } from '../app/api'

/** Who signed in with a password, and where they work. */
export interface Account {
  name: string
  /** One-time codes are asked for beside the password. */
  codes: boolean
  kitchens: { id: Id; name: string; role: Role }[]
}

interface Signed {
  account: Account | null
}

/** Asked for only by those who sign in with a password: it comes with their views. */
const accountApi = api.injectEndpoints({
  endpoints: (build) => ({
    account: build.query<Signed, void>({ query: () => 'account', providesTags: ['account'] }),
    signIn: build.mutation<Signed, { called: string; password: string; code?: string }>({
      query: (body) => ({ url: 'sign-in', method: 'POST', body }),
      invalidatesTags: (_, error) => (error ? [] : ['account']),
    }),
    signOut: build.mutation<Signed, void>({
      query: () => ({ url: 'account/out', method: 'POST' }),
      invalidatesTags: ['account'],
    }),
    openKitchen: build.mutation<ShiftNow, { kitchen: Id; device: Id }>({
      query: (body) => ({ url: 'account/open', method: 'POST', body }),
    }),
    prepareCodes: build.mutation<{ uri: string; qr: string }, { password: string }>({
      query: (body) => ({ url: 'account/codes', method: 'POST', body }),
    }),
    codesOn: build.mutation<{ recovery: string[] }, { code: string }>({
      query: (body) => ({ url: 'account/codes/on', method: 'POST', body }),
      invalidatesTags: (_, error) => (error ? [] : ['account']),
    }),
    codesOff: build.mutation<Signed, { password: string }>({
      query: (body) => ({ url: 'account/codes/off', method: 'POST', body }),
      invalidatesTags: (_, error) => (error ? [] : ['account']),
    }),
    givePassword: build.mutation<
      { given: true },
      LeadSigned & { person: Id; called: string; password: string; current?: string }
    >({ query: (body) => ({ url: 'people/password', method: 'POST', body }) }),
  }),
})

export const {
  useAccountQuery,
  useSignInMutation,
  useSignOutMutation,
  useOpenKitchenMutation,
  usePrepareCodesMutation,
  useCodesOnMutation,
  useCodesOffMutation,
  useGivePasswordMutation,
} = accountApi
