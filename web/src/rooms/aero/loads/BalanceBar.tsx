import { formatNumber, type Range } from '@bold-ballast/core'
import { REARWARD } from './balanceVerdict'

const WIDTH = 640
const FROM = 0
const TO = 1
const at = (share: number) => ((Math.min(TO, Math.max(FROM, share)) - FROM) / (TO - FROM)) * WIDTH
const percent = (share: number, decimals = 0) => `${formatNumber(share * 100, decimals)} %`

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
  const [low, high] = range ? [range.p10, range.p90].sort((a, b) => a - b) : [share, share]
  const says = [
    `Stable from ${percent(massFront - REARWARD)} to ${percent(massFront)} in front.`,
    share === null ? 'There is no balance.' : `It lies at ${percent(share, 1)}.`,
  ].join(' ')
  return (
    <svg
      viewBox={`0 0 ${WIDTH} 56`}
      className="mt-2 block w-full max-w-[720px]"
      role="img"
      aria-label={says}
      data-testid="balance-bar"
    >
      <line x1="0" x2={WIDTH} y1="30" y2="30" stroke="var(--line)" strokeWidth="2" />
      <rect
        x={at(massFront - REARWARD)}
        y="22"
        width={at(massFront) - at(massFront - REARWARD)}
        height="16"
        fill="var(--zinc)"
        opacity="0.35"
      />
      <line x1={at(massFront)} x2={at(massFront)} y1="16" y2="44" stroke="var(--ink)" strokeWidth="2" />
      <text x={at(massFront) + 4} y="14" fontSize="12" fill="var(--muted)">
        mass {percent(massFront)}
      </text>
      <text x={at(massFront - REARWARD) - 4} y="52" fontSize="12" fill="var(--zinc)" textAnchor="end">
        stable
      </text>
      {share !== null && (
        <>
          <line
            x1={at(low!)}
            x2={at(high!)}
            y1="30"
            y2="30"
            stroke="var(--blued)"
            strokeWidth="6"
            opacity="0.45"
          />
          <circle cx={at(share)} cy="30" r="6" fill="var(--blued)" />
          <text x={at(share)} y="52" fontSize="12" fill="var(--blued)" textAnchor="middle">
            air {percent(share)}
          </text>
        </>
      )}
      <text x="0" y="14" fontSize="12" fill="var(--muted)">
        all at the rear
      </text>
      <text x={WIDTH} y="14" fontSize="12" fill="var(--muted)" textAnchor="end">
        all in front
      </text>
    </svg>
  )
}
