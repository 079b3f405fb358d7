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

/** No room left: PostgreSQL's disk_full and what Node's file calls say. */
const FULL = new Set(['53100', 'ENOSPC', 'EDQUOT'])
/** What a value can't be: outside a check, no number or date, too large, or text with a NUL or half a sign. */
const UNFIT = new Set(['23514', '22P02', '22003', '22007', '22008', '22021', '22P05', '54000'])

/** What the HTTP framework refuses before a route has seen it, in words. */
const BEFORE: Readonly<Record<number, readonly [title: string, detail: string]>> = {
  400: [
    'That can’t be read',
    'The request is broken: its address, its packing or its text can’t be made out.',
  ],
  404: ['Not here', 'There is nothing at that address.'],
  412: ['It has changed', 'What the request depends on is not so. Ask again without the condition.'],
  415: ['Another kind of text', 'Send JSON in UTF-8, plain or packed with gzip.'],
  416: ['Not that long', 'The part that was asked for lies beyond the end.'],
}

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
  if (FULL.has(code)) {
    return new Refusal(
      503,
      'disk-full',
      'No room left',
      'The disk that holds the records is full. Nothing was changed; what you typed is kept, and it is tried again until there is room.',
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
  if (UNFIT.has(code)) {
    return new Refusal(
      422,
      'not-valid',
      'Something doesn’t fit',
      'A value lies outside what the records can hold. Check its unit.',
    )
  }
  // A way out of the folder of assets is forbidden, and answered as what it is to anybody: nothing.
  const answered = status === 403 ? 404 : status
  const before = answered === undefined ? undefined : BEFORE[answered]
  if (answered !== undefined && before) {
    const [title, detail] = before
    return new Refusal(answered, answered === 404 ? 'not-found' : 'not-valid', title, detail)
  }
  return new Refusal(
    500,
    'unexpected',
    'That went wrong here',
    'The server met something it did not expect. Nothing was changed. The log has the details.',
  )
}
