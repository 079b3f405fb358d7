import * as z from 'zod'
import * as f from '../records/fields'
import { field } from '../records/field'
import { homecoming, homecomingResult } from '../files/homecoming'

/**
 * A link that pairs a device, as another workshop shows it. What stands behind its # is the fingerprint of the authority
 * that made out that machine's certificate.
 */
const LINK = /^https:\/\/[^/\s#?]+\/join\/[\w-]{20,200}(#([0-9A-Fa-f]{2}:){31}[0-9A-Fa-f]{2})?$/
export const homeToAdd = z.strictObject({
  link: field(
    z.string().trim().max(500).regex(LINK, 'Paste the whole link, as the other workshop shows it.'),
    {
      label: 'Link',
      hint: 'There: Crew, You, Pair a phone or a laptop',
    },
  ),
})
export type HomeToAdd = z.infer<typeof homeToAdd>

/** Another workshop's server, which builds are taken along from and brought home to. */
export const home = z.strictObject({
  id: f.id,
  origin: z.url(),
  /** Who this installation is signed in as there. */
  person: z.string(),
  since: z.iso.datetime(),
})
export const homeList = z.array(home)
export type Home = z.infer<typeof home>

/** A build there, and whether it is here. */
export const buildAtHome = z.strictObject({
  id: f.id,
  name: z.string(),
  workshop: z.string(),
  isHere: z.boolean(),
})
export const buildsAtHome = z.array(buildAtHome)
export type BuildAtHome = z.infer<typeof buildAtHome>

export const buildToTake = z.strictObject({ buildId: f.id })

/** What is brought home: the build as it is here, with what somebody has chosen. */
export const homeward = homecoming.pick({ id: true, choices: true, look: true })
export type Homeward = z.infer<typeof homeward>

export const homewardResult = z.strictObject({
  result: homecomingResult,
  /** Photographs that came over, and those that stayed here because another was taken at home meanwhile. */
  photographs: z.strictObject({ brought: z.int(), stayed: z.int() }),
  /** The same of pictures of jobs, and of logs of runs. */
  pictures: z.strictObject({ brought: z.int(), stayed: z.int() }),
  logs: z.strictObject({ brought: z.int(), stayed: z.int() }),
})
export type HomewardResult = z.infer<typeof homewardResult>
