import * as z from 'zod'

/** Whether verdicts of a build were said by an earlier way of reckoning, and nobody has been told what reads otherwise. */
export const reckoning = z.strictObject({ isUntold: z.boolean() })
export type Reckoning = z.infer<typeof reckoning>
