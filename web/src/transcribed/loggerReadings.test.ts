import { rolesIn, tableOf } from './columns'
import { howRead } from './howRead'
import { loggerReadings } from './loggerReadings'

const NOW = Date.parse('2026-12-01T00:00:00Z')

/** As the sheet reads it: every day year first or as it says itself, bare numbers in °C. */
function read(text: string, zone = 'UTC', separator = ',') {
  const table = tableOf(text.split('\n').map((line) => line.split(separator)))!
  const roles = rolesIn(table)
  const { order, units } = howRead(table, roles, { order: 'day first', unit: 'C' })
  const found = loggerReadings(table, { roles, order, units: units!, zone, now: NOW })
  return {
    told: found.readings.map(({ at, typed }) => [new Date(at).toISOString().slice(0, 19), typed.value, typed.unit]),
    left: found.left.map(({ line, why }) => [line, why]),
  }
}

it('reads what stands above the table, names with a unit, seconds, and a day that is written once', () => {
  const { told, left } = read(
    [
      'Model;L-20',
      'Serial;0815',
      '',
      'Date;Time;Temp (°F)',
      '03.11.2026;14:02:30;180,5',
      ';14:03:00;179',
      ';14:03;178,9',
      ';14:03:30;sensor open',
      ';14:04:00;',
      ';noon;170',
    ].join('\n'),
    'UTC',
    ';',
  )
  // The same minute twice: the one that is written with its seconds and the one without are one time.
  expect(told).toEqual([
    ['2026-11-03T14:02:30', 180.5, 'F'],
    ['2026-11-03T14:03:00', 179, 'F'],
  ])
  expect(left).toEqual([
    [8, 'not a temperature'],
    [9, 'no temperature'],
    [10, 'no time'],
  ])
})

it('tells the hour that comes twice in autumn apart by its order, and leaves a gap in spring', () => {
  const autumn = [
    'Timestamp,°C',
    ...['00:30', '01:30', '01:45', '01:15', '01:50', '02:10'].map((time) => `2026-10-25 ${time},4`),
  ]
  // In London clocks go back at two: 01:15 after 01:45 is the second one.
  expect(read(autumn.join('\n'), 'Europe/London').told.map(([at]) => at)).toEqual([
    '2026-10-24T23:30:00',
    '2026-10-25T00:30:00',
    '2026-10-25T00:45:00',
    '2026-10-25T01:15:00',
    '2026-10-25T01:50:00',
    '2026-10-25T02:10:00',
  ])
  const spring = ['Timestamp,°C', ...['00:30', '00:59', '02:01'].map((time) => `2026-03-29 ${time},4`)]
  expect(read(spring.join('\n'), 'Europe/London').told.map(([at]) => at)).toEqual([
    '2026-03-29T00:30:00',
    '2026-03-29T00:59:00',
    '2026-03-29T01:01:00',
  ])
})

it('puts lines that are out of order in order, and leaves out what has not come yet', () => {
  const { told, left } = read(
    ['Time,Core', '2026-11-03T15:00:00,60', '2026-11-03T14:00:00,80', '2026-12-03T14:00:00,4'].join('\n'),
  )
  expect(told.map(([, value]) => value)).toEqual([80, 60])
  expect(left).toEqual([[4, 'in the future']])
})

it('takes a time with its zone for what it is, wherever the kitchen is, to the millisecond', () => {
  const lines = [
    'time (UTC),typed',
    "2026-11-03T14:02:30.000Z,'-18.2°C",
    '2026-11-03T14:02:30.250Z,80.1°C',
    '2026-11-03 15:03:00+01:00,176.0°F',
  ]
  expect(read(lines.join('\n'), 'America/New_York').told).toEqual([
    ['2026-11-03T14:02:30', -18.2, 'C'],
    ['2026-11-03T14:02:30', 80.1, 'C'],
    ['2026-11-03T14:03:00', 176, 'F'],
  ])
})
