import { CORNER_WORDS, type Run } from '@bold-ballast/contract'
import { CORNERS, formatQuantity, treadHints } from '@bold-ballast/core'
import { CAMBER_HINT, PRESSURE_HINT } from '../../../sheets/treadHintWords'
import { useBuild } from '../../../store/useBuild'

/** Pressures, treads and discs straight after a run, corner by corner; nothing where nobody read any. */
export function ReadAfter({ run }: { run: Run }) {
  const { unit } = useBuild()
  const [pressure, temperature] = [unit('pressure'), unit('temperature')]
  const isRead = CORNERS.some((c) => run.hot[c] !== null || run.treads[c] !== null || run.discs[c] !== null)
  if (!isRead) return null
  return (
    <div className="mt-2 grid max-w-[640px] grid-cols-2 gap-x-6 gap-y-1" data-testid="read-after">
      {CORNERS.map((c) => {
        const { [c]: hot } = run.hot
        const { [c]: cold } = run.cold
        const { [c]: tread } = run.treads
        const { [c]: disc } = run.discs
        const hints = tread && treadHints(tread)
        return (
          <p key={c} className="text-[14px]">
            <span className="text-[12.5px] text-muted">{CORNER_WORDS[c]}</span>{' '}
            {hot !== null && (
              <b className="figure text-[17px]">
                {formatQuantity(hot, pressure)}
                {cold !== null && (
                  <span className="font-sans text-[12.5px] font-normal text-muted">
                    {' '}
                    from {formatQuantity(cold, pressure)}
                  </span>
                )}
              </b>
            )}
            {tread && (
              <span className="block tabular-nums">
                {[tread.inside, tread.middle, tread.outside]
                  .map((t) => formatQuantity(t, temperature, 0))
                  .join(' / ')}
                {hints && (
                  <span className="text-[12.5px] text-muted">
                    {' '}
                    {CAMBER_HINT[hints.camber]}, {PRESSURE_HINT[hints.pressure]}
                  </span>
                )}
              </span>
            )}
            {disc !== null && <span className="block">disc {formatQuantity(disc, temperature, 0)}</span>}
          </p>
        )
      })}
    </div>
  )
}
