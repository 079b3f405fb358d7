import { RECORDS, withoutVersion, type TiltTest } from '@bold-ballast/contract'
import { formatKnown, tiltHeight } from '@bold-ballast/core'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { useFieldArray, useWatch, type DefaultValues } from 'react-hook-form'
import { put } from '../../store/commit'
import { useBuild, useLiveBuild } from '../../store/useBuild'
import { Button } from '../../ui/Button'
import { FormQuantities, FormQuantity, FormSelect, FormText } from '../../ui/form'
import { SheetForm } from '../../ui/SheetForm'
import { SideSheet } from '../../ui/SideSheet'
import { useKeptForm } from '../../ui/useKeptForm'
import { today } from '../../words/today'

type TiltForm = Omit<TiltTest, 'version'>
const NOTHING = undefined as unknown as number

/** Centre-of-mass height by tilting, step by step, with the result while it is typed. */
export function TiltSheet({ test, onClose }: { test: TiltTest | null; onClose: () => void }) {
  const { view, stage, units, unit, save } = useBuild()
  const { summary } = useLiveBuild()
  const start: DefaultValues<TiltForm> = test
    ? withoutVersion(test)
    : {
        id: crypto.randomUUID(),
        stageId: stage.id,
        date: today(),
        raised: 'rear',
        mass: summary.weighed?.result.total.value ?? Math.round(summary.asFitted.mass.value * 10) / 10,
        radius: NOTHING,
        tilts: [{ lift: NOTHING, gain: NOTHING }],
        gainSigma: 0.5,
        liftSigma: 0.002,
        note: '',
      }
  const { control, handleSubmit, kept } = useKeptForm<TiltForm>(`tiltTest.${test?.id ?? stage.id}`, {
    resolver: zodResolver(RECORDS.tiltTest),
    defaultValues: start,
  })
  const lifts = useFieldArray({ control, name: 'tilts' })
  const typed = useWatch({ control })
  const [fault, setFault] = useState<string | null>(null)
  const parsed = RECORDS.tiltTest.safeParse(typed)
  let live: ReturnType<typeof tiltHeight> | null = null
  let steep: string | null = null
  try {
    if (parsed.success) live = tiltHeight({ ...parsed.data, wheelbase: view.build.wheelbase })
  } catch (error) {
    steep = (error as Error).message
  }
  const shown = live && formatKnown(live.value, live.sigma, unit('length'))
  const submit = handleSubmit((record) => {
    if (steep) return setFault(steep)
    const faults = save(test ? 'Change a tilt test' : 'Log a tilt test', [put(view, 'tiltTest', record)])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onClose()
  })
  const { raised = 'rear' } = typed
  const level = raised === 'rear' ? 'front' : 'rear'
  return (
    <SideSheet open onClose={onClose} title={test ? 'Change a tilt test' : 'Log a tilt test'}>
      <SheetForm onSubmit={submit} kept={kept} fault={fault ?? steep} says="Save the tilt test">
        <ol className="col-span-2 list-decimal rounded-[3px] border border-ochre p-3 pl-7 text-[13px]">
          <li>Lock the suspension: solid links in place of the dampers, or blocks at the stops.</li>
          <li>Chock the wheels that stay down, fore and aft, free to roll by nothing else.</li>
          <li>Drain the fuel or fill it: what slops moves. Strap down what is loose.</li>
          <li>Raise with a lift or stands made for it. Nobody under the car, nobody in it.</li>
        </ol>
        <FormSelect
          control={control}
          name="raised"
          label="Axle that is raised"
          options={[
            ['rear', 'rear, pads under the front'],
            ['front', 'front, pads under the rear'],
          ]}
        />
        <FormText control={control} name="date" label="Date" type="date" />
        <FormQuantity
          control={control}
          name="mass"
          label="Whole car, as it stands"
          quantity="mass"
          units={units}
        />
        <FormQuantity
          control={control}
          name="radius"
          label="Wheel centre above the floor"
          quantity="length"
          units={units}
          hint="Loaded, mean of both axles"
        />
        {lifts.fields.map((field, i) => (
          <div key={field.id} className="col-span-2 grid grid-cols-[1fr_1fr_auto] items-end gap-3">
            <FormQuantities
              control={control}
              units={units}
              fields={[
                [`tilts.${i}.lift`, `Lift ${i + 1}: ${raised} axle raised by`, 'length'],
                [`tilts.${i}.gain`, `${level} axle gains`, 'mass'],
              ]}
            />
            <Button look="quiet" disabled={lifts.fields.length === 1} onClick={() => lifts.remove(i)}>
              Remove<span className="sr-only"> lift {i + 1}</span>
            </Button>
          </div>
        ))}
        <Button
          className="col-span-2"
          disabled={lifts.fields.length >= 12}
          onClick={() => lifts.append({ lift: NOTHING, gain: NOTHING })}
        >
          One more lift
        </Button>
        <p
          aria-live="polite"
          data-testid="live-tilt"
          className="col-span-2 rounded-[3px] border border-dashed border-edge p-3"
        >
          Centre of mass{' '}
          <b className="figure text-[20px]">
            {shown ? `${shown.figure} ±${shown.spread} ${shown.unit}` : '–'}
          </b>{' '}
          above the ground
        </p>
        <FormQuantities
          control={control}
          units={units}
          fields={[
            ['gainSigma', 'A gain is good to ±', 'mass'],
            ['liftSigma', 'A lift is good to ±', 'length'],
          ]}
        />
        <div className="col-span-2">
          <FormText control={control} name="note" label="Notes" rows={2} />
        </div>
      </SheetForm>
    </SideSheet>
  )
}
