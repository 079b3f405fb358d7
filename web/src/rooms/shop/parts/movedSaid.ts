import { sayDate } from '../../../ui/sayDay'

/** The day that was promised first, where another is promised now; empty where it stands. */
export const movedSaid = (
  {
    promisedFirst,
    promisedFor,
  }: { readonly promisedFirst: string | null; readonly promisedFor: string | null },
  now: string,
): string =>
  promisedFirst && promisedFor && promisedFirst !== promisedFor ? `first ${sayDate(promisedFirst, now)}` : ''
