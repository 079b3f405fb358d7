import { DISCIPLINES, newBuild, newBuildForm, type NewBuildForm } from '@bold-ballast/contract'
import { itemAt, METRIC, US } from '@bold-ballast/core'
import { useWatch, type DefaultValues } from 'react-hook-form'
import { useNavigate } from 'react-router'
import { problemOf, useAddBuildMutation } from '../../store/api'
import { fieldsTyped } from '../../ui/record/fieldsOf'
import { FormSheet } from '../../ui/record/FormSheet'
import { useSchemaForm } from '../../ui/record/useSchemaForm'

const { Field, Fields } = fieldsTyped<NewBuildForm>()

const START: DefaultValues<NewBuildForm> = {
  name: '',
  car: '',
  discipline: DISCIPLINES[0],
  layout: 'rear',
  baseGrade: 'claim',
  baseFuel: 0.04,
  frontShare: 0.54,
  currency: '',
  unitSystem: 'metric',
}

/** A new build in under a minute: a few answers, the rest has defaults that can be changed. */
export function NewBuildSheet({ onClose }: { onClose: () => void }) {
  const [addBuild] = useAddBuildMutation()
  const navigate = useNavigate()
  const form = useSchemaForm<NewBuildForm>('build.new', newBuildForm, START, async (typed) => {
    const { data, error } = await addBuild({
      file: newBuild(typed, () => crypto.randomUUID()),
      isAlong: false,
    })
    if (!data) return `${problemOf(error).detail} What you typed is kept.`
    void navigate(`/builds/${data.id}/stages/${itemAt(data.stages, 0).id}/swaps`)
    return null
  })
  const units = useWatch({ control: form.control, name: 'unitSystem' }) === 'us' ? US : METRIC
  return (
    <FormSheet
      form={form}
      title="New build"
      says={form.fault ? 'Try again' : 'Start the build'}
      units={units}
      onClose={onClose}
    >
      <Field name="name" hint="What the crew calls it" isWide autoFocus />
      <Field name="car" label="Car (can stay empty)" isWide />
      <Fields names={['discipline', 'layout', 'unitSystem']} />
      <Field name="wheelbase" hint="Any unit: 2.4 m, 95 in" />
      <Fields names={['trackFront', 'trackRear', 'baseMass']} />
      <Field
        name="baseFuel"
        label="Fuel aboard then"
        hint="Masses are stated with as much: change it under the build"
      />
      <Fields names={['baseGrade', 'frontShare', 'currency']} />
    </FormSheet>
  )
}
