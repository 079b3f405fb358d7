import { ROLE_WORDS, workshopName } from '@bold-ballast/contract'
import { useState } from 'react'
import { useAddWorkshopMutation, useNameWorkshopMutation } from '../store/accessApi'
import { problemOf, useMeQuery } from '../store/api'
import { useMay, useMembership } from '../store/me'
import { Button } from '../ui/Button'
import { fieldsTyped } from '../ui/record/fieldsOf'
import { FormSheet } from '../ui/record/FormSheet'
import { useSchemaForm } from '../ui/record/useSchemaForm'
import { toast } from '../ui/toast'
import { useGoTo } from './useEntering'

interface Named {
  readonly name: string
}
const { Field } = fieldsTyped<Named>()

/** The workshops that somebody works in: which is open, what it is called, and another one. */
export function WorkshopChoice() {
  const { data: me } = useMeQuery()
  const open = useMembership()
  const mayName = useMay('people')
  const goTo = useGoTo()
  const [sheet, setSheet] = useState<'name' | 'another' | null>(null)
  if (!me || !open) return null
  return (
    <section aria-label="Workshops" className="mt-6 max-w-[980px]">
      <h2 className="text-[19px]">{me.workshops.length > 1 ? 'Your workshops' : 'Workshop'}</h2>
      <ul>
        {me.workshops.map(({ id, name, role }) => (
          <li key={id} className="flex flex-wrap items-baseline gap-x-4 border-b border-line py-1.5">
            <span className="flex-1">
              {name}
              {id === open.id && me.workshops.length > 1 && <span className="text-muted"> (open here)</span>}
              <span className="block text-[13px] text-muted">{ROLE_WORDS[role].name}</span>
            </span>
            {id !== open.id && (
              <Button look="quiet" className="!px-1" onClick={() => goTo(id)}>
                Go to<span className="sr-only"> {name}</span>
              </Button>
            )}
          </li>
        ))}
      </ul>
      {mayName && (
        <p className="mt-2 flex flex-wrap gap-2">
          <Button onClick={() => setSheet('name')}>Call it otherwise</Button>
          {me.person && <Button onClick={() => setSheet('another')}>Open another workshop</Button>}
        </p>
      )}
      {sheet === 'name' && <NameSheet name={open.name} onClose={() => setSheet(null)} />}
      {sheet === 'another' && <AnotherSheet onClose={() => setSheet(null)} />}
    </section>
  )
}

function NameSheet({ name, onClose }: { name: string; onClose: () => void }) {
  const [rename] = useNameWorkshopMutation()
  const form = useSchemaForm<Named>(null, workshopName, { name }, async (typed) => {
    const { error } = await rename(typed.name)
    if (error) return problemOf(error).detail
    onClose()
    return null
  })
  return (
    <FormSheet form={form} title="The workshop’s name" says="Save it" onClose={onClose}>
      <Field name="name" isWide autoFocus />
    </FormSheet>
  )
}

function AnotherSheet({ onClose }: { onClose: () => void }) {
  const [add] = useAddWorkshopMutation()
  const goTo = useGoTo()
  const form = useSchemaForm<Named>(null, workshopName, { name: '' }, async ({ name }) => {
    const answer = await add(name)
    if (!answer.data) return problemOf(answer.error).detail
    toast(`${name} is open. It is yours alone until you invite somebody.`)
    onClose()
    goTo(answer.data.id)
    return null
  })
  return (
    <FormSheet
      form={form}
      title="Another workshop"
      says="Open it"
      onClose={onClose}
      before={
        <p className="mb-3 text-[13.5px] text-muted">
          It begins empty and apart: nothing of this one can be seen from it.
        </p>
      }
    >
      <Field name="name" isWide autoFocus />
    </FormSheet>
  )
}
