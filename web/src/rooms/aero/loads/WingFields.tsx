import { useId, useState } from 'react'
import { useFieldArray, useWatch } from 'react-hook-form'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { Choose } from '../../../ui/Choose'
import { FormQuantities } from '../../../ui/form'
import { FormNumber } from '../../../ui/FormNumber'
import { NOTHING } from '../../../ui/record/nothing'
import { type FieldsProps } from './elementForm'
import { readPolar } from './readPolar'

/** A wing's foils, angles and holes, and its polar where somebody has one: typed or pasted. */
export function WingFields({ control, setValue }: FieldsProps) {
  const [pasted, setPasted] = useState('')
  const [problem, setProblem] = useState<string | null>(null)
  const { units } = useBuild()
  const polar = useFieldArray({ control, name: 'wing.polar', keyName: 'key' })
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
      <FormQuantities
        control={control}
        units={units}
        fields={[
          ['wing.angle', 'Set to', 'angle', { hint: 'Nose down counts up' }],
          ['wing.endPlate', 'End plates, height', 'length'],
          ['wing.gurney', 'Lip at its edge', 'length', { hint: '0 without' }],
          ['wing.holes.from', 'First hole', 'angle'],
          ['wing.holes.to', 'Last hole', 'angle'],
          ['wing.holes.step', 'From hole to hole', 'angle'],
        ]}
      />
      <span />
      {polar.fields.map((point, i) => (
        <div key={point.key} className="col-span-2 grid grid-cols-[1fr_1fr_1fr_auto] items-end gap-2">
          <FormQuantities
            control={control}
            units={units}
            fields={[[`wing.polar.${i}.angle`, `At, point ${i + 1}`, 'angle']]}
          />
          <FormNumber control={control} name={`wing.polar.${i}.lift`} label="C_L" />
          <FormNumber control={control} name={`wing.polar.${i}.drag`} label="C_D" />
          <Button look="quiet" className="!px-0 !text-muted" onClick={() => polar.remove(i)}>
            Remove<span className="sr-only"> point {i + 1}</span>
          </Button>
        </div>
      ))}
      <Button
        className="col-span-2"
        onClick={() => polar.append({ angle: NOTHING, lift: NOTHING, drag: NOTHING })}
      >
        One more point of its polar
      </Button>
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
