import { withoutVersion, putEdit } from '@bold-ballast/contract'
import { configurationOf, isSameDyno } from '@bold-ballast/model'
import { useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import type { Side } from '@bold-ballast/model'

const BOX = 'w-full min-w-0 rounded-[3px] border border-edge bg-panel px-2 py-1 text-ink'

/** Why two dynos aren't compared, and the one thing that would make them comparable. */
export function BridgeDynos({ before, after }: { before: Side; after: Side }) {
  const { view, save } = useBuild()
  const pullsOn = (side: Side) => {
    const days = view.dynoDays.filter((d) => isSameDyno(d, side))
    const found = new Map<string, { dayId: string; configuration: string; date: string }>()
    for (const day of days)
      for (const pull of view.pulls.filter((p) => p.dynoDayId === day.id))
        found.set(`${day.id} ${configurationOf(pull)}`, {
          dayId: day.id,
          configuration: configurationOf(pull),
          date: day.date,
        })
    return [...found]
  }
  const [firsts, seconds] = [pullsOn(before), pullsOn(after)]
  const likely = (all: typeof firsts, side: Side) =>
    (all.find(([, { configuration }]) => configuration === side.configuration) ?? all[0])?.[0] ?? ''
  const [first, setFirst] = useState(() => likely(firsts, before))
  const [second, setSecond] = useState(() => likely(seconds, after))
  const [isSame, setSame] = useState(false)
  const bridge = () => {
    const from = firsts.find(([key]) => key === first)?.[1]
    const to = seconds.find(([key]) => key === second)?.[1]
    if (!from || !to) return
    save('Bridge two dynos', [
      putEdit(view, 'build', {
        ...withoutVersion(view.build),
        bridges: [
          ...view.build.bridges,
          {
            id: crypto.randomUUID(),
            note: '',
            firstDayId: from.dayId,
            firstConfiguration: from.configuration,
            secondDayId: to.dayId,
            secondConfiguration: to.configuration,
          },
        ],
      }),
    ])
  }
  const choice = (label: string, all: typeof firsts, value: string, onChange: (key: string) => void) => (
    <label className="flex flex-col gap-1 text-[13px] text-muted">
      {label}
      <select className={BOX} value={value} onChange={(e) => onChange(e.target.value)}>
        {all.map(([key, { configuration, date }]) => (
          <option key={key} value={key}>
            {configuration}, {date}
          </option>
        ))}
      </select>
    </label>
  )
  return (
    <section aria-label="Two dynos" className="mt-4 max-w-[720px] border-l-4 border-oxide pl-4">
      <h2 className="text-[19px] text-oxide">Two dynos: not compared</h2>
      <p className="mt-1">
        {before.dyno} and {after.dyno} read the same car differently, by more than most gains. They can be
        bridged only by the same car in the same tune, run on both.
      </p>
      <div className="mt-3 grid gap-3 @2xl:grid-cols-2">
        {choice(`On ${before.dyno}`, firsts, first, setFirst)}
        {choice(`On ${after.dyno}`, seconds, second, setSecond)}
      </div>
      <label className="mt-3 flex items-center gap-2">
        <input
          type="checkbox"
          className="size-4 accent-blued"
          checked={isSame}
          onChange={(e) => setSame(e.target.checked)}
        />
        Nothing was changed between these: same car, same tune, same fuel
      </label>
      <Button className="mt-3" disabled={!isSame} onClick={bridge}>
        Bridge the two dynos
      </Button>
    </section>
  )
}
