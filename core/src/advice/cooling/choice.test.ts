import { limitsFrom, Story } from '../../test/story'
import { nearestThatMakes, outcomeOf, stagesOf, type Choice, type Load } from './choice'
import { largestDepth, plannedStages } from './planned'
import { prospectOf } from '../../physics/cooling/prospect'
import { coolingStages } from '../../rules/sets/ruleSets'

const LOAD: Load = {
  kilograms: 6,
  composition: { water: 0.75, protein: 0.04, fat: 0.08, carbohydrate: 0.12, ash: 0.01 },
  celsius: 80,
}
const rated = { food: true, hotFill: true, wall: 'steel' as const }
const PAIL: Choice['vessel'] = {
  id: 'pail',
  name: 'Pail',
  inside: { kind: 'round', diameter: 0.22, height: 0.24 },
  ...rated,
}
const TRAY: Choice['vessel'] = {
  id: 'tray',
  name: 'Tray',
  inside: { kind: 'rectangular', length: 0.5, width: 0.3, height: 0.06 },
  ...rated,
}
const COLD_TUB: Choice['vessel'] = { ...PAIL, id: 'cold', name: 'Cold tub', wall: 'plastic', hotFill: false }
const IN_FRIDGE: Choice = { vessel: PAIL, pans: 1, place: 'refrigerator', cover: 'open' }
const US = coolingStages('us-food-code-2022')

describe('a choice of vessel and place', () => {
  it('has its depth from its mass, and misses where it is too deep for the air', () => {
    const { depth, makes, stages } = outcomeOf(LOAD, IN_FRIDGE, US)
    expect(depth).toBeCloseTo(0.15, 1)
    expect(makes).toBe(false)
    expect(stages[0]!.miss).toBeGreaterThan(0.95)
    expect(stages[0]!.minutes.likely).toBeGreaterThan(120)
  })

  it('is refused hot in a tub that is not rated for it, and over the rim', () => {
    expect(outcomeOf(LOAD, { ...IN_FRIDGE, vessel: COLD_TUB }, US).refused).toBe('not for hot')
    expect(outcomeOf({ ...LOAD, celsius: 20 }, { ...IN_FRIDGE, vessel: COLD_TUB }, US).refused).toBeNull()
    expect(outcomeOf({ ...LOAD, kilograms: 20 }, { ...IN_FRIDGE, vessel: TRAY }, US).refused).toBe('over the rim')
    expect(outcomeOf(LOAD, { ...IN_FRIDGE, vessel: { ...PAIL, food: false } }, US).refused).toBe('not for food')
  })

  it('has a nearest one that makes it: a colder place, or else more pans', () => {
    const colder = nearestThatMakes(LOAD, IN_FRIDGE, US, [PAIL, TRAY], ['stirred ice bath'])!
    expect(colder).toMatchObject({ makes: true, choice: { place: 'stirred ice bath', pans: 1, vessel: PAIL } })
    const split = nearestThatMakes(LOAD, IN_FRIDGE, US, [PAIL, TRAY], [])
    expect(split === null || split.choice.pans > 1).toBe(true)
    const blast = nearestThatMakes(LOAD, { ...IN_FRIDGE, place: 'blast chiller' }, US, [PAIL, TRAY], [])!
    expect(blast).toMatchObject({ makes: true, choice: { place: 'blast chiller', vessel: TRAY } })
  })

  it('takes the limits of its rule set', () => {
    const uk = stagesOf(new Story(limitsFrom('uk-2013')).batch.checks)
    expect(uk.map(({ to, withinMinutes }) => [to, withinMinutes])).toContainEqual([8, 90])
    const shallow: Choice = { vessel: TRAY, pans: 3, place: 'blast chiller', cover: 'open' }
    expect(outcomeOf(LOAD, shallow, US).makes).toBe(true)
    const one: Choice = { vessel: TRAY, pans: 1, place: 'blast chiller', cover: 'open' }
    expect(outcomeOf(LOAD, one, uk).stages[0]!.miss).toBeGreaterThan(outcomeOf(LOAD, shallow, uk).stages[0]!.miss)
  })
})

describe('the largest depth', () => {
  const at = (place: 'refrigerator' | 'blast chiller' | 'ice bath') =>
    largestDepth(
      (depth) =>
        prospectOf(
          {
            shape: { kind: 'brick', length: 0.5, width: 0.3, height: depth },
            composition: LOAD.composition,
            wall: 'steel',
          },
          place,
          'open',
        ),
      80,
      US,
    )

  it('makes it, and half a centimetre more does not', () => {
    const depth = at('blast chiller')!
    const makes = (d: number) =>
      plannedStages(
        prospectOf(
          {
            shape: { kind: 'brick', length: 0.5, width: 0.3, height: d },
            composition: LOAD.composition,
            wall: 'steel',
          },
          'blast chiller',
          'open',
        ),
        80,
        US,
      ).every(({ miss }) => miss <= 0.2)
    expect(makes(depth)).toBe(true)
    expect(makes(depth + 0.005)).toBe(false)
  })

  it('is more where it is colder and blown at', () => {
    expect(at('blast chiller')!).toBeGreaterThan(at('refrigerator') ?? 0)
  })
})
