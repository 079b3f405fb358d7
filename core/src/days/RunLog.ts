/** What channels of a log are that something is worked out from; others are kept by their names. */
export const LOG_ROLES = [
  'x',
  'y',
  'speed',
  'engineSpeed',
  'throttle',
  'brakeFront',
  'brakeRear',
  'gear',
  'sideways',
  'forward',
  'lap',
] as const
export type LogRole = (typeof LOG_ROLES)[number]

/** What a column of a logger's table is: one of the roles, the clock, a place on the earth, or kept by its name. */
export type LogColumn = LogRole | 'time' | 'latitude' | 'longitude' | null
export const LOG_COLUMNS: readonly LogColumn[] = ['time', 'latitude', 'longitude', ...LOG_ROLES, null]

/** One channel: NaN where the logger has nothing. */
export interface RunLogChannel {
  /** As the logger calls it. */
  readonly name: string
  /** What it is, where somebody or its name says so; SI then. */
  readonly role: LogRole | null
  readonly values: Float32Array
}

/** A run as a logger has it: samples in order, the clock begins at nought. */
export interface RunLog {
  readonly name: string
  /** s */
  readonly time: Float32Array
  readonly channels: readonly RunLogChannel[]
  /** Where x and y are nought on the earth; null where the logger knows no place. */
  readonly origin: { readonly latitude: number; readonly longitude: number } | null
  /** Its file’s titles, and what each column was said to be: the next file of that logger is read alike. */
  readonly read?: {
    readonly titles: readonly string[]
    readonly columns: readonly LogColumn[]
  }
}

/** The channel of a role; undefined where the log has none. */
export const channelOf = (log: Pick<RunLog, 'channels'>, role: LogRole): Float32Array | undefined =>
  log.channels.find((c) => c.role === role)?.values
