import * as z from 'zod'

/** How this server is reached from phones. */
export const garage = z.strictObject({
  isOn: z.boolean(),
  /** Where it is open on the local network, such as https://192.168.1.7:4611; none where the machine has no such address. */
  origins: z.array(z.url()),
  /** Of the certificate that phones are told to trust: SHA-256. */
  fingerprint: z.string().nullable(),
  /** When what is shown to phones is renewed at the latest. */
  endsAt: z.iso.datetime().nullable(),
  /** Why it can't be switched on here; null where it can. */
  hindrance: z.string().nullable(),
})
export type Garage = z.infer<typeof garage>
export const garageSwitch = z.strictObject({ isOn: z.boolean() })

/** What a phone is to trust. */
export const trust = z.strictObject({ name: z.string(), fingerprint: z.string() })
export type Trust = z.infer<typeof trust>

/** Whether a pairing has been used, and by what. */
export const pairingState = z.strictObject({
  isOpen: z.boolean(),
  paired: z.strictObject({ device: z.string(), address: z.string() }).nullable(),
})
export type PairingState = z.infer<typeof pairingState>
