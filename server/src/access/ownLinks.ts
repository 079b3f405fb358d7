import type { Knex } from 'knex'

/**
 * Lets nothing else change what somebody signs in with until the transaction is over: of a new password and a phone that
 * is just being paired, one comes after the other.
 */
export async function lockPerson(trx: Knex, personId: string): Promise<void> {
  await trx('people').where({ id: personId }).forUpdate().first('id')
}

/** Ends the links that are open to somebody's own account: phones to be paired, new passwords to be chosen. */
export async function endOwnLinks(trx: Knex, personId: string): Promise<void> {
  await trx('passes')
    .where({ personId, usedAt: null, withdrawnAt: null })
    .whereIn('kind', ['pairing', 'reset'])
    .update({ withdrawnAt: new Date() })
}
