import { describeOtherwise, describeReckoning } from '@bold-ballast/words'
import { useDeferredValue, useMemo } from 'react'
import { useReckoningToldMutation } from '../store/api'
import { useBuild } from '../store/useBuild'
import { Button } from '../ui/Button'
import { MayOnly } from '../ui/MayOnly'
import { SideSheet } from '../ui/SideSheet'

/** Which verdicts and figures read otherwise, what they were, and why; and what else is reckoned otherwise. */
export function OtherwiseSheet({ onClose }: { onClose: () => void }) {
  const { own, buildId } = useBuild()
  const [tell] = useReckoningToldMutation()
  // Laps of every stage take a while: the sheet stands before that.
  const isThere = useDeferredValue(true, false)
  const moved = useMemo(() => (isThere ? describeOtherwise(own) : null), [isThere, own])
  const reasons = useMemo(() => describeReckoning(own), [own])
  const told = () => {
    void tell(buildId)
    onClose()
  }
  return (
    <SideSheet open onClose={onClose} title="What reads otherwise">
      <p className="mb-3">
        Your records are as they were, and signed sheets stay as they were signed. What follows from them is
        reckoned with more care, and says less where it said too much.
      </p>
      {moved === null ? (
        <p role="status" className="text-muted">
          Going through the marks.
        </p>
      ) : moved.length === 0 ? (
        <p data-testid="none-otherwise">No mark is known to have had another verdict before.</p>
      ) : (
        <ul className="flex flex-col gap-3" data-testid="otherwise">
          {moved.map(({ what, was, is, why }) => (
            <li key={what} className="border-l-4 border-ochre pl-3">
              <b className="font-medium">{what}</b>
              <p>
                Was {was}. Is {is}.
              </p>
              <p className="text-[13.5px] text-muted">{why}</p>
            </li>
          ))}
        </ul>
      )}
      {reasons.length > 0 && (
        <>
          <h3 className="mt-5 mb-1 text-[17px]">What is reckoned otherwise</h3>
          <ul className="list-disc pl-5 text-[14.5px]">
            {reasons.map((reason) => (
              <li key={reason} className="mb-1">
                {reason}
              </li>
            ))}
          </ul>
        </>
      )}
      <MayOnly right="plan">
        <Button look="main" className="mt-5" onClick={told}>
          I have read it
        </Button>
      </MayOnly>
    </SideSheet>
  )
}
