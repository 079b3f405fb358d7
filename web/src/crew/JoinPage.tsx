import { newOwner, passwordReset, ROLE_WORDS, type NewOwner, type PassOpened } from '@bold-ballast/contract'
import { format, parseISO } from 'date-fns'
import { useState } from 'react'
import { useNavigate, useParams } from 'react-router'
import { usePassQuery, useUsePassMutation } from '../store/accessApi'
import { problemOf } from '../store/api'
import { usePerson } from '../store/me'
import { Button } from '../ui/Button'
import { fieldsTyped } from '../ui/record/fieldsOf'
import { FormBody } from '../ui/record/FormSheet'
import { refusedAs, useSchemaForm } from '../ui/record/useSchemaForm'
import { Door } from './Door'
import { useEntering, useGoTo } from './useEntering'

type Invited = Extract<PassOpened, { kind: 'invitation' }>

/** What a link opens: a workshop to join, or a new password. */
export function JoinPage() {
  const { token = '' } = useParams()
  const { data, error } = usePassQuery(token)
  if (error)
    return (
      <Door title={problemOf(error).title}>
        <p>{problemOf(error).detail}</p>
      </Door>
    )
  if (!data) return null
  if (data.kind === 'invitation') return <Join token={token} invited={data} />
  if (data.kind === 'reset') return <NewPassword token={token} name={data.name} login={data.login} />
  return <Pair token={token} name={data.name} />
}

function Join({ token, invited }: { token: string; invited: Invited }) {
  const { Field } = fieldsTyped<NewOwner>()
  const [open, { isLoading }] = useUsePassMutation()
  const [fault, setFault] = useState<string | null>(null)
  const person = usePerson()
  const entering = useEntering()
  const goTo = useGoTo()
  const navigate = useNavigate()
  const start = { name: invited.for, login: '', password: '' }
  const form = useSchemaForm<NewOwner>(null, newOwner, start, async (typed) => {
    const answer = await open({ token, body: typed })
    if (!answer.data) return refusedAs(answer.error)
    entering(answer.data)
    void navigate('/')
    return null
  })
  const joinAsMyself = async () => {
    const answer = await open({ token, body: { asMyself: true } })
    if (!answer.data) return setFault(problemOf(answer.error).detail)
    goTo(null)
    void navigate('/crew')
  }
  const { name, may } = ROLE_WORDS[invited.role]
  return (
    <Door title={`Join ${invited.workshop}`}>
      <p className="mb-4">
        {invited.by || 'An owner'} invites you as <b>{name.toLowerCase()}</b>: {may}. The link works once,
        until {format(parseISO(invited.endsAt), 'd MMMM, HH:mm')}.
      </p>
      {person ? (
        <>
          {fault && (
            <p role="alert" className="mb-3 text-oxide">
              {fault}
            </p>
          )}
          <Button look="main" disabled={isLoading} onClick={() => void joinAsMyself()}>
            Join as {person.name}
          </Button>
        </>
      ) : (
        <FormBody form={form} says={form.isSaving ? 'Joining …' : 'Join'}>
          <Field name="name" isWide autoFocus />
          <Field name="login" isWide />
          <Field name="password" isWide />
        </FormBody>
      )}
    </Door>
  )
}

function Pair({ token, name }: { token: string; name: string }) {
  const [open, { isLoading }] = useUsePassMutation()
  const [fault, setFault] = useState<string | null>(null)
  const entering = useEntering()
  const navigate = useNavigate()
  const pair = async () => {
    const answer = await open({ token, body: {} })
    if (!answer.data) return setFault(problemOf(answer.error).detail)
    entering(answer.data)
    void navigate('/')
  }
  return (
    <Door title="Pair this phone">
      <p className="mb-4">
        It is signed in as <b>{name}</b> from now on, until it is signed out here or from another device, or
        nobody has used it for two weeks.
      </p>
      {fault && (
        <p role="alert" className="mb-3 text-oxide">
          {fault}
        </p>
      )}
      <Button look="main" disabled={isLoading} onClick={() => void pair()}>
        This is {name}’s phone
      </Button>
      <p className="mt-6 text-[13.5px] text-muted">
        Your browser warned of the certificate?{' '}
        <a className="text-blued underline" href="/trust">
          What that means
        </a>
      </p>
    </Door>
  )
}

function NewPassword({ token, name, login }: { token: string; name: string; login: string }) {
  const { Field } = fieldsTyped<{ password: string }>()
  const [open] = useUsePassMutation()
  const entering = useEntering()
  const navigate = useNavigate()
  const form = useSchemaForm<{ password: string }>(null, passwordReset, { password: '' }, async (typed) => {
    const answer = await open({ token, body: typed })
    if (!answer.data) return refusedAs(answer.error)
    entering(answer.data)
    void navigate('/')
    return null
  })
  return (
    <Door title="Choose a new password">
      <p className="mb-4">
        For {name}, who signs in as <b>{login}</b>. All devices that are signed in now are signed out.
      </p>
      <FormBody form={form} says="Keep it and sign in">
        <Field name="password" isWide autoFocus />
      </FormBody>
    </Door>
  )
}
