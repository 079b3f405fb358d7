import { SimulatedPads, type PadOrders } from '@bold-ballast/devices'
import type { PadSource } from './PadSource'

const EVERY_MS = 100

/** The simulated pads as a source, and the orders that a person trying them gives. */
export function simulatedPadSource(): PadSource & { order: (orders: PadOrders) => void } {
  const pads = new SimulatedPads(() => performance.now())
  return {
    name: 'Simulated pads',
    resolution: pads.resolution,
    order: (orders) => pads.order(orders),
    listen: (listener) => {
      const timer = setInterval(() => listener(pads.read()), EVERY_MS)
      return () => clearInterval(timer)
    },
  }
}
