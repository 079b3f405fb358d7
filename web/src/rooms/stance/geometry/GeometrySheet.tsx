import { movedByCut } from '@bold-ballast/core'
import { useEffect, useRef } from 'react'
import { useWatch } from 'react-hook-form'
import { useBuild } from '../../../store/useBuild'
import { useCarried } from '../../../store/useCarried'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { NOTHING } from '../../../ui/record/nothing'
import { OptionalPart } from '../../../ui/record/OptionalPart'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useRecordForm } from '../../../ui/record/useRecordForm'
import { WhatMoves } from './WhatMoves'

const { Field, Fields } = fieldsOf('geometry')
const PLACE = ['x', 'y', 'z'] as const

/** Wheelbase, tracks, tank and seat from this stage on, and a shell that is cut at it. */
export function GeometrySheet({ onClose }: { onClose: () => void }) {
  const { stage, built, view } = useBuild()
  const { record: held, carriedFrom } = useCarried('geometry')
  // A cut belongs to the stage that made it: what is carried on has it behind it.
  const record = held && carriedFrom ? { ...held, cut: null } : held
  const form = useRecordForm('geometry', record, {
    blank: (id) => ({
      id,
      stageId: stage.id,
      wheelbase: built.wheelbase,
      trackFront: built.trackFront,
      trackRear: built.trackRear,
      tank: view.build.tank,
      seat: view.build.seat,
      cut: null,
      note: '',
    }),
    says: () => 'Change the geometry',
    onSaved: onClose,
  })
  const { control, setValue, getValues } = form
  const cut = useWatch({ control, name: 'cut' })
  const at = cut?.at
  const by = cut?.by
  // What the cut itself does is filled in, and can be typed over.
  const undone = (x: number) => (record?.cut && x > record.cut.at - record.cut.by ? x + record.cut.by : x)
  const before = useRef({
    wheelbase: undone(getValues('wheelbase')),
    tank: undone(getValues('tank.x')),
    seat: undone(getValues('seat.x')),
  })
  const filled = useRef(record?.cut ? `${record.cut.at} ${record.cut.by}` : '')
  useEffect(() => {
    const key = `${at} ${by}`
    if (at === undefined || by === undefined || !Number.isFinite(at) || !Number.isFinite(by)) return
    if (filled.current === key) return
    filled.current = key
    const { wheelbase, tank, seat } = before.current
    const moved = { at, by }
    setValue('wheelbase', movedByCut(wheelbase, moved), { shouldDirty: true })
    setValue('tank.x', movedByCut(tank, moved), { shouldDirty: true })
    setValue('seat.x', movedByCut(seat, moved), { shouldDirty: true })
  }, [at, by, setValue])
  return (
    <RecordSheet
      form={form}
      title="Geometry"
      says="Save the geometry"
      carriedFrom={carriedFrom}
      before={
        <p className="mb-3 text-[13.5px] text-muted">
          It holds from {stage.name} on. Earlier stages, and what was signed, keep theirs.
        </p>
      }
      onClose={onClose}
    >
      <OptionalPart
        name="cut"
        label="The shell was cut at this stage"
        blank={() => ({ at: NOTHING, by: NOTHING, behind: null })}
      >
        <Fields names={['cut.at', 'cut.by', 'cut.behind']} />
        {cut && at !== undefined && by !== undefined && Number.isFinite(at) && Number.isFinite(by) && (
          <WhatMoves at={at} by={by} />
        )}
      </OptionalPart>
      <Fields names={['wheelbase', 'trackFront', 'trackRear']} />
      <span />
      {(['tank', 'seat'] as const).map((thing) => (
        <fieldset
          key={thing}
          className="col-span-2 grid grid-cols-3 items-start gap-3 border-t border-line pt-2"
        >
          <legend className="mb-1 pr-2 text-[16px]">
            {thing === 'tank' ? 'Tank' : 'Driver in the seat'}
          </legend>
          {PLACE.map((axis) => (
            <Field key={axis} name={`${thing}.${axis}`} />
          ))}
        </fieldset>
      ))}
      <Field name="note" />
    </RecordSheet>
  )
}
