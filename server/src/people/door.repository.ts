import { Injectable } from '@nestjs/common'
import { EntityManager } from '@mikro-orm/postgresql'
import type { Id, Role } from '@logged-thermal/core'

interface DoorRow {
  kitchen_id: Id
  kitchen: string
  id: Id
  name: string
  role: Role
  job: string
}

/** A kitchen as its door names it. */
export interface DoorOfKitchen {
  id: Id
  name: string
  people: { id: Id; name: string; role: Role; job: string }[]
}

@Injectable()
export class DoorRepository {
  constructor(private readonly em: EntityManager) {}

  /** Every kitchen with those who work in it, by name, in one query. A kitchen in which nobody works has no door. */
  async read(): Promise<DoorOfKitchen[]> {
    // One transaction: for so long the function may look into each kitchen in turn.
    const rows = await this.em.fork().transactional((em) => em.execute<DoorRow[]>('select * from door()'))
    const doors = new Map<Id, DoorOfKitchen>()
    for (const { kitchen_id, kitchen, id, name, role, job } of rows) {
      const door = doors.get(kitchen_id) ?? { id: kitchen_id, name: kitchen, people: [] }
      door.people.push({ id, name, role, job })
      doors.set(kitchen_id, door)
    }
    return [...doors.values()]
  }
}
