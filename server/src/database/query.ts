import type { Knex, SqlEntityManager } from '@mikro-orm/postgresql'

/** SQL with ? for each parameter. */
export interface Statement {
  sql: string
  params: unknown[]
}

/**
 * Runs a statement inside the transaction of `em`, on the driver itself: the ORM's own way writes out every parameter
 * for its log, which costs more than the statement where a parameter is a whole state.
 */
export async function query<R extends object>(em: SqlEntityManager, { sql, params }: Statement): Promise<R[]> {
  const transaction = em.getTransactionContext<Knex.Transaction>()
  if (!transaction) throw new Error('query: only inside a transaction')
  const result = await transaction.raw<{ rows: R[] }>(sql, params as Knex.RawBinding[])
  return result.rows
}
