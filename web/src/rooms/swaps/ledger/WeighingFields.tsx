import type { Line, RecordOf } from '@bold-ballast/contract'
import { formatKnown, formatQuantity, weighPart, type UnitPreferences } from '@bold-ballast/core'
import { useEffect } from 'react'
import { useWatch, type Control, type FieldValues, type UseFormSetValue } from 'react-hook-form'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { useInstruments } from '../../../store/useInstruments'
import { InstrumentField } from '../../../ui/InstrumentField'
import { FormQuantity } from '../../../ui/form'
import { FormNumber } from '../../../ui/FormNumber'
import { NOTHING } from '../../../ui/record/nothing'

export type LineForm = RecordOf<'line'> & FieldValues
/** What parts are weighed on; a pad does, too. */
const PART_SCALES = ['partScale', 'pads'] as const

/** A weighing to start from: the scale that was used last. */
export function freshWeighing(lines: readonly Line[]): NonNullable<Line['weighing']> {
  const last = lines.findLast((l) => l.weighing)?.weighing
  return {
    readings: [NOTHING],
    tare: 0,
    resolution: last?.resolution ?? 0.05,
    bias: last?.bias ?? 0.005,
    scale: last?.scale ?? 'Bench scale',
    pieces: 1,
    together: null,
  }
}

/** How a part was weighed: scale, tare, readings; its mass and uncertainty follow. */
export function WeighingFields({
  control,
  setValue,
  units,
}: {
  control: Control<LineForm>
  setValue: UseFormSetValue<LineForm>
  units: UnitPreferences
}) {
  const { view, unit } = useBuild()
  const scales = useInstruments(PART_SCALES)
  const weighing = useWatch({ control, name: 'weighing' })
  const mass = unit('mass')
  const typed = weighing?.readings.filter((r) => typeof r === 'number' && r > 0) ?? []
  let result: ReturnType<typeof weighPart> | null = null
  let problem: string | null = null
  if (weighing && weighing.together === null && typed.length > 0) {
    try {
      result = weighPart({ ...weighing, readings: typed })
    } catch (error) {
      problem = (error as Error).message
    }
  }
  const [value, sigma, grade] = [result?.each.value, result?.each.sigma, result?.each.grade]
  useEffect(() => {
    if (value === undefined || sigma === undefined || grade === undefined) return
    setValue('mass', value)
    setValue('sigma', sigma)
    setValue('grade', grade)
  }, [value, sigma, grade, setValue])

  if (!weighing) {
    return (
      <Button className="col-span-2" onClick={() => setValue('weighing', freshWeighing(view.lines))}>
        Weigh it: scale, tare, readings
      </Button>
    )
  }
  if (weighing.together !== null) {
    const others = view.lines.filter((l) => l.weighing?.together === weighing.together)
    return (
      <p className="col-span-2 rounded-[3px] border border-line p-3 text-[13.5px]">
        Weighed together with {others.length - 1} other {others.length === 2 ? 'line' : 'lines'} on{' '}
        {weighing.scale || 'a scale'} and shared out.{' '}
        <Button look="quiet" className="!px-0" onClick={() => setValue('weighing', null)}>
          Forget that weighing
        </Button>
      </p>
    )
  }
  const shown = result && formatKnown(result.each.value, result.each.sigma, mass)
  return (
    <fieldset className="col-span-2 grid grid-cols-2 gap-3 rounded-[3px] border border-line p-3">
      <legend className="px-1 text-[13px] text-muted">On the scale</legend>
      {weighing.readings.map((_, i) => (
        <div key={i} className="col-span-2 grid grid-cols-[1fr_auto] items-end gap-2">
          <FormQuantity
            control={control}
            name={`weighing.readings.${i}`}
            label={`Reading ${i + 1}`}
            quantity="mass"
            units={units}
          />
          <Button
            look="quiet"
            disabled={weighing.readings.length === 1}
            onClick={() =>
              setValue(
                'weighing.readings',
                weighing.readings.filter((_r, k) => k !== i),
              )
            }
          >
            Remove<span className="sr-only"> reading {i + 1}</span>
          </Button>
        </div>
      ))}
      <Button
        className="col-span-2"
        disabled={weighing.readings.length >= 20}
        onClick={() => setValue('weighing.readings', [...weighing.readings, NOTHING])}
      >
        Take it off, put it on, read again
      </Button>
      <FormQuantity
        control={control}
        name="weighing.tare"
        label="Tare: box or strap"
        quantity="mass"
        units={units}
      />
      <FormNumber control={control} name="weighing.pieces" label="Pieces on it at once" />
      <InstrumentField
        label="Scale"
        choice={scales}
        value={weighing.scale}
        onChoose={(name, known) => {
          setValue('weighing.scale', name, { shouldDirty: true })
          if (!known) return
          if (known.resolution !== null)
            setValue('weighing.resolution', known.resolution, { shouldDirty: true })
          setValue('weighing.bias', known.ownError, { shouldDirty: true })
        }}
      />
      <FormQuantity
        control={control}
        name="weighing.resolution"
        label="Its step"
        quantity="mass"
        units={units}
      />
      <FormQuantity
        control={control}
        name="weighing.bias"
        label="Its own error, ±"
        quantity="share"
        units={units}
        hint="0.5 % is usual; no repeat shows it"
      />
      <Button look="quiet" className="self-end !justify-end" onClick={() => setValue('weighing', null)}>
        Forget the weighing
      </Button>
      <p
        aria-live="polite"
        data-testid="live-part"
        className="col-span-2 border-t border-dashed border-edge pt-2"
      >
        {problem ? (
          <span className="text-oxide">{problem}</span>
        ) : (
          <>
            One piece weighs{' '}
            <b className="figure text-[18px]">
              {shown ? `${shown.figure} ±${shown.spread} ${shown.unit}` : '–'}
            </b>
            {result &&
              result.spread !== null &&
              `, readings within ${formatQuantity(result.spread, mass, 3)}`}
            {result && `, ${result.each.grade}`}
          </>
        )}
      </p>
    </fieldset>
  )
}
