import { dayIn, dayOrderOf, temperatureIn, timeIn, unitSaid } from './cells'
import { missingIn, rolesIn, tableOf } from './columns'
import { howRead } from './howRead'
import { understood } from './understood'

const NOW = Date.UTC(2026, 10, 30)

/** A file as somebody would have it read: what it does not say itself is day first, and °C. */
function read(text: string, choice = { order: 'day first', unit: 'C' } as const) {
  const table = tableOf(text.split('\n').map((line) => line.split('|')))!
  const roles = rolesIn(table)
  const how = howRead(table, roles, choice)
  const { rows, left } = understood(table, { roles, ...how, units: how.units!, zone: 'Europe/Paris', now: NOW })
  return {
    roles,
    how,
    left: left.map(({ line, why }) => `${line}: ${why}`),
    rows: rows.map(({ line, what, readings, note }) => ({
      line,
      what,
      note,
      read: readings.map(({ at, typed }) => `${new Date(at).toISOString().slice(0, 16)} ${typed.value}${typed.unit}`),
    })),
  }
}

it('reads a line with several times and temperatures as one cooling, over midnight too', () => {
  const { roles, rows, left } = read(
    [
      'Cooling log 2025',
      '',
      'Date|Food item|Time 1|Temp 1 (°C)|Time 2|Temp 2 (°C)|Time 3|Temp 3 (°C)|Initials|Corrective action',
      '28.12.2025|Vanilla custard|22:10|57,5|23:40|20,8|02:30|4,9|M.O.|',
      '29.12.2025|Curd|14:00|61|16:30|35|||T.B.|put on ice',
      '30.12.2025||14:00|61|||||T.B.|',
      '31.12.2025|Curd|14:00|warm|||||T.B.|',
      '32.12.2025|Curd|14:00|61|||||T.B.|',
      '30.12.2027|Curd|14:00|61|||||T.B.|',
      '30.12.2025|Curd|14:00|61|14:00|50||||',
      '30.12.2025|Curd||61||||||',
    ].join('\n'),
  )
  expect(roles).toEqual([
    'day',
    'what',
    'time',
    'temperature',
    'time',
    'temperature',
    'time',
    'temperature',
    'nothing',
    'note',
  ])
  expect(rows).toEqual([
    {
      line: 4,
      what: 'Vanilla custard',
      note: null,
      read: ['2025-12-28T21:10 57.5C', '2025-12-28T22:40 20.8C', '2025-12-29T01:30 4.9C'],
    },
    { line: 5, what: 'Curd', note: 'put on ice', read: ['2025-12-29T13:00 61C', '2025-12-29T15:30 35C'] },
  ])
  expect(left).toEqual([
    '6: no name',
    '7: not a temperature',
    '8: no day',
    '9: in the future',
    '10: same time',
    '11: no time',
  ])
})

it('reads lines with one reading each as one cooling, as long as they follow on the same dish', () => {
  const { rows, how } = read(
    [
      'When|Product|Core',
      '2025-03-01 10:00|Curd|135 F',
      '2025-03-01 11:30|curd|68 F',
      '2025-03-01 11:40|Cream|130 F',
      '2025-03-03 10:00|Cream|130 F',
    ].join('\n'),
  )
  expect(how.isUnitAsked).toBe(false)
  expect(rows.map(({ line, read: all }) => [line, all.length])).toEqual([
    [2, 2],
    [4, 1],
    [5, 1],
  ])
})

it('asks what a file leaves open, and guesses nothing', () => {
  const table = tableOf([
    ['Date', 'Food', 'Time', 'Temp'],
    ['3/12/2025', 'Curd', '14:00', '57'],
  ])!
  const roles = rolesIn(table)
  const open = howRead(table, roles, { order: null, unit: null })
  expect(open).toMatchObject({ order: 'either', isOrderAsked: true, units: null, isUnitAsked: true })
  const said = howRead(table, roles, { order: 'month first', unit: 'F' })
  const { rows } = understood(table, { roles, ...said, units: said.units!, zone: 'UTC', now: NOW })
  expect(rows[0]!.readings).toEqual([{ at: Date.UTC(2025, 2, 12, 14), typed: { value: 57, unit: 'F' } }])
  expect(missingIn(['what', 'day', 'temperature'])).toBe('when')
  expect(missingIn(['day and time', 'temperature'])).toBe('what')
  expect(tableOf([[''], ['', '']])).toBeNull()
})

it('needs no names of columns', () => {
  const table = tableOf([
    ['2025-03-01', '10:00', 'Curd', '57.1'],
    ['2025-03-01', '12:00', 'Curd', '20.4'],
  ])!
  expect(table.names).toEqual(['1', '2', '3', '4'])
  expect(rolesIn(table)).toEqual(['day', 'time', 'what', 'temperature'])
})

it.each([
  ['14:05', '14:05'],
  ['2:05 PM', '14:05'],
  ['12:05 a.m.', '00:05'],
  ['1405', '14:05'],
  ['14h05', '14:05'],
  ['2025-03-01T14:05:30', '14:05'],
  ['25:00', null],
  ['13:00 pm', null],
  ['57', null],
])('reads the time in %s as %s', (text, time) => {
  expect(timeIn(text)).toBe(time)
})

it.each([
  ['57.2', 'C', { value: 57.2, unit: 'C' }],
  ['−4,5 °C', 'F', { value: -4.5, unit: 'C' }],
  ['135F', 'C', { value: 135, unit: 'F' }],
  ['400', 'C', null],
  ['ok', 'C', null],
  ['1,234', 'C', { value: 1.234, unit: 'C' }],
] as const)('reads the temperature in %s (column in °%s)', (text, unit, typed) => {
  expect(temperatureIn(text, unit)).toEqual(typed)
})

it('reads days in the order that the whole file shows', () => {
  expect(dayOrderOf(['1/2/2025', '13/2/2025'])).toBe('day first')
  expect(dayOrderOf(['1/2/2025', '2/13/2025'])).toBe('month first')
  expect(dayOrderOf(['2025-1-2'])).toBe('year first')
  expect(dayOrderOf(['words'])).toBeNull()
  expect(dayIn('1/2/25', 'day first')).toBe('2025-02-01')
  expect(dayIn('30/2/2025', 'day first')).toBeNull()
  expect(unitSaid('Topic', ['57'])).toBeNull()
  expect(unitSaid('Temp (F)', [])).toBe('F')
})
