import { ribbonTrace } from './ribbonTrace'
import { at, cooling, judged } from '../test/judgedBatch'

const ribbon = ({ batch, findings, forecast }: ReturnType<typeof judged>, now: number) =>
  ribbonTrace(batch, findings, at(now), forecast)

describe('the ribbon', () => {
  it('has the floor where it was reached, the gates at their deadlines, and the wall after the last day', () => {
    const { gates, wall, read } = ribbon(cooling(), 81)
    expect(gates.map((gate) => [gate.kind, gate.at, gate.standing])).toEqual([
      ['reach', at(10), 'proven'],
      ['be under', at(140), 'open'],
      ['be under', at(380), 'open'],
    ])
    expect(wall).toBe(Date.UTC(2027, 2, 6))
    expect(read.map(({ celsius }) => celsius)).toEqual([64, 80, 57, 40])
  })

  it('shows what it will likely be at a gate that it misses, and how far that may be out', () => {
    const { gates, ahead, fan } = ribbon(cooling(), 81)
    expect(gates[1]!.clash).toBeGreaterThan(21)
    expect(gates[1]!.clash).toBeLessThan(35)
    expect(ahead[0]!.at).toBe(at(80))
    expect(ahead.every((bend, i) => i === 0 || bend.at > ahead[i - 1]!.at)).toBe(true)
    expect(fan.every(({ celsius, least, most }) => least < celsius && celsius < most)).toBe(true)
    const spreads = fan.map(({ least, most }) => most - least)
    expect(spreads[14]!).toBeGreaterThan(spreads[0]!)
  })

  it('goes as the gates ask where nothing can be forecast', () => {
    const one = judged(
      [
        [10, 80],
        [20, 57],
      ],
      21,
    )
    expect(ribbon({ ...one, forecast: null }, 21).ahead.map(({ celsius }) => celsius)).toEqual([57, 21, 5, 5])
  })

  it('puts a passed gate where it was passed', () => {
    const { gates } = ribbon(
      judged(
        [
          [10, 80],
          [20, 57],
          [70, 20],
        ],
        71,
      ),
      71,
    )
    expect(gates[1]).toMatchObject({ at: at(70), standing: 'proven', clash: null })
  })

  it('is empty before anything was read', () => {
    expect(ribbon(judged([], 5, false), 5)).toMatchObject({ read: [], ahead: [] })
  })
})
