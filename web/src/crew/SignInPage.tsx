import { signIn, type SignIn } from '@bold-ballast/contract'
import { useEffect, useState } from 'react'
import { useWatch } from 'react-hook-form'
import { problemOf } from '../store/api'
import { useSignInMutation } from '../store/accessApi'
import { useAppSelector } from '../store/store'
import { fieldsTyped } from '../ui/record/fieldsOf'
import { FormBody } from '../ui/record/FormSheet'
import { useSchemaForm } from '../ui/record/useSchemaForm'
import { forgetText, keepText, keptText } from '../ui/keptText'
import { Door } from './Door'
import { useEntering } from './useEntering'

const LOGIN = 'sign-in.login'
const { Field } = fieldsTyped<SignIn>()

/** Stands in place of every page while nobody is signed in; afterwards the page that was asked for is there. */
export function SignInPage() {
  const [enter] = useSignInMutation()
  const entering = useEntering()
  const waiting = useAppSelector((state) => state.outbox.pending.length)
  const [login] = useState(() => keptText<string>(LOGIN) ?? '')
  const form = useSchemaForm<SignIn>(null, signIn, { login, password: '' }, async (typed) => {
    const answer = await enter(typed)
    if (!answer.data) return problemOf(answer.error).detail
    forgetText(LOGIN)
    entering(answer.data)
    return null
  })
  // The page may be drawn anew while somebody types, when it turns out who isn't here: the name stays. No password is kept.
  const typed = useWatch({ control: form.control, name: 'login' })
  useEffect(() => keepText(LOGIN, typed), [typed])
  return (
    <Door title="Sign in">
      {waiting > 0 && (
        <p role="status" className="mb-4 rounded-[4px] border border-ochre p-3">
          {waiting === 1 ? 'One change is' : `${waiting} changes are`} kept on this device and saved once
          whoever made {waiting === 1 ? 'it' : 'them'} signs in again.
        </p>
      )}
      <FormBody form={form} says={form.isSaving ? 'Signing in …' : 'Sign in'}>
        <Field name="login" isWide autoFocus />
        <Field name="password" isWide />
      </FormBody>
      <p className="mt-5 text-[13.5px] text-muted">
        No account yet? An owner of the workshop sends you a link. Forgotten your password? An owner makes a
        link for a new one; on the machine itself <code>npm run people</code> does.
      </p>
    </Door>
  )
}
