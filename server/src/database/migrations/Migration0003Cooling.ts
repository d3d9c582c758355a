import { Migration } from '@mikro-orm/migrations'
import { projection } from './projection'

/** Vessels that are cooled in, and cold units. */
export class Migration0003Cooling extends Migration {
  override up(): void {
    for (const statement of [...projection('vessel'), ...projection('unit')]) this.addSql(statement)
  }
}
