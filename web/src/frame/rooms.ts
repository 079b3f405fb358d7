/** The rooms of a build, in the order people work, and the key that follows `g`. */
export const ROOMS = [
  { path: 'board', name: 'Board', key: 'b' },
  { path: 'swaps', name: 'Swaps', key: 's' },
  { path: 'scales', name: 'Scales', key: 'c' },
  { path: 'dyno', name: 'Dyno', key: 'd' },
  { path: 'driveline', name: 'Driveline', key: 'l' },
  { path: 'aero', name: 'Aero', key: 'a' },
  { path: 'proof', name: 'Proof', key: 'p' },
] as const

export const roomPath = (buildId: string, stageId: string, room: string) =>
  `/builds/${buildId}/stages/${stageId}/${room}`
