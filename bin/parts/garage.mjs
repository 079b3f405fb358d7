import { join } from 'node:path'

/** Where this machine keeps what it serves the local network with. */
export const garageFolder = (root) => join(root, '.data/garage')

/**
 * What whoever started it with --garage reads: where phones open it, by what they know it, and a code that pairs one.
 *
 * @param opened as the server says it, once it listens
 * @param port on the machine itself
 * @returns {Promise<string[]>} lines to print
 */
export async function garageWords({ origins, fingerprint, hindrance, pairing, needsOwner }, port) {
  const crew = `http://localhost:${port}/crew`
  if (needsOwner)
    return [
      'The local network is not served yet: somebody has to own the workshop first.',
      `Open ${crew}, make yourself the owner, and open the garage there.`,
    ]
  if (origins.length === 0) return hindrance ? [hindrance] : []
  const lines = [
    `On the local network: ${origins.join('  ')}`,
    `Phones are told to trust a certificate with this fingerprint (SHA-256):`,
    `  ${fingerprint}`,
    `What a phone's warning means: ${origins[0]}/trust`,
  ]
  if (!pairing) return lines
  // Fetched now: on a fresh machine it isn't there before the modules are.
  const { default: encode } = await import('qr')
  return [
    ...lines,
    '',
    `This code signs one phone in as ${pairing.name}, once, within ten minutes:`,
    '',
    ...encode(pairing.link, 'ascii', { ecc: 'low', border: 2 }).trimEnd().split('\n'),
    '',
    `More phones: ${crew}`,
  ]
}
