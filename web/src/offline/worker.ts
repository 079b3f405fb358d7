import type { Workbox } from 'workbox-window'
import type { Store } from '../store/store'
import { reach } from './reach'

/** How often a page that stays open looks for a newer version of itself. */
const LOOK_MS = 3_600_000
/**
 * How long a newer version may take before the page is loaded as it is. What the old one still does for this page, on a
 * busy device, keeps the new one from taking over; loading ends it.
 */
const TAKEN_MS = 3000

let worker: Workbox | null = null

/**
 * Keeps the application on the device, so that it opens without network; not where the browser won't: it has no service
 * workers, or doesn't trust the certificate.
 */
export async function registerWorker(store: Store): Promise<void> {
  if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return
  const { Workbox } = await import('workbox-window')
  worker = new Workbox('/sw.js')
  // A newer version waits until it is asked for: what is open goes on as it is.
  worker.addEventListener('waiting', () => store.dispatch(reach.actions.updated()))
  const registration = await worker.register().catch(() => undefined)
  if (!registration) return
  const look = () => void worker?.update().catch(() => undefined)
  // The browser looks by itself only once the page has been still for a while, which it may not be for long.
  if (registration.active) look()
  setInterval(look, LOOK_MS)
}

/** Whether the application opens here without network. */
export const isWorkerThere = async (): Promise<boolean> =>
  'serviceWorker' in navigator && (await navigator.serviceWorker.getRegistration())?.active != null

/** Loads the page again, in its newest version. What waits is on the device, and comes over. */
export function loadAnew(): void {
  const load = () => location.reload()
  if (!worker) return load()
  worker.addEventListener('controlling', load)
  worker.addEventListener('waiting', () => worker?.messageSkipWaiting())
  worker.messageSkipWaiting()
  void worker.update().catch(load)
  setTimeout(load, TAKEN_MS)
}
