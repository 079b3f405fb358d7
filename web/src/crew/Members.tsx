import { ROLE_WORDS, ROLES, type Member, type PassAdded, type Role } from '@bold-ballast/contract'
import { formatDistanceToNow, parseISO } from 'date-fns'
import { useState } from 'react'
import {
  useChangeMemberMutation,
  useEndMemberSessionsMutation,
  useMembersQuery,
  useRemoveMemberMutation,
  useResetMemberMutation,
} from '../store/accessApi'
import { problemOf } from '../store/api'
import { useMay, usePerson } from '../store/me'
import { AskFirst } from '../ui/AskFirst'
import { Button } from '../ui/Button'
import { toast } from '../ui/toast'
import { PassLink } from './PassLink'

const ago = (at: string | null) =>
  at === null ? 'not yet' : formatDistanceToNow(parseISO(at), { addSuffix: true })

type Answer = { readonly error?: unknown }

/** Who works here, as what; for owners, what can be changed of it. */
export function Members() {
  const { data: members } = useMembersQuery()
  const isOwner = useMay('people')
  const person = usePerson()
  const [change] = useChangeMemberMutation()
  const [remove] = useRemoveMemberMutation()
  const [reset] = useResetMemberMutation()
  const [endSessions] = useEndMemberSessionsMutation()
  const [leaving, setLeaving] = useState<Member | null>(null)
  const [made, setMade] = useState<{ readonly name: string; readonly pass: PassAdded } | null>(null)
  const say = async (doing: Promise<Answer>, says: string) => {
    const { error } = await doing
    if (error) toast.error(problemOf(error).detail)
    else toast(says)
  }
  const makeLink = async ({ id, name }: Member) => {
    const answer = await reset(id)
    if (answer.data) setMade({ name, pass: answer.data })
    else toast.error(problemOf(answer.error).detail)
  }
  return (
    <section aria-label="Who works here" className="mt-6 max-w-[980px]">
      <h2 className="text-[19px]">Who works here</h2>
      <ul>
        {members?.map((member) => (
          <li
            key={member.id}
            className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line py-2"
            data-testid="member"
          >
            <span className="min-w-[180px] flex-1">
              <span className="font-medium">{member.name}</span>
              {member.id === person?.id && <span className="text-muted"> (you)</span>}
              {isOwner && (
                <span className="block text-[13px] text-muted">
                  signs in as {member.login}, last here {ago(member.lastSeen)}
                </span>
              )}
            </span>
            {isOwner ? (
              <select
                aria-label={`${member.name} is here as`}
                className="rounded-[3px] border border-edge bg-panel px-2 py-1 text-ink"
                value={member.role}
                onChange={(event) =>
                  void say(
                    change({ id: member.id, role: event.target.value as Role }),
                    `${member.name} is here as ${event.target.value} from now on.`,
                  )
                }
              >
                {ROLES.map((role) => (
                  <option key={role} value={role}>
                    {ROLE_WORDS[role].name}
                  </option>
                ))}
              </select>
            ) : (
              <span>{ROLE_WORDS[member.role].name}</span>
            )}
            {isOwner && member.id !== person?.id && (
              <span className="flex flex-wrap gap-x-2">
                <Button look="quiet" className="!px-1" onClick={() => void makeLink(member)}>
                  New password<span className="sr-only"> for {member.name}</span>
                </Button>
                <Button
                  look="quiet"
                  className="!px-1"
                  onClick={() =>
                    void say(endSessions(member.id), `${member.name} is signed out on all devices.`)
                  }
                >
                  Sign out<span className="sr-only"> {member.name} everywhere</span>
                </Button>
                <Button look="quiet" className="!px-1 !text-muted" onClick={() => setLeaving(member)}>
                  Send away<span className="sr-only"> {member.name}</span>
                </Button>
              </span>
            )}
          </li>
        ))}
      </ul>
      {isOwner && (
        <dl className="mt-3 grid max-w-[620px] grid-cols-[auto_1fr] gap-x-3 text-[13.5px] text-muted">
          {ROLES.map((role) => (
            <div key={role} className="contents">
              <dt>{ROLE_WORDS[role].name}</dt>
              <dd>{ROLE_WORDS[role].may}</dd>
            </div>
          ))}
        </dl>
      )}
      <AskFirst
        open={leaving !== null}
        onOpenChange={(open) => !open && setLeaving(null)}
        title={`Send ${leaving?.name ?? ''} away?`}
        yes="Send away"
        no="Let them stay"
        onYes={() => leaving && void say(remove(leaving.id), `${leaving.name} may not come in any more.`)}
      >
        They can’t come in any more, from any device. What they did and signed stays under their name.
      </AskFirst>
      {made && (
        <PassLink
          title={`A new password for ${made.name}`}
          says={`With this link ${made.name} chooses one, and is signed out everywhere else.`}
          pass={made.pass}
          onClose={() => setMade(null)}
        />
      )}
    </section>
  )
}
