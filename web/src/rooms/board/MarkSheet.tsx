import { RECORDS, removalOf, withoutVersion, type Mark } from '@bold-ballast/contract'
import { preferredUnit, spreadFromSi, formatQuantity } from '@bold-ballast/core'
import { zodResolver } from '@hookform/resolvers/zod'
import { useEffect, useState } from 'react'
import { useWatch, type DefaultValues } from 'react-hook-form'
import { toast } from 'sonner'
import { put } from '../../store/commit'
import { useBuild } from '../../store/useBuild'
import { Button } from '../../ui/Button'
import { FormQuantity, FormSelect } from '../../ui/form'
import { SheetForm } from '../../ui/SheetForm'
import { SideSheet } from '../../ui/SideSheet'
import { useKeptForm } from '../../ui/useKeptForm'
import { COMPARATOR, MEASURE, MEASURE_QUANTITY, optionsOf } from '../../words/names'

type MarkForm = Omit<Mark, 'version'>

/** Set, change or take away a mark. */
export function MarkSheet({ mark, onClose }: { mark: Mark | null; onClose: () => void }) {
  const { view, stage, units, save } = useBuild()
  const start: DefaultValues<MarkForm> = mark
    ? withoutVersion(mark)
    : { id: crypto.randomUUID(), stageId: stage.id, measure: 'mass', comparator: 'atMost', tolerance: 0 }
  const { control, handleSubmit, setValue, subscribe, kept } = useKeptForm<MarkForm>(
    `mark.${mark?.id ?? stage.id}`,
    {
      resolver: zodResolver(RECORDS.mark),
      defaultValues: start,
    },
  )
  const [fault, setFault] = useState<string | null>(null)
  const { measure = 'mass', comparator = 'atMost', value, tolerance } = useWatch({ control })
  const quantity = MEASURE_QUANTITY[measure]
  const unit = preferredUnit(quantity, units)
  // Pounds per horsepower run the other way: at least so much power to weight is at most so many pounds.
  const words = unit.reciprocal
    ? { atMost: COMPARATOR.atLeast, atLeast: COMPARATOR.atMost, within: COMPARATOR.within }
    : COMPARATOR
  // Less mass and more power are what a new mark usually asks for.
  useEffect(() => {
    if (mark) return
    return subscribe({
      name: 'measure',
      formState: { values: true },
      callback: ({ values }) => setValue('comparator', values.measure === 'mass' ? 'atMost' : 'atLeast'),
    })
  }, [mark, subscribe, setValue])
  const submit = handleSubmit((record) => {
    const faults = save(
      mark
        ? `Change the mark on ${MEASURE[record.measure].toLowerCase()}`
        : `Set a mark on ${MEASURE[record.measure].toLowerCase()}`,
      [put(view, 'mark', record)],
    )
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onClose()
  })
  const remove = () => {
    save('Remove a mark', removalOf(view, 'mark', mark!.id))
    toast('Mark removed. Ctrl+Z brings it back.')
    onClose()
  }
  const band =
    comparator === 'within' && value && tolerance
      ? `±${formatQuantity(Math.abs(spreadFromSi(tolerance, unit, value)), { ...unit, factor: 1, offset: 0 } as typeof unit)}`
      : undefined
  return (
    <SideSheet open onClose={onClose} title={mark ? 'Change the mark' : 'Set a mark'}>
      <SheetForm
        onSubmit={submit}
        kept={kept}
        fault={fault}
        says="Save the mark"
        columns={1}
        after={
          mark && (
            <Button look="danger" onClick={remove}>
              Remove the mark
            </Button>
          )
        }
      >
        <p className="text-muted">For stage {stage.name}.</p>
        <FormSelect control={control} name="measure" label="Measure" options={optionsOf(MEASURE)} />
        <FormSelect control={control} name="comparator" label="It should be" options={optionsOf(words)} />
        <FormQuantity
          key={`${measure}-value`}
          control={control}
          name="value"
          label="This much"
          quantity={quantity}
          units={units}
        />
        {!unit.reciprocal && (
          <FormQuantity
            key={`${measure}-tolerance`}
            control={control}
            name="tolerance"
            label="Tolerance"
            quantity={quantity}
            units={units}
            hint={band ?? 'How far off still counts'}
          />
        )}
      </SheetForm>
    </SideSheet>
  )
}
