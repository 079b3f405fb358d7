import { SHEET } from '@bold-ballast/contract'
import { SHEET_NAMES } from '@bold-ballast/core'
import { useEffect, useRef } from 'react'
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

/** Thicker than what holds a splitter; tubes begin about here (common practice). */
const THICKEST_CABLE = 0.006
const USUAL_CABLE = 0.003

/** Struts have a tube and its wall, cables a thickness; a tube that becomes a cable isn't a cable of 8 mm. */
function StrutFields({ setValue }: { setValue: UseFormSetValue<ElementForm> }) {
  const { control } = useOpenForm()
  const [kind, outside] = useWatch({ control, name: ['panel.struts.kind', 'panel.struts.outside'] })
  const isCable = kind === 'cable'
  const before = useRef(kind)
  useEffect(() => {
    if (before.current !== kind) {
      const { outside: tube, wall } = blankStruts()
      const set = (to: number) => setValue('panel.struts.outside', to, { shouldDirty: true })
      if (kind === 'cable' && !(outside <= THICKEST_CABLE)) set(USUAL_CABLE)
      if (kind === 'strut' && !(outside > THICKEST_CABLE)) {
        set(tube)
        setValue('panel.struts.wall', wall, { shouldDirty: true })
      }
    }
    before.current = kind
  }, [kind, outside, setValue])
  return (
    <>
      <Field name="panel.struts.kind" />
      <Field name="panel.struts.count" {...(isCable && { label: 'Cables' })} />
      <Field name="panel.struts.share" />
      <Field name="panel.struts.outside" {...(isCable && { label: 'Cable, thickness' })} />
      {!isCable && <Field name="panel.struts.wall" />}
      <Field name="panel.struts.length" {...(isCable && { label: 'Cable, length' })} />
      <Field name="panel.struts.angle" />
    </>
  )
}

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
        <StrutFields setValue={setValue} />
      </OptionalPart>
    </OptionalPart>
  )
}
