import { RECORDS, type RecordOf, AXLE_END, OBSTACLE_SIDE } from '@bold-ballast/contract'
import { type AxleEnd } from '@bold-ballast/core'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { useFieldArray, type Control, type DefaultValues } from 'react-hook-form'
import { put } from '../../store/commit'
import { useBuild } from '../../store/useBuild'
import { useCarried } from '../../store/useCarried'
import { Button } from '../../ui/Button'
import { FormQuantities, FormSelect, FormText } from '../../ui/form'
import { FormNumber } from '../../ui/FormNumber'
import { CarriedNote } from '../../ui/CarriedNote'
import { SheetForm } from '../../ui/SheetForm'
import { SideSheet } from '../../ui/SideSheet'
import { useKeptForm } from '../../ui/useKeptForm'
import { optionsOf } from '../../words/names'

type FitmentForm = RecordOf<'fitment'>
type Wheel = FitmentForm['front']['wheel']
const NOTHING = undefined as unknown as number
const blankWheel = (): Wheel => ({
  rimWidth: NOTHING,
  rimDiameter: NOTHING,
  offset: NOTHING,
  spacer: 0,
  tyreWidth: NOTHING,
  tyreDiameter: NOTHING,
})
const blankAxle = (): FitmentForm['front'] => ({
  hub: { bolts: NOTHING, boltCircle: NOTHING, spigot: NOTHING, leastRim: NOTHING },
  wheel: blankWheel(),
  obstacles: [{ name: '', side: 'inside', gap: NOTHING, wanted: 0.005 }],
})

function WheelFields({
  control,
  at,
}: {
  control: Control<FitmentForm>
  at: `${AxleEnd}.wheel` | `candidates.${number}.wheel`
}) {
  const { units } = useBuild()
  return (
    <FormQuantities
      control={control}
      units={units}
      fields={[
        [`${at}.rimWidth`, 'Rim width', 'length', { unitSymbol: 'in' }],
        [`${at}.rimDiameter`, 'Rim diameter', 'length', { unitSymbol: 'in' }],
        [`${at}.offset`, 'Offset', 'length', { unitSymbol: 'mm', hint: 'Below zero: deep dish' }],
        [`${at}.spacer`, 'Spacer', 'length', { unitSymbol: 'mm' }],
        [`${at}.tyreWidth`, 'Tyre, widest', 'length', { unitSymbol: 'mm' }],
        [`${at}.tyreDiameter`, 'Tyre, diameter', 'length', { unitSymbol: 'mm' }],
      ]}
    />
  )
}

function AxleFields({ control, end }: { control: Control<FitmentForm>; end: AxleEnd }) {
  const { units } = useBuild()
  const obstacles = useFieldArray({ control, name: `${end}.obstacles`, keyName: 'key' })
  return (
    <fieldset className="col-span-2 grid grid-cols-2 items-start gap-3 border-t-2 border-edge pt-3">
      <legend className="sr-only">{AXLE_END[end]} axle</legend>
      <h3 className="col-span-2 text-[17px] first-letter:uppercase">{AXLE_END[end]} axle</h3>
      <WheelFields control={control} at={`${end}.wheel`} />
      <FormNumber control={control} name={`${end}.hub.bolts`} label="Bolts" />
      <FormQuantities
        control={control}
        units={units}
        fields={[
          [`${end}.hub.boltCircle`, 'Bolt circle', 'length', { unitSymbol: 'mm' }],
          [`${end}.hub.spigot`, 'Hub spigot', 'length', { unitSymbol: 'mm' }],
          [`${end}.hub.leastRim`, 'Brake clears rims from', 'length', { unitSymbol: 'in' }],
        ]}
      />
      {obstacles.fields.map((obstacle, i) => (
        <div
          key={obstacle.key}
          className="col-span-2 grid grid-cols-2 items-start gap-2 border-l-4 border-line pl-3"
        >
          <FormText control={control} name={`${end}.obstacles.${i}.name`} label={`Gap ${i + 1} is to`} />
          <FormSelect
            control={control}
            name={`${end}.obstacles.${i}.side`}
            label="It stands"
            options={optionsOf(OBSTACLE_SIDE)}
          />
          <FormQuantities
            control={control}
            units={units}
            fields={[
              [`${end}.obstacles.${i}.gap`, 'Gap now', 'length', { unitSymbol: 'mm' }],
              [`${end}.obstacles.${i}.wanted`, 'Gap wanted', 'length', { unitSymbol: 'mm' }],
            ]}
          />
          <Button
            look="quiet"
            className="justify-self-start !px-0 !text-muted"
            onClick={() => obstacles.remove(i)}
          >
            Remove
            <span className="sr-only">
              {' '}
              gap {i + 1} of the {AXLE_END[end]}
            </span>
          </Button>
        </div>
      ))}
      <Button
        className="col-span-2"
        disabled={obstacles.fields.length >= 12}
        onClick={() => obstacles.append({ name: '', side: 'outside', gap: NOTHING, wanted: 0.005 })}
      >
        One more gap<span className="sr-only"> at the {AXLE_END[end]}</span>
      </Button>
    </fieldset>
  )
}

/** Wheels, hubs and gaps of both axles, and wheels that might be fitted instead. */
export function WheelsSheet({ onClose }: { onClose: () => void }) {
  const { view, stage, save } = useBuild()
  const { record, carriedFrom } = useCarried('fitment')
  const [start] = useState<DefaultValues<FitmentForm>>(
    () =>
      record ?? {
        id: crypto.randomUUID(),
        stageId: stage.id,
        front: blankAxle(),
        rear: blankAxle(),
        candidates: [],
        note: '',
      },
  )
  const { control, handleSubmit, kept } = useKeptForm<FitmentForm>(`fitment.${stage.id}`, {
    resolver: zodResolver(RECORDS.fitment),
    defaultValues: start,
  })
  const candidates = useFieldArray({ control, name: 'candidates', keyName: 'key' })
  const [fault, setFault] = useState<string | null>(null)
  const submit = handleSubmit((typed) => {
    const faults = save('Change wheels', [put(view, 'fitment', typed)])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onClose()
  })
  return (
    <SideSheet open onClose={onClose} title="Wheels and gaps">
      <CarriedNote from={carriedFrom} stage={stage} />
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Save wheels">
        <AxleFields control={control} end="front" />
        <AxleFields control={control} end="rear" />
        {candidates.fields.map((candidate, i) => (
          <fieldset
            key={candidate.key}
            className="col-span-2 grid grid-cols-2 items-start gap-3 border-t-2 border-edge pt-3"
          >
            <legend className="sr-only">Candidate {i + 1}</legend>
            <FormText control={control} name={`candidates.${i}.name`} label={`Candidate ${i + 1}`} />
            <FormSelect
              control={control}
              name={`candidates.${i}.axle`}
              label="For the"
              options={optionsOf(AXLE_END)}
            />
            <WheelFields control={control} at={`candidates.${i}.wheel`} />
            <Button
              look="quiet"
              className="col-span-2 justify-self-start !px-0 !text-muted"
              onClick={() => candidates.remove(i)}
            >
              Remove candidate {i + 1}
            </Button>
          </fieldset>
        ))}
        <Button
          className="col-span-2"
          disabled={candidates.fields.length >= 12}
          onClick={() => candidates.append({ name: '', axle: 'rear', wheel: blankWheel() })}
        >
          One more candidate
        </Button>
        <div className="col-span-2">
          <FormText control={control} name="note" label="Notes" rows={2} />
        </div>
      </SheetForm>
    </SideSheet>
  )
}
