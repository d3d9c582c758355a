import { Injectable } from '@nestjs/common'
import { EntityManager } from '@mikro-orm/postgresql'
import type { Id } from '@logged-thermal/core'
import type { LoginKitchen } from '../http/answers'
import { handleOf } from './handles'
import type { OwnTablet } from './tablets.service'

interface LoginRow {
  kitchen_id: Id
  kitchen: string
  id: Id
  name: string
  job: string
  digits: number
}

@Injectable()
export class LoginRepository {
  constructor(private readonly em: EntityManager) {}

  /**
   * Every kitchen with those who work in it, by name, in one query; of a tablet that belongs to a kitchen that one alone,
   * with their jobs. A kitchen in which nobody works is left out. A stranger is told names, and nothing that can be used.
   */
  async read(tablet: OwnTablet | null): Promise<LoginKitchen[]> {
    // One transaction: for so long the function may look into each kitchen in turn.
    const rows = await this.em.fork().transactional((em) => em.execute<LoginRow[]>('select * from door()'))
    const kitchens = new Map<Id, LoginKitchen>()
    for (const { kitchen_id, kitchen, id, name, job, digits } of rows) {
      if (tablet && tablet.kitchenId !== kitchen_id) continue
      const login = kitchens.get(kitchen_id) ?? {
        id: tablet ? kitchen_id : handleOf(kitchen_id),
        name: kitchen,
        people: [],
      }
      login.people.push(tablet ? { id, name, job, digits } : { id: handleOf(id), name, job: null, digits: null })
      kitchens.set(kitchen_id, login)
    }
    return [...kitchens.values()]
  }
}
