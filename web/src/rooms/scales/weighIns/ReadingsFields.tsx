import { CORNER_WORDS, METHOD, type WeighIn } from '@bold-ballast/contract'
import { CORNERS, type Corner, type UnitPreferences, type WeighMethod, itemAt } from '@bold-ballast/core'
import { useWatch, type Control, type UseFormSetValue } from 'react-hook-form'
import { FormQuantity } from '../../../ui/form'
import { NOTHING } from '../../../ui/record/nothing'
import { optionsOf } from '../../../ui/optionsOf'

export type WeighInForm = Omit<WeighIn, 'version'>
type Readings = WeighIn['readings']

/** Readings of a method with nothing typed yet; what stood on the pads is kept from four pads to two. */
export function emptyReadings(method: WeighMethod, before?: Partial<Readings>): Readings {
  const empty = (block?: Corner): Record<Corner, number> => {
    const nothing = { frontLeft: NOTHING, frontRight: NOTHING, rearLeft: NOTHING, rearRight: NOTHING }
    return block ? { ...nothing, [block]: 0 } : nothing
  }
  const corners = before && 'corners' in before && before.corners ? before.corners : empty()
  switch (method) {
    case 'fourPads':
    case 'twoPads':
      return { method, corners }
    case 'threePads':
      return {
        method,
        placements: [
          { block: 'rearRight', corners: empty('rearRight') },
          { block: 'frontLeft', corners: empty('frontLeft') },
        ],
      }
    case 'axles':
      return { method, front: NOTHING, rear: NOTHING }
  }
}

const GUIDE: Record<WeighMethod, readonly string[]> = {
  fourPads: ['Level pads, tyres at running pressure, bars disconnected, settled. Chock the wheels.'],
  threePads: [
    'Three pads under three wheels, a block as high as a pad under the fourth. Settle, read.',
    'Roll off, move the block to another corner, settle, read again. Two corners are read twice: that shows how well it repeats.',
  ],
  twoPads: [
    'Front wheels on the pads, rear wheels on blocks as high as the pads. Settle, read.',
    'Roll off, swap pads and blocks, settle, read the rear.',
  ],
  axles: ['One axle on the bridge at a time, or both readings from its slip, on level ground.'],
}

/** How the car was weighed, and what was read; each way with its own steps and fields. */
export function ReadingsFields({
  control,
  setValue,
  units,
}: {
  control: Control<WeighInForm>
  setValue: UseFormSetValue<WeighInForm>
  units: UnitPreferences
}) {
  const readings = useWatch({ control, name: 'readings' }) as Readings
  const { method } = readings
  const pad = (name: string, label: string) => (
    <FormQuantity
      key={name}
      control={control}
      name={name as 'readings.corners.frontLeft'}
      label={label}
      quantity="mass"
      units={units}
    />
  )
  const step = (text: string, i: number) => (
    <p key={text} className="col-span-2 text-[13px] text-muted">
      {GUIDE[method].length > 1 && <b className="text-ink">{i + 1}. </b>}
      {text}
    </p>
  )
  const block = (i: 0 | 1) => (
    <label className="flex flex-col gap-1 text-[13px] text-muted">
      {i === 0 ? 'The block stands at' : 'Now the block stands at'}
      <select
        className="rounded-[3px] border border-edge bg-panel px-2 py-1 text-[14px] text-ink"
        value={readings.method === 'threePads' ? readings.placements[i].block : ''}
        onChange={(e) => {
          const corner = e.target.value as Corner
          setValue(`readings.placements.${i}.block`, corner)
          setValue(`readings.placements.${i}.corners.${corner}`, 0)
        }}
      >
        {optionsOf(CORNER_WORDS).map(([value, words]) => (
          <option key={value} value={value}>
            {words.toLowerCase()}
          </option>
        ))}
      </select>
    </label>
  )
  return (
    <>
      <label className="col-span-2 flex flex-col gap-1 text-[13px] text-muted">
        Weighed on
        <select
          className="rounded-[3px] border border-edge bg-panel px-2 py-1 text-[14px] text-ink"
          value={method}
          onChange={(e) =>
            setValue('readings', emptyReadings(e.target.value as WeighMethod, readings), {
              shouldDirty: true,
            })
          }
        >
          {optionsOf(METHOD).map(([value, words]) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </select>
      </label>
      <div data-start className="contents">
        {(method === 'fourPads' || method === 'axles') && step(itemAt(GUIDE[method], 0), 0)}
        {method === 'fourPads' && CORNERS.map((c) => pad(`readings.corners.${c}`, CORNER_WORDS[c]))}
        {method === 'twoPads' && (
          <>
            {step(itemAt(GUIDE.twoPads, 0), 0)}
            {CORNERS.slice(0, 2).map((c) => pad(`readings.corners.${c}`, CORNER_WORDS[c]))}
            {step(itemAt(GUIDE.twoPads, 1), 1)}
            {CORNERS.slice(2).map((c) => pad(`readings.corners.${c}`, CORNER_WORDS[c]))}
          </>
        )}
        {readings.method === 'threePads' &&
          ([0, 1] as const).map((i) => (
            <div key={i} className="col-span-2 grid grid-cols-2 gap-3">
              {step(itemAt(GUIDE.threePads, i), i)}
              {block(i)}
              {CORNERS.filter((c) => c !== readings.placements[i].block).map((c) =>
                pad(`readings.placements.${i}.corners.${c}`, CORNER_WORDS[c]),
              )}
            </div>
          ))}
        {method === 'axles' && (
          <>
            {pad('readings.front', 'Front axle')}
            {pad('readings.rear', 'Rear axle')}
          </>
        )}
      </div>
    </>
  )
}
