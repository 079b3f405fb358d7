import { matchPath } from 'react-router'
import type { ROOMS } from './frame/rooms'
import { later, type Later } from './ui/later'

/** The pages outside a build. */
export const PAGES = {
  '/': later(() => import('./rooms/garage/GarageRoom'), 'GarageRoom'),
  '/shared/:token': later(() => import('./shared/SharedPage'), 'SharedPage'),
  '/crew': later(() => import('./crew/CrewPage'), 'CrewPage'),
  '/trust': later(() => import('./crew/TrustPage'), 'TrustPage'),
  '/join/:token': later(() => import('./crew/JoinPage'), 'JoinPage'),
  '/record/:code': later(() => import('./frame/RecordPage'), 'RecordPage'),
} as const

/** The rooms of a build, by their place in the address. */
export const ROOM_PAGES = {
  board: later(() => import('./rooms/board/BoardRoom'), 'BoardRoom'),
  shop: later(() => import('./rooms/shop/ShopRoom'), 'ShopRoom'),
  swaps: later(() => import('./rooms/swaps/SwapsRoom'), 'SwapsRoom'),
  scales: later(() => import('./rooms/scales/ScalesRoom'), 'ScalesRoom'),
  dyno: later(() => import('./rooms/dyno/DynoRoom'), 'DynoRoom'),
  driveline: later(() => import('./rooms/driveline/DrivelineRoom'), 'DrivelineRoom'),
  aero: later(() => import('./rooms/aero/AeroRoom'), 'AeroRoom'),
  stance: later(() => import('./rooms/stance/StanceRoom'), 'StanceRoom'),
  course: later(() => import('./rooms/course/CourseRoom'), 'CourseRoom'),
  days: later(() => import('./rooms/days/DaysRoom'), 'DaysRoom'),
  proof: later(() => import('./rooms/proof/ProofRoom'), 'ProofRoom'),
} as const satisfies Record<(typeof ROOMS)[number]['path'], Later<object>>

/**
 * Fetches the page that an address leads to. Where it is there before the first drawing, nothing is drawn twice: React
 * holds back what replaces a fallback for a third of a second.
 */
export async function fetchPage(path: string): Promise<void> {
  const at = Object.entries(PAGES).find(([pattern]) => matchPath(pattern, path))
  const room = matchPath('/builds/:buildId/stages/:stageId/:room', path)?.params.room
  const page = at?.[1] ?? (room && room in ROOM_PAGES ? ROOM_PAGES[room as keyof typeof ROOM_PAGES] : null)
  // One that can't be fetched fails again where it is shown, and is said there.
  await page?.fetch().catch(() => undefined)
}
