/** @jest-environment jsdom */
import '../test/browser'
import { act, screen, within } from '@testing-library/react'
import { KitchenStory, LEAD, onTablet, tapped as tap } from '../test/tablet'
import { serverAnswers } from '../test/server'
import { AcceptPin } from './AcceptPin'

afterEach(() => {
  jest.restoreAllMocks()
  jest.useRealTimers()
})

const settle = () => act(() => jest.advanceTimersByTimeAsync(50))
const pin = async (digits: string) => {
  for (const digit of digits) await tap(screen.getByRole('button', { name: digit }))
  const done = screen.queryByRole('button', { name: 'Done' })
  if (done) await tap(done)
  await settle()
}

it('asks for somebody else’s PIN only once the house asks, and sends both', async () => {
  const { answers, sent } = serverAnswers()
  const onAccepted = jest.fn()
  const refused = { id: 'x', outcome: 'refused', code: 'second needed', field: 'second', sentence: 'You let your own' }
  answers.entries = (body) => {
    const accepted = 'second' in (body as object)
    return { status: 200, body: { results: [accepted ? { id: 'x', outcome: 'accepted' } : refused] } }
  }
  await onTablet(<AcceptPin body={{ entries: [], reason: 'on paper' }} onAccepted={onAccepted} />, {
    story: new KitchenStory(),
    now: 0,
    by: LEAD,
  })
  expect(screen.queryByRole('group', { name: 'Who signs beside you' })).toBeNull()
  await pin('407153')
  const others = within(screen.getByRole('group', { name: 'Who signs beside you' }))
  expect(others.queryByRole('button', { name: /Ilse/ })).toBeNull()
  await tap(others.getByRole('button', { name: /Teo Brandt/ }))
  expect(onAccepted).not.toHaveBeenCalled()
  await pin('3394')
  expect(onAccepted).toHaveBeenCalledTimes(1)
  expect(sent.filter(({ path }) => path === 'entries').map(({ body }) => body)).toMatchObject([
    { pin: '407153' },
    { pin: '407153', secondPin: '3394' },
  ])
})
