/** @jest-environment jsdom */
import { DAY, type AnyClaim, type Kind } from '@logged-thermal/core'
import { keepSent, sentSince } from './sentBefore'

const NOW = Date.UTC(2026, 10, 27, 12)
const claim = (id: string, madeAt: number, kind: Kind = 'reading-taken', kitchen = 'k') =>
  ({ id, kitchen, kind, madeAt }) as unknown as AnyClaim
const ids = (since: number) => sentSince('k', since).map(({ id }) => id)

beforeEach(() => localStorage.clear())

describe('what a tablet has sent', () => {
  it('is kept in its order for two weeks, for its own kitchen', () => {
    for (let day = 0; day <= 20; day++) {
      const at = NOW + day * DAY
      keepSent([claim(`a${day}`, at), claim(`b${day}`, at), claim(`x${day}`, at, 'reading-taken', 'other')], at)
    }
    expect(ids(NOW + 19 * DAY)).toEqual(['a19', 'b19', 'a20', 'b20'])
    expect(ids(0)[0]).toBe('a6')
  })

  it('is told without what somebody signed: no PIN is kept', () => {
    keepSent([claim('a', NOW), claim('b', NOW, 'disposed')], NOW)
    expect(ids(0)).toEqual(['a'])
  })

  it('gives up its oldest day where the browser has no room, and never what is sent now', () => {
    keepSent([claim('old', NOW - DAY)], NOW - DAY)
    const real = Storage.prototype.setItem.bind(localStorage)
    const full = jest.spyOn(Storage.prototype, 'setItem').mockImplementation((key, value) => {
      if (Object.keys(localStorage).length > 0) throw new DOMException('full', 'QuotaExceededError')
      real(key, value)
    })
    keepSent([claim('new', NOW)], NOW)
    full.mockRestore()
    expect(ids(0)).toEqual(['new'])
  })

  it('begins anew where what is kept cannot be read', () => {
    localStorage.setItem('logged-thermal sent 2026-11-27', '{')
    keepSent([claim('a', NOW)], NOW)
    expect(ids(0)).toEqual(['a'])
  })
})
