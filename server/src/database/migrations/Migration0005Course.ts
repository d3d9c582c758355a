import { Migration } from '@mikro-orm/migrations'

/** What a whole store is judged by, as plain text: items' courses and units' airs, written with the state by the fold. */
export class Migration0005Course extends Migration {
  override up(): void {
    this.addSql(`alter table item add column course json not null default '{}'`)
    this.addSql(
      `alter table unit add column card json not null default '{}', add column airs json not null default '[]'`,
    )
    // What changed since it was read last.
    this.addSql('create index item_seq on item (kitchen_id, seq)')
    // They said which items had to be judged. All are, by their courses.
    for (const index of ['item_made', 'item_unit', 'item_aside']) this.addSql(`drop index ${index}`)
    this.addSql('alter table item drop column made_ms, drop column unit_id, drop column frozen, drop column aside')
  }
}
