import { beginTabletClock, tabletNow } from './tabletClock'

afterEach(() => jest.useRealTimers())

it('is not set back, and follows where it is set on or the tablet slept', () => {
  jest.useFakeTimers({ now: 1_000_000 })
  beginTabletClock()
  jest.advanceTimersByTime(5000)
  expect(tabletNow()).toBe(1_005_000)
  jest.setSystemTime(400_000)
  jest.advanceTimersByTime(1000)
  expect(tabletNow()).toBe(1_006_000)
  jest.setSystemTime(2_000_000)
  expect(tabletNow()).toBe(2_000_000)
  jest.setSystemTime(1_006_500)
  jest.advanceTimersByTime(500)
  expect(tabletNow()).toBe(1_007_000)
})
