import { DISCIPLINES, newBuild, newBuildForm, type NewBuildForm } from '@bold-ballast/contract'
import { METRIC, US } from '@bold-ballast/core'
import { zodResolver } from '@hookform/resolvers/zod'
import { useForm, useWatch, type DefaultValues } from 'react-hook-form'
import { useNavigate } from 'react-router'
import { problemOf, useAddBuildMutation } from '../../store/api'
import { Button } from '../../ui/Button'
import { FormQuantity, FormSelect, FormText } from '../../ui/form'
import { SideSheet } from '../../ui/SideSheet'
import { DISCIPLINE, LAYOUT, optionsOf } from '../../words/names'

const START: DefaultValues<NewBuildForm> = {
  name: '',
  car: '',
  discipline: DISCIPLINES[0],
  layout: 'rear',
  baseGrade: 'claim',
  frontShare: 0.54,
  unitSystem: 'metric',
}

/** A new build in under a minute: eight answers, the rest has defaults that can be changed. */
export function NewBuildSheet({ onClose }: { onClose: () => void }) {
  const { control, handleSubmit } = useForm<NewBuildForm>({
    resolver: zodResolver(newBuildForm),
    defaultValues: START,
  })
  const [addBuild, { error, isLoading }] = useAddBuildMutation()
  const navigate = useNavigate()
  const units = useWatch({ control, name: 'unitSystem' }) === 'us' ? US : METRIC
  const submit = handleSubmit(async (form) => {
    const added = await addBuild(newBuild(form, () => crypto.randomUUID()))
    if (added.data) void navigate(`/builds/${added.data.id}/stages/${added.data.stages[0]!.id}/swaps`)
  })
  return (
    <SideSheet open onClose={onClose} title="New build">
      <form onSubmit={(e) => void submit(e)} noValidate className="grid grid-cols-2 gap-3">
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
        <FormQuantity
          control={control}
          name="wheelbase"
          label="Wheelbase"
          quantity="length"
          units={units}
          hint="Any unit: 2.4 m, 95 in"
        />
        <FormQuantity
          control={control}
          name="trackFront"
          label="Front track"
          quantity="length"
          units={units}
        />
        <FormQuantity control={control} name="trackRear" label="Rear track" quantity="length" units={units} />
        <FormQuantity
          control={control}
          name="baseMass"
          label="Mass as bought"
          quantity="mass"
          units={units}
          hint="With fluids, no driver"
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
        {error && (
          <p role="alert" className="col-span-2 text-oxide">
            {problemOf(error).detail} What you typed is kept.
          </p>
        )}
        <Button look="main" type="submit" className="col-span-2" disabled={isLoading}>
          {error ? 'Try again' : 'Start the build'}
        </Button>
      </form>
    </SideSheet>
  )
}
