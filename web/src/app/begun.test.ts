/** @jest-environment jsdom */
import '../test/browser'
import { begin, begun, ended, keepBegun } from './begun'

const KEPT = 'logged-thermal begun'
const opened = () => begun.getInitialState()

afterEach(() => localStorage.clear())

it('stays on the tablet until a draft was made of it', () => {
  const typed = [begin({ name: 'Bay custard' }), begin({ way: 'paste', text: '2 cups milk' })].reduce(
    begun.reducer,
    opened(),
  )
  keepBegun(typed)
  expect(opened()).toEqual({
    way: 'paste',
    name: 'Bay custard',
    family: 'poured-custard',
    text: '2 cups milk',
    right: null,
    table: [],
  })
  keepBegun(begun.reducer(typed, ended()))
  expect(opened()).toMatchObject({ name: '', text: '' })
})

it.each(['no JSON', '7', 'null', '{"way":"fly","family":"soup","name":7}'])(
  'begins anew with what cannot be read: %s',
  (kept) => {
    localStorage.setItem(KEPT, kept)
    expect(opened()).toEqual({ way: 'write', name: '', family: 'poured-custard', text: '', right: null, table: [] })
  },
)

it('keeps what was put right of a pasted text, and drops a line of what is no ingredient any more', () => {
  const line = { line: '2 cups milk', name: 'milk', grams: 500, count: null, said: '2 cups', understood: 'understood' }
  const lines = {
    0: { ...line, ingredient: 'milk', own: null, out: false },
    1: { ...line, ingredient: 'gone', own: null, out: false },
    2: { ...line, ingredient: null, own: null, out: true },
  }
  localStorage.setItem(KEPT, JSON.stringify({ way: 'paste', text: 'x', right: { of: 'x', title: 'Mine', lines } }))
  expect(opened().right).toMatchObject({ of: 'x', title: 'Mine' })
  expect(Object.keys(opened().right!.lines)).toEqual(['0', '2'])
})

it('goes on with what is left of a table once a draft was made of one', () => {
  const table = ['a', 'b'].map((title) => ({ title, text: `${title}\n1 egg` }))
  const chosen = [begin({ way: 'paste', table }), begin({ text: 'a\n1 egg' })].reduce(begun.reducer, opened())
  const left = begun.reducer(chosen, ended())
  expect(left).toMatchObject({ way: 'paste', text: '', table: [{ title: 'b' }] })
  keepBegun(left)
  expect(opened().table).toEqual(left.table)
  expect(begun.reducer({ ...left, text: 'b\n1 egg' }, ended())).toMatchObject({ way: 'write', table: [] })
})
