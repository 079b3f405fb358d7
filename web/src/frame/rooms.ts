/** A room of a build: its place in the address, its name, and the key that follows `g`. */
export interface Room {
  readonly path: string
  readonly name: string
  readonly key: string
}

/**
 * The rooms in the order people work, by what they are for: what is planned, what is built, what is measured, how the car
 * behaves, what the track says, and what is proven.
 */
export const ROOM_GROUPS = [
  {
    says: 'Plan',
    rooms: [
      { path: 'board', name: 'Board', key: 'b' },
      { path: 'shop', name: 'Shop', key: 'h' },
    ],
  },
  { says: 'Build', rooms: [{ path: 'swaps', name: 'Swaps', key: 's' }] },
  {
    says: 'Measure',
    rooms: [
      { path: 'scales', name: 'Scales', key: 'c' },
      { path: 'dyno', name: 'Dyno', key: 'd' },
    ],
  },
  {
    says: 'Car',
    rooms: [
      { path: 'driveline', name: 'Driveline', key: 'l' },
      { path: 'aero', name: 'Aero', key: 'a' },
      { path: 'stance', name: 'Stance', key: 't' },
    ],
  },
  {
    says: 'Track',
    rooms: [
      { path: 'course', name: 'Course', key: 'o' },
      { path: 'days', name: 'Days', key: 'y' },
    ],
  },
  { says: 'Proof', rooms: [{ path: 'proof', name: 'Proof', key: 'p' }] },
] as const

type RoomThere = (typeof ROOM_GROUPS)[number]['rooms'][number]
export const ROOMS: readonly RoomThere[] = ROOM_GROUPS.flatMap<RoomThere>((group) => group.rooms)

export const roomPath = (buildId: string, stageId: string, room: string) =>
  `/builds/${buildId}/stages/${stageId}/${room}`

/**
 * The stage in the address bar. A stage that was clicked stands there at once, and on the page a moment later: a key that
 * is pressed in between means the one that was clicked.
 */
export const addressedStage = (path = window.location.pathname): string | null =>
  /^\/builds\/[^/]+\/stages\/([^/]+)/.exec(path)?.[1] ?? null
