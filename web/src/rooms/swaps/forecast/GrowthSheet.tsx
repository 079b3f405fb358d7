import { withoutVersion } from '@bold-ballast/contract'
import { USUAL_DOUBT, USUAL_GROWTH, USUAL_LEAN } from '@bold-ballast/core'
import type { ReactNode } from 'react'
import { useBuild } from '../../../store/useBuild'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useRecordForm } from '../../../ui/record/useRecordForm'

const { Field } = fieldsOf('build')
const usual = ({ guess, claim }: typeof USUAL_GROWTH) => ({ guess, claim })

function Why({ children }: { children: ReactNode }) {
  return <p className="col-span-2 text-[13.5px] text-muted">{children}</p>
}

/** What parts still to come are expected to grow by, and how doubtful guesses and claims are. */
export function GrowthSheet({ onClose }: { onClose: () => void }) {
  const { view } = useBuild()
  const build = withoutVersion(view.build)
  const start = {
    ...build,
    growth: build.growth ?? usual(USUAL_GROWTH),
    doubts: build.doubts ?? usual(USUAL_DOUBT),
    lean: build.lean ?? USUAL_LEAN,
  }
  const form = useRecordForm('build', start, {
    draft: 'growth',
    says: () => 'Change growth and doubt',
    onSaved: onClose,
    completed: ({ growth, doubts, lean }) => ({ ...build, growth, doubts, lean }),
  })
  return (
    <RecordSheet form={form} title="Growth and doubt" says="Save growth and doubt" onClose={onClose}>
      <Why>
        Parts still to come turn out heavier than planned, the less is known the more. What is weighed grows
        by nothing.
      </Why>
      <Field name="growth.guess" hint="15 % is usual" />
      <Field name="growth.claim" hint="5 % is usual" />
      <Why>
        How far off a guess or a claim may be, where its line doesn’t say: one standard uncertainty. Claims in
        Proof shows how far yours were.
      </Why>
      <Field name="doubts.guess" hint="20 % is usual" />
      <Field name="doubts.claim" hint="7 % is usual" />
      <Why>
        Guesses lean the same way: one head made them. So much of what is still open is one error that all of
        them share, and no number of lines averages it out.
      </Why>
      <Field name="lean.guess" hint="10 % is usual" />
      <Field name="lean.claim" hint="3 % is usual" />
    </RecordSheet>
  )
}
