import { withoutVersion, putEdit } from '@bold-ballast/contract'
import { ENOUGH_CLAIMS, reckonedFrom, type Audit } from '@bold-ballast/model'
import { formatNumber, USUAL_DOUBT, USUAL_GROWTH, USUAL_LEAN } from '@bold-ballast/core'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'

const percent = (share: number) => `${formatNumber(share * 100, 1)} %`

/** Takes the workshop's own record in place of the usual growth and doubt, for this build, if the person agrees. */
export function ReckonWith({ audit }: { audit: Audit }) {
  const { view, saveSaying } = useBuild()
  const { build } = view
  const { growth, doubts, lean } = reckonedFrom(audit, {
    growth: USUAL_GROWTH,
    doubts: USUAL_DOUBT,
    lean: USUAL_LEAN,
  })
  const same = (a: typeof growth | null, b: typeof growth) => a?.guess === b.guess && a.claim === b.claim
  const isUsed = same(build.growth, growth) && same(build.doubts, doubts) && same(build.lean, lean)
  const isEnough = audit.byGrade.some((row) => row.count >= ENOUGH_CLAIMS)
  const take = (label: string, says: string, own: Pick<typeof build, 'growth' | 'doubts' | 'lean'>) => {
    saveSaying(label, [putEdit(view, 'build', { ...withoutVersion(build), ...own })], says)
  }
  if (!isEnough)
    return (
      <p className="mt-2 text-[13px] text-muted">
        From {ENOUGH_CLAIMS} parts of one sort on, this build can reckon with it.
      </p>
    )
  return (
    <div className="mt-3 max-w-[760px]" data-testid="reckon">
      <p className="text-[14px]">
        By that record guesses grow by <b>{percent(growth.guess)}</b> and are known to{' '}
        <b>±{percent(doubts.guess)}</b>, makers’ claims by <b>{percent(growth.claim)}</b> and{' '}
        <b>±{percent(doubts.claim)}</b>; together they may lean by {percent(lean.guess)} and{' '}
        {percent(lean.claim)}.{' '}
        <span className="text-muted">
          Usual are {percent(USUAL_GROWTH.guess)} and ±{percent(USUAL_DOUBT.guess)},{' '}
          {percent(USUAL_GROWTH.claim)} and ±{percent(USUAL_DOUBT.claim)}; they stand where fewer than{' '}
          {ENOUGH_CLAIMS} parts speak.
        </span>
      </p>
      <p className="mt-2 flex flex-wrap items-center gap-3">
        {!isUsed && (
          <Button
            onClick={() =>
              take('Reckon with how far off claims were', 'This build reckons with it.', {
                growth,
                doubts,
                lean,
              })
            }
          >
            Reckon with it in this build
          </Button>
        )}
        {isUsed && <span className="text-zinc">This build reckons with it.</span>}
        {(build.growth ?? build.doubts ?? build.lean) !== null && (
          <Button
            look="quiet"
            onClick={() =>
              take('Reckon with the usual figures', 'The usual figures stand again.', {
                growth: null,
                doubts: null,
                lean: null,
              })
            }
          >
            Take the usual again
          </Button>
        )}
      </p>
    </div>
  )
}
