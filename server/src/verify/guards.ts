import type { SqlEntityManager } from '@mikro-orm/postgresql'
import { GRANTS, type Privilege } from '../database/grants'
import { query } from '../database/query'
import type { Fault } from './fault'

/** Tables that belong to no kitchen: nothing in them is a kitchen's own. */
const OF_NO_KITCHEN = ['kitchen', 'fold_core', 'migration', 'set_up', 'account', 'account_person', 'account_session']
/** The one rule of who sees a row, as the database writes it out. */
const OWN_ROWS = `(kitchen_id = (NULLIF(current_setting('lt.kitchen'::text, true), ''::text))::uuid)`
const TRIGGERS = ['entry_rows', 'entry_table', 'signed_head_rows', 'signed_head_table']
const PRIVILEGES: readonly Privilege[] = ['SELECT', 'INSERT', 'UPDATE', 'DELETE']

/**
 * Whether the database still keeps the logbook from whoever serves: row-level security, triggers, the function that
 * appends, and what the serving role may do.
 * @param role the serving role; null: one role serves and owns
 */
export async function guardFaults(em: SqlEntityManager, role: string | null): Promise<Fault[]> {
  const found = [...(await tables(em)), ...(await triggers(em)), ...(await functions(em))]
  return [...found, ...(role === null ? [] : await rights(em, role))].map((what): Fault => ({
    code: 'unguarded',
    what,
  }))
}

async function tables(em: SqlEntityManager): Promise<string[]> {
  const rows = await query<{ name: string; secured: boolean; policies: (string | null)[] }>(em, {
    sql: `select c.relname as name, c.relrowsecurity and c.relforcerowsecurity as secured,
        array(select coalesce(pg_get_expr(p.polqual, p.polrelid), '') || '|' || coalesce(pg_get_expr(p.polwithcheck, p.polrelid), '')
          || '|' || p.polpermissive::text || '|' || p.polcmd::text from pg_policy p where p.polrelid = c.oid) as policies
      from pg_class c where c.relnamespace = 'public'::regnamespace and c.relkind in ('r', 'p') order by 1`,
    params: [],
  })
  return rows
    .filter(({ name }) => !OF_NO_KITCHEN.includes(name))
    .flatMap(({ name, secured, policies }) => {
      if (!secured) return [`Table ${name} shows rows of other kitchens: its row-level security is off.`]
      const own = policies.length === 1 && policies[0] === `${OWN_ROWS}|${OWN_ROWS}|true|*`
      return own ? [] : [`Table ${name} has other rules of who sees its rows than ours.`]
    })
}

async function triggers(em: SqlEntityManager): Promise<string[]> {
  const rows = await query<{ name: string }>(em, {
    sql: `select t.tgname as name from pg_trigger t join pg_proc p on p.oid = t.tgfoid
      where t.tgenabled in ('O', 'A') and p.proname = 'entry_is_append_only'
        and p.prosrc like '%append only%' and t.tgrelid in ('entry'::regclass, 'signed_head'::regclass)`,
    params: [],
  })
  return TRIGGERS.filter((trigger) => !rows.some(({ name }) => name === trigger)).map(
    (name) => `Trigger ${name} is gone or off: entries could be changed.`,
  )
}

/** What the serving role may have done with the rights of the owner. */
const AS_OWNER = ['append_entries', 'add_person', 'found_kitchen', 'name_kitchen']

async function functions(em: SqlEntityManager): Promise<string[]> {
  const [row] = await query<{ ours: boolean }>(em, {
    sql: `select p.prosecdef and p.proowner = c.relowner
        and p.proconfig @> array['search_path=pg_catalog, public, pg_temp']
        and p.prosrc like '%not the next number%' and p.prosrc like '%not linked to the one before%'
        and p.prosrc like '%recorded before the one before it%' and p.prosrc like '%sha256(convert_to(each%' as ours
      from pg_proc p, pg_class c where p.proname = 'append_entries' and p.pronamespace = 'public'::regnamespace
        and c.oid = 'entry'::regclass`,
    params: [],
  })
  const others = await query<{ name: string }>(em, {
    sql: `select p.proname as name from pg_proc p
      where p.prosecdef and p.pronamespace = 'public'::regnamespace and not p.proname = any(?::text[]) order by 1`,
    params: [`{${AS_OWNER.join(',')}}`],
  })
  return [
    ...(row?.ours ? [] : ['Function append_entries is gone or another: entries could be added unchecked.']),
    ...others.map(({ name }) => `Function ${name} does with the owner’s rights what nobody of ours asked for.`),
  ]
}

async function rights(em: SqlEntityManager, role: string): Promise<string[]> {
  const [is] = await query<{ mighty: boolean; owns: string[]; temporary: boolean; creates: boolean }>(em, {
    sql: `select r.rolsuper or r.rolbypassrls or r.rolcreaterole as mighty,
        array(select relname::text from pg_class c where c.relnamespace = 'public'::regnamespace
          and pg_has_role(r.oid, c.relowner, 'MEMBER')) as owns,
        has_database_privilege(r.oid, current_database(), 'TEMPORARY') as temporary,
        has_schema_privilege(r.oid, 'public', 'CREATE') as creates
      from pg_roles r where r.rolname = ?`,
    params: [role],
  })
  if (!is) return [`There is no role ${role}.`]
  const may = await query<{ name: string; verb: Privilege; all: boolean; columns: string[] }>(em, {
    sql: `select c.relname as name, p.verb, has_table_privilege(?, c.oid, p.verb) as all,
        array(select a.attname::text from pg_attribute a where a.attrelid = c.oid and a.attnum > 0 and not a.attisdropped
          and p.verb in ('INSERT', 'UPDATE') and has_column_privilege(?, c.oid, a.attnum, p.verb)) as columns
      from pg_class c cross join unnest(array['SELECT', 'INSERT', 'UPDATE', 'DELETE', 'TRUNCATE']) as p(verb)
      where c.relnamespace = 'public'::regnamespace and c.relkind in ('r', 'p')`,
    params: [role, role],
  })
  return [
    ...(is.mighty ? [`Role ${role} may pass every rule of the database.`] : []),
    ...(is.owns.length > 0 ? [`Role ${role} owns tables: ${is.owns.join(', ')}.`] : []),
    ...(is.temporary ? [`Role ${role} may make temporary tables.`] : []),
    ...(is.creates ? [`Role ${role} may make tables.`] : []),
    ...may
      .filter((each) => isTooMuch(each))
      .map(({ name, verb }) => `Role ${role} may ${VERBS[verb] ?? verb} ${name}.`),
  ]
}

const VERBS: Record<string, string> = {
  SELECT: 'read',
  INSERT: 'add rows to',
  UPDATE: 'change rows of',
  DELETE: 'remove rows of',
  TRUNCATE: 'empty',
}

function isTooMuch({ name, verb, all, columns }: { name: string; verb: Privilege; all: boolean; columns: string[] }) {
  const granted = GRANTS[name] ?? { may: [] }
  if (PRIVILEGES.includes(verb) && granted.may.includes(verb)) return false
  if (verb === 'UPDATE' && granted.columns) return columns.some((column) => !granted.columns!.includes(column))
  return all || columns.length > 0
}
