import type { LotState } from '@logged-thermal/core'
import { reader } from '../test/judgedBatch'
import { eggLots, lotShutWord } from './eggLots'

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

  it('say why one may not be taken on a day: a recall that is no drill, what the lead decided, its use-by', () => {
    const decided = { value: { verdict: 'accept' } } as unknown as LotState['decided']
    const recall = (drill: boolean) => ({ value: { reason: 'x', drill } }) as unknown as LotState['recall']
    const word = (more: Partial<LotState>) =>
      lotShutWord(lot('a', { useBy: '2027-03-05', ...more }), '2027-03-06', reader)
    expect(word({ useBy: null })).toBeNull()
    expect(word({ dateKind: 'best-before' })).toBeNull()
    expect(word({})).toMatch(/^was to be used by /)
    expect(word({ verdict: 'hold' })).toBe('held: the lead decides')
    expect(word({ useBy: null, verdict: 'hold', decided })).toBeNull()
    expect(word({ useBy: null, decided, recall: recall(false) })).toBe('called back')
    expect(word({ useBy: null, decided, recall: recall(true) })).toBeNull()
  })
})
