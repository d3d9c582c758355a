import { randomUUID } from 'node:crypto'
import { expect, request } from '@playwright/test'
import {
  kinds,
  newMethod,
  NO_INSTRUCTION,
  type Amount,
  type Bodies,
  type FamilyKey,
  type Instruction,
  type Kind,
  type Method,
  type StepKind,
} from '@logged-thermal/core'
import { PINS, type RunningKitchen } from './kitchen'

export interface OwnMethod {
  name: string
  family: FamilyKey
  steps: [key: string, kind: StepKind, told?: Partial<Instruction> & { part?: string }][]
  amounts: [ingredient: string, grams: number, step: string, state?: Amount['state']][]
  more?: Partial<Method>
}

const LEAD = 'Ilse Varrow'

/** A kitchen and its people, as the door tells them: under names of their own for each tablet. */
interface Known {
  id: string
  people: { id: string; name: string }[]
}

interface Line {
  kitchen: { id: string }
  people: { id: string; name: string }[]
  limits: { id: string }
}

/** Puts a method in force as the lead does, without the taps: other stories count those. */
export async function publish(
  kitchen: RunningKitchen,
  { name, family, steps, amounts, more }: OwnMethod,
): Promise<void> {
  const door = await request.newContext()
  const kitchens = (await (await door.get(`${kitchen.url}/api/login`)).json()) as Known[]
  const at = kitchens.find(({ people }) => people.some((person) => person.name === LEAD))!
  const [device, pin] = [randomUUID(), PINS[LEAD]]
  const asked = at.people.find((person) => person.name === LEAD)!.id
  await door.post(`${kitchen.url}/api/shift`, { data: { kitchen: at.id, person: asked, pin, device } })
  const line = (await (await door.get(`${kitchen.url}/api/line`)).json()) as Line
  const lead = line.people.find((person) => person.name === LEAD)!.id
  const method: Method = {
    ...newMethod({ id: randomUUID(), vesselId: randomUUID(), name, family }),
    steps: steps.map(([key, kind, told]) => ({ key, kind, measures: told?.part ? { part: told.part } : 'mixture' })),
    instructions: Object.fromEntries(
      steps.map(([key, , { part: _part, ...told } = {}]) => [key, { ...NO_INSTRUCTION, ...told }]),
    ),
    amounts: amounts.map(([ingredient, grams, step, state = 'as it is'], i) => {
      return { key: `a${i}`, ingredient, grams, count: null, step, state }
    }),
    ...more,
  }
  const claim = <K extends Kind>(kind: K, body: Bodies[K]) => {
    const at = Math.round(kitchen.now)
    const about = { type: kinds[kind].about, id: method.id }
    return {
      id: randomUUID(),
      kitchen: line.kitchen.id,
      kind,
      v: kinds[kind].v,
      about,
      at,
      madeAt: at,
      by: lead,
      device,
      body,
    }
  }
  const entries = [
    claim('method-saved', { method }),
    claim('method-approved', { version: method.version, limits: line.limits.id, components: [] }),
  ]
  const data = { sentAt: Math.round(kitchen.now), entries, signer: lead, pin }
  const answer = await door.post(`${kitchen.url}/api/entries`, { data })
  expect(answer.status(), await answer.text()).toBe(200)
  const { results } = (await answer.json()) as { results: { outcome: string; sentence?: string }[] }
  expect(results.map(({ outcome, sentence }) => sentence ?? outcome)).toEqual(['accepted', 'accepted'])
  await door.dispose()
}
