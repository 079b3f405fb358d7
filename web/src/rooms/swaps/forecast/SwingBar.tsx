import { formatFigure, type Unit } from '@bold-ballast/core'

/** How far one line may move the total either side of what is expected: lighter to the left, heavier to the right. */
export function SwingBar({
  low,
  high,
  widest,
  unit,
}: {
  /** kg, below and above zero. */
  low: number
  high: number
  /** The longest swing of all that are compared, kg. */
  widest: number
  unit: Unit
}) {
  const at = (kg: number) => `${50 + (kg / widest) * 38}%`
  const wide = (kg: number) => `${(Math.abs(kg) / widest) * 38}%`
  return (
    <svg
      role="img"
      aria-label={`${formatFigure(low, unit)} to +${formatFigure(high, unit)} ${unit.symbol}`}
      className="block h-[22px] w-full"
    >
      <line x1="50%" x2="50%" y1="1" y2="21" stroke="var(--edge)" />
      <rect x={at(low)} width={wide(low)} y="5" height="12" fill="var(--solid)" />
      <rect x="50%" width={wide(high)} y="5" height="12" fill="var(--blued)" />
      <text x={at(low)} y="15" dx="-5" textAnchor="end" fontSize="12" fill="var(--muted)">
        {formatFigure(low, unit)}
      </text>
      <text x={at(high)} y="15" dx="5" fontSize="12" fill="var(--muted)">
        +{formatFigure(high, unit)}
      </text>
    </svg>
  )
}
