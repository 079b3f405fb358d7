import {
  RECORDS,
  removalOf,
  withoutVersion,
  type Mark,
  COMPARATOR,
  MEASURE,
  putEdit,
} from '@bold-ballast/contract'
import { formatQuantity, MEASURE_KINDS, spreadFromSi } from '@bold-ballast/core'
import { zodResolver } from '@hookform/resolvers/zod'
import { useEffect, useState } from 'react'
import { useWatch, type DefaultValues } from 'react-hook-form'
import { toast } from 'sonner'
import { useBuild } from '../../store/useBuild'
import { Button } from '../../ui/Button'
import { Choose } from '../../ui/Choose'
import { FormQuantities, FormQuantity, FormSelect, FormText } from '../../ui/form'
import { FormNumber } from '../../ui/FormNumber'
import { SheetForm } from '../../ui/SheetForm'
import { SideSheet } from '../../ui/SideSheet'
import { useKeptForm } from '../../ui/useKeptForm'
import { unitOfMeasure } from '@bold-ballast/words'
import { optionsOf } from '../../ui/optionsOf'

type MarkForm = Omit<Mark, 'version'>

/** Set, change or take away a mark. */
export function MarkSheet({ mark, onClose }: { mark: Mark | null; onClose: () => void }) {
  const { view, stage, units, save } = useBuild()
  const start: DefaultValues<MarkForm> = mark
    ? withoutVersion(mark)
    : {
        id: crypto.randomUUID(),
        stageId: stage.id,
        measure: 'mass',
        comparator: 'atMost',
        tolerance: 0,
        weight: 1,
        conditionId: null,
        gear: null,
        place: '',
        speed: null,
      }
  const { control, handleSubmit, setValue, subscribe, kept } = useKeptForm<MarkForm>(
    `mark.${mark?.id ?? stage.id}`,
    {
      resolver: zodResolver(RECORDS.mark),
      defaultValues: start,
    },
  )
  const [fault, setFault] = useState<string | null>(null)
  const { measure = 'mass', comparator = 'atMost', value, tolerance, conditionId } = useWatch({ control })
  const { quantity, need } = MEASURE_KINDS[measure]
  const unit = unitOfMeasure(measure, units, view.build.currency)
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
      callback: ({ values }) => setValue('comparator', MEASURE_KINDS[values.measure].usually),
    })
  }, [mark, subscribe, setValue])
  const submit = handleSubmit((typed) => {
    const { need: needs } = MEASURE_KINDS[typed.measure]
    // What another measure was asked for doesn't stay with this one.
    const record = {
      ...typed,
      gear: needs === 'gear' ? typed.gear : null,
      speed: needs === 'speed' ? typed.speed : null,
      conditionId: needs === 'condition' ? typed.conditionId : null,
      place: typed.measure === 'lapTime' ? typed.place : '',
    }
    if (needs === 'speed' && record.speed === null) return setFault('Say at which speed.')
    const faults = save(
      mark
        ? `Change the mark on ${MEASURE[record.measure].toLowerCase()}`
        : `Set a mark on ${MEASURE[record.measure].toLowerCase()}`,
      [putEdit(view, 'mark', record)],
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
        {need === 'speed' && (
          <FormQuantity control={control} name="speed" label="At" quantity="velocity" units={units} />
        )}
        {need === 'gear' && (
          <FormNumber control={control} name="gear" label="In gear" hint="Empty for whichever is best" />
        )}
        {need === 'condition' && view.conditions.length > 0 && (
          <Choose
            label="In the condition"
            value={conditionId ?? null}
            options={[
              ['', 'the build’s own'],
              ...[...view.conditions].sort((a, b) => a.order - b.order).map((c) => [c.id, c.name] as const),
            ]}
            onChange={(id) => setValue('conditionId', id, { shouldDirty: true })}
          />
        )}
        {measure === 'lapTime' && (
          <FormText
            control={control}
            name="place"
            label="Where"
            hint="Words of the day’s name; empty for any"
          />
        )}
        {quantity ? (
          <FormQuantities
            key={`${measure}-value`}
            control={control}
            units={units}
            fields={[['value', 'This much', quantity, { unitSymbol: unit.symbol }]]}
          />
        ) : (
          <FormNumber
            key={`${measure}-value`}
            control={control}
            name="value"
            label={unit.symbol ? `This much, ${unit.symbol}` : 'This many'}
          />
        )}
        {quantity && !unit.reciprocal && (
          <FormQuantities
            key={`${measure}-tolerance`}
            control={control}
            units={units}
            fields={[
              [
                'tolerance',
                'Tolerance',
                quantity,
                { unitSymbol: unit.symbol, hint: band ?? 'How far off still counts' },
              ],
            ]}
          />
        )}
        <FormNumber
          control={control}
          name="weight"
          label="It counts"
          hint="1 like most, 3 for what matters most"
        />
      </SheetForm>
    </SideSheet>
  )
}
