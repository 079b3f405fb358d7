import { formatNumber, fromSi, type Unit } from '@bold-ballast/core'
import { useId, useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { QuantityField } from '../../../ui/QuantityField'
import { PLAIN, type Turner } from './turners'

/**
 * One thing to turn: a slider for trying, and a field for saying it exactly. Everything moves while it is turned; it
 * is kept when it is let go.
 */
export function TurnerRow({
  turner,
  onTurn,
  onLetGo,
}: {
  turner: Turner
  onTurn: (value: number) => void
  onLetGo: (value: number) => void
}) {
  const { unit } = useBuild()
  const id = useId()
  const { says, quantity, value, low, high, step } = turner
  const shown: Unit = quantity ? unit(quantity) : PLAIN
  const [typed, setTyped] = useState<number | null>(null)
  const isOut = typed !== null && (typed < low - 1e-9 || typed > high + 1e-9)
  const said = (v: number) => `${formatNumber(fromSi(v, shown), shown.decimals)} ${shown.symbol}`.trim()
  const letGo = () => onLetGo(value)
  return (
    <div className="grid grid-cols-[1fr_120px] items-end gap-x-4 border-b border-line py-1.5">
      <div>
        <label htmlFor={id} className="text-[13px] text-muted">
          {says}
        </label>
        <input
          id={id}
          type="range"
          className="block h-7 w-full accent-blued"
          aria-valuetext={said(value)}
          min={low}
          max={high}
          step={step}
          value={value}
          onChange={(event) => {
            setTyped(null)
            onTurn(Number(event.target.value))
          }}
          onPointerUp={letGo}
          onKeyUp={letGo}
          onBlur={letGo}
        />
      </div>
      {quantity ? (
        <QuantityField
          label={`${says}, exactly`}
          hideLabel
          quantity={quantity}
          unit={shown}
          value={typed ?? value}
          problem={isOut ? `From ${said(low)} to ${said(high)}.` : undefined}
          onChange={(v) => {
            setTyped(v)
            if (v !== null && v >= low && v <= high) onTurn(v)
          }}
          onBlur={() => {
            if (!isOut) setTyped(null)
            letGo()
          }}
        />
      ) : (
        <input
          type="number"
          aria-label={`${says}, exactly`}
          className="w-full rounded-[3px] border border-edge bg-panel px-2 py-1 text-ink"
          {...{ min: low, max: high, step, value: Number(value.toFixed(3)) }}
          onChange={(event) => {
            const v = Number(event.target.value)
            if (v >= low && v <= high) onTurn(v)
          }}
          onBlur={letGo}
        />
      )}
    </div>
  )
}
