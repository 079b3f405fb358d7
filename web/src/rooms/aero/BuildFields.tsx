import type { RecordOf } from '@bold-ballast/contract'
import { LAYS, SHEET_NAMES, type ElementKind } from '@bold-ballast/core'
import { useWatch, type Control, type UseFormSetValue } from 'react-hook-form'
import { useBuild } from '../../store/useBuild'
import { FormCheck, FormQuantities, FormSelect } from '../../ui/form'
import { FormNumber } from '../../ui/FormNumber'
import { Tick } from '../../ui/Tick'
import { LAY, SHEET } from '../../words/names'

type ElementForm = RecordOf<'aeroElement'>
const NOTHING = undefined as unknown as number
const blankPanel = (): NonNullable<ElementForm['panel']> => ({
  ...{ sheet: 'plywood', thickness: 0.012, lay: 'strong', spanAlong: NOTHING, spanAcross: NOTHING },
  ...{ overhang: 0, struts: null },
})
const blankStruts = (): NonNullable<NonNullable<ElementForm['panel']>['struts']> => ({
  ...{ count: 2, outside: 0.008, wall: 0.0015, length: NOTHING, angle: Math.PI / 6, share: 0.5 },
})
const blankMount = (): NonNullable<ElementForm['mount']> => ({
  ...{ on: 'chassis', retention: true, uprights: 2, height: NOTHING, width: NOTHING, thickness: NOTHING },
  ...{ bolts: 4, boltDiameter: 0.008, boltSpacing: NOTHING },
})

/** How an element is built and held: a sheet with its supports and struts, or the uprights of a wing. */
export function BuildFields({
  control,
  setValue,
  kind,
}: {
  control: Control<ElementForm>
  setValue: UseFormSetValue<ElementForm>
  kind: ElementKind
}) {
  const { units } = useBuild()
  const [panel, mount] = useWatch({ control, name: ['panel', 'mount'] })
  if (kind === 'body') return null
  if (kind === 'wing')
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
          </>
        )}
      </>
    )
  return (
    <>
      <Tick
        ruled
        label="How it is built and held"
        on={Boolean(panel)}
        onChange={(on) => setValue('panel', on ? blankPanel() : null, { shouldDirty: true })}
      />
      {panel && (
        <>
          <FormSelect
            control={control}
            name="panel.sheet"
            label="Sheet"
            options={SHEET_NAMES.map((s) => [s, SHEET[s]])}
          />
          <FormQuantities
            control={control}
            units={units}
            fields={[['panel.thickness', 'Thickness', 'length', { unitSymbol: 'mm' }]]}
          />
          <div className="col-span-2">
            <FormSelect
              control={control}
              name="panel.lay"
              label="It lies"
              options={LAYS.map((l) => [l, LAY[l]])}
            />
          </div>
          <FormQuantities
            control={control}
            units={units}
            fields={[
              ['panel.spanAlong', 'Supports apart, along', 'length'],
              ['panel.spanAcross', 'Supports apart, across', 'length'],
              ['panel.overhang', 'Lip beyond the last', 'length'],
            ]}
          />
          <span />
          <Tick
            ruled
            label="On struts or cables"
            on={Boolean(panel.struts)}
            onChange={(on) => setValue('panel.struts', on ? blankStruts() : null, { shouldDirty: true })}
          />
          {panel.struts && (
            <>
              <FormNumber control={control} name="panel.struts.count" label="Struts" />
              <FormQuantities
                control={control}
                units={units}
                fields={[
                  ['panel.struts.share', 'They carry', 'share', { hint: 'The body holds the rest' }],
                  ['panel.struts.outside', 'Tube, outside', 'length', { unitSymbol: 'mm' }],
                  [
                    'panel.struts.wall',
                    'Wall',
                    'length',
                    { unitSymbol: 'mm', hint: 'Half the outside for a rod' },
                  ],
                  ['panel.struts.length', 'Strut, length', 'length'],
                  ['panel.struts.angle', 'From the vertical', 'angle'],
                ]}
              />
            </>
          )}
        </>
      )}
    </>
  )
}
