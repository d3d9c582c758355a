import type { MikroORM } from '@mikro-orm/postgresql'

/** What the serving role may do. It owns nothing, and of the logbook it may read and add, nothing else. */
export async function grantTo(role: string, orm: MikroORM): Promise<void> {
  const app = `"${role.replaceAll('"', '""')}"`
  for (const statement of [
    `grant usage on schema public to ${app}`,
    `grant select, insert on kitchen, person, shift, chain_head, entry to ${app}`,
    `grant update on person, shift, chain_head to ${app}`,
    `grant select, insert on fold_core, entry_subject to ${app}`,
    `grant select, insert, update, delete on kitchen_state, limit_set, method, instrument, batch, lot, item, vessel, unit, edge, feed to ${app}`,
  ]) {
    await orm.em.execute(statement)
  }
}
