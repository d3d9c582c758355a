import { Migration } from '@mikro-orm/migrations'

/** A packet is in the language of who asks for it. */
export class Migration0028PacketLanguage extends Migration {
  override up(): void {
    this.addSql(
      `alter table packet add column language text not null default 'en-GB' check (language in ('en-GB', 'en-US'))`,
    )
  }
}
