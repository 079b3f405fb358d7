import { reach } from '../offline/reach'
import { useAsOf } from '../offline/useAsOf'
import { isOwn, usePerson } from '../store/me'
import { outbox } from '../store/outbox'
import { useAppDispatch, useAppSelector } from '../store/store'
import { Button } from '../ui/Button'

/** On a phone the header has no room for a sentence: it gets a strip of its own below. */
const WARNING =
  'rounded-[3px] bg-[#5a3a00] px-2 py-0.5 text-[#ffe3ae] max-md:fixed max-md:inset-x-0 max-md:top-[52px] max-md:z-20 max-md:rounded-none max-md:px-3 max-md:py-1'

/** Is what I typed safe, and is what I see so? Always in view. */
export function SaveState({ buildId }: { buildId?: string | undefined }) {
  const { pending, away, refused, isKept, files, filesAway, refusedFiles } = useAppSelector(
    (state) => state.outbox,
  )
  const own = useAppSelector((state) => state.outbox.pending.filter((w) => isOwn(state, w)).length)
  const isLost = useAppSelector((state) => state.reach.awaySince !== null || state.live.isCut)
  const dispatch = useAppDispatch()
  const asOf = useAsOf(buildId)
  const isSignedIn = usePerson() !== null
  // Without accounts the server is on this machine: what is seen is as old as the page, and that is known.
  const isAway = isSignedIn && asOf !== null
  const theirs = pending.length - own
  const waits = own + files.length
  const lostWithTab = files.filter((file) => !file.isKept).length
  const notTaken = refused.length + refusedFiles.length
  const isStuck = away !== null || filesAway !== null
  const wordsOf = (): string => {
    if (notTaken > 0) return `${notTaken} not taken`
    if (lostWithTab > 0 && (isStuck || isAway))
      return `${lostWithTab === 1 ? 'A file' : `${lostWithTab} files`} not saved, nor kept on this device: it is full. Leave this tab open`
    if (away && !isKept) return `${own} not saved, nor kept on this device. Leave this tab open`
    if (isAway && waits > 0) return `${waits} kept here until the workshop is back`
    if (isAway) return isLost ? 'The workshop can’t be reached' : 'Asking the workshop'
    if (away) return `${own} not saved yet, trying again`
    if (filesAway && files.length > 0) return `${waits} not saved yet, trying again`
    if (own > 0) return `Saving ${own}`
    if (theirs > 0) return `${theirs} of somebody else’s kept until they sign in`
    const [file] = files
    if (files.length === 1) return file?.kind === 'log' ? 'Saving a log' : 'Saving a photograph'
    if (files.length > 0) return `Saving ${files.length} files`
    // What is shown is only known to be saved while somebody answers.
    return isLost ? 'The workshop can’t be reached' : 'Saved'
  }
  const isWarning = isStuck || isAway || isLost || notTaken > 0 || theirs > 0
  return (
    <span className="flex items-center gap-2 text-[13px]">
      <span data-warns={isWarning || undefined} className={isWarning ? WARNING : 'text-on-rail-muted'}>
        <span role="status" data-testid="save-state" title={away ?? filesAway ?? undefined}>
          {wordsOf()}
        </span>
        {isAway && (
          <span>
            , <span data-testid="as-of">{asOf}</span>
          </span>
        )}
      </span>
      {(isStuck || isLost) && (
        <Button
          look="quiet"
          className="!min-h-6 !px-1 !text-on-rail"
          onClick={() => {
            dispatch(outbox.actions.nudged())
            dispatch(reach.actions.sought())
          }}
        >
          Try now
        </Button>
      )}
    </span>
  )
}
