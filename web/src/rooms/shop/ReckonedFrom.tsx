import { useReckonedFrom } from '../../store/useReckonedFrom'
import { sayDate } from '../../ui/sayDay'
import { useTrustsRecord } from '../../store/useTrustsRecord'
import { Button } from '../../ui/Button'

/** From which day it is reckoned, and by what: guesses as they were said, or what such promises came to. */
export function ReckonedFrom() {
  const { day, isToday, sleptSince, choose } = useReckonedFrom()
  const [trusts, setTrusts] = useTrustsRecord()
  return (
    <div className="flex flex-wrap items-end gap-x-5 gap-y-2 text-[14px]">
      <label className="flex items-center gap-2">
        Reckoned from
        <input
          type="date"
          value={day}
          onChange={(e) => choose(e.target.value || null)}
          className="rounded-[3px] border border-edge bg-panel px-2 py-1 text-ink"
        />
      </label>
      {!isToday && (
        <Button look="quiet" className="!px-0" onClick={() => choose(null)}>
          {sleptSince === null ? 'From today' : 'From the last day that was noted'}
        </Button>
      )}
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          className="size-4 accent-blued"
          checked={trusts}
          onChange={(e) => setTrusts(e.target.checked)}
        />
        with what promises came to
      </label>
      {sleptSince !== null && day === sleptSince && (
        <p className="w-full text-[13.5px] text-muted">
          Nothing was noted since {sayDate(sleptSince, '')}: it is reckoned from there.
        </p>
      )}
    </div>
  )
}
