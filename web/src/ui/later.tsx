import { createElement, lazy, useState, type ComponentType } from 'react'

/** A component that is fetched when it is first shown, or before, when it is known that it will be. */
export interface Later<P> {
  (props: P): React.JSX.Element
  /** Fetches it; once that is done it is drawn at once, without a fallback in between. */
  fetch: () => Promise<void>
}

/**
 * A part of a room that is fetched when it is first shown, so that the room itself is there sooner.
 *
 * @param name the component's name in its module
 * @example const KilosView = later(() => import('./KilosView'), 'KilosView')
 */
export function later<N extends string, P extends object>(
  load: () => Promise<Record<N, ComponentType<P>>>,
  name: N,
): Later<P> {
  let fetched: ComponentType<P> | null = null
  const fetchIt = async () => (fetched ??= (await load())[name])
  const Waiting = lazy(async () => ({ default: await fetchIt() }))
  // What is on the screen stays the same component, so that it keeps its state.
  const Shown = (props: P) => {
    const [Part] = useState<ComponentType<P> | typeof Waiting>(() => fetched ?? Waiting)
    return createElement(Part, props)
  }
  return Object.assign(Shown, { fetch: async () => void (await fetchIt()) })
}
