import { useId, useState } from 'react'
import { useWatch, type UseFormSetValue } from 'react-hook-form'
import { Button } from '../../../ui/Button'
import { Choose } from '../../../ui/Choose'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { NOTHING } from '../../../ui/record/nothing'
import { useOpenForm } from '../../../ui/record/RecordFormContext'
import { Rows } from '../../../ui/record/Rows'
import type { ElementForm } from './elementForm'
import { readPolar } from './readPolar'

const { Field, Fields } = fieldsOf('aeroElement')

/** A wing's foils, angles and holes, and its polar where somebody has one: typed or pasted. */
export function WingFields({ setValue }: { setValue: UseFormSetValue<ElementForm> }) {
  const { control } = useOpenForm()
  const [pasted, setPasted] = useState('')
  const [problem, setProblem] = useState<string | null>(null)
  const foils = useWatch({ control, name: 'wing.foils' })
  const pasteId = useId()
  const take = () => {
    const read = readPolar(pasted)
    if ('problem' in read) return setProblem(read.problem)
    setProblem(null)
    setPasted('')
    setValue('wing.polar', read.points, { shouldDirty: true, shouldValidate: true })
  }
  return (
    <>
      <Choose
        label="Foils"
        value={String(foils ?? 1)}
        options={['1', '2', '3'].map((n) => [n, n])}
        onChange={(n) => setValue('wing.foils', Number(n) as 1 | 2 | 3, { shouldDirty: true })}
      />
      <Fields
        names={[
          'wing.angle',
          'wing.endPlate',
          'wing.gurney',
          'wing.holes.from',
          'wing.holes.to',
          'wing.holes.step',
        ]}
      />
      <span />
      <Rows
        name="wing.polar"
        one="point"
        adds="point of its polar"
        most={40}
        blank={() => ({ angle: NOTHING, lift: NOTHING, drag: NOTHING })}
        className="grid grid-cols-[1fr_1fr_1fr_auto] items-end gap-2"
        removes="beside"
      >
        {(i) => (
          <>
            <Field name={`wing.polar.${i}.angle`} label={`At, point ${i + 1}`} />
            <Field name={`wing.polar.${i}.lift`} label="C_L" hint="" />
            <Field name={`wing.polar.${i}.drag`} label="C_D" />
          </>
        )}
      </Rows>
      <details className="col-span-2">
        <summary className="cursor-pointer text-[14px] text-blued">Paste a polar</summary>
        <label htmlFor={pasteId} className="mt-1 block text-[13px] text-muted">
          A line for each angle: degrees, C_L, C_D
        </label>
        <textarea
          id={pasteId}
          rows={4}
          className="w-full rounded-[3px] border border-edge bg-panel px-2 py-1 text-ink"
          value={pasted}
          onChange={(e) => setPasted(e.target.value)}
        />
        {problem && (
          <p role="alert" className="text-[13px] text-oxide">
            {problem}
          </p>
        )}
        <Button onClick={take}>Take it over</Button>
      </details>
      <p className="col-span-2 text-[13px] text-muted">
        Without a polar it is reckoned as a usual section of so many foils on a finite span.
      </p>
    </>
  )
}
