import type { Me, Membership } from '@bold-ballast/contract'

/** What a device keeps of what the server says: all that a room is made of. */
export const KEPT = [
  'me',
  'workshop',
  'builds',
  'build',
  'instruments',
  'gearsets',
  'claims',
  'work',
  'dynoColumns',
  'runLogs',
  'logColumns',
  'history',
  'along',
] as const
export type KeptEndpoint = (typeof KEPT)[number]

export const isKept = (endpoint: string): endpoint is KeptEndpoint =>
  (KEPT as readonly string[]).includes(endpoint)

/** What is the same in all workshops, or found by its own id. */
const OWN: ReadonlySet<KeptEndpoint> = new Set(['me', 'build'])

/** Under which what was said is kept. */
export const keyOf = (endpoint: KeptEndpoint, asked: string, workshopId: string | null): string =>
  OWN.has(endpoint) ? asked : `${workshopId ?? ''}/${asked}`

/** What is asked for who somebody is by. */
export const ME_ASKED = 'me(undefined)'
export const BUILDS_ASKED = 'builds(undefined)'
/** What is asked for a build by. */
export const buildAsked = (id: string): string => `build(${JSON.stringify(id)})`

/** Where somebody is: in the workshop that was open, or else in their first. */
export const workshopIn = ({ workshops }: Pick<Me, 'workshops'>, openId: string | null): Membership | null =>
  workshops.find(({ id }) => id === openId) ?? workshops[0] ?? null

/** The cache of photographs that were looked at, and how many: a hundred and fifty of 1,024 pixels are some 25 MB. */
export const MOST_PHOTOGRAPHS = 150
export const PHOTOGRAPHS = 'photographs'
/** The same of logs of runs: forty of 300 kB are 12 MB. */
export const MOST_LOGS_HERE = 40
export const LOGS = 'logs'
