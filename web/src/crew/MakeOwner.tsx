import { newOwner, type NewOwner } from '@bold-ballast/contract'
import { useMakeOwnerMutation } from '../store/accessApi'
import { useAppSelector } from '../store/store'
import { fieldsTyped } from '../ui/record/fieldsOf'
import { FormBody } from '../ui/record/FormSheet'
import { refusedAs, useSchemaForm } from '../ui/record/useSchemaForm'
import { useEntering } from './useEntering'

const { Field } = fieldsTyped<NewOwner>()

/** The first account: until then whoever sits at this machine may do everything, and nobody else is answered. */
export function MakeOwner() {
  const name = useAppSelector((state) => state.settings.author)
  const [make] = useMakeOwnerMutation()
  const entering = useEntering()
  const form = useSchemaForm<NewOwner>(null, newOwner, { name, login: '', password: '' }, async (typed) => {
    const answer = await make(typed)
    if (!answer.data) return refusedAs(answer.error)
    entering(answer.data)
    return null
  })
  return (
    <section aria-label="Make an owner" className="max-w-[460px]">
      <h2 className="text-[19px]">Let others in</h2>
      <p className="mt-1 mb-4 text-muted">
        Nobody signs in here: whoever sits at this machine may do everything, and nobody else is answered.
        Before others can come in, from their phones or over a network, somebody owns the workshop. From then
        on everybody signs in, at this machine too.
      </p>
      <FormBody form={form} says={form.isSaving ? 'One moment …' : 'I own this workshop'}>
        <Field name="name" isWide />
        <Field name="login" isWide />
        <Field name="password" isWide />
      </FormBody>
    </section>
  )
}
