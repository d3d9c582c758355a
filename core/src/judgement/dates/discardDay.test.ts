import fc from 'fast-check'
import { addDays, dayOf, startOfDay } from '../../ground/zone'
import { discardDay } from './discardDay'

const zone = 'Europe/London'
const noon = (day: string) => startOfDay(day, zone) + 12 * 3_600_000

describe('discardDay', () => {
  it('counts the day of preparation as day 1', () => {
    expect(discardDay({ prepared: noon('2027-03-03'), zone, keepDays: 7 })).toEqual({
      lastDay: '2027-03-09',
      until: startOfDay('2027-03-10', zone),
      ruledBy: 'keepDays',
    })
  })

  it('stops the count while frozen, the days of freezing and thawing both being used', () => {
    const frozen = [{ from: noon('2027-03-05'), to: noon('2027-03-20') }]
    expect(discardDay({ prepared: noon('2027-03-03'), zone, keepDays: 7, frozen }).lastDay).toBe('2027-03-23')
    const still = discardDay({
      prepared: noon('2027-03-03'),
      zone,
      keepDays: 7,
      frozen: [{ from: noon('2027-03-05') }],
    })
    expect(still).toMatchObject({ lastDay: null, until: null, daysLeft: 4 })
  })

  it('takes the earliest of days, hours, use-by and components, and names it', () => {
    const item = { prepared: noon('2027-03-03'), zone, keepDays: 7 }
    expect(discardDay({ ...item, useBy: '2027-03-05' })).toMatchObject({ lastDay: '2027-03-05', ruledBy: 'useBy' })
    expect(discardDay({ ...item, components: [{ name: 'curd', lastDay: '2027-03-04' }] })).toMatchObject({
      ruledBy: 'curd',
    })
    expect(discardDay({ ...item, keepHours: 24 })).toMatchObject({ until: noon('2027-03-04'), ruledBy: 'keepHours' })
  })

  it('never lengthens a use-by', () => {
    const frozen = [{ from: noon('2027-03-03'), to: noon('2027-03-20') }]
    expect(discardDay({ prepared: noon('2027-03-03'), zone, useBy: '2027-03-05', frozen }).lastDay).toBe('2027-03-05')
  })

  it('refuses overlapping freezes, unknown zones and items that nothing dates', () => {
    const prepared = noon('2027-03-03')
    const frozen = [{ from: prepared }, { from: prepared + 1000 }]
    expect(() => discardDay({ prepared, zone, keepDays: 2, frozen })).toThrow(/overlap/)
    expect(() => discardDay({ prepared, zone: 'Nowhere/Atall', keepDays: 2 })).toThrow(/zone: Nowhere\/Atall/)
    expect(() => discardDay({ prepared, zone })).toThrow(RangeError)
  })

  it('knows that a day is not always 24 hours', () => {
    // The clocks go forward on 28 March 2027: that day has 23 hours.
    expect(startOfDay('2027-03-29', zone) - startOfDay('2027-03-28', zone)).toBe(23 * 3_600_000)
    const zones = fc.constantFrom(
      'Europe/London',
      'America/St_Johns',
      'Asia/Kathmandu',
      'America/Sao_Paulo',
      'Pacific/Apia',
      'UTC',
    )
    const days = fc.integer({ min: 0, max: 20_000 }).map((n) => addDays('1990-01-01', n))
    fc.assert(
      fc.property(days, zones, (day, where) => {
        const start = startOfDay(day, where)
        // Apia skipped a whole day once; every other day starts in itself.
        if (dayOf(start, where) === day) expect(dayOf(start - 1, where) < day).toBe(true)
        else expect(`${where} ${day}`).toBe('Pacific/Apia 2011-12-30')
      }),
    )
  })
})
