import { plainCells } from './plainCells'

it.each(['=1+1', '+1', '-1', '@x', '\t=1', '\r=1', '\n=1', ' =1', ' \u00a0=cmd'])(
  'keeps %j from being run as a formula',
  (cell) => {
    expect(plainCells({ cell }).cell).toBe(`'${cell}`)
  },
)

it('leaves words as they are', () => {
  expect(plainCells({ a: 'Lemon curd = tart', b: '' })).toEqual({ a: 'Lemon curd = tart', b: '' })
})
