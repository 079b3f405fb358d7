import { toSi, typedPoints, unitNamed, unitOf, unitsOf, type PullPoint } from '@bold-ballast/core'
import { useState } from 'react'
import { useBuild } from '../../../store/useBuild'

const RPM = unitOf('engineSpeed', 'rpm')
const BOX = 'rounded-[3px] border border-edge bg-panel px-2 py-1 text-ink'

/** Points typed or pasted from a sheet: an engine speed and a torque or power on each line. */
export function PullPoints({ onPoints }: { onPoints: (points: PullPoint[] | null) => void }) {
  const { unit } = useBuild()
  const [text, setText] = useState('')
  const [figure, setFigure] = useState<'torque' | 'power'>('torque')
  const [symbol, setSymbol] = useState<string | null>(null)
  const { pairs, bad } = typedPoints(text)
  const read = (next: string, of: 'torque' | 'power', shown: string | null) => {
    const chosen = unitNamed(of, shown ?? '') ?? unit(of)
    const points = typedPoints(next)
      .pairs.map(({ x, y }) => {
        const speed = toSi(x, RPM)
        const si = toSi(y, chosen)
        return { speed, torque: of === 'torque' ? si : si / speed }
      })
      .sort((a, b) => a.speed - b.speed)
    onPoints(points.length > 1 ? points : null)
  }
  return (
    <div className="flex flex-col gap-2">
      <div className="flex flex-wrap items-center gap-3 text-[13px] text-muted">
        <label className="flex items-center gap-2">
          Second figure is
          <select
            className={BOX}
            value={figure}
            onChange={(e) => {
              const of = e.target.value as 'torque' | 'power'
              setFigure(of)
              setSymbol(null)
              read(text, of, null)
            }}
          >
            <option value="torque">torque</option>
            <option value="power">power</option>
          </select>
        </label>
        <label className="flex items-center gap-2">
          in
          <select
            aria-label="Unit of the points"
            className={BOX}
            value={symbol ?? unit(figure).symbol}
            onChange={(e) => {
              setSymbol(e.target.value)
              read(text, figure, e.target.value)
            }}
          >
            {unitsOf(figure).map((u) => (
              <option key={u.symbol}>{u.symbol}</option>
            ))}
          </select>
        </label>
      </div>
      <label className="flex flex-col gap-1 text-[13px] text-muted">
        Points, one a line: rpm, then the figure
        <textarea
          rows={8}
          className={`${BOX} font-mono`}
          placeholder={'3000 185\n3500 192\n4000 201'}
          value={text}
          onChange={(e) => {
            setText(e.target.value)
            read(e.target.value, figure, symbol)
          }}
        />
      </label>
      <p className="text-[13px]" role="status">
        {pairs.length} {pairs.length === 1 ? 'point' : 'points'}
        {pairs.length === 1 && '; a curve needs two or more'}
      </p>
      {bad.length > 0 && (
        <ul className="text-[13px] text-oxide" role="alert">
          {bad.map(({ line, problem }) => (
            <li key={`${line} ${problem}`}>
              Line {line}: {problem}.
            </li>
          ))}
        </ul>
      )}
    </div>
  )
}
