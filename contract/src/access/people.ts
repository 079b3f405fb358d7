import * as z from 'zod'
import { field } from '../records/field'
import * as f from '../records/fields'
import { role } from './rights'

const DAY = 86_400_000
export const LONGEST_INVITATION_DAYS = 30
const when = z.iso.datetime()

/** What somebody is called: in the history, under what they signed, in lists. */
export const personName = field(
  z.string().trim().min(1, 'Say what you are called.').max(80, 'Keep it under 80 characters.'),
  { label: 'Name', hint: 'Stands under what you do and sign', fills: 'name' },
)
/** What somebody signs in with; one way to write it, so that two can't be told apart by nobody. */
export const login = field(
  z
    .string()
    .trim()
    .toLowerCase()
    .min(2, 'Two characters at least.')
    .max(120, 'Keep it under 120 characters.')
    .regex(/^[\p{L}\p{N}][\p{L}\p{N}._@+-]*$/u, 'Letters, digits and . _ @ + - only, without spaces.'),
  { label: 'Sign-in name', hint: 'An e-mail address, or any word that is yours alone', fills: 'username' },
)
/** Long rather than odd: length is what keeps a password from being guessed. */
export const newPassword = field(
  z
    .string()
    .min(12, 'Twelve characters at least: three words will do.')
    .max(128, 'Keep it under 128 characters.'),
  {
    label: 'Password',
    hint: 'Twelve characters or more; any of them, spaces too',
    fills: 'new-password',
  },
)
const password = field(z.string().min(1, 'Type your password.').max(256, 'No password here is as long.'), {
  label: 'Password',
  fills: 'current-password',
})

const person = z.strictObject({ id: f.id, name: z.string(), login: z.string() })
export type Person = z.infer<typeof person>

export const membership = z.strictObject({ id: f.id, name: f.name, role })
export type Membership = z.infer<typeof membership>

/** Who asks, and where they may go. */
export const me = z.strictObject({
  /** Nobody while this installation has no accounts: then whoever sits at its machine may do everything. */
  person: person.nullable(),
  workshops: z.array(membership),
  /** Whether this server is reached by others than its own machine. */
  isReached: z.boolean(),
})
export type Me = z.infer<typeof me>

export const signIn = z.strictObject({
  login: field(z.string().min(1, 'Type what you sign in with.').max(200), {
    label: 'Sign-in name',
    fills: 'username',
  }),
  password,
})
export type SignIn = z.infer<typeof signIn>

/** The first account of an installation. */
export const newOwner = z.strictObject({ name: personName, login, password: newPassword })
export type NewOwner = z.infer<typeof newOwner>

export const passwordChange = z.strictObject({
  current: field(password, { label: 'Password of now' }),
  password: field(newPassword, { label: 'New password' }),
})
export type PasswordChange = z.infer<typeof passwordChange>

export const personChange = z.strictObject({ name: personName })
export const memberChange = z.strictObject({ role })
export const workshopName = z.strictObject({ name: field(f.name, { label: 'Workshop' }) })

/** Somebody who works here, as the workshop's lists show them. */
const member = z.strictObject({
  ...person.shape,
  role,
  since: when,
  lastSeen: when.nullable(),
})
export const memberList = z.array(member)
export type Member = z.infer<typeof member>

/** A device that somebody is signed in on. */
const session = z.strictObject({
  id: f.id,
  device: z.string(),
  /** How it began. */
  by: z.enum(['password', 'invitation', 'reset', 'pairing', 'start']),
  address: z.string(),
  startedAt: when,
  lastSeenAt: when,
  endsAt: when,
  /** The one that asks. */
  isThis: z.boolean(),
})
export const sessionList = z.array(session)
export type Session = z.infer<typeof session>

/** Somebody is to join, as what, and until when they may. */
export const invitationToAdd = z.strictObject({
  role: field(role, { label: 'As' }),
  for: field(z.string().trim().max(80, 'Keep it under 80 characters.'), {
    label: 'For',
    hint: 'So that you know whose link it is',
  }),
  days: field(
    z
      .int('Type a number of days.')
      .min(1, 'A day at least.')
      .max(LONGEST_INVITATION_DAYS, 'At most 30 days.'),
    { label: 'Days it works', quantity: 'number' },
  ),
})
export type InvitationToAdd = z.infer<typeof invitationToAdd>

const invitation = z.strictObject({
  id: f.id,
  role,
  for: z.string(),
  by: z.string(),
  createdAt: when,
  endsAt: when,
  usedAt: when.nullable(),
  usedBy: z.string().nullable(),
})
export const invitationList = z.array(invitation)
export type Invitation = z.infer<typeof invitation>

/** A link that opens something once. Its secret is said only here, when it is made. */
export const passAdded = z.strictObject({
  id: f.id,
  token: z.string(),
  endsAt: when,
  /** Where others open it; null where this server is reached from its own machine only. */
  origin: z.url().nullable(),
  /** Of the authority that its certificate is made out by, SHA-256; null where any browser knows it, or there is none. */
  fingerprint: z.string().nullable(),
})
export type PassAdded = z.infer<typeof passAdded>

/** What a link opens, before it is used. */
export const passOpened = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('invitation'),
    workshop: z.string(),
    role,
    by: z.string(),
    for: z.string(),
    endsAt: when,
  }),
  z.strictObject({ kind: z.literal('reset'), name: z.string(), login: z.string(), endsAt: when }),
  z.strictObject({ kind: z.literal('pairing'), name: z.string(), workshop: z.string(), endsAt: when }),
])
export type PassOpened = z.infer<typeof passOpened>

/** Joins with a new account. Whoever is signed in already joins as they are, and sends nothing. */
export const joining = z.union([newOwner, z.strictObject({ asMyself: z.literal(true) })])
export type Joining = z.infer<typeof joining>
export const passwordReset = z.strictObject({ password: newPassword })

/** What is noted of who came and what was taken out. */
export const AUDITED = [
  'signedIn',
  'signInFailed',
  'signedOut',
  'sessionEnded',
  'passwordChanged',
  'passwordReset',
  'ownerMade',
  'invited',
  'invitationWithdrawn',
  'joined',
  'roleChanged',
  'memberRemoved',
  'paired',
  'exported',
  'imported',
  'shared',
  'garageOpened',
  'garageClosed',
] as const
export type Audited = (typeof AUDITED)[number]
const auditEntry = z.strictObject({
  id: z.string(),
  at: when,
  what: z.enum(AUDITED),
  who: z.string(),
  about: z.string(),
  address: z.string(),
})
export const auditPage = z.strictObject({ entries: z.array(auditEntry), isMore: z.boolean() })
export type AuditPage = z.infer<typeof auditPage>

export const endsIn = (days: number, now: number): Date => new Date(now + days * DAY)
