import { formatNumber, fromSi, parseQuantity, rollingRadius, tyreSize } from '@bold-ballast/core'
import { useId, useState } from 'react'
import { useBuild } from '../../../store/useBuild'

/** A tyre as it is spoken of: by its size, `265/35R18`, or by its rolling radius in any unit. */
export function TyreField({
  label,
  radius,
  onChange,
}: {
  label: string
  /** Rolling radius, m. */
  radius: number
  onChange: (radius: number) => void
}) {
  const { unit } = useBuild()
  const length = unit('length')
  const id = useId()
  const [text, setText] = useState<string | null>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const shown = `${formatNumber(fromSi(radius, length), length.decimals)} ${length.symbol}`
  const read = (typed: string) => {
    setText(typed)
    const size = tyreSize(typed)
    const length_ = parseQuantity(typed, 'length', length)
    const found =
      'diameter' in size
        ? (rollingRadius({ rollOut: null, diameter: null, size: typed })?.radius ?? null)
        : null
    const si = found ?? (length_.ok ? length_.si : null)
    if (si === null) return setProblem('Type a size such as 265/35R18, or a rolling radius.')
    if (si < 0.1 || si > 0.6) return setProblem('A rolling radius lies between 100 and 600 mm.')
    setProblem(null)
    onChange(si)
  }
  return (
    <div className="flex w-32 flex-col text-[12.5px] text-muted">
      <label htmlFor={id}>{label}</label>
      <input
        id={id}
        autoComplete="off"
        className="w-full rounded-[3px] border border-edge bg-panel px-2 py-1 text-ink"
        value={text ?? shown}
        aria-invalid={problem ? true : undefined}
        aria-describedby={`${id}-say`}
        onFocus={(e) => e.target.select()}
        onChange={(e) => read(e.target.value)}
        onBlur={() => {
          // A size stays as it was typed; what is wrong stays until it is put right.
          if (!problem && text !== null && !('diameter' in tyreSize(text))) setText(null)
        }}
      />
      <span id={`${id}-say`} role={problem ? 'alert' : undefined} className={problem ? 'text-oxide' : ''}>
        {problem ?? (text !== null && 'diameter' in tyreSize(text) ? `rolls on ${shown}` : 'size or radius')}
      </span>
    </div>
  )
}
