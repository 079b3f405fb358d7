import * as z from 'zod'

/** One moment of a logger in a car, as it is streamed. SI, but for degrees; places are null without a fix. */
export const loggerSample = z.strictObject({
  at: z.number(),
  latitude: z.number().nullable(),
  longitude: z.number().nullable(),
  speed: z.number(),
  engineSpeed: z.number(),
  throttle: z.number(),
  brakeFront: z.number(),
  brakeRear: z.number(),
  sideways: z.number(),
  forward: z.number(),
})
export type LoggerMoment = z.infer<typeof loggerSample>

/** What is streamed first: which logger this is, and whether it can be driven from here. */
export const loggerIs = z.strictObject({ name: z.string(), isSimulated: z.boolean() })

/** What the simulated logger is told to do. */
export const loggerOrders = z
  .strictObject({
    running: z.boolean(),
    connected: z.boolean(),
    fix: z.boolean(),
    times: z.number('Type a number, such as 5.').min(1, 'From 1 to 50.').max(50, 'From 1 to 50.'),
  })
  .partial()
