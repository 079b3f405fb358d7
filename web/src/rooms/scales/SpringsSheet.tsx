import { RECORDS, withoutVersion, type Build } from '@bold-ballast/contract'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { put } from '../../store/commit'
import { useBuild } from '../../store/useBuild'
import { FormQuantity } from '../../ui/form'
import { FormNumber } from '../../ui/FormNumber'
import { SheetForm } from '../../ui/SheetForm'
import { SideSheet } from '../../ui/SideSheet'
import { useKeptForm } from '../../ui/useKeptForm'

type BuildForm = Omit<Build, 'version'>
const USUAL = { springRate: 60_000, motionRatio: 0.8, tyreRate: 200_000, threadPitch: 0.002 }

/** Springs, motion ratios and threads: what the perches and the set-up are computed with. */
export function SpringsSheet({ onClose }: { onClose: () => void }) {
  const { view, units, save } = useBuild()
  const record = withoutVersion(view.build)
  const { control, handleSubmit, kept } = useKeptForm<BuildForm>(`springs.${view.build.id}`, {
    resolver: zodResolver(RECORDS.build),
    defaultValues: { ...record, springs: record.springs ?? { front: USUAL, rear: USUAL, turnStep: 0.25 } },
  })
  const [fault, setFault] = useState<string | null>(null)
  const submit = handleSubmit(({ springs }) => {
    const faults = save('Change the springs', [put(view, 'build', { ...record, springs })])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onClose()
  })
  return (
    <SideSheet open onClose={onClose} title="Springs and perches">
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Save the springs">
        {(['front', 'rear'] as const).map((axle) => (
          <fieldset key={axle} className="col-span-2 grid grid-cols-2 gap-3">
            <legend className="mb-1 text-[17px]">{axle === 'front' ? 'Front' : 'Rear'}</legend>
            <FormQuantity
              control={control}
              name={`springs.${axle}.springRate`}
              label="Spring rate"
              quantity="stiffness"
              units={units}
            />
            <FormNumber
              control={control}
              name={`springs.${axle}.motionRatio`}
              label="Motion ratio"
              hint="Spring travel over wheel travel"
            />
            <FormQuantity
              control={control}
              name={`springs.${axle}.tyreRate`}
              label="Tyre rate"
              quantity="stiffness"
              units={units}
              hint="Empty leaves the tyre out"
            />
            <FormQuantity
              control={control}
              name={`springs.${axle}.threadPitch`}
              label="Thread, a turn"
              quantity="length"
              units={units}
            />
          </fieldset>
        ))}
        <FormNumber
          control={control}
          name="springs.turnStep"
          label="Smallest part of a turn"
          hint="What can be set by hand: 1/4"
        />
      </SheetForm>
    </SideSheet>
  )
}
