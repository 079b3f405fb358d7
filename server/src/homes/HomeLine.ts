import { FORMAT_HEADER, FORMAT_VERSION } from '@bold-ballast/contract'
import { X509Certificate } from 'node:crypto'
import type { IncomingMessage } from 'node:http'
import { request, type RequestOptions } from 'node:https'
import { isIP } from 'node:net'
import { hostname } from 'node:os'
import type { HeavyWork } from '../heavy/HeavyWork'
import { Refusal } from '../http/Refusal'
import { readAway, type AwayAnswer, type AwayShape } from './awayShapes'

/** A garage's network answers at once; a build of many megabytes takes its time. */
const SILENT_MS = 15_000
export interface AwayLimits {
  /** Of one answer. */
  readonly bytes: number
  /** Of a whole exchange, however steadily bytes drop in. */
  readonly ms: number
}
/** Of a list, and of what may be large: a build, a photograph, a log. */
const LIMITS = { list: { bytes: 4e6, ms: 30_000 }, large: { bytes: 64e6, ms: 300_000 } } as const
type Limits = Readonly<Record<keyof typeof LIMITS, AwayLimits>>
/** From so many bytes on an answer is read in another thread. */
const READ_ELSEWHERE = 100_000
/** Of what it says, characters. */
const LONGEST_WORDS = 400
export const NONE = 404
const AUTHORITY = '/api/v1/garage/authority'

/** How another server is reached. */
export interface HomeAddress {
  readonly origin: string
  /** Whose certificate it has to show, as PEM; null for one that any browser would trust. */
  readonly authority: string | null
  /** By which it knows this installation; empty before it does. */
  readonly cookie: string
}
interface Asked {
  readonly method?: 'GET' | 'POST' | 'PUT'
  readonly body?: Buffer
  readonly type?: string
  /** It may be large: a build, a photograph, a log. */
  readonly isLarge?: boolean
  /** Refusals that are an answer, too. */
  readonly or?: readonly number[]
  readonly headers?: Readonly<Record<string, string>>
}
export interface Said {
  readonly status: number
  readonly type: string
  readonly cookies: readonly string[]
  readonly body: Buffer
}

export const away = (detail: string): Refusal => new Refusal(424, 'home-away', 'The other workshop', detail)

/** Somebody there has ended it. */
export const signedOut = (): Refusal =>
  away('This installation isn’t signed in there any more. Forget the workshop, and take a new link.')

/** Why it couldn't be reached, for somebody who stands beside both machines. */
function awayAs(error: Error & { code?: string }, host: string, isPinned: boolean): Refusal {
  const isUntrusted = /CERT|SELF_SIGNED|UNABLE_TO_VERIFY|ALTNAME/.test(error.code ?? '')
  if (isUntrusted && !isPinned)
    return away(
      `The certificate at ${host} is made out by nobody known, and the link doesn’t say whom to trust: it lacks its end. Copy it there by the button.`,
    )
  if (isUntrusted)
    return away(
      `Whoever answers at ${host} shows another certificate than the link says. Take a new link from the workshop itself.`,
    )
  return away(
    `Nobody answers at ${host}. Is its garage open, and is this machine on the same network? (${error.code ?? error.message})`,
  )
}

const tooSlow = () => away('It answers, and takes far too long over it. Try again nearer to its network.')

async function bodyOf(response: IncomingMessage, most: number): Promise<Buffer> {
  const chunks: Buffer[] = []
  let size = 0
  for await (const chunk of response as AsyncIterable<Buffer>) {
    size += chunk.length
    if (size > most) {
      response.destroy()
      throw away('It answers with more than was asked for.')
    }
    chunks.push(chunk)
  }
  return Buffer.concat(chunks)
}

/** Asks for something over HTTPS; never follows elsewhere, and never waits or takes without end. */
function ask(
  url: URL,
  options: RequestOptions,
  { body, isLarge = false }: Pick<Asked, 'body' | 'isLarge'> = {},
  limits: Limits = LIMITS,
): Promise<Said> {
  const most = (isLarge ? limits.large : limits.list).bytes
  const sends = (body?.length ?? 0) > limits.list.bytes
  const deadline = AbortSignal.timeout((isLarge || sends ? limits.large : limits.list).ms)
  return new Promise<Said>((done, failed) => {
    const asking = request(url, { ...options, signal: deadline }, (response) => {
      const { statusCode = 0, headers } = response
      const [type, cookies] = [headers['content-type'] ?? '', headers['set-cookie'] ?? []]
      const format = headers[FORMAT_HEADER]
      if (format !== undefined && format !== String(FORMAT_VERSION)) {
        response.destroy()
        return failed(
          away('It is of another version than this installation. Bring both to the same one first.'),
        )
      }
      bodyOf(response, most).then(
        (read) => done({ status: statusCode, type, cookies, body: read }),
        (error: unknown) => failed(deadline.aborted ? tooSlow() : error),
      )
    })
    asking.setTimeout(SILENT_MS, () => asking.destroy(Object.assign(new Error('silent'), { code: 'SILENT' })))
    asking.on('error', (error: Error & { code?: string }) =>
      failed(deadline.aborted ? tooSlow() : awayAs(error, url.host, options.ca !== undefined)),
    )
    asking.end(body)
  })
}

/** An address has no name that could be asked for; its certificate is made out for it all the same. */
const named = ({ hostname: host }: URL): RequestOptions => (isIP(host) ? { servername: '' } : {})

/**
 * The authority of another server, taken from itself and known by its fingerprint. Nothing is told to it before that.
 *
 * @param fingerprint SHA-256, as its page and its links say it
 */
export async function authorityAt(origin: string, fingerprint: string): Promise<string> {
  const url = new URL(AUTHORITY, origin)
  const { status, body } = await ask(url, { ...named(url), rejectUnauthorized: false })
  const shown = status === 200 ? certificateIn(body) : null
  if (shown?.fingerprint256.toUpperCase() !== fingerprint.toUpperCase())
    throw away(
      `Whoever answers at ${url.host} is not the machine that the link is of: its fingerprint is another.`,
    )
  return shown.toString()
}

function certificateIn(der: Buffer): X509Certificate | null {
  try {
    return new X509Certificate(der)
  } catch {
    return null
  }
}

/** One other server, as whoever this installation is signed in there. */
export class HomeLine {
  constructor(
    private readonly at: HomeAddress,
    private readonly heavy: Pick<HeavyWork, 'run'>,
    private readonly limits: Limits = LIMITS,
  ) {}

  /** @param path below /api/v1 */
  async ask(
    path: string,
    { method = 'GET', body, type = 'application/json', isLarge = false, or = [], headers = {} }: Asked = {},
  ): Promise<Said> {
    const { origin, authority, cookie } = this.at
    const url = new URL(`/api/v1${path}`, origin)
    const said = await ask(
      url,
      {
        ...named(url),
        method,
        ...(authority === null ? {} : { ca: authority }),
        headers: {
          'user-agent': `Bold Ballast on ${hostname().replace(/[^\w.-]/g, '')}`,
          ...(cookie ? { cookie } : {}),
          ...(body ? { 'content-type': type, 'content-length': body.length } : {}),
          ...headers,
        },
      },
      { isLarge, ...(body ? { body } : {}) },
      this.limits,
    )
    if (said.status === 401)
      throw away(
        'This installation isn’t signed in there any more. Forget the workshop, and take a new link.',
      )
    if (said.status >= 400 && !or.includes(said.status))
      throw away(`It says: ${await this.detailIn(said.body)}`)
    return said
  }

  /** Asks for something whose shape is known. */
  async read<S extends AwayShape>(path: string, shape: S, asked: Asked = {}): Promise<AwayAnswer<S>> {
    const read = await this.readAs(shape, (await this.ask(path, asked)).body)
    if (read === null) throw away('It answers something that this version can’t read.')
    return read
  }

  /** What a body says; null where it isn't what was wanted. What is long is read beside the thread that answers. */
  async readAs<S extends AwayShape>(shape: S, body: Buffer): Promise<AwayAnswer<S> | null> {
    if (body.length <= READ_ELSEWHERE) return readAway(shape, body)
    return (await this.heavy.run('readAway', { shape, body })) as AwayAnswer<S> | null
  }

  private async detailIn(body: Buffer): Promise<string> {
    return (
      (await this.readAs('problem', body))?.detail.slice(0, LONGEST_WORDS) ??
      'something that this version can’t read.'
    )
  }
}
