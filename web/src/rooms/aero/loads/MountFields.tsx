import { SPAR_METALS } from '@bold-ballast/core'
import { useWatch } from 'react-hook-form'
import { useBuild } from '../../../store/useBuild'
import { FormCheck, FormQuantities, FormSelect } from '../../../ui/form'
import { FormNumber } from '../../../ui/FormNumber'
import { Tick } from '../../../ui/Tick'
import { SPAR } from '@bold-ballast/contract'
import { NOTHING } from '../../../ui/record/nothing'
import { type ElementForm, type FieldsProps } from './elementForm'

const blankMount = (): NonNullable<ElementForm['mount']> => ({
  on: 'chassis',
  retention: true,
  uprights: 2,
  height: NOTHING,
  width: NOTHING,
  thickness: NOTHING,
  bolts: 4,
  boltDiameter: 0.008,
  boltSpacing: NOTHING,
  topBolts: 2,
  topBoltDiameter: 0.006,
  spar: null,
  footing: null,
})
const blankSpar = (): NonNullable<NonNullable<ElementForm['mount']>['spar']> => ({
  metal: 'aluminium',
  outside: 0.03,
  wall: 0.002,
  apart: NOTHING,
  behind: 0.03,
})
const blankFooting = (): NonNullable<NonNullable<ElementForm['mount']>['footing']> => ({
  sheet: 'steel',
  thickness: 0.0008,
  spanAlong: NOTHING,
  spanAcross: NOTHING,
  plateRadius: 0.04,
})

/** How a wing stands: its uprights and bolts, the tube inside it, and what its feet stand on. */
export function MountFields({ control, setValue }: FieldsProps) {
  const { units } = useBuild()
  const mount = useWatch({ control, name: 'mount' })
  return (
    <>
      <Tick
        ruled
        label="How it stands"
        on={Boolean(mount)}
        onChange={(on) => setValue('mount', on ? blankMount() : null, { shouldDirty: true })}
      />
      {mount && (
        <>
          <FormSelect
            control={control}
            name="mount.on"
            label="It stands on"
            options={[
              ['chassis', 'the chassis'],
              ['lid', 'the lid'],
            ]}
          />
          <div className="self-end pb-1">
            <FormCheck control={control} name="mount.retention" label="Held a second way" />
          </div>
          <FormNumber control={control} name="mount.uprights" label="Uprights" />
          <FormNumber control={control} name="mount.bolts" label="Bolts at each foot" />
          <FormQuantities
            control={control}
            units={units}
            fields={[
              ['mount.height', 'Upright, height', 'length'],
              ['mount.width', 'Along the car', 'length'],
              ['mount.thickness', 'Plate', 'length', { unitSymbol: 'mm' }],
              ['mount.boltDiameter', 'Bolts', 'length', { unitSymbol: 'mm' }],
              ['mount.boltSpacing', 'Outer bolts apart', 'length'],
            ]}
          />
          <span />
          <FormNumber control={control} name="mount.topBolts" label="Bolts at the wing, each" />
          <FormQuantities
            control={control}
            units={units}
            fields={[['mount.topBoltDiameter', 'Their size', 'length', { unitSymbol: 'mm' }]]}
          />
          <Tick
            ruled
            label="A tube inside carries the wing"
            on={Boolean(mount.spar)}
            onChange={(on) => setValue('mount.spar', on ? blankSpar() : null, { shouldDirty: true })}
          />
          {mount.spar && (
            <>
              <FormSelect
                control={control}
                name="mount.spar.metal"
                label="It is"
                options={SPAR_METALS.map((m) => [m, SPAR[m]])}
              />
              <FormQuantities
                control={control}
                units={units}
                fields={[
                  ['mount.spar.outside', 'Spar, outside', 'length', { unitSymbol: 'mm' }],
                  ['mount.spar.wall', 'Spar, wall', 'length', { unitSymbol: 'mm' }],
                  ['mount.spar.apart', 'Uprights apart', 'length'],
                  ['mount.spar.behind', 'Behind the load', 'length', { hint: 'A quarter chord is loaded' }],
                ]}
              />
              <span />
            </>
          )}
          <Tick
            ruled
            label="What the feet stand on"
            on={Boolean(mount.footing)}
            onChange={(on) => setValue('mount.footing', on ? blankFooting() : null, { shouldDirty: true })}
          />
          {mount.footing && (
            <>
              <FormSelect
                control={control}
                name="mount.footing.sheet"
                label="Sheet under the foot"
                options={[
                  ['steel', 'body steel'],
                  ['aluminium', 'body aluminium'],
                  ['carbon', 'carbon'],
                ]}
              />
              <FormQuantities
                control={control}
                units={units}
                fields={[
                  ['mount.footing.thickness', 'Its thickness', 'length', { unitSymbol: 'mm' }],
                  ['mount.footing.spanAlong', 'Free field, along', 'length'],
                  ['mount.footing.spanAcross', 'Free field, across', 'length'],
                  ['mount.footing.plateRadius', 'Backing plate, radius', 'length', { unitSymbol: 'mm' }],
                ]}
              />
              <span />
            </>
          )}
        </>
      )}
    </>
  )
}
