import { RECORDS, withoutVersion, type Build } from '@bold-ballast/contract'
import { USUAL_DOUBT, USUAL_GROWTH, USUAL_LEAN } from '@bold-ballast/core'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { put } from '../../store/commit'
import { useBuild } from '../../store/useBuild'
import { FormQuantity } from '../../ui/form'
import { SheetForm } from '../../ui/SheetForm'
import { SideSheet } from '../../ui/SideSheet'
import { useKeptForm } from '../../ui/useKeptForm'

/** What parts still to come are expected to grow by, and how doubtful guesses and claims are. */
export function GrowthSheet({ onClose }: { onClose: () => void }) {
  const { view, units, save } = useBuild()
  const record = withoutVersion(view.build)
  const usual = ({ guess, claim }: typeof USUAL_GROWTH) => ({ guess, claim })
  const { control, handleSubmit, kept } = useKeptForm<Omit<Build, 'version'>>(`growth.${view.build.id}`, {
    resolver: zodResolver(RECORDS.build),
    defaultValues: {
      ...record,
      growth: record.growth ?? usual(USUAL_GROWTH),
      doubts: record.doubts ?? usual(USUAL_DOUBT),
      lean: record.lean ?? USUAL_LEAN,
    },
  })
  const [fault, setFault] = useState<string | null>(null)
  const submit = handleSubmit(({ growth, doubts, lean }) => {
    const faults = save('Change growth and doubt', [put(view, 'build', { ...record, growth, doubts, lean })])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onClose()
  })
  return (
    <SideSheet open onClose={onClose} title="Growth and doubt">
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Save growth and doubt">
        <p className="col-span-2 text-[13.5px] text-muted">
          Parts still to come turn out heavier than planned, the less is known the more. What is weighed grows
          by nothing.
        </p>
        <FormQuantity
          control={control}
          name="growth.guess"
          label="A guess grows by"
          quantity="share"
          units={units}
          hint="15 % is usual"
        />
        <FormQuantity
          control={control}
          name="growth.claim"
          label="A maker’s claim grows by"
          quantity="share"
          units={units}
          hint="5 % is usual"
        />
        <p className="col-span-2 text-[13.5px] text-muted">
          How far off a guess or a claim may be, where its line doesn’t say: one standard uncertainty. Claims
          in Proof shows how far yours were.
        </p>
        <FormQuantity
          control={control}
          name="doubts.guess"
          label="A guess is known to ±"
          quantity="share"
          units={units}
          hint="20 % is usual"
        />
        <FormQuantity
          control={control}
          name="doubts.claim"
          label="A maker’s claim to ±"
          quantity="share"
          units={units}
          hint="7 % is usual"
        />
        <p className="col-span-2 text-[13.5px] text-muted">
          Guesses lean the same way: one head made them. So much of what is still open is one error that all
          of them share, and no number of lines averages it out.
        </p>
        <FormQuantity
          control={control}
          name="lean.guess"
          label="All guesses may lean by ±"
          quantity="share"
          units={units}
          hint="10 % is usual"
        />
        <FormQuantity
          control={control}
          name="lean.claim"
          label="All claims by ±"
          quantity="share"
          units={units}
          hint="3 % is usual"
        />
      </SheetForm>
    </SideSheet>
  )
}
