import { putEdit, type CourseSpeeds } from '@bold-ballast/contract'
import {
  candidatesOf,
  formatNumber,
  fromSi,
  rankGearings,
  RANKINGS,
  type GearingFigures,
  type Ranking,
  type ShelfCandidate,
  itemAt,
} from '@bold-ballast/core'
import { useMemo, useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { useCarried } from '../../../store/useCarried'
import { Button } from '../../../ui/Button'
import { Choose } from '../../../ui/Choose'
import { TableHead } from '../../../ui/TableHead'
import { RANKING } from '@bold-ballast/words'
import type { GearedCar } from '@bold-ballast/model'
import { useTrial } from '../../../store/useTrial'
import { useGearingWorkers } from '../useGearingWorkers'
import { asShelf, type ShelfSet } from '../useShelf'

const SHOWN = 10
/** Two at most: the page needs a core as well, and phones have few. */
const HANDS = Math.max(1, Math.min(2, (navigator.hardwareConcurrency || 2) - 1))
type Tried = ShelfCandidate & { readonly figures: GearingFigures }

/** Every combination of what is on the shelf, tried in this car and put in order. */
export function ShelfSearch({
  car,
  shelf,
  courses,
}: {
  car: GearedCar
  shelf: readonly ShelfSet[]
  courses: readonly CourseSpeeds[]
}) {
  const { view, unit, saveSaying } = useBuild()
  const { record } = useCarried('drivetrain')
  const velocity = unit('velocity')
  /** What was ticked otherwise than it starts: this build's own sets are in, those of others are out. */
  const [flipped, setFlipped] = useState<readonly string[]>([])
  const isIn = (s: ShelfSet) => (s.build === null) !== flipped.includes(s.id)
  const [courseId, setCourseId] = useState<string | null>(null)
  const course = courses.find((c) => c.id === courseId) ?? courses[0] ?? null
  const [by, setBy] = useState<Ranking>('quarterMile')
  const [share, setShare] = useState<number | null>(null)
  const [fault, setFault] = useState<string | null>(null)
  const [tried, setTried] = useState<readonly Tried[] | null>(null)
  const trial = useTrial(car, course)
  const workers = useGearingWorkers(HANDS)
  const run = async () => {
    setFault(null)
    setTried(null)
    try {
      const candidates = candidatesOf(car.gearing, asShelf(shelf.filter(isIn)))
      setShare(0)
      const answer = await workers.compareAll(
        trial,
        candidates.map((c) => c.gearing),
        setShare,
      )
      setShare(null)
      if ('problem' in answer) return setFault(`${answer.problem}.`)
      setTried(candidates.map((c, i) => ({ ...c, figures: itemAt(answer, i) })))
    } catch (error) {
      setShare(null)
      setFault(`${(error as Error).message}.`)
    }
  }
  const stop = () => {
    workers.stop()
    setShare(null)
    setFault('Stopped; nothing was changed.')
  }
  const ranked = useMemo(() => tried && rankGearings(tried, by), [tried, by])
  const fit = ({ gearing, parts }: Tried) => {
    if (!record) return
    const { ratios, finalDrive, between, rollingRadius, growth } = gearing
    const drive = { ...car.drive, ratios: [...ratios], finalDrive, between, rollingRadius, growth }
    const edits = [putEdit(view, 'drivetrain', { ...record, drive })]
    saveSaying(`Fit ${parts.join(', ')}`, edits, 'Fitted at this stage.')
  }
  const speed = (v: number) => formatNumber(fromSi(v, velocity), 0)
  const time = (t: number | null) => (t === null ? 'never' : formatNumber(t, 2))
  if (shelf.length === 0) return null
  return (
    <section aria-label="Try everything on the shelf" className="mt-5 border-t border-line pt-3">
      <h2 className="text-[19px]">Try everything on the shelf</h2>
      <fieldset className="mt-1 flex flex-wrap gap-x-4 gap-y-2.5 text-[14px]">
        <legend className="text-[13px] text-muted">With</legend>
        {shelf.map((s) => (
          <label key={s.id} className="flex items-center gap-1.5">
            <input
              type="checkbox"
              className="size-4 accent-blued"
              checked={isIn(s)}
              onChange={() =>
                setFlipped((ids) => (ids.includes(s.id) ? ids.filter((id) => id !== s.id) : [...ids, s.id]))
              }
            />
            {s.name}
            {s.build && <span className="text-muted">({s.build})</span>}
          </label>
        ))}
      </fieldset>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <Choose
          label="Best by"
          wide={false}
          value={by}
          options={RANKINGS.filter((r) => course || (r !== 'shifts' && r !== 'inBand')).map((r) => [
            r,
            RANKING[r],
          ])}
          onChange={(r) => r && setBy(r)}
        />
        {courses.length > 0 && (
          <Choose
            label="On"
            wide={false}
            value={course?.id ?? null}
            options={courses.map((c) => [c.id, c.name])}
            onChange={setCourseId}
          />
        )}
        <Button disabled={share !== null} onClick={() => void run()}>
          Try all combinations
        </Button>
        {share !== null && (
          <span className="flex items-center gap-2">
            <progress value={share} max={1} aria-label="Trying combinations" />
            {Math.round(share * 100)} % <Button onClick={stop}>Stop</Button>
          </span>
        )}
      </div>
      {fault && (
        <p role="alert" className="mt-2 text-oxide">
          {fault.replace(/^./, (c) => c.toUpperCase())}
        </p>
      )}
      {ranked && (
        <>
          <p role="status" className="mt-2 text-[13.5px] text-muted">
            {ranked.length} combinations tried; the best {Math.min(SHOWN, ranked.length)}:
          </p>
          <div className="relative overflow-x-auto" role="region" aria-label="Best combinations" tabIndex={0}>
            <table
              className="w-full min-w-[640px] [&_td]:pl-4 [&_thead_th]:pl-4 [&_thead_th:first-child]:pl-0"
              data-testid="ranked"
            >
              <TableHead
                columns={[
                  { says: 'With' },
                  { says: '402 m (s)', figures: true },
                  { says: '0 to 100 km/h (s)', figures: true },
                  { says: `Top speed (${velocity.symbol})`, figures: true },
                  { says: `Window (${velocity.symbol})`, figures: true },
                  { says: 'Shifts a lap', figures: true },
                  { says: 'On the boil', figures: true },
                  { says: 'Fit', unseen: true },
                ]}
              />
              <tbody>
                {ranked.slice(0, SHOWN).map((t, i) => (
                  <tr key={i} className="border-b border-line">
                    <th scope="row" className="py-1.5 text-left font-medium">
                      {t.parts.join(', ') || 'as fitted'}
                    </th>
                    <td className="figure text-right text-[17px]">{time(t.figures.quarterMile)}</td>
                    <td className="figure text-right text-[17px]">{time(t.figures.zeroToHundred)}</td>
                    <td className="figure text-right text-[17px]">
                      {t.figures.topSpeed === null ? '–' : speed(t.figures.topSpeed)}
                    </td>
                    <td className="figure text-right text-[17px] whitespace-nowrap">
                      {t.figures.window?.window
                        ? `${speed(t.figures.window.window[0])} to ${speed(t.figures.window.window[1])}`
                        : 'none'}
                    </td>
                    <td className="figure text-right text-[17px]">{t.figures.lap?.shifts ?? '–'}</td>
                    <td className="figure text-right text-[17px] whitespace-nowrap">
                      {t.figures.lap ? `${formatNumber(t.figures.lap.inBand * 100, 0)} %` : '–'}
                    </td>
                    <td className="text-right">
                      {t.parts.length > 0 && (
                        <Button look="quiet" className="!px-1" onClick={() => fit(t)}>
                          Fit<span className="sr-only"> {t.parts.join(', ')}</span>
                        </Button>
                      )}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </>
      )}
    </section>
  )
}
