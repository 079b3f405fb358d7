import { loadAnew } from '../offline/worker'
import { useAppSelector } from '../store/store'
import { Button } from '../ui/Button'

/** A newer version of the page is there. What is open goes on until somebody says otherwise. */
export function NewVersion() {
  const { isOutgrown, isUpdateThere } = useAppSelector((state) => state.reach)
  if (!isOutgrown && !isUpdateThere) return null
  return (
    <p
      role="status"
      className="no-print flex flex-wrap items-center gap-x-3 border-b border-line bg-panel px-5 py-1.5 max-md:px-3"
    >
      <span>
        {isOutgrown
          ? 'The workshop’s server is of another version than this page: load it again to go on.'
          : 'There is a newer version of this page.'}{' '}
        <span className="text-muted">What isn’t sent yet is kept, and comes over.</span>
      </span>
      <Button onClick={loadAnew}>Load it</Button>
    </p>
  )
}
