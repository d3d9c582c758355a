import { newMethod } from '@logged-thermal/core'
import { drafted, draftDropped, drafts, keepDrafts } from './drafts'
import { keep, tablet, type Tablet } from './tablet'

/** The browser's own storage, for a program that runs outside of one. */
class Storage {
  private readonly kept = new Map<string, string>()
  getItem = (key: string) => this.kept.get(key) ?? null
  setItem = (key: string, value: string) => void this.kept.set(key, value)
  keys = () => [...this.kept.keys()]
}

let storage: Storage
beforeEach(() => {
  storage = new Storage()
  Object.defineProperty(globalThis, 'localStorage', { value: storage, configurable: true })
})
afterAll(() => {
  Object.defineProperty(globalThis, 'localStorage', { value: undefined, configurable: true })
})

const begun = () => tablet.getInitialState()
const { loggingAs, instrumentTaken, unitChosen, loudnessTurned, themeSwitched } = tablet.actions

describe('what a tablet remembers', () => {
  it('is there again after a restart, the same device with the probe that was in hand', () => {
    const before = [
      loggingAs('mina'),
      instrumentTaken('P2'),
      unitChosen({ person: 'mina', unit: 'F' }),
      loudnessTurned(),
      themeSwitched(),
    ].reduce(tablet.reducer, begun())
    keep(before)
    expect(begun()).toEqual(before)
    expect(before).toMatchObject({ person: 'mina', instrument: { id: 'P2' }, units: { mina: 'F' }, theme: 'night' })
  })

  it('begins anew where it cannot be read, and takes up what a newer version adds', () => {
    keep(begun())
    const [key] = storage.keys()
    storage.setItem(key!, '{ not JSON')
    expect(begun()).toMatchObject({ person: null, instrument: 'first', loudness: 'soft' })
    const { loudness, ...older } = begun()
    storage.setItem(key!, JSON.stringify({ ...older, theme: 'night' } satisfies Partial<Tablet>))
    expect(begun()).toMatchObject({ theme: 'night', loudness })
  })

  it('tells having no probe from not having chosen one', () => {
    expect(begun().instrument).toBe('first')
    expect(tablet.reducer(begun(), instrumentTaken(null)).instrument).toEqual({ id: null })
  })

  it('turns its sounds softer and louder in a ring', () => {
    const turned = [1, 2, 3].map(
      (n) => Array.from({ length: n }, loudnessTurned).reduce(tablet.reducer, begun()).loudness,
    )
    expect(turned).toEqual(['firm', 'off', 'soft'])
  })
})

describe('a method that is written and not saved', () => {
  const method = newMethod({
    id: '01a20bf3-5302-753b-a1ac-749fd32bb5cb',
    vesselId: '01a20bf3-5302-753b-a1ac-749fd32bb5cc',
    name: 'Test custard',
    family: 'poured-custard',
  })

  it('outlives the page, until it is dropped', () => {
    const written = drafts.reducer(undefined, drafted(method))
    keepDrafts(written)
    expect(drafts.getInitialState()).toEqual(written)
    keepDrafts(drafts.reducer(written, draftDropped(method.id)))
    expect(drafts.getInitialState()).toEqual({})
  })

  it('of an older version that cannot be read any more does not keep the others from coming back', () => {
    keepDrafts({ a: method })
    const [key] = storage.keys()
    storage.setItem(key!, JSON.stringify([{ id: 'x', name: 'from long ago' }, method]))
    expect(Object.keys(drafts.getInitialState())).toEqual([method.id])
  })
})
