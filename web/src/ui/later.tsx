import { lazy, type ComponentType } from 'react'

/**
 * A part of a room that is fetched when it is first shown, so that the room itself is there sooner.
 *
 * @param name the component's name in its module
 * @example const KilosView = later(() => import('./KilosView'), 'KilosView')
 */
export const later = <N extends string, P>(load: () => Promise<Record<N, ComponentType<P>>>, name: N) =>
  lazy(async () => ({ default: (await load())[name] }))
