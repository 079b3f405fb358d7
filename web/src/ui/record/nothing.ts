/** A field that nobody has filled in yet: empty, and no null that would mean something. */
export const NOTHING = undefined as never
