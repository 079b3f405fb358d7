import type { Mark } from '@bold-ballast/contract'
import { describeMark } from '@bold-ballast/words'
import { useBuild, useLiveBuild } from '../store/useBuild'
import { useMarkChance } from '../store/useMarkChance'
import { useReadMark } from '../store/useReadMark'

const TONE = { met: 'text-zinc', missed: 'text-oxide', cantTell: 'text-ochre' } as const

/** What is still to find on one mark. */
export function TallyMark({ mark, pending, className }: { mark: Mark; pending: number; className: string }) {
  const { view, units } = useBuild()
  const { summary } = useLiveBuild()
  const reading = useReadMark()(mark)
  const chance = useMarkChance()(mark, reading)
  const words = { units, currency: view.build.currency, conditions: view.conditions, chance }
  const said = describeMark(mark, reading, summary, words, pending)
  return (
    <div className={className} title={said.reason}>
      {said.measure}
      <b className="figure block text-[21px] leading-tight whitespace-nowrap text-ink">{said.headline}</b>
      <span className={`font-medium whitespace-nowrap ${TONE[reading.verdict]}`}>{said.short}</span>
    </div>
  )
}
