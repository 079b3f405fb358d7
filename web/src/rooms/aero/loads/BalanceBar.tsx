import { formatNumber, type Range } from '@bold-ballast/core'
import type { ReactNode } from 'react'
import { REARWARD } from './balanceVerdict'

const percent = (share: number, decimals = 0) => `${formatNumber(share * 100, decimals)} %`
const at = (share: number) => `${Math.min(100, Math.max(0, share * 100))}%`
const span = (from: number, to: number) => ({ left: at(from), width: `${Math.max(0, to - from) * 100}%` })

/** Words at a share of the line, kept on it at its ends. */
function Label({
  share,
  above,
  tone,
  children,
}: {
  share: number
  above: boolean
  tone: string
  children: ReactNode
}) {
  const shift = share < 0.15 ? '0' : share > 0.85 ? '-100%' : '-50%'
  return (
    <span
      className={`absolute whitespace-nowrap text-[12.5px] ${above ? 'top-0' : 'bottom-0'} ${tone}`}
      style={{ left: at(share), transform: `translateX(${shift})` }}
    >
      {children}
    </span>
  )
}

/**
 * The balance of the air on one line from all at the rear to all in front: where it lies and how far off that may be,
 * the balance of the mass, and the range just rearward of it in which a car stays stable when it pitches.
 */
export function BalanceBar({
  share,
  range,
  massFront,
}: {
  share: number | null
  range: Range | null
  massFront: number
}) {
  const low = range ? Math.min(range.p10, range.p90) : (share ?? 0)
  const high = range ? Math.max(range.p10, range.p90) : (share ?? 0)
  const says = [
    `Stable when it pitches from ${percent(massFront - REARWARD)} to ${percent(massFront)} in front.`,
    share === null ? 'There is no balance.' : `It lies at ${percent(share, 1)}.`,
  ].join(' ')
  return (
    <div
      className="relative mt-2 h-[64px] max-w-[720px]"
      role="img"
      aria-label={says}
      data-testid="balance-bar"
    >
      <span className="absolute inset-x-0 top-[31px] h-[2px] bg-line" />
      <span
        className="absolute top-[24px] h-[16px] bg-zinc opacity-40"
        style={span(massFront - REARWARD, massFront)}
      />
      <span className="absolute top-[19px] h-[26px] w-[2px] bg-ink" style={{ left: at(massFront) }} />
      {share !== null && (
        <>
          <span className="absolute top-[29px] h-[6px] bg-blued opacity-50" style={span(low, high)} />
          <span
            className="absolute top-[26px] size-[12px] -translate-x-1/2 rounded-full bg-blued"
            style={{ left: at(share) }}
          />
          <Label share={share} above={false} tone="text-blued">
            air {percent(share)}
          </Label>
        </>
      )}
      <Label share={massFront} above tone="text-ink">
        mass {percent(massFront)}
      </Label>
      <Label share={0} above tone="text-muted">
        rear
      </Label>
      <Label share={1} above tone="text-muted">
        front
      </Label>
      {(share === null || Math.abs(share - massFront + REARWARD) > 0.16) && (
        <Label share={massFront - REARWARD} above={false} tone="text-zinc">
          stable
        </Label>
      )}
    </div>
  )
}
