import { LiveLogger, type LoggerOrders } from '@bold-ballast/devices'
import type { LoggerSource } from './LoggerSource'

/** Ten samples a second, as receivers in cars give. */
const EVERY_MS = 100

/** The simulated logger as a source, and the orders that a person trying it gives. */
export function simulatedLoggerSource(): LoggerSource & { order: (orders: LoggerOrders) => void } {
  const logger = new LiveLogger(() => performance.now(), Date.now() >>> 0)
  return {
    name: 'Simulated logger',
    isSimulated: true,
    order: (orders) => logger.order(orders),
    listen: (listener) => {
      const timer = setInterval(() => listener(logger.read()), EVERY_MS)
      return () => clearInterval(timer)
    },
  }
}
