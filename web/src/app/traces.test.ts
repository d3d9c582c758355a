import type { BatchState } from '@logged-thermal/core'
import { withTraces, type Readings } from './traces'

const batch = (id: string, readings: number[]) =>
  ({ id, facts: { 'reading-taken': readings } }) as unknown as BatchState
const piece = (...readings: number[]) => readings as unknown as Readings

it('puts what the Line left out before what it has, batch by batch', () => {
  const batches = [batch('a', [5, 6]), batch('b', [1]), batch('c', [])]
  const traces = [
    { batch: 'c', pieces: ['h1'] },
    { batch: 'a', pieces: ['h2', 'h3'] },
  ]
  const whole = withTraces(batches, traces, [piece(9), piece(1, 2), piece(3, 4)])
  expect(whole.map(({ facts }) => facts['reading-taken'])).toEqual([[1, 2, 3, 4, 5, 6], [1], [9]])
  expect(whole[1]).toBe(batches[1])
})
