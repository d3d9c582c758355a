import fc from 'fast-check'
import { initialsAmong } from './initials'

const person = (id: string, name: string) => ({ id, name })
const known = [person('1', 'Mina Osk'), person('2', 'Mara Orr'), person('3', 'Mo Os'), person('4', 'Mina Osk')]

test('whoever came first keeps the short letters, and later ones are told apart from them', () => {
  expect(known.map(({ id }) => initialsAmong(known, id))).toEqual(['MO', 'MOr', 'MOs', 'MOsk'])
  expect(initialsAmong([person('1', 'Aya'), person('2', 'Aya')], '2')).toBe('Ay')
  expect(initialsAmong([person('1', 'Aya'), person('2', 'Ay'), person('3', 'Ay')], '3')).toBe('Ay2')
})

test('nobody is told by nobody’s letters', () => {
  expect(initialsAmong(known, '9')).toBe('')
})

test('no two people of a kitchen share initials, and a newcomer changes nobody’s', () => {
  const names = fc.array(fc.stringMatching(/^[AB][abz]{0,2}( [AB][abz]{0,3})?$/), { minLength: 1, maxLength: 12 })
  fc.assert(
    fc.property(names, (all) => {
      const people = all.map((name, at) => person(String(at).padStart(3, '0'), name))
      const initials = people.map(({ id }) => initialsAmong(people, id))
      expect(new Set(initials).size).toBe(people.length)
      const before = people.slice(0, -1)
      expect(before.map(({ id }) => initialsAmong(before, id))).toEqual(initials.slice(0, -1))
    }),
  )
})
