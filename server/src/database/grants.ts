import type { MikroORM } from '@mikro-orm/postgresql'

/** Tables of what is folded: they can be made anew from the logbook, so whoever serves may do anything with their rows. */
const FOLDED = [
  'kitchen_state',
  'limit_set',
  'method',
  'instrument',
  'batch',
  'lot',
  'item',
  'vessel',
  'unit',
  'matter',
  'edge',
  'feed',
  'log_row',
]

/** What the serving role may do with each table; what is not named it may not. `columns`: it may change these alone. */
export const GRANTS: Record<string, { may: readonly Privilege[]; columns?: readonly string[] }> = {
  kitchen: { may: ['SELECT'] },
  person: { may: ['SELECT'], columns: ['name', 'job', 'pin_hash', 'pin_digits'] },
  tablet: { may: ['SELECT', 'INSERT'], columns: ['name', 'seen_at', 'forgotten_at'] },
  // What was heard of a tablet is evidence: it is added to, never changed.
  tablet_gap: { may: ['SELECT', 'INSERT'] },
  tablet_run: { may: ['SELECT', 'INSERT'] },
  pin_try: { may: ['SELECT', 'INSERT', 'UPDATE', 'DELETE'] },
  lock_out: { may: ['SELECT', 'INSERT'] },
  shift: { may: ['SELECT', 'INSERT', 'UPDATE'] },
  account: { may: ['SELECT', 'INSERT', 'UPDATE'] },
  account_person: { may: ['SELECT', 'INSERT'] },
  account_session: { may: ['SELECT', 'INSERT', 'UPDATE'] },
  // The lead forgets it again: nobody's illness is kept for ever.
  unfit: { may: ['SELECT', 'INSERT', 'UPDATE', 'DELETE'] },
  photo: { may: ['SELECT', 'INSERT'] },
  packet: { may: ['SELECT', 'INSERT'], columns: ['state', 'done', 'of', 'bytes', 'said'] },
  notice_wish: { may: ['SELECT', 'INSERT', 'DELETE'] },
  notice_sent: { may: ['SELECT', 'INSERT', 'DELETE'] },
  // The logbook itself: it is added to through append_entries alone.
  entry: { may: ['SELECT'] },
  chain_head: { may: ['SELECT'], columns: ['core', 'subjects_core'] },
  signed_head: { may: ['SELECT', 'INSERT'] },
  entry_block: { may: ['SELECT', 'INSERT'] },
  entry_subject: { may: ['SELECT', 'INSERT'] },
  fold_core: { may: ['SELECT', 'INSERT'] },
  ...Object.fromEntries(FOLDED.map((table) => [table, { may: ['SELECT', 'INSERT', 'UPDATE', 'DELETE'] as const }])),
}

export type Privilege = 'SELECT' | 'INSERT' | 'UPDATE' | 'DELETE'

/** Gives the serving role what it needs and takes from it all else. It owns nothing. */
export async function grantTo(role: string, orm: MikroORM): Promise<void> {
  const app = `"${role.replaceAll('"', '""')}"`
  const database = orm.config.get('dbName')!.replaceAll('"', '""')
  const tables = Object.entries(GRANTS).flatMap(([table, { may, columns }]) => [
    `grant ${may.join(', ')} on ${table} to ${app}`,
    ...(columns ? [`grant update (${columns.join(', ')}) on ${table} to ${app}`] : []),
  ])
  for (const statement of [
    `revoke all on all tables in schema public from ${app}`,
    `revoke create on schema public from public`,
    // A table of its own could stand before ours in what a function looks at.
    `revoke temporary on database "${database}" from public, ${app}`,
    `grant usage on schema public to ${app}`,
    `grant execute on function append_entries(uuid, text[]) to ${app}`,
    `grant execute on function add_person(uuid, uuid, text, text, text, text, smallint) to ${app}`,
    `grant execute on function found_kitchen(text, uuid, text, text, text, uuid, text) to ${app}`,
    `grant execute on function name_kitchen(text, text) to ${app}`,
    ...tables,
  ])
    await orm.em.execute(statement)
}
