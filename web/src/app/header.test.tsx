/** @jest-environment jsdom */
import '../test/browser'
import { act, screen, within } from '@testing-library/react'
import { CHEF, OTHER } from '../../../core/src/test/kitchenStory'
import { at, COOK, KitchenStory, LEAD, onTablet, tapped as tap } from '../test/tablet'
import { clockTold } from './clock'
import { connection } from './connection'
import { useEnter } from './enter'
import { entryHeard } from './heard'
import { outbox } from './outbox'
import { Refused } from './Refused'
import { View } from './View'

afterEach(() => jest.useRealTimers())

/** A view in which something is entered. */
function AnyView({ pot }: { pot: string }) {
  const enter = useEnter()
  return (
    <View place="methods" sentence="Anything">
      <button onClick={() => enter('noted', pot, { text: 'stirred', cue: null })}>note</button>
      <Refused />
    </View>
  )
}

/** Cooked and cooling slowly: soon too warm for too long. */
function slow(): { story: KitchenStory; pot: string } {
  const story = new KitchenStory()
  const pot = story.begin('pot')
  story.mark(pot, 5, 'temper', 'combined')
  story.read(pot, 10, 80)
  story.mark(pot, 12, 'cook', 'done')
  story.read(pot, 20, 57)
  story.read(pot, 64, 45)
  return { story, pot }
}
const show = async (now: number, by = LEAD, path = '/methods') => {
  const { story, pot } = slow()
  return { ...(await onTablet(<AnyView pot={pot} />, { story, now, by, path })), pot }
}

it('keeps what can still be saved on every view, with its time, and leads there', async () => {
  const { pot } = await show(100)
  const rescue = screen.getByRole('link', { name: /by 1[0-9]:/ })
  expect(rescue).toHaveAttribute('href', `/bench/${pot}`)
  expect(rescue).toHaveTextContent(/\d+ min/)
})

it('says how many entries wait on this tablet, only while the server is away', async () => {
  const { store } = await show(30)
  expect(screen.queryByRole('status')).toBeNull()
  act(() => void store.dispatch(connection.actions.lost()))
  expect(screen.getByRole('status')).toHaveTextContent('The server is away.')
  await tap(screen.getByRole('button', { name: 'note' }))
  expect(screen.getByRole('status')).toHaveTextContent('1 unsent: do not close')
  await tap(screen.getByRole('button', { name: 'note' }))
  expect(screen.getByRole('status')).toHaveTextContent('2 unsent: do not close')
  act(() => void store.dispatch(connection.actions.heard()))
  expect(screen.queryByRole('status')).toBeNull()
})

it('keeps both times of what a tablet enters whose clock is hours off', async () => {
  const { store } = await show(30)
  const enters = async (serverNow: number) => {
    act(() => void store.dispatch(clockTold({ askedAt: at(30), serverNow, heardAt: at(30) })))
    await tap(screen.getByRole('button', { name: 'note' }))
    return store.getState().outbox.at(-1)!.claim
  }
  expect((await enters(at(30.5))).aheadMs).toBeUndefined()
  expect(await enters(at(210))).toMatchObject({ madeAt: at(210), aheadMs: -180 * 60_000 })
})

it('says what the server will not take while that is away, and leaves it to the server else', async () => {
  const { store, pot } = await show(30)
  await tap(screen.getByRole('button', { name: 'note' }))
  const { claim: note } = store.getState().outbox[0]!
  const body = { step: 'cook', edge: 'done', reason: 'so' }
  const again = { ...note, id: crypto.randomUUID(), kind: 'step-marked', about: { type: 'batch', id: pot }, body }
  act(() => void store.dispatch(outbox.actions.entered(again as never)))
  expect(screen.queryByRole('button', { name: 'Drop it' })).toBeNull()
  act(() => void store.dispatch(connection.actions.lost()))
  await tap(await screen.findByRole('button', { name: 'Drop it' }))
  expect(store.getState().outbox.map(({ claim }) => claim.id)).toEqual([note.id])
})

it('shows an entry that was refused with the reason until somebody drops it', async () => {
  const { store } = await show(30)
  await tap(screen.getByRole('button', { name: 'note' }))
  const { id } = store.getState().outbox[0]!.claim
  const sentence = 'That batch is over.'
  act(() => void store.dispatch(outbox.actions.answered([{ id, outcome: 'refused', code: 'over', sentence } as never])))
  expect(await screen.findByText(sentence)).toBeInTheDocument()
  await tap(screen.getByRole('button', { name: 'Drop it' }))
  expect(screen.queryByText(sentence)).toBeNull()
  expect(store.getState().outbox).toEqual([])
})

it('logs in another name with two taps, and offers nobody who only reads or has left', async () => {
  const { store } = await show(60)
  const heard = (kind: string, body: object) => {
    const { seq, kitchen } = store.getState().line!
    const claim = { kind, about: { type: 'kitchen', id: kitchen.id }, kitchen: kitchen.id, at: at(50), body, v: 1 }
    store.dispatch(entryHeard({ claim, seal: { seq: seq + 1 } } as never))
  }
  act(() => {
    const cooks = [COOK, OTHER, CHEF].map((id) => ({ id, role: 'cook' }))
    heard('people-found', { people: [...cooks, { id: LEAD, role: 'lead' }] })
    heard('role-given', { person: OTHER, role: null })
    heard('role-given', { person: CHEF, role: 'inspector' })
  })
  await tap(screen.getByRole('button', { name: /logging as/ }))
  const menu = await screen.findByRole('dialog', { name: 'Tap your name' })
  expect(within(menu).queryByRole('button', { name: /Teo Brandt/ })).toBeNull()
  expect(within(menu).queryByRole('button', { name: /Noor Hallet/ })).toBeNull()
  await tap(within(menu).getByRole('button', { name: /Mina Osk/ }))
  await tap(screen.getByRole('button', { name: 'note' }))
  expect(store.getState().outbox.at(-1)!.claim).toMatchObject({ kind: 'noted', by: COOK })
})

it('shows all to an auditor, and says that their shift enters nothing', async () => {
  const { store } = await show(60)
  act(() => {
    const { seq, kitchen } = store.getState().line!
    const body = { people: [{ id: LEAD, role: 'inspector' }] }
    const claim = { kind: 'people-found', about: { type: 'kitchen', id: kitchen.id }, kitchen: kitchen.id, body, v: 1 }
    store.dispatch(entryHeard({ claim, seal: { seq: seq + 1 } } as never))
  })
  expect(screen.getByRole('button', { name: /an auditor reads only/ })).toBeInTheDocument()
})
