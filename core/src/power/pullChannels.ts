import type { Quantity } from '../units/quantities'

/** What a log may carry beside engine speed and torque. */
export const PULL_CHANNELS = [
  'boost',
  'lambda',
  'ethanol',
  'intake',
  'coolant',
  'oilPressure',
  'roadSpeed',
] as const
export type PullChannel = (typeof PULL_CHANNELS)[number]

/** Channels on the points of a curve: as many values as points, null where the log has none. */
export type ChannelValues = Readonly<Partial<Record<PullChannel, readonly (number | null)[]>>>

export const CHANNEL_QUANTITY: Readonly<Record<PullChannel, Quantity>> = {
  boost: 'pressure',
  lambda: 'lambda',
  ethanol: 'share',
  intake: 'temperature',
  coolant: 'temperature',
  oilPressure: 'pressure',
  roadSpeed: 'velocity',
}

/** What an engine can show, SI; a figure outside comes from a wrong unit or a dead sensor. Boost is gauge pressure. */
export const CHANNEL_RANGE: Readonly<Record<PullChannel, readonly [number, number]>> = {
  boost: [-101_000, 600_000],
  lambda: [0.4, 2],
  ethanol: [0, 1],
  intake: [223, 523],
  coolant: [233, 433],
  oilPressure: [-20_000, 1_500_000],
  roadSpeed: [0, 170],
}
