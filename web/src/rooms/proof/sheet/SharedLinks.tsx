import { format, parseISO } from 'date-fns'
import { useState } from 'react'
import { toast } from '../../../ui/toast'
import { problemOf, useSharesQuery, useWithdrawShareMutation, useWorkshopQuery } from '../../../store/api'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { CopyLink } from '../../../ui/CopyLink'
import { isOpen, shareLink } from './shareLink'

const day = (at: string) => format(parseISO(at), 'd MMM yyyy')

/** Links that were given out to this stage's sheet, and taking them back. */
export function SharedLinks() {
  const { buildId, stage } = useBuild()
  const { data } = useSharesQuery(buildId)
  const { data: workshop } = useWorkshopQuery()
  const [withdraw] = useWithdrawShareMutation()
  const [now] = useState(() => Date.now())
  const shares = data?.filter((s) => s.stageId === stage.id) ?? []
  if (shares.length === 0) return null
  return (
    <section aria-label="Links given out" className="no-print mt-5" data-testid="shares">
      <h2 className="text-[19px]">Links given out</h2>
      <ul className="max-w-[860px]">
        {shares.map((share) => (
          <li key={share.id} className="flex flex-wrap items-baseline gap-x-4 border-b border-line py-1">
            <span className="flex-1">
              Made {day(share.createdAt)}
              <span className="block text-[13px] text-muted">
                {share.withdrawnAt
                  ? `Withdrawn ${day(share.withdrawnAt)}`
                  : isOpen(share, now)
                    ? `Works until ${day(share.endsAt)}`
                    : `Ended ${day(share.endsAt)}`}
              </span>
            </span>
            {isOpen(share, now) && (
              <>
                <CopyLink look="quiet" link={shareLink(share, workshop?.shareOrigin)} />
                <Button
                  look="quiet"
                  className="!text-muted"
                  onClick={() =>
                    void withdraw({ buildId, shareId: share.id }).then(({ error }) =>
                      toast(error ? problemOf(error).detail : 'Withdrawn. The link opens nothing any more.'),
                    )
                  }
                >
                  Withdraw
                </Button>
              </>
            )}
          </li>
        ))}
      </ul>
    </section>
  )
}
