import type { RequestHandler } from 'express'
import { Refusal } from './Refusal'
import { whenClosed } from './whenClosed'

/**
 * Lets so many requests at once through to what takes long; the others are told to come again, at once.
 *
 * What takes long must leave connections to the database, and the machine, to everybody else.
 */
export function atMostAtOnce(most: number, what: string): RequestHandler {
  let running = 0
  return (_request, response, next) => {
    if (running >= most)
      throw new Refusal(
        503,
        'too-many',
        'One after the other',
        `${most === 1 ? 'Another one is' : `${most} others are`} busy with ${what}. Try again in a moment.`,
      )
    running += 1
    whenClosed(response, () => (running -= 1))
    next()
  }
}
