import '@testing-library/jest-dom'
import { act, fireEvent, render } from '@testing-library/react'
import type { ReactNode } from 'react'
import { Provider } from 'react-redux'
import { MemoryRouter, Route, Routes } from 'react-router'
import { CHEF, COOK, KitchenStory, LEAD, OTHER } from '../../../core/src/test/kitchenStory'
import { TEN } from '../../../core/src/test/traces'
import { api } from '../app/api'
import { clockTold } from '../app/clock'
import { foldLine } from '../app/foldLine'
import type { LineData } from '../app/lineData'
import { makeStore, type Store } from '../app/store'
import { KitProvider } from '../kit/KitProvider'

export { CHEF, COOK, LEAD, OTHER, KitchenStory }
export { FRIDGE } from '../../../core/src/test/kitchenStory'
export const at = (minutes: number) => TEN + minutes * 60_000

const PEOPLE = [
  { id: COOK, name: 'Mina Osk', role: 'cook', job: 'pastry cook', digits: 4 },
  { id: OTHER, name: 'Teo Brandt', role: 'cook', job: 'pastry cook', digits: 4 },
  { id: CHEF, name: 'Noor Hallet', role: 'chef', job: 'pastry chef', digits: 4 },
  { id: LEAD, name: 'Ilse Varrow', role: 'lead', job: 'food-safety lead', digits: 6 },
] as const

/** A kitchen as the server would tell it: every entry of its story folded, by the fold that server and tablet share. */
export function lineOf({ kitchen }: KitchenStory): LineData {
  const nothing: LineData = {
    seq: 0,
    kitchen: { id: kitchen.id, name: 'Test kitchen', zone: 'UTC', unit: 'C' },
    people: [...PEOPLE],
    codes: [],
    handover: null,
    deputies: [],
    week: null,
    roles: null,
    restored: null,
    tools: [],
    ingredients: [],
    signedDays: [],
    lists: [],
    listsDone: [],
    traceTries: [],
    samples: [],
    limits: null,
    methods: [],
    instruments: [],
    batches: [],
    lots: [],
    items: [],
    vessels: [],
    units: [],
  } as unknown as LineData
  return kitchen.entries().reduce(foldLine, nothing)
}

interface Asked {
  story: KitchenStory
  /** When it is, minutes after ten. */
  now: number
  /** Where the tablet is, and the pattern of the address that leads to the view. */
  path?: string
  route?: string
  by?: string
}

/** A tablet with an open shift that shows a view of a kitchen at an instant. The server is away: nothing is asked of it. */
export async function onTablet(
  view: ReactNode,
  { story, now, path = '/', route = '*', by = COOK }: Asked,
): Promise<{ store: Store }> {
  jest.useFakeTimers({ now: at(now), doNotFake: ['queueMicrotask', 'setImmediate', 'nextTick'] })
  const store: Store = makeStore()
  await act(async () => {
    store.dispatch(clockTold({ askedAt: at(now), serverNow: at(now), heardAt: at(now) }))
    await store.dispatch(api.util.upsertQueryData('shift', undefined, { shift: { person: by, open: true } } as never))
    await store.dispatch(api.util.upsertQueryData('learned', undefined, { learned: {} }))
    await store.dispatch(api.util.upsertQueryData('line', undefined, lineOf(story)))
    // As the page does: what it knows stays as long as it is open.
    void store.dispatch(api.endpoints.shift.initiate())
    void store.dispatch(api.endpoints.learned.initiate())
  })
  render(
    <Provider store={store}>
      <KitProvider night={false}>
        <MemoryRouter initialEntries={[path]}>
          <Routes>
            <Route path={route} element={view} />
            <Route path="*" element={<p>elsewhere</p>} />
          </Routes>
        </MemoryRouter>
      </KitProvider>
    </Provider>,
  )
  await act(() => Promise.resolve())
  return { store }
}

/** A tap, and all that follows of it at once: what comes later with it is there. */
export const tapped = (key: HTMLElement) => settled(() => fireEvent.click(key))

/** Something is done to a field, and judged. */
export const settled = (doing: () => unknown) =>
  act(() => {
    doing()
    return Promise.resolve()
  })
