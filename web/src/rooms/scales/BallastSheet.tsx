import { RECORDS, withoutVersion, type Build } from '@bold-ballast/contract'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { useFieldArray, useWatch } from 'react-hook-form'
import { put } from '../../store/commit'
import { useBuild } from '../../store/useBuild'
import { Button } from '../../ui/Button'
import { FormQuantities, FormQuantity, FormText } from '../../ui/form'
import { FormNumber } from '../../ui/FormNumber'
import { SheetForm } from '../../ui/SheetForm'
import { SideSheet } from '../../ui/SideSheet'
import { useKeptForm } from '../../ui/useKeptForm'

type BuildForm = Omit<Build, 'version'>
export type Ballast = NonNullable<Build['ballast']>
const NOTHING = undefined as unknown as number
const TARGETS = [
  ['front', 'Front share'],
  ['left', 'Left share'],
  ['cross', 'Cross share'],
] as const

export const noBallast = (): Ballast => ({
  spots: [{ id: crypto.randomUUID(), name: 'Passenger footwell', x: 0.9, y: -0.35, limit: 20 }],
  plates: [
    { mass: 5, count: 4 },
    { mass: 1, count: 5 },
  ],
  minimumMass: 0,
  front: null,
  left: null,
  cross: null,
})

/** What ballast should reach, where it may go, and what plates there are. */
export function BallastSheet({ onClose }: { onClose: () => void }) {
  const { view, units, save } = useBuild()
  const record = withoutVersion(view.build)
  const { control, handleSubmit, setValue, kept } = useKeptForm<BuildForm>(`ballast.${view.build.id}`, {
    resolver: zodResolver(RECORDS.build),
    defaultValues: { ...record, ballast: record.ballast ?? noBallast() },
  })
  const spots = useFieldArray({ control, name: 'ballast.spots', keyName: 'key' })
  const plates = useFieldArray({ control, name: 'ballast.plates', keyName: 'key' })
  const targets = useWatch({ control, name: 'ballast' })
  const [fault, setFault] = useState<string | null>(null)
  const submit = handleSubmit(({ ballast }) => {
    const faults = save('Change the ballast', [put(view, 'build', { ...record, ballast })])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onClose()
  })
  return (
    <SideSheet open onClose={onClose} title="Ballast" wide>
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Save the ballast">
        <FormQuantity
          control={control}
          name="ballast.minimumMass"
          label="Minimum mass"
          quantity="mass"
          units={units}
          hint="As the class weighs it; 0 for none"
        />
        <span />
        {TARGETS.map(([target, words]) => (
          <div key={target} className="col-span-2 grid grid-cols-[130px_1fr_1fr] items-start gap-3">
            <label className="flex items-center gap-2 pt-6">
              <input
                type="checkbox"
                className="size-4 accent-blued"
                checked={Boolean(targets?.[target])}
                onChange={(e) =>
                  setValue(`ballast.${target}`, e.target.checked ? { value: 0.5, tolerance: 0.003 } : null)
                }
              />
              {words}
            </label>
            {targets?.[target] && (
              <>
                <FormQuantities
                  control={control}
                  units={units}
                  fields={[
                    [`ballast.${target}.value`, `${words} wanted`, 'share'],
                    [`ballast.${target}.tolerance`, `${words}, ±`, 'share'],
                  ]}
                />
              </>
            )}
          </div>
        ))}
        <h3 className="col-span-2 mt-2 text-[17px]">Spots</h3>
        {spots.fields.map((spot, i) => (
          <fieldset key={spot.key} className="col-span-2 grid grid-cols-4 items-end gap-2">
            <legend className="sr-only">Spot {i + 1}</legend>
            <div className="col-span-3">
              <FormText control={control} name={`ballast.spots.${i}.name`} label={`Spot ${i + 1}`} />
            </div>
            <Button look="quiet" onClick={() => spots.remove(i)}>
              Remove<span className="sr-only"> spot {i + 1}</span>
            </Button>
            <FormQuantities
              control={control}
              units={units}
              fields={[
                [`ballast.spots.${i}.x`, 'Behind front axle', 'length'],
                [`ballast.spots.${i}.y`, 'Left of middle', 'length'],
                [`ballast.spots.${i}.limit`, 'Holds at most', 'mass'],
              ]}
            />
          </fieldset>
        ))}
        <Button
          className="col-span-2"
          disabled={spots.fields.length >= 24}
          onClick={() =>
            spots.append({ id: crypto.randomUUID(), name: '', x: NOTHING, y: NOTHING, limit: NOTHING })
          }
        >
          One more spot
        </Button>
        <h3 className="col-span-2 mt-2 text-[17px]">Plates there are</h3>
        {plates.fields.map((plate, i) => (
          <div key={plate.key} className="col-span-2 grid grid-cols-[1fr_1fr_auto] items-start gap-2">
            <FormQuantity
              control={control}
              name={`ballast.plates.${i}.mass`}
              label={`Plate ${i + 1}, each`}
              quantity="mass"
              units={units}
            />
            <FormNumber control={control} name={`ballast.plates.${i}.count`} label="How many" />
            <Button look="quiet" className="mt-6" onClick={() => plates.remove(i)}>
              Remove<span className="sr-only"> plate {i + 1}</span>
            </Button>
          </div>
        ))}
        <Button
          className="col-span-2"
          disabled={plates.fields.length >= 8}
          onClick={() => plates.append({ mass: NOTHING, count: NOTHING })}
        >
          One more size
        </Button>
      </SheetForm>
    </SideSheet>
  )
}
