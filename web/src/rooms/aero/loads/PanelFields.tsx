import { LAYS, SHEET_NAMES } from '@bold-ballast/core'
import { useWatch } from 'react-hook-form'
import { useBuild } from '../../../store/useBuild'
import { Choose } from '../../../ui/Choose'
import { FormNumber } from '../../../ui/FormNumber'
import { FormQuantities, FormSelect } from '../../../ui/form'
import { Tick } from '../../../ui/Tick'
import { LAY, SHEET } from '@bold-ballast/contract'
import { NOTHING } from '../../../ui/record/nothing'
import { type ElementForm, type FieldsProps } from './elementForm'

const blankPanel = (): NonNullable<ElementForm['panel']> => ({
  sheet: 'plywood',
  thickness: 0.012,
  lay: 'strong',
  spanAlong: NOTHING,
  spanAcross: NOTHING,
  stockId: null,
  overhang: 0,
  under: 0,
  rearWidth: null,
  cornerRadius: 0,
  struts: null,
})
const blankStruts = (): NonNullable<NonNullable<ElementForm['panel']>['struts']> => ({
  kind: 'strut',
  count: 2,
  outside: 0.008,
  wall: 0.0015,
  length: NOTHING,
  angle: Math.PI / 6,
  share: 0.5,
})

/** How a flat element is built and held: a sheet, its supports and shape, and its struts. */
export function PanelFields({ control, setValue }: FieldsProps) {
  const { units, view } = useBuild()
  const panel = useWatch({ control, name: 'panel' })
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
          <Choose
            label="Sheet"
            value={panel.stockId ?? panel.sheet ?? null}
            options={[
              ...view.sheetStocks.map((s) => [s.id, s.name] as const),
              ...SHEET_NAMES.map((s) => [s, SHEET[s]] as const),
            ]}
            onChange={(key) => {
              const usual = SHEET_NAMES.find((s) => s === key)
              if (usual) setValue('panel.sheet', usual, { shouldDirty: true })
              setValue('panel.stockId', usual ? null : key, { shouldDirty: true })
            }}
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
              ['panel.under', 'Hidden under the bumper', 'length', { hint: '0 for none' }],
              ['panel.rearWidth', 'Width at its back', 'length', { hint: 'Empty for the same' }],
              ['panel.cornerRadius', 'Front corners, radius', 'length', { hint: '0 for square' }],
            ]}
          />
          <Tick
            ruled
            label="On struts or cables"
            on={Boolean(panel.struts)}
            onChange={(on) => setValue('panel.struts', on ? blankStruts() : null, { shouldDirty: true })}
          />
          {panel.struts && (
            <>
              <FormSelect
                control={control}
                name="panel.struts.kind"
                label="They are"
                options={[
                  ['strut', 'struts of steel tube'],
                  ['cable', 'cables, 7 × 7 stainless'],
                ]}
              />
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
