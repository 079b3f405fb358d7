import { field } from '@bold-ballast/contract'
import { Link } from 'react-router'
import { toast } from '../ui/toast'
import * as z from 'zod'
import { settings } from '../store/settings'
import { useAppDispatch, useAppSelector } from '../store/store'
import { Button } from '../ui/Button'
import { fieldsTyped } from '../ui/record/fieldsOf'
import { FormSheet } from '../ui/record/FormSheet'
import { useSchemaForm } from '../ui/record/useSchemaForm'

const shape = z.object({
  author: field(z.string().trim().max(80, 'Keep it under 80 characters.'), {
    label: 'Name',
    hint: 'Empty: nobody is named',
  }),
})
type Who = z.infer<typeof shape>
const { Field } = fieldsTyped<Who>()

/** Who works at this screen: the name goes with every change into the history. */
export function WhoSheet({ onClose }: { onClose: () => void }) {
  const dispatch = useAppDispatch()
  const { author, crew } = useAppSelector((state) => state.settings)
  const name = (who: string) => {
    dispatch(settings.actions.authorNamed(who))
    toast(who ? `Changes from here are ${who}’s.` : 'Changes from here carry no name.')
    onClose()
    return null
  }
  const form = useSchemaForm<Who>('who', shape, { author }, ({ author: who }) => name(who))
  const choose = (who: string) => {
    form.kept.forget()
    name(who)
  }
  return (
    <FormSheet
      form={form}
      title="Who works here"
      says="That is me"
      onClose={onClose}
      before={
        <>
          <p className="mb-3 text-[13.5px] text-muted">
            The name goes with every change made at this screen into the history of the build. Others come in
            with a name of their own:{' '}
            <Link to="/crew" className="text-blued underline" onClick={onClose}>
              let others in
            </Link>
            .
          </p>
          {crew.length > 0 && (
            <p className="mb-4 flex flex-wrap gap-2">
              {crew.map((who) => (
                <Button key={who} look={who === author ? 'main' : 'plain'} onClick={() => choose(who)}>
                  {who}
                </Button>
              ))}
            </p>
          )}
        </>
      }
    >
      <Field name="author" isWide autoFocus />
    </FormSheet>
  )
}
