import { Entity, PrimaryKey, PrimaryKeyProp, Property } from '@mikro-orm/core'
import type { Role } from '@logged-thermal/core'

/** Somebody of one kitchen. The PIN is kept only as an argon2id hash. */
@Entity({ tableName: 'person' })
export class Person {
  [PrimaryKeyProp]?: ['kitchenId', 'id']

  @PrimaryKey({ type: 'uuid' })
  kitchenId: string

  @PrimaryKey({ type: 'uuid' })
  id: string

  @Property({ type: 'text' })
  name: string

  @Property({ type: 'text' })
  role: Role

  @Property({ type: 'text' })
  job: string

  @Property({ type: 'text', hidden: true })
  pinHash: string

  @Property({ type: 'smallint', default: 4 })
  pinDigits: number = 4
}
