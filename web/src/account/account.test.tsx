/** @jest-environment jsdom */
import '../test/browser'
import { act, fireEvent, screen, within } from '@testing-library/react'
import { KitchenStory, lineOf, onTablet, tapped as tap } from '../test/tablet'
import { serverAnswers } from '../test/server'
import { GroupView } from '../group/GroupView'
import { SignInView } from './SignInView'

let server: ReturnType<typeof serverAnswers>
beforeEach(() => {
  server = serverAnswers()
})
afterEach(() => {
  jest.restoreAllMocks()
  jest.useRealTimers()
})

const type = (label: string | RegExp, value: string) =>
  act(() => {
    fireEvent.change(screen.getByLabelText(label), { target: { value } })
    return Promise.resolve()
  })
const settle = () => act(() => jest.advanceTimersByTimeAsync(50))

describe('signing in', () => {
  const show = async () => {
    server.answers.account = () => ({ status: 200, body: { account: null } })
    await onTablet(<SignInView />, { story: new KitchenStory(), now: 0 })
    await settle()
  }

  it('asks for what is missing beside its field, and for a code once the server wants one', async () => {
    await show()
    await tap(screen.getByRole('button', { name: 'Sign in' }))
    await settle()
    expect(screen.getByText('Type your name.')).toBeInTheDocument()
    expect(screen.queryByLabelText(/Code of your app/)).toBeNull()
    expect(screen.getByLabelText('Password')).toHaveAttribute('type', 'password')
    await type('Name to sign in with', ' ilse.varrow ')
    await type('Password', 'copper pan by the door')
    server.answers['sign-in'] = (body) =>
      (body as { code?: string }).code === '407153'
        ? { status: 200, body: { account: { name: 'ilse.varrow', codes: true, kitchens: [] } } }
        : { status: 401, body: { field: 'code', detail: 'Type the code that your app shows.' } }
    await tap(screen.getByRole('button', { name: 'Sign in' }))
    await settle()
    expect(screen.getByRole('alert')).toHaveTextContent('Type the code that your app shows.')
    await type(/Code of your app/, '407153')
    server.answers.account = () => ({
      status: 200,
      body: { account: { name: 'ilse.varrow', codes: true, kitchens: [] } },
    })
    await tap(screen.getByRole('button', { name: 'Sign in' }))
    await settle()
    expect(server.sent.filter(({ path }) => path === 'sign-in').at(-1)!.body).toEqual({
      called: 'ilse.varrow',
      password: 'copper pan by the door',
      code: '407153',
    })
    expect(screen.getByRole('heading', { level: 1 })).toHaveTextContent('Signed in as ilse.varrow.')
    expect(screen.getByText('You work in no kitchen any more.')).toBeInTheDocument()
  })
})

describe('kitchens side by side', () => {
  const [near, far] = ['near', 'far']
  const figures = { decided: { release: 1, hold: 2, rework: 0, discard: 3 }, lateAccepted: 4, bySamePerson: 1 }

  it('shows what runs in each, judged as there, what waits for its lead, and counts beside each other', async () => {
    const story = new KitchenStory()
    story.read(story.begin('pot'), 1, 60)
    const kitchens = [
      { id: near, name: 'Near', batches: 7, ...figures },
      { id: far, name: 'Far', batches: 0, ...figures },
    ]
    server.answers.group = () => ({ status: 200, body: { now: 0, kitchens } })
    server.answers[`group/${near}/line`] = () => ({ status: 200, body: { ...lineOf(story), traces: [] } })
    server.answers[`group/${far}/line`] = () => ({ status: 200, body: { ...lineOf(new KitchenStory()), traces: [] } })
    await onTablet(<GroupView />, { story: new KitchenStory(), now: 3 })
    await settle()
    expect(screen.getByRole('heading', { level: 1 })).toHaveTextContent('Kitchens side by side. 2 kitchens.')
    const [here, there] = ['Near', 'Far'].map((name) => within(screen.getByRole('region', { name })))
    expect(here!.getAllByRole('listitem')).toHaveLength(1)
    expect(here!.getByRole('listitem')).toHaveTextContent(/Plain custard|custard/i)
    expect(there!.getByText('Nothing runs.')).toBeInTheDocument()
    const begun = screen.getByRole('row', { name: /^Begun/ })
    expect(
      within(begun)
        .getAllByRole('cell')
        .map((cell) => cell.textContent),
    ).toEqual(['7', '0'])
    expect(screen.getByRole('row', { name: /^Of those/ })).toHaveTextContent('11')
  })

  it('says so where somebody leads none', async () => {
    server.answers.group = () => ({ status: 200, body: { now: 0, kitchens: [] } })
    await onTablet(<GroupView />, { story: new KitchenStory(), now: 0 })
    await settle()
    expect(screen.getByRole('heading', { level: 1 })).toHaveTextContent('You lead or audit no kitchen.')
    expect(screen.queryByRole('table')).toBeNull()
  })
})
