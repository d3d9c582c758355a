/** @jest-environment jsdom */
import { configureStore } from '@reduxjs/toolkit'
import { act, render, screen } from '@testing-library/react'
import { Provider } from 'react-redux'
import { useAsOf, useKitchenClock, useNow, useTold } from './now'

const TEN = Date.UTC(2027, 2, 3, 10)
let renders: string[] = []

function Countdown({ to }: { to: number }) {
  renders.push('countdown')
  const { minutes } = useTold((now) => ({ minutes: Math.ceil((to - now) / 60_000) }))
  return <p>{minutes} min left</p>
}
function Due({ at }: { at: number }) {
  renders.push('due')
  return <p>{useAsOf((now) => now >= at) ? 'due' : 'not yet'}</p>
}
function Ribbon() {
  renders.push('ribbon')
  return <p>drawn {new Date(useNow(30_000)).toISOString().slice(11, 19)}</p>
}

/** Drawn once in half a minute; what is tapped says when it was tapped. */
function Tap({ onTap }: { onTap: (at: number) => void }) {
  useNow(30_000)
  const clock = useKitchenClock()
  return <button onClick={() => onTap(clock())}>tap</button>
}

const passes = (seconds: number) => act(() => jest.advanceTimersByTime(seconds * 1000))

beforeEach(() => {
  renders = []
  jest.useFakeTimers({ now: TEN })
})
afterEach(() => jest.useRealTimers())

function show(offsetMs: number) {
  const store = configureStore({
    reducer: (state: { connection: { offsetMs: number } } = { connection: { offsetMs } }, action: { type: string }) =>
      action.type === 'set on' ? { connection: { offsetMs: state.connection.offsetMs + 60_000 } } : state,
  })
  render(
    <Provider store={store}>
      <Countdown to={TEN + 5 * 60_000} />
      <Due at={TEN + 90_000} />
      <Ribbon />
    </Provider>,
  )
  return store
}

it('draws words anew when they say something else, and nothing between', () => {
  show(0)
  expect(screen.getByText('5 min left')).toBeTruthy()
  renders = []
  passes(29)
  expect(renders).toEqual([])
  passes(31)
  expect(screen.getByText('4 min left')).toBeTruthy()
  expect(renders.filter((each) => each === 'countdown')).toHaveLength(1)
  expect(renders).not.toContain('due')
  passes(30)
  expect(screen.getByText('due')).toBeTruthy()
})

it('moves drawings at their own pace, and all of it at once when the clock of the kitchen is set on', () => {
  const store = show(0)
  passes(29)
  expect(screen.getByText('drawn 10:00:00')).toBeTruthy()
  passes(1)
  expect(screen.getByText('drawn 10:00:30')).toBeTruthy()
  act(() => void store.dispatch({ type: 'set on' }))
  expect(screen.getByText('drawn 10:01:30')).toBeTruthy()
  expect(screen.getByText('due')).toBeTruthy()
})

it('says of a tap when it was, however seldom the screen is drawn', () => {
  const taps: number[] = []
  const store = configureStore({ reducer: () => ({ connection: { offsetMs: 5000 } }) })
  render(
    <Provider store={store}>
      <Tap onTap={(at) => taps.push(at)} />
    </Provider>,
  )
  passes(29)
  act(() => screen.getByText('tap').click())
  expect(taps).toEqual([TEN + 29_000 + 5000])
})
