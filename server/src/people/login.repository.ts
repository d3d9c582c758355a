import { Injectable } from '@nestjs/common'
import { EntityManager } from '@mikro-orm/postgresql'
import type { Id, Role } from '@logged-thermal/core'
import type { LoginKitchen } from '../http/answers'

interface LoginRow {
  kitchen_id: Id
  kitchen: string
  id: Id
  name: string
  role: Role
  job: string
}

@Injectable()
export class LoginRepository {
  constructor(private readonly em: EntityManager) {}

  /** Every kitchen with those who work in it, by name, in one query. A kitchen in which nobody works is left out. */
  async read(): Promise<LoginKitchen[]> {
    // One transaction: for so long the function may look into each kitchen in turn.
    const rows = await this.em.fork().transactional((em) => em.execute<LoginRow[]>('select * from door()'))
    const kitchens = new Map<Id, LoginKitchen>()
    for (const { kitchen_id, kitchen, id, name, role, job } of rows) {
      const login = kitchens.get(kitchen_id) ?? { id: kitchen_id, name: kitchen, people: [] }
      login.people.push({ id, name, role, job })
      kitchens.set(kitchen_id, login)
    }
    return [...kitchens.values()]
  }
}
