import { LiveLogger, type LoggerOrders, type LoggerSample } from '@bold-ballast/devices'
import type { LoggerSource } from './LoggerSource'

/** How often it is looked at; it has all samples since then. */
const EVERY_MS = 100

/** The simulated logger as a source, and the orders that a person trying it gives. */
export function simulatedLoggerSource(): LoggerSource & { order: (orders: LoggerOrders) => void } {
  const logger = new LiveLogger(() => performance.now(), Date.now() >>> 0)
  const listeners = new Set<(sample: LoggerSample | null) => void>()
  let timer: ReturnType<typeof setInterval> | undefined
  const look = () => {
    const samples = logger.read()
    for (const listener of listeners)
      if (samples) samples.forEach(listener)
      else listener(null)
  }
  return {
    name: 'Simulated logger',
    isSimulated: true,
    order: (orders) => logger.order(orders),
    listen: (listener) => {
      // All hear the same samples: whoever looked alone would take them from the others.
      listeners.add(listener)
      timer ??= setInterval(look, EVERY_MS)
      return () => {
        listeners.delete(listener)
        if (listeners.size > 0) return
        clearInterval(timer)
        timer = undefined
      }
    },
  }
}
