import { openBranches } from '@bold-ballast/contract'
import { Suspense, useState } from 'react'
import { useBranches } from '../store/useBranches'
import { useBuild } from '../store/useBuild'
import { Button } from '../ui/Button'
import { later } from '../ui/later'

const AdoptSheet = later(() => import('./AdoptSheet'), 'AdoptSheet')

/** Says that a branch is open, so that nobody takes what is tried for the build. */
export function TryingBar() {
  const { branch, own } = useBuild()
  const { leave } = useBranches()
  const [isAdopting, setAdopting] = useState(false)
  if (!branch) return null
  return (
    <section
      aria-label="What is being tried"
      className="no-print flex flex-wrap items-center gap-x-4 gap-y-1 border-b-2 border-dashed border-ochre bg-panel px-5.5 py-2 max-md:px-3"
    >
      <p className="min-w-[220px] flex-1">
        <b>Trying “{branch.name}”.</b>{' '}
        <span className="text-muted">All that you do here stays in it; the build is as it was.</span>
      </p>
      <Button onClick={() => leave(branch.stageId)}>
        {openBranches(own).length > 1 ? 'Compare' : 'Back to the build'}
      </Button>
      <Button look="main" onClick={() => setAdopting(true)}>
        Take it over
      </Button>
      <Suspense>{isAdopting && <AdoptSheet branch={branch} onClose={() => setAdopting(false)} />}</Suspense>
    </section>
  )
}
