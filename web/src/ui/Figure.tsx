import { formatKnown, type Known, type Unit } from '@bold-ballast/core'

/** A value with its uncertainty and unit: `868.4 ±3.1 kg`. */
export function Figure({
  known,
  unit,
  signed = false,
  className = '',
}: {
  known: Known
  unit: Unit
  signed?: boolean
  className?: string
}) {
  const { figure, spread, unit: symbol } = formatKnown(known.value, known.sigma, unit)
  return (
    <span className={`whitespace-nowrap ${className}`}>
      <span className="figure">{signed && known.value > 0 ? `+${figure}` : figure}</span>{' '}
      <span
        className="unit"
        title="± is one standard uncertainty: two times in three the truth lies within it"
      >
        ±{spread} {symbol}
      </span>
    </span>
  )
}
