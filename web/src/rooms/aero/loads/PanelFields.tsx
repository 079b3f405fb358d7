import { SHEET } from '@bold-ballast/contract'
import { SHEET_NAMES } from '@bold-ballast/core'
import { useWatch, type UseFormSetValue } from 'react-hook-form'
import { useBuild } from '../../../store/useBuild'
import { Choose } from '../../../ui/Choose'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { NOTHING } from '../../../ui/record/nothing'
import { OptionalPart } from '../../../ui/record/OptionalPart'
import { useOpenForm } from '../../../ui/record/RecordFormContext'
import type { ElementForm } from './elementForm'

const { Field, Fields } = fieldsOf('aeroElement')

type Panel = NonNullable<ElementForm['panel']>
const blankPanel = (): Panel => ({
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
const blankStruts = (): NonNullable<Panel['struts']> => ({
  kind: 'strut',
  count: 2,
  outside: 0.008,
  wall: 0.0015,
  length: NOTHING,
  angle: Math.PI / 6,
  share: 0.5,
})

/** A usual sheet, or one of the build's own. */
function SheetChoice({ setValue }: { setValue: UseFormSetValue<ElementForm> }) {
  const { view } = useBuild()
  const { control } = useOpenForm()
  const [stockId, sheet] = useWatch({ control, name: ['panel.stockId', 'panel.sheet'] })
  return (
    <Choose
      label="Sheet"
      value={stockId ?? sheet ?? null}
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
  )
}

/** How a flat element is built and held: a sheet, its supports and shape, and its struts. */
export function PanelFields({ setValue }: { setValue: UseFormSetValue<ElementForm> }) {
  return (
    <OptionalPart name="panel" label="How it is built and held" blank={blankPanel}>
      <SheetChoice setValue={setValue} />
      <Field name="panel.thickness" />
      <Field name="panel.lay" isWide />
      <Fields
        names={[
          'panel.spanAlong',
          'panel.spanAcross',
          'panel.overhang',
          'panel.under',
          'panel.rearWidth',
          'panel.cornerRadius',
        ]}
      />
      <OptionalPart name="panel.struts" label="On struts or cables" blank={blankStruts}>
        <Fields
          names={[
            'panel.struts.kind',
            'panel.struts.count',
            'panel.struts.share',
            'panel.struts.outside',
            'panel.struts.wall',
            'panel.struts.length',
            'panel.struts.angle',
          ]}
        />
      </OptionalPart>
    </OptionalPart>
  )
}
