import {
  DISCIPLINES,
  newBuild,
  newBuildForm,
  type NewBuildForm,
  DISCIPLINE,
  LAYOUT,
} from '@bold-ballast/contract'
import { METRIC, US } from '@bold-ballast/core'
import { zodResolver } from '@hookform/resolvers/zod'
import { useWatch, type DefaultValues } from 'react-hook-form'
import { useNavigate } from 'react-router'
import { problemOf, useAddBuildMutation } from '../../store/api'
import { FormQuantity, FormSelect, FormText } from '../../ui/form'
import { SheetForm } from '../../ui/SheetForm'
import { SideSheet } from '../../ui/SideSheet'
import { useDraftForm } from '../../ui/useDraftForm'
import { optionsOf } from '../../ui/optionsOf'

const START: DefaultValues<NewBuildForm> = {
  name: '',
  car: '',
  discipline: DISCIPLINES[0],
  layout: 'rear',
  baseGrade: 'claim',
  baseFuel: 0.04,
  frontShare: 0.54,
  unitSystem: 'metric',
}

/** A new build in under a minute: eight answers, the rest has defaults that can be changed. */
export function NewBuildSheet({ onClose }: { onClose: () => void }) {
  const { control, handleSubmit, kept } = useDraftForm<NewBuildForm>('build.new', {
    resolver: zodResolver(newBuildForm),
    defaultValues: START,
  })
  const [addBuild, { error, isLoading }] = useAddBuildMutation()
  const navigate = useNavigate()
  const units = useWatch({ control, name: 'unitSystem' }) === 'us' ? US : METRIC
  const submit = handleSubmit(async (form) => {
    const added = await addBuild(newBuild(form, () => crypto.randomUUID()))
    if (!added.data) return
    kept.forget()
    void navigate(`/builds/${added.data.id}/stages/${added.data.stages[0]!.id}/swaps`)
  })
  const length = { control, quantity: 'length', units } as const
  return (
    <SideSheet open onClose={onClose} title="New build">
      <SheetForm
        onSubmit={submit}
        kept={kept}
        fault={error && `${problemOf(error).detail} What you typed is kept.`}
        says={error ? 'Try again' : 'Start the build'}
        busy={isLoading}
      >
        <div className="col-span-2">
          <FormText control={control} name="name" label="Name" hint="What the crew calls it" autoFocus />
        </div>
        <div className="col-span-2">
          <FormText control={control} name="car" label="Car (can stay empty)" />
        </div>
        <FormSelect control={control} name="discipline" label="Discipline" options={optionsOf(DISCIPLINE)} />
        <FormSelect control={control} name="layout" label="Layout" options={optionsOf(LAYOUT)} />
        <FormSelect
          control={control}
          name="unitSystem"
          label="Units"
          options={[
            ['metric', 'metric'],
            ['us', 'US'],
          ]}
        />
        <FormQuantity {...length} name="wheelbase" label="Wheelbase" hint="Any unit: 2.4 m, 95 in" />
        <FormQuantity {...length} name="trackFront" label="Front track" />
        <FormQuantity {...length} name="trackRear" label="Rear track" />
        <FormQuantity
          control={control}
          name="baseMass"
          label="Mass as bought"
          quantity="mass"
          units={units}
          hint="With fluids, no driver"
        />
        <FormQuantity
          control={control}
          name="baseFuel"
          label="Fuel aboard then"
          quantity="volume"
          units={units}
          hint="Masses are stated with as much: change it under the build"
        />
        <FormSelect
          control={control}
          name="baseGrade"
          label="Known how"
          options={[
            ['guess', 'guess'],
            ['claim', 'claim (brochure)'],
            ['measured', 'measured (weighed)'],
          ]}
        />
        <FormQuantity
          control={control}
          name="frontShare"
          label="Front share of it"
          quantity="share"
          units={units}
          hint="54 % is usual with the engine in front"
        />
      </SheetForm>
    </SideSheet>
  )
}
