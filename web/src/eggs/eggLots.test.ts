import type { LotState } from '@logged-thermal/core'
import { eggLots, lotShut } from './eggLots'

const lot = (id: string, more: Partial<LotState> = {}) =>
  ({
    id,
    code: id,
    ingredient: 'egg',
    form: 'shell',
    verdict: 'accept',
    receivedAt: 1,
    decided: null,
    recall: null,
    ...more,
  }) as unknown as LotState

describe('lots of egg to choose from', () => {
  it('are what is egg and was not sent back, the latest first', () => {
    const found = eggLots([
      lot('old'),
      lot('milk', { ingredient: 'milk', form: null }),
      lot('new', { receivedAt: 5 }),
      lot('back', { verdict: 'refuse', receivedAt: 9 }),
      lot('yolks', { ingredient: 'yolk', form: 'pasteurized', receivedAt: 3 }),
    ])
    expect(found.map(({ lot: { id }, part }) => [id, part])).toEqual([
      ['new', 'whole'],
      ['yolks', 'yolk'],
      ['old', 'whole'],
    ])
  })

  it('say why one may not be taken: a recall before anything the lead decided', () => {
    const decided = { value: { verdict: 'accept' } } as unknown as LotState['decided']
    const recall = { value: { reason: 'x', drill: true } } as unknown as LotState['recall']
    expect(lotShut(lot('a'))).toBeNull()
    expect(lotShut(lot('a', { verdict: 'hold' }))).toBe('held: the lead decides')
    expect(lotShut(lot('a', { verdict: 'hold', decided }))).toBeNull()
    expect(lotShut(lot('a', { decided, recall }))).toBe('called back')
  })
})
