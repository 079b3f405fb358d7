import { Suspense, useState } from 'react'
import { useReckoningQuery } from '../store/api'
import { useBuild } from '../store/useBuild'
import { Button } from '../ui/Button'
import { later } from '../ui/later'

const OtherwiseSheet = later(() => import('./OtherwiseSheet'), 'OtherwiseSheet')

/** Says once that verdicts of this build read otherwise than before: the reckoning has changed, not the records. */
export function OtherwiseBar() {
  const { buildId, branch } = useBuild()
  const { data } = useReckoningQuery(buildId)
  const [isOpen, setOpen] = useState(false)
  if (!data?.isUntold || branch) return null
  return (
    <section
      aria-label="What reads otherwise"
      className="no-print flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-ochre bg-panel px-5.5 py-2 max-md:px-3"
      data-testid="reads-otherwise"
    >
      <p className="min-w-[220px] flex-1">
        <b>Verdicts may read otherwise.</b>{' '}
        <span className="text-muted">How they are reckoned has changed; your records have not.</span>
      </p>
      <Button onClick={() => setOpen(true)}>What, and why</Button>
      <Suspense>{isOpen && <OtherwiseSheet onClose={() => setOpen(false)} />}</Suspense>
    </section>
  )
}
