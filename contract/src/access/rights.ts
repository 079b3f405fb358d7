import * as z from 'zod'

/** What somebody is in a workshop; each may do what the next may, and more. */
export const ROLES = ['owner', 'builder', 'helper', 'guest'] as const
export const role = z.enum(ROLES, 'Choose owner, builder, helper or guest.')
export type Role = z.infer<typeof role>

export const ROLE_WORDS: Readonly<
  Record<Role, { readonly name: string; readonly may: string; readonly sees: string }>
> = {
  owner: {
    name: 'Owner',
    may: 'everything, and says who else may',
    sees: 'all builds, what things cost, who signs in from where, and what was noted of it',
  },
  builder: {
    name: 'Builder',
    may: 'plan, log, sign, delete and share; sees money',
    sees: 'all builds and what things cost; takes builds out as files and shares sheets',
  },
  helper: {
    name: 'Helper',
    may: 'log and sign; deletes nothing, sees no money',
    sees: 'all builds, and no amount of money',
  },
  guest: {
    name: 'Guest',
    may: 'read; sees no money',
    sees: 'all builds, and no amount of money; changes nothing',
  },
}

const HAS = {
  /** Sees builds, without what they cost. */
  read: ['owner', 'builder', 'helper', 'guest'],
  /** Writes down what was measured and done, and signs. */
  log: ['owner', 'builder', 'helper'],
  /** Changes what is to be, and takes things away. */
  plan: ['owner', 'builder'],
  money: ['owner', 'builder'],
  /** Takes a build out as a file. */
  export: ['owner', 'builder'],
  /** Gives out links that somebody outside may read. */
  share: ['owner', 'builder'],
  /** Takes the whole workshop out, and one in. */
  dump: ['owner'],
  /** Says who works here, as what; ends their sessions; reads what was noted of sign-ins and exports. */
  people: ['owner'],
} as const satisfies Readonly<Record<string, readonly Role[]>>

/** Something that some roles may do. */
export type Right = keyof typeof HAS
export const RIGHTS = Object.keys(HAS) as readonly Right[]

/** Whether somebody may. */
export const may = (who: Role, right: Right): boolean => HAS[right].some((one) => one === who)
