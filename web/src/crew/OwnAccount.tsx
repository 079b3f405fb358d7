import {
  passwordChange,
  personChange,
  type PasswordChange,
  type Person,
  type Session,
} from '@bold-ballast/contract'
import { format, formatDistanceToNow, parseISO } from 'date-fns'
import { useState } from 'react'
import {
  useChangePasswordMutation,
  useEndSessionMutation,
  useRenameMutation,
  useSessionsQuery,
} from '../store/accessApi'
import { problemOf } from '../store/api'
import { Button } from '../ui/Button'
import { fieldsTyped } from '../ui/record/fieldsOf'
import { FormSheet } from '../ui/record/FormSheet'
import { refusedAs, useSchemaForm } from '../ui/record/useSchemaForm'
import { toast } from '../ui/toast'
import { PairSheet } from './PairSheet'
import { useLeaving } from './useLeaving'

const BEGAN: Readonly<Record<Session['by'], string>> = {
  password: 'by password',
  invitation: 'by an invitation',
  reset: 'by a link for a new password',
  pairing: 'paired',
  start: 'as the first owner',
}

/** What somebody is called, what they sign in with, and on which devices they are. */
export function OwnAccount({ person }: { person: Person }) {
  const { data: sessions } = useSessionsQuery()
  const [end] = useEndSessionMutation()
  const leave = useLeaving()
  const [sheet, setSheet] = useState<'name' | 'password' | 'pair' | null>(null)
  const endAll = () =>
    void end(null).then(({ error }) =>
      toast(error ? problemOf(error).detail : 'All your other devices are signed out.'),
    )
  return (
    <section aria-label="You" className="max-w-[980px]">
      <p className="flex flex-wrap items-center gap-x-3 gap-y-2">
        <span className="flex-1 max-md:basis-full">
          <span className="text-[17px] font-medium">{person.name}</span>
          <span className="block text-[13px] text-muted">signs in as {person.login}</span>
        </span>
        <Button onClick={() => setSheet('pair')}>Pair a phone or a laptop</Button>
        <Button onClick={() => setSheet('name')}>Change name</Button>
        <Button onClick={() => setSheet('password')}>Change password</Button>
        <Button onClick={leave}>Sign out</Button>
      </p>
      <h2 className="mt-6 text-[19px]">Devices you are signed in on</h2>
      <ul>
        {sessions?.map((session) => (
          <li key={session.id} className="flex flex-wrap items-baseline gap-x-4 border-b border-line py-1.5">
            <span className="flex-1">
              {session.device}
              {session.isThis && <span className="text-muted"> (this one)</span>}
              <span className="block text-[13px] text-muted">
                {BEGAN[session.by]} {format(parseISO(session.startedAt), 'd MMM, HH:mm')} from{' '}
                {session.address}, last seen{' '}
                {formatDistanceToNow(parseISO(session.lastSeenAt), { addSuffix: true })}
              </span>
            </span>
            {!session.isThis && (
              <Button look="quiet" className="!px-1" onClick={() => void end(session.id)}>
                Sign out<span className="sr-only"> the {session.device.toLowerCase()}</span>
              </Button>
            )}
          </li>
        ))}
      </ul>
      {sessions && sessions.length > 1 && (
        <p className="mt-2">
          <Button onClick={endAll}>Sign all others out</Button>
        </p>
      )}
      {sheet === 'name' && <NameSheet name={person.name} onClose={() => setSheet(null)} />}
      {sheet === 'pair' && <PairSheet name={person.name} onClose={() => setSheet(null)} />}
      {sheet === 'password' && <PasswordSheet onClose={() => setSheet(null)} />}
    </section>
  )
}

function NameSheet({ name, onClose }: { name: string; onClose: () => void }) {
  const { Field } = fieldsTyped<{ name: string }>()
  const [rename] = useRenameMutation()
  const form = useSchemaForm<{ name: string }>(null, personChange, { name }, async (typed) => {
    const { error } = await rename(typed.name)
    if (error) return problemOf(error).detail
    onClose()
    return null
  })
  return (
    <FormSheet form={form} title="Your name" says="Save it" onClose={onClose}>
      <Field name="name" isWide autoFocus />
    </FormSheet>
  )
}

function PasswordSheet({ onClose }: { onClose: () => void }) {
  const { Field } = fieldsTyped<PasswordChange>()
  const [change] = useChangePasswordMutation()
  const start = { current: '', password: '' }
  const form = useSchemaForm<PasswordChange>(null, passwordChange, start, async (typed) => {
    const { error } = await change(typed)
    if (error) return refusedAs(error)
    toast('Your password is changed; your other devices are signed out.')
    onClose()
    return null
  })
  return (
    <FormSheet form={form} title="Your password" says="Change it" onClose={onClose}>
      <Field name="current" isWide autoFocus />
      <Field name="password" isWide />
    </FormSheet>
  )
}
