import { Refusal } from './Refusal'

interface Coded {
  code?: string
  type?: string
  status?: number
  message?: string
  name?: string
  /** Where the query builder wraps it, the database's own error. */
  nativeError?: Coded
}

const AWAY = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'ETIMEDOUT',
  'EPIPE',
  '57P01',
  '57P02',
  '57P03',
  '08000',
  '08001',
  '08003',
  '08006',
  '53300',
])

/** Any error as a refusal. What is not recognised stays a plain 500, and its words stay in the log. */
export function refusalFrom(error: unknown): Refusal {
  if (error instanceof Refusal) return error
  const coded = (error ?? {}) as Coded
  const { code = '', type, status, message = '', name } = coded.nativeError ?? coded
  const isAway =
    AWAY.has(code) ||
    /Connection (terminated|ended)|timeout acquiring|KnexTimeout/i.test(`${name} ${message}`)
  if (isAway) {
    return new Refusal(
      503,
      'database-away',
      'The records can’t be reached',
      'The database doesn’t answer. Nothing was changed; it is tried again.',
    )
  }
  if (type === 'entity.parse.failed') {
    return new Refusal(400, 'not-json', 'That is not JSON', `The text can’t be read as JSON: ${message}`)
  }
  if (type === 'entity.too.large' || status === 413) {
    return new Refusal(
      413,
      'too-large',
      'Too much at once',
      'The request is larger than this server takes. Send it in smaller parts.',
    )
  }
  if (code === '23503') {
    return new Refusal(
      409,
      'still-referenced',
      'Something still hangs from it',
      'A record refers to one that is not there, or that would go. Reload and try again.',
    )
  }
  if (code === '23505') {
    return new Refusal(
      409,
      'conflict',
      'It is there already',
      'A record with this id exists already. Reload and try again.',
    )
  }
  if (code === '23514' || code === '22P02' || code === '22003') {
    return new Refusal(
      422,
      'not-valid',
      'Something doesn’t fit',
      'A value lies outside what the records can hold. Check its unit.',
    )
  }
  return new Refusal(
    500,
    'unexpected',
    'That went wrong here',
    'The server met something it did not expect. Nothing was changed. The log has the details.',
  )
}
