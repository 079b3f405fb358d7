import type { Knex } from 'knex'

/** The driver's own connection, as the query builder hands it out. */
interface Connection {
  query(query: { name?: string; text: string; values: readonly unknown[] }): Promise<{ rows: unknown[] }>
}
interface Client {
  acquireConnection(): Promise<Connection>
  releaseConnection(connection: Connection): Promise<void>
}

export interface Prepared {
  /** Under which the database keeps its plan, for this text alone; left out, it is planned each time. */
  readonly name?: string
  /** SQL with $1, $2 … */
  readonly text: string
}

/**
 * Asks the database in its own words: what is asked hundreds of times a second doesn't go through the query builder,
 * which would read kilobytes of SQL for its marks each time.
 *
 * @param db a pool or a transaction
 * @returns the rows as they come
 */
export async function askPrepared<T>(
  db: Knex,
  { name, text }: Prepared,
  values: readonly unknown[],
): Promise<T[]> {
  const client = db.client as Client
  const connection = await client.acquireConnection()
  try {
    const { rows } = await connection.query({ ...(name === undefined ? {} : { name }), text, values })
    return rows as T[]
  } finally {
    await client.releaseConnection(connection)
  }
}
