import { SimulatedDyno, TRIAL_ENGINES, type DynoOrders } from '@bold-ballast/devices'
import type { DynoSource } from './DynoSource'

const EVERY_MS = 50

/** The simulated dyno as a source, and the orders that a person trying it gives. */
export function simulatedDynoSource(): DynoSource & { order: (orders: DynoOrders) => void } {
  const dyno = new SimulatedDyno(() => performance.now(), Date.now() >>> 0)
  return {
    name: 'Simulated dyno',
    engines: Object.entries(TRIAL_ENGINES).map(([id, { name }]) => ({ id, name })),
    order: (orders) => dyno.order(orders),
    listen: (listener) => {
      const timer = setInterval(() => listener(dyno.read()), EVERY_MS)
      return () => clearInterval(timer)
    },
  }
}
