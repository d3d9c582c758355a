import Ajv from 'ajv/dist/2020'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import {
  heldTo,
  limitSetOf,
  NOTHING_SIGNED,
  planFile,
  planSchema,
  ruleSets,
  writtenPlan,
  type LimitSet,
  type Method,
  type WrittenPlan,
} from '@logged-thermal/core'
import { repertoire } from './repertoire'

const DAY = '2027-03-03'
const methods = repertoire()
const find = (id: string): Method | null => methods.find((method) => method.id === id) ?? null
const sets = Object.values(ruleSets).map((set) => limitSetOf(set, { id: 'limits', from: 0 }))

/** Every method under every rule set. */
const plans = sets.flatMap((limits) =>
  methods.map((method): [Method, LimitSet, WrittenPlan] => [
    method,
    limits,
    writtenPlan(method, limits, NOTHING_SIGNED, DAY, find),
  ]),
)

describe('the written plan of whatever these kitchens make, under every rule set', () => {
  it('has a row for each check that a batch is held to, at its step, in the order of the steps', () => {
    for (const [method, limits, { rows }] of plans) {
      const { checks } = heldTo(method, 1, limits, false, DAY)
      const stepOf = (key: string) => method.steps.findIndex((step) => step.key === key) + 1
      // How it is heated once more is said where it cools too slowly.
      const rework = checks.find(({ limit }) => limit.key === 'rework')?.limit
      if (rework) expect(rows.filter(({ watched }) => watched === 'cooling')[0]!.rework).toEqual(rework)
      const asked = checks.filter(({ limit }) => limit !== rework)
      const wanted = asked.map(({ step, limit }) => `${stepOf(step)} ${JSON.stringify(limit)}`)
      const found = rows
        .filter(({ step }) => step !== null)
        .map(({ step, limit }) => `${step} ${JSON.stringify(limit)}`)
      expect(found.toSorted()).toEqual(wanted.toSorted())
      const order = rows.map(({ step }) => step ?? Infinity)
      expect(order).toEqual(order.toSorted((a, b) => a - b))
    }
  })

  it('says of every other step what controls it instead, and never a step that has no row of its own', () => {
    for (const [method, , { steps, rows }] of plans) {
      expect(steps).toHaveLength(method.steps.length)
      steps.forEach(({ leftOut }, i) => {
        expect(leftOut === null).toBe(rows.some(({ step }) => step === i + 1))
        if (leftOut?.by == null) return
        expect(leftOut.by).toBeGreaterThan(i + 1)
        const controls = rows.filter(({ step }) => step === leftOut.by)
        if (leftOut.why === 'heated later') expect(controls.some(({ hazard }) => hazard === 'survives')).toBe(true)
        expect(controls.length).toBeGreaterThan(0)
      })
    }
  })

  it('asks of raw egg that nothing heats for its lot and its hours, and of every method for probe and label', () => {
    const raw = plans.filter(([method]) => method.raw)
    expect(raw.length).toBeGreaterThan(0)
    for (const [, , { rows }] of raw)
      expect(rows.filter(({ hazard }) => hazard === 'raw egg').map(({ watched }) => watched)).toContain('clock')
    for (const [, limits, { rows }] of plans) {
      const printsProbe = limits.lines.some(({ key }) => key === 'thermometer')
      expect(rows.some(({ watched }) => watched === 'in ice')).toBe(printsProbe)
      expect(rows.filter(({ hazard }) => hazard === 'allergen')).toHaveLength(1)
    }
  })

  it('is a file as the published schema says, which is the one in docs', () => {
    const valid = new Ajv({ allErrors: true }).compile(planSchema)
    const signed = { version: 1, by: 'A', at: '2027-03-03T08:00:00Z', entry: 5, note: 'n', outOfDate: false }
    for (const [, , plan] of plans) {
      const file = JSON.parse(
        planFile('Kitchen', [
          { plan, signed },
          { plan, signed: null },
        ]),
      ) as object
      expect([valid(file), valid.errors]).toEqual([true, null])
    }
    expect(valid(JSON.parse(planFile('Kitchen', [])) && { format: 'another' })).toBe(false)
    const printed = readFileSync(join(__dirname, '../../docs/plan.schema.json'), 'utf8')
    expect(JSON.parse(printed)).toEqual(JSON.parse(JSON.stringify(planSchema)))
  })
})
