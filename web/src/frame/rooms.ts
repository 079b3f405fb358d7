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

/**
 * The stage in the address bar. A stage that was clicked stands there at once, and on the page a moment later: a key that
 * is pressed in between means the one that was clicked.
 */
export const addressedStage = (path = window.location.pathname): string | null =>
  /^\/builds\/[^/]+\/stages\/([^/]+)/.exec(path)?.[1] ?? null
