import { zonedDate, zonedMoment } from '@bold-ballast/core'
import { lastNoted, reckonedDay } from '@bold-ballast/model'
import { useMemo } from 'react'
import { useSearchParams } from 'react-router'
import { useBuild } from './useBuild'
import { lastQuarter, today } from '../ui/today'

const A_DATE = /^\d{4}-\d{2}-\d{2}$/
/** Where the clock on the wall hangs. */
export const ZONE = Intl.DateTimeFormat().resolvedOptions().timeZone

/** The day that dates are reckoned from: today, unless somebody looks from another day or the build has slept. */
export function useReckonedFrom() {
  const { view } = useBuild()
  const [params, setParams] = useSearchParams()
  const asked = params.get('on')
  const now = today()
  const usual = useMemo(() => reckonedDay(view, now), [view, now])
  const day = asked !== null && A_DATE.test(asked) ? asked : usual
  const from = useMemo(() => {
    const moment = lastQuarter()
    // On another day it is reckoned from its morning.
    return day === zonedDate(moment, ZONE) ? moment : zonedMoment(day, '00:00', ZONE)
  }, [day])
  const choose = (on: string | null) =>
    setParams(
      (old) => {
        if (on === null) old.delete('on')
        else old.set('on', on)
        return old
      },
      { replace: true },
    )
  return {
    day,
    from,
    zone: ZONE,
    isToday: day === now,
    sleptSince: usual === now ? null : lastNoted(view, now),
    choose,
  }
}
