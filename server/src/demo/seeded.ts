import type { Id } from '@logged-thermal/core'
import type { Starter } from './starter'

export interface Seeded {
  kitchenId: Id
  name: string
  people: { id: Id; key: string; name: string; job: string; pin: string }[]
  starter: Starter
}
