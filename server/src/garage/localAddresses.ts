import { isIPv4 } from 'node:net'
import { networkInterfaces } from 'node:os'

/** Networks that nobody outside reaches: RFC 1918, and RFC 3927 for where nobody gives out addresses. */
export const LOCAL_NETWORKS = ['10.0.0.0/8', '172.16.0.0/12', '192.168.0.0/16', '169.254.0.0/16'] as const

/** The four bytes of an address as one number. */
const numberOf = (address: string): number =>
  address.split('.').reduce((number, part) => number * 256 + Number(part), 0)

/** Whether an address is in a network, such as 10.0.0.0/8. */
const isWithin = (address: string, network: string): boolean => {
  const [start = '', bits] = network.split('/')
  const size = 2 ** (32 - Number(bits))
  return Math.floor(numberOf(address) / size) === Math.floor(numberOf(start) / size)
}

/** Whether an address belongs to a local network. */
export const isLocal = (address: string): boolean =>
  isIPv4(address) && LOCAL_NETWORKS.some((network) => isWithin(address, network))

/**
 * The addresses of this machine on local networks. What the world could reach is none of them: the garage is served to
 * those who are in it.
 */
export const localAddresses = (): string[] =>
  Object.values(networkInterfaces())
    .flatMap((list) => list ?? [])
    .filter(({ internal, address }) => !internal && isLocal(address))
    .map(({ address }) => address)
    .sort()
