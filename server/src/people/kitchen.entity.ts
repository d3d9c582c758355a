import { Entity, PrimaryKey, Property } from '@mikro-orm/core'

/** One site: its time zone decides what a day is, its unit what a board shows. */
@Entity({ tableName: 'kitchen' })
export class Kitchen {
  @PrimaryKey({ type: 'uuid' })
  id: string

  @Property({ type: 'text' })
  name: string

  @Property({ type: 'text' })
  zone: string

  @Property({ type: 'text' })
  unit: 'C' | 'F'

  @Property({ type: 'uuid' })
  limitsId: string
}
