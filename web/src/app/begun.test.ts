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
  expect(opened()).toEqual({ way: 'paste', name: 'Bay custard', family: 'poured-custard', text: '2 cups milk' })
  keepBegun(begun.reducer(typed, ended()))
  expect(opened()).toMatchObject({ name: '', text: '' })
})

it.each(['no JSON', '7', 'null', '{"way":"fly","family":"soup","name":7}'])(
  'begins anew with what cannot be read: %s',
  (kept) => {
    localStorage.setItem(KEPT, kept)
    expect(opened()).toEqual({ way: 'write', name: '', family: 'poured-custard', text: '' })
  },
)
