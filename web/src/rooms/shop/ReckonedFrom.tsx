import { useReckonedFrom } from '../../store/useReckonedFrom'
import { USUAL_FORGOTTEN, USUAL_SLIP } from '@bold-ballast/model'
import { sayDate } from '../../ui/sayDay'
import { ShowWorking } from '../../ui/ShowWorking'
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
      <ShowWorking
        working={{
          title: 'When it is done',
          formula: trusts
            ? 'what is left of each = T − gone, T beyond what has gone; ln T = what such promises came to'
            : 'what is left of each = T − gone, T beyond what has gone, by the three guesses',
          inputs: trusts
            ? [
                ['What is late or begun', 'isn’t done yet: times that have passed are out'],
                ['All that is open slips together', `log-deviation ${USUAL_SLIP}, by what is done and late`],
                ['Hours not on the list yet', `${USUAL_FORGOTTEN * 100} % of those on it`],
              ]
            : [['What is late or begun', 'isn’t done yet: times that have passed are out']],
          result: 'drawn 5,000 times',
          source:
            'Monte Carlo over the network (Van Slyke, Operations Research 11 (1963) 839, from memory); slip and what is forgotten: common practice',
        }}
      />
      {sleptSince !== null && day === sleptSince && (
        <p className="w-full text-[13.5px] text-muted">
          Nothing was noted since {sayDate(sleptSince, '')}: it is reckoned from there.
        </p>
      )}
    </div>
  )
}
