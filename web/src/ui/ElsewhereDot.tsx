import { useChangedBy } from '../store/live'

/** A dot on a record that somebody else is changing. */
export function ElsewhereDot({ recordId }: { recordId: string }) {
  const who = useChangedBy(recordId)
  if (!who) return null
  const says = `${who} ${who.includes(',') ? 'are' : 'is'} changing it`
  return (
    <span title={says} className="mr-1 inline-flex items-center gap-1 text-[12.5px] text-ochre">
      <span aria-hidden className="inline-block size-2 rounded-full bg-ochre" />
      <span className="sr-only">{says}</span>
    </span>
  )
}
