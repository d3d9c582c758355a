import { shellMessages } from '@logged-thermal/wording'
import { createApi } from '@reduxjs/toolkit/query/react'
import type {
  AnyClaim,
  BatchState,
  DiscardReason,
  Finding,
  Hash,
  Id,
  InstrumentCheck,
  ItemCard,
  ItemStanding,
  ItemState,
  Learned,
  Lineage,
  LineageBar,
  LookedBack,
  Matter,
  Role,
  SealedEntry,
  ShownBake,
  Standing,
  ClockHours,
  MeasureSystem,
  TemperatureScale,
} from '@logged-thermal/core'
import type { ChangesAnswer, LogAnswer, TrendsAnswer } from './logAnswers'
import { isAway, readClock, timed, wholeLine } from './asked'
import { loadLedger } from './ledger'
import type { LineData } from './lineData'
import { recallLine } from './recallLine'
import { speaks, written } from '../kit/language'

const say = speaks(shellMessages)

/** RFC 9457 problem details as the server sends them. */
export interface ProblemDetails {
  title: string
  status: number
  detail: string
  field?: string
}

export interface ShiftNow {
  shift: { kitchen: Id; person: Id; open: boolean } | null
}

/** A kitchen with those who may open a shift in it. Its ids are for opening one and for nothing else. */
export interface LoginKitchen {
  id: string
  name: string
  people: LoginPerson[]
}

/** On a tablet that nobody enrolled, what they do and how long their PIN is stays untold. */
export interface LoginPerson {
  id: string
  name: string
  job: string | null
  digits: number | null
}

/** The tablets of the kitchen, and whose name was locked lately after wrong PINs. */
export interface TabletsAnswer {
  tablets: { id: Id; name: string; enrolledAt: number; seenAt: number | null; here: boolean }[]
  lockOuts: { at: number; until: number; person: string; tablet: string | null; wrong: number }[]
}

/** The first kitchen of an installation, with the code that the server's console shows. */
export interface SetUpAsked {
  code: string
  name: string
  address?: string
  zone: string
  unit: TemperatureScale
  ruleSet: string
  hours: ClockHours
  measures: MeasureSystem
  /** Takes the stricter lines that the rule set offers a house. */
  takesOffers: boolean
  lead: string
  pin: string
  device: Id
}

/** What the food-safety lead signs on the spot. */
export interface LeadSigned {
  signer: Id
  pin: string
}

export type PostResult =
  | { id: Id; outcome: 'accepted' | 'already there'; seal: SealedEntry['seal'] }
  | { id: Id; outcome: 'refused'; code: string; field: string; sentence: string }

/** An item as the server knows it, held or gone, with the batch it was made of. */
export interface ItemAnswer {
  item: ItemState
  standing: ItemStanding
  /** What it was made of and is held by. */
  bar: LineageBar | null
  batch: { state: BatchState; standing: Standing; cleared: boolean } | null
}

/** What a failed check throws doubt on, the most serious first; `check` null: none failed. */
export interface LookBackAnswer {
  now: number
  check: InstrumentCheck | null
  batches: LookedBackBatch[]
  items: { id: Id; code: string; name: string; doubted: Id[]; decided: boolean }[]
  lots: { id: Id; code: string; name: string; receivedAt: number; decided: boolean; waits: boolean; item: Id | null }[]
  units: { id: Id; name: string; doubted: Id[] }[]
}

export interface LookedBackBatch extends LookedBack {
  id: Id
  code: string
  name: string
  startedAt: number
  vessel: string
  /** What was put away of it, also what is gone. */
  items: ItemCard[]
}

export interface DiscardTotal {
  reason: DiscardReason
  items: number
  grams: number
  cost: number
}

/** An entry with who signs it, and the scale in which a refusal is read. */
export interface SignedPost {
  claim: AnyClaim
  signer: Id
  pin: string
  /** Whose PIN comes beside it, where the house asks for a second. */
  second?: Id
  secondPin?: string
  scale: TemperatureScale
  hours: ClockHours
}

export const api = createApi({
  baseQuery: timed,
  tagTypes: ['shift', 'line', 'feed', 'tablets', 'account'],
  endpoints: (build) => ({
    login: build.query<LoginKitchen[], void>({ query: () => 'login' }),
    shift: build.query<ShiftNow, void>({ query: () => 'shift', providesTags: ['shift'] }),
    openShift: build.mutation<ShiftNow, { kitchen: string; person: string; pin: string; device: Id }>({
      query: (body) => ({ url: 'shift', method: 'POST', body }),
      invalidatesTags: ['shift', 'line'],
    }),
    setUp: build.mutation<ShiftNow, SetUpAsked>({
      query: (body) => ({ url: 'set-up', method: 'POST', body }),
      invalidatesTags: ['shift', 'line'],
    }),
    touchShift: build.mutation<ShiftNow, void>({
      query: () => ({ url: 'shift/touched', method: 'POST' }),
      onQueryStarted: async (_, { dispatch, queryFulfilled }) => {
        // Away, it is touched again with the next tap.
        const answer = await queryFulfilled.catch(() => null)
        // It goes on as a rule: then nothing is drawn anew under the finger.
        if (answer && !answer.data.shift?.open) dispatch(api.util.invalidateTags(['shift']))
      },
    }),
    lockShift: build.mutation<void, void>({
      query: () => ({ url: 'shift/lock', method: 'POST' }),
      invalidatesTags: ['shift'],
    }),
    tablets: build.query<TabletsAnswer, void>({ query: () => 'tablets', providesTags: ['tablets'] }),
    enrolTablet: build.mutation<TabletsAnswer, LeadSigned & { name: string }>({
      query: (body) => ({ url: 'tablets', method: 'POST', body }),
      invalidatesTags: ['tablets'],
    }),
    forgetTablet: build.mutation<TabletsAnswer, LeadSigned & { id: Id }>({
      query: ({ id, ...body }) => ({ url: `tablets/${id}/forget`, method: 'POST', body }),
      invalidatesTags: ['tablets', 'shift'],
    }),
    changePin: build.mutation<{ changed: true }, LeadSigned & { person: Id; next: string }>({
      query: (body) => ({ url: 'people/pin', method: 'POST', body }),
      invalidatesTags: ['line'],
    }),
    addPerson: build.mutation<
      { id: Id },
      LeadSigned & { name: string; job: string; role: Role; administers: boolean; next: string }
    >({
      query: (body) => ({ url: 'people', method: 'POST', body }),
      invalidatesTags: ['line'],
    }),
    nameKitchen: build.mutation<
      { named: true },
      LeadSigned & { name: string; address: string | null; unit: TemperatureScale }
    >({
      query: (body) => ({ url: 'kitchen', method: 'POST', body }),
      invalidatesTags: ['line'],
    }),
    giveRole: build.mutation<{ changed: true }, LeadSigned & { person: Id; role: Role | null; administers: boolean }>({
      query: ({ person, ...body }) => ({ url: `people/${person}/role`, method: 'POST', body }),
      invalidatesTags: ['line'],
    }),
    line: build.query<LineData, void>({
      queryFn: async (_, { getState }, _extra, ask) => {
        const told = await wholeLine('line', async (path) => ask(path))
        const { line, heardMeanwhile } = getState() as { line: LineData | null; heardMeanwhile: SealedEntry[] | null }
        // An answer that was long on its way does not know what the stream has told meanwhile.
        if (told.data) {
          if (!heardMeanwhile?.length) return told
          const { foldLine } = await loadLedger()
          return { ...told, data: Object.freeze(heardMeanwhile.reduce(foldLine, told.data)) }
        }
        // What is shown already is newer than what was kept of it.
        if (!isAway(told.error) || line) return told
        const kept = await recallLine()
        return kept ? { data: kept, meta: { clock: null } } : told
      },
      providesTags: ['line'],
      keepUnusedDataFor: 3600,
      // Before anything is stamped here.
      onQueryStarted: (_, asked) => readClock(asked),
    }),
    clock: build.query<{ now: number }, void>({
      query: () => 'live/now',
      onQueryStarted: (_, asked) => readClock(asked),
    }),
    /** What is new, where the stream does not come through. */
    since: build.query<{ now: number; entries: SealedEntry[]; more: boolean }, { after: number }>({
      query: ({ after }) => `live/since?after=${after}`,
      onQueryStarted: (_, asked) => readClock(asked),
    }),
    entryHash: build.query<{ hash: Hash | null }, { seq: number }>({ query: ({ seq }) => `entries/${seq}/hash` }),
    /** What the kitchen's finished coolings say: it changes with the days, not with the minutes. */
    learned: build.query<{ learned: Record<string, Learned> }, void>({ query: () => 'cooling/learned' }),
    bakes: build.query<{ bakes: ShownBake[] }, { method: Id; seq: number }>({
      query: ({ method }) => `methods/${method}/bakes`,
    }),
    // `seq` is in the question, so that what was entered since is asked for again.
    item: build.query<ItemAnswer, { id: Id; seq: number }>({ query: ({ id }) => `items/${id}` }),
    batch: build.query<{ batch: BatchState; findings: Finding[] }, { id: Id; seq: number }>({
      query: ({ id }) => `batches/${id}`,
    }),
    batchEntries: build.query<{ entries: SealedEntry[] }, { id: Id; seq: number }>({
      query: ({ id }) => `batches/${id}/entries`,
    }),
    // `seq`, in these too: the Log goes on.
    log: build.query<LogAnswer, { query: string; seq: number }>({ query: ({ query }) => `log?${query}` }),
    matters: build.query<{ matters: Matter[]; more: boolean }, { seq: number }>({ query: () => 'matters' }),
    logEvents: build.query<
      { entries: SealedEntry[]; names: Record<Id, string>; more: boolean },
      { from: number; to: number; seq: number }
    >({ query: ({ from, to }) => `log/events?from=${from}&to=${to}` }),
    trends: build.query<TrendsAnswer, { query: string }>({
      query: ({ query }) => `log/trends?${query}`,
    }),
    changes: build.query<ChangesAnswer, { from: number; to: number; seq: number }>({
      query: ({ from, to }) => `log/changes?from=${from}&to=${to}`,
    }),
    lookBack: build.query<LookBackAnswer, { id: Id; seq: number }>({
      query: ({ id }) => `instruments/${id}/look-back`,
    }),
    barred: build.query<{ bars: Record<Id, LineageBar> }, { seq: number }>({ query: () => 'store/barred' }),
    lineage: build.query<Lineage, { type: string; id: Id; seq: number }>({
      query: ({ type, id }) => `lineage/${type}/${id}`,
    }),
    discarded: build.query<{ totals: DiscardTotal[] }, { from: number; to: number; seq: number }>({
      query: ({ from, to }) => `store/discarded?from=${from}&to=${to}`,
    }),
    search: build.query<{ items: ItemCard[] }, { text: string; seq: number }>({
      query: ({ text }) => `store/search?text=${encodeURIComponent(text)}`,
    }),
    found: build.query<
      { found: { type: 'item' | 'batch' | 'lot'; id: Id; code: string; name: string; live: boolean }[] },
      string
    >({
      query: (code) => `store/find?code=${encodeURIComponent(code)}`,
    }),
    feed: build.query<{ path: string }, void>({ query: () => 'store/feed', providesTags: ['feed'] }),
    renewFeed: build.mutation<{ path: string }, void>({
      query: () => ({ url: 'store/feed/renew', method: 'POST' }),
      invalidatesTags: ['feed'],
    }),
    /** What only the lead may do: sent at once with the lead's PIN, never kept for later. */
    postSigned: build.mutation<{ results: PostResult[] }, SignedPost>({
      query: ({ claim, ...signed }) => ({
        url: 'entries',
        method: 'POST',
        body: { sentAt: claim.madeAt, entries: [claim], language: written, ...signed },
      }),
    }),
  }),
})

export const {
  useBakesQuery,
  useChangePinMutation,
  useAddPersonMutation,
  useSetUpMutation,
  useGiveRoleMutation,
  useNameKitchenMutation,
  useEnrolTabletMutation,
  useForgetTabletMutation,
  useTabletsQuery,
  useBarredQuery,
  useBatchQuery,
  useBatchEntriesQuery,
  useLogQuery,
  useMattersQuery,
  useLogEventsQuery,
  useChangesQuery,
  useTrendsQuery,
  useLookBackQuery,
  useLoginQuery,
  useShiftQuery,
  useTouchShiftMutation,
  useOpenShiftMutation,
  useLockShiftMutation,
  useLearnedQuery,
  useLineQuery,
  useDiscardedQuery,
  useFeedQuery,
  useLazyFoundQuery,
  useItemQuery,
  useLineageQuery,
  usePostSignedMutation,
  useRenewFeedMutation,
  useSearchQuery,
} = api

/** The sentence of a failed request, or of a server that is away. */
export function sentenceOf(error: unknown): string {
  const data = (error as { data?: Partial<ProblemDetails> } | undefined)?.data
  return data?.detail ?? say('serverDoesNotAnswer')
}

/** The field that a refused request names; null: none. */
export function fieldOf(error: unknown): string | null {
  return (error as { data?: Partial<ProblemDetails> } | undefined)?.data?.field ?? null
}
