/**
 * What a name is told apart by: names are what stands on sheets and tickets, capitals and blanks don't matter.
 *
 * @example nameKey(' Yard hubs') // 'yard hubs'
 */
export const nameKey = (name: string): string => name.trim().toLowerCase()

/**
 * Whether two names are of one thing.
 *
 * @example isSameName('Yard hubs', 'yard Hubs ') // true
 */
export const isSameName = (one: string, other: string): boolean => nameKey(one) === nameKey(other)
