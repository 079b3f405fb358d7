import {
  invitationToAdd,
  ROLE_WORDS,
  ROLES,
  type Invitation,
  type InvitationToAdd,
  type PassAdded,
} from '@bold-ballast/contract'
import { format, parseISO } from 'date-fns'
import { Fragment, useState } from 'react'
import { useInvitationsQuery, useInviteMutation, useWithdrawInvitationMutation } from '../store/accessApi'
import { problemOf } from '../store/api'
import { Button } from '../ui/Button'
import { fieldsTyped } from '../ui/record/fieldsOf'
import { FormSheet } from '../ui/record/FormSheet'
import { useSchemaForm } from '../ui/record/useSchemaForm'
import { toast } from '../ui/toast'
import { PassLink } from './PassLink'

const { Field } = fieldsTyped<InvitationToAdd>()
const ROLE_OPTIONS = ROLES.map((role) => [role, `${ROLE_WORDS[role].name}: ${ROLE_WORDS[role].may}`] as const)
const USUAL_DAYS = 7

/** Makes a link by which somebody joins the workshop. */
export function InviteSheet({ onClose }: { onClose: () => void }) {
  const [invite] = useInviteMutation()
  const [made, setMade] = useState<PassAdded | null>(null)
  // The least that works; what more somebody may is said beside it.
  const start: InvitationToAdd = { role: 'helper', for: '', days: USUAL_DAYS }
  const form = useSchemaForm<InvitationToAdd>('invite', invitationToAdd, start, async (typed) => {
    const answer = await invite(typed)
    if (!answer.data) return problemOf(answer.error).detail
    setMade(answer.data)
    return null
  })
  if (made)
    return (
      <PassLink
        title="The invitation"
        says="Whoever opens this link makes an account and is in."
        pass={made}
        onClose={onClose}
      />
    )
  return (
    <FormSheet form={form} title="Invite somebody" says="Make the link" onClose={onClose}>
      <Field name="for" isWide autoFocus />
      <Field name="role" isWide options={ROLE_OPTIONS} />
      <Field name="days" />
      <dl
        className="col-span-2 grid grid-cols-[auto_1fr] gap-x-3 gap-y-1 text-[13px]"
        aria-label="What each sees"
      >
        {ROLES.map((role) => (
          <Fragment key={role}>
            <dt className="font-medium">{ROLE_WORDS[role].name}</dt>
            <dd className="text-muted">sees {ROLE_WORDS[role].sees}</dd>
          </Fragment>
        ))}
      </dl>
    </FormSheet>
  )
}

/** Invitations that nobody has used yet. */
export function OpenInvitations() {
  const { data } = useInvitationsQuery()
  const [withdraw] = useWithdrawInvitationMutation()
  const [now] = useState(() => Date.now())
  const isOpen = ({ usedAt, endsAt }: Invitation) => usedAt === null && parseISO(endsAt).getTime() > now
  const open = data?.filter(isOpen) ?? []
  if (open.length === 0) return null
  return (
    <section aria-label="Open invitations" className="mt-6 max-w-[980px]">
      <h2 className="text-[19px]">Invited, not here yet</h2>
      <ul>
        {open.map((one) => (
          <li key={one.id} className="flex flex-wrap items-baseline gap-x-4 border-b border-line py-1.5">
            <span className="flex-1">
              {one.for || 'Somebody'}, as {ROLE_WORDS[one.role].name.toLowerCase()}
              <span className="block text-[13px] text-muted">
                by {one.by || 'somebody who is gone'}, works until{' '}
                {format(parseISO(one.endsAt), 'd MMM, HH:mm')}
              </span>
            </span>
            <Button
              look="quiet"
              className="!px-1 !text-muted"
              onClick={() =>
                void withdraw(one.id).then(({ error }) =>
                  toast(error ? problemOf(error).detail : 'Withdrawn. The link opens nothing any more.'),
                )
              }
            >
              Withdraw<span className="sr-only"> the invitation for {one.for || 'somebody'}</span>
            </Button>
          </li>
        ))}
      </ul>
    </section>
  )
}
