import { less } from './measure'

it('takes amounts off in their unit alone, and a rest of nothing is nothing', () => {
  expect(less({ value: 10, unit: 'portion' }, [{ value: 4, unit: 'portion' }])).toEqual({ value: 6, unit: 'portion' })
  expect(less({ value: 500, unit: 'g' }, [{ value: 499.97, unit: 'g' }]).value).toBe(0)
  expect(() => less({ value: 500, unit: 'g' }, [{ value: 1, unit: 'ml' }])).toThrow(/cannot be taken/)
})
