import { MEASURE, type Mark, type RecordOf } from '@bold-ballast/contract'
import { formatQuantity, MEASURE_KINDS, PLACE_MEASURES, spreadFromSi } from '@bold-ballast/core'
import { testOfMark } from '@bold-ballast/model'
import { comparatorWords, describeMarkTest, unitOfMeasure } from '@bold-ballast/words'
import { useEffect } from 'react'
import { useWatch } from 'react-hook-form'
import { useBuild } from '../../../store/useBuild'
import { useLiveCar } from '../../../store/useCar'
import { useReadMark } from '../../../store/useReadMark'
import { Button } from '../../../ui/Button'
import { MayOnly } from '../../../ui/MayOnly'
import { Choose } from '../../../ui/Choose'
import { FormQuantities } from '../../../ui/form'
import { FormNumber } from '../../../ui/FormNumber'
import { optionsOf } from '../../../ui/optionsOf'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useRecordForm } from '../../../ui/record/useRecordForm'

const { Field } = fieldsOf('mark')

const blank = (stageId: string) => (id: string) => ({
  id,
  stageId,
  measure: 'mass' as const,
  comparator: 'atMost' as const,
  tolerance: 0,
  weight: 1,
  conditionId: null,
  gear: null,
  place: '',
  part: '',
  speed: null,
})

/** What another measure was asked for doesn't stay with this one. */
function forItsMeasure(typed: RecordOf<'mark'>): RecordOf<'mark'> {
  const { need } = MEASURE_KINDS[typed.measure]
  return {
    ...typed,
    gear: need === 'gear' ? typed.gear : null,
    speed: need === 'speed' ? typed.speed : null,
    conditionId: need === 'condition' ? typed.conditionId : null,
    place: PLACE_MEASURES.has(typed.measure) ? typed.place : '',
    part: need === 'part' ? typed.part.trim() : '',
  }
}

/** Set, change or take away a mark. */
export function MarkSheet({ mark, onClose }: { mark: Mark | null; onClose: () => void }) {
  const { view, stage, units, removeSaying } = useBuild()
  const form = useRecordForm('mark', mark?.id ?? null, {
    blank: blank(stage.id),
    completed: forItsMeasure,
    refused: ({ measure, speed }) =>
      MEASURE_KINDS[measure].need === 'speed' && speed === null
        ? { field: 'speed', problem: 'Say at which speed.' }
        : null,
    says: ({ measure }, isNew) =>
      `${isNew ? 'Set a' : 'Change the'} mark on ${MEASURE[measure].toLowerCase()}`,
    onSaved: onClose,
  })
  const { control, setValue, subscribe } = form
  const typed = useWatch({ control })
  const { measure = 'mass', comparator = 'atMost', value, tolerance, conditionId } = typed
  const { quantity, need } = MEASURE_KINDS[measure]
  const unit = unitOfMeasure(measure, units, view.build.currency)
  const words = comparatorWords(unit)
  // Less mass and more power are what a new mark usually asks for.
  useEffect(() => {
    if (mark) return
    return subscribe({
      name: 'measure',
      formState: { values: true },
      callback: ({ values }) => setValue('comparator', MEASURE_KINDS[values.measure].usually),
    })
  }, [mark, subscribe, setValue])
  const remove = ({ id }: Mark) => {
    removeSaying('mark', id, 'a mark', 'Mark removed.')
    onClose()
  }
  const band =
    comparator === 'within' && value && tolerance
      ? `±${formatQuantity(Math.abs(spreadFromSi(tolerance, unit, value)), { ...unit, factor: 1, offset: 0 } as typeof unit)}`
      : undefined
  return (
    <RecordSheet
      form={form}
      title={mark ? 'Change the mark' : 'Set a mark'}
      says="Save the mark"
      onClose={onClose}
      after={
        mark && (
          <MayOnly right="plan">
            <Button look="danger" className="col-span-2" onClick={() => remove(mark)}>
              Remove the mark
            </Button>
          </MayOnly>
        )
      }
    >
      <p className="col-span-2 text-muted">For stage {stage.name}.</p>
      <Field name="measure" isWide />
      <Field name="comparator" isWide options={optionsOf(words)} />
      {need === 'speed' && <Field name="speed" isWide />}
      {need === 'gear' && <Field name="gear" isWide />}
      {need === 'condition' && view.conditions.length > 0 && (
        <div className="col-span-2">
          <Choose
            label="In the condition"
            value={conditionId ?? null}
            options={[
              ['', 'the build’s own'],
              ...[...view.conditions].sort((a, b) => a.order - b.order).map((c) => [c.id, c.name] as const),
            ]}
            onChange={(id) => setValue('conditionId', id, { shouldDirty: true })}
          />
        </div>
      )}
      {need === 'part' && <Field name="part" isWide />}
      {PLACE_MEASURES.has(measure) && <Field name="place" isWide />}
      <div className="col-span-2">
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
      </div>
      {quantity && !unit.reciprocal && (
        <div className="col-span-2">
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
        </div>
      )}
      <TestOfTyped typed={typed} />
      <Field name="weight" isWide />
    </RecordSheet>
  )
}

/** What it would take to show what is being typed, before anybody measures it. */
function TestOfTyped({ typed }: { typed: Partial<Mark> }) {
  const { view, units } = useBuild()
  const car = useLiveCar()
  const read = useReadMark()
  const { measure, comparator, value } = typed
  if (!measure || !comparator || !value || value <= 0) return null
  const mark = { conditionId: null, gear: null, place: '', part: '', speed: null, ...typed } as Mark
  const asked = { ...mark, tolerance: mark.tolerance > 0 ? mark.tolerance : 0 }
  const test = testOfMark(view, car, asked, read(asked))
  if (!test) return null
  return (
    <p className="col-span-2 text-[13.5px] text-muted" data-testid="test-of-mark">
      {describeMarkTest(test, asked, unitOfMeasure(measure, units, view.build.currency))}
    </p>
  )
}
