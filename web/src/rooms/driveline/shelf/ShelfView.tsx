import { type CourseSpeeds, type Drive, putEdit } from '@bold-ballast/contract'
import { formatNumber, fromSi, overallsOf, itemAt } from '@bold-ballast/core'
import { useMemo } from 'react'
import { useBuild } from '../../../store/useBuild'
import { useCarried } from '../../../store/useCarried'
import { Button } from '../../../ui/Button'
import { ShelfSearch } from './ShelfSearch'
import type { GearedCar } from '@bold-ballast/model'
import { radiusOf, useShelf, type AnySet, type ShelfSet } from '../useShelf'
import { RowButtons } from '../../../ui/RowButtons'

const KIND: Record<AnySet['kind'], string> = {
  gearbox: 'gearbox',
  finalDrive: 'final drives',
  between: 'gears between',
  tyre: 'tyre',
}

/** Ratios by as many digits as they were given: 4.1 and 4.875. */
const sayRatio = (ratio: number) => String(Number(ratio.toFixed(3)))

/** The workshop's own sets of gears and tyres, the courses they are judged on, and every combination tried. */
export function ShelfView({
  car,
  onSet,
  onCourse,
}: {
  car: GearedCar
  onSet: (id: string | null) => void
  onCourse: (id: string | null) => void
}) {
  const { view, unit, removeSaying, saveSaying } = useBuild()
  const { record } = useCarried('drivetrain')
  const shelf = useShelf()
  const length = unit('length')
  const velocity = unit('velocity')
  const courses = useMemo(() => [...view.courseSpeeds].sort((a, b) => a.order - b.order), [view.courseSpeeds])
  const remove = (kind: 'gearset' | 'courseSpeeds', { id, name }: { id: string; name: string }) => {
    removeSaying(kind, id, name)
  }
  const says = (set: AnySet): string => {
    if (set.kind !== 'tyre') return set.ratios.map(sayRatio).join(', ')
    const radius = radiusOf(set)
    const known = [
      set.size,
      set.rollOut !== null && `rolls out ${formatNumber(set.rollOut, 3)} m`,
      set.diameter !== null &&
        `${formatNumber(fromSi(set.diameter, length), length.decimals)} ${length.symbol} unloaded`,
    ]
    const from = known.filter(Boolean).join(', ')
    return radius === null
      ? from
      : `${from}: radius ${formatNumber(fromSi(radius, length), length.decimals)} ${length.symbol}`
  }
  const fitDrive = (name: string, change: Partial<Drive>) => {
    if (!record) return
    const edits = [putEdit(view, 'drivetrain', { ...record, drive: { ...car.drive, ...change } })]
    saveSaying(`Fit ${name}`, edits, `${name} is fitted at this stage.`)
  }
  const fit = ({ name, set }: ShelfSet) => {
    const radius = set.kind === 'tyre' ? radiusOf(set) : null
    const change =
      set.kind === 'gearbox'
        ? { ratios: set.ratios }
        : set.kind === 'tyre' && radius !== null
          ? {
              tyreSize: set.size,
              rollOut: set.rollOut,
              tyreDiameter: set.diameter,
              growth: set.growth,
              rollingRadius: Math.round(radius * 10_000) / 10_000,
            }
          : null
    if (change) fitDrive(name, change)
  }
  const isFitted = ({ set }: ShelfSet) =>
    (set.kind === 'gearbox' && JSON.stringify(set.ratios) === JSON.stringify(car.drive.ratios)) ||
    (set.kind === 'tyre' && Math.abs((radiusOf(set) ?? 0) - car.drive.rollingRadius) < 6e-4)
  const lapOf = ({ points }: CourseSpeeds) => itemAt(points, -1).time - itemAt(points, 0).time
  return (
    <>
      <p className="text-muted">
        Fitted at this stage: {overallsOf(car.gearing).length} gears, final drive{' '}
        {formatNumber(car.drive.finalDrive, 2)}, tyre radius{' '}
        {formatNumber(fromSi(car.drive.rollingRadius, length), length.decimals)} {length.symbol}.
      </p>
      <ul aria-label="Sets on the shelf" className="mt-2" data-testid="shelf">
        {shelf.map((one) => (
          <li
            key={one.id}
            className="grid items-center gap-x-4 border-b border-line py-2 @2xl:grid-cols-[240px_130px_1fr_auto]"
          >
            <span className="font-medium">
              {one.name}
              {one.build && (
                <span className="block text-[12.5px] font-normal text-muted">noted for {one.build}</span>
              )}
            </span>
            <span className="text-[13.5px] text-muted">{KIND[one.set.kind]}</span>
            {one.set.kind === 'finalDrive' || one.set.kind === 'between' ? (
              <RatioList set={one.set} drive={car.drive} onFit={fitDrive} />
            ) : (
              <span className="text-[14.5px]">{says(one.set)}</span>
            )}
            <span className="flex items-center justify-end gap-1">
              {isFitted(one) ? (
                <span className="px-2 text-[13px] text-zinc">fitted</span>
              ) : (
                (one.set.kind === 'gearbox' || one.set.kind === 'tyre') && (
                  <Button look="quiet" className="!px-1" onClick={() => fit(one)}>
                    Fit<span className="sr-only"> {one.name}</span>
                  </Button>
                )
              )}
              {!one.build && (
                <>
                  <RowButtons
                    name={one.name}
                    onChange={() => onSet(one.id)}
                    onRemove={() => remove('gearset', one)}
                  />
                </>
              )}
            </span>
          </li>
        ))}
        {shelf.length === 0 && (
          <li className="py-2 text-muted">
            Nothing on it yet. Note gearboxes, final drives, drop gears and tyres that could be fitted; all
            builds of the workshop share them.
          </li>
        )}
      </ul>
      <section aria-label="Speeds of courses" className="mt-4">
        <div className="flex items-baseline justify-between gap-2">
          <h2 className="text-[19px]">Speeds of courses</h2>
          <Button onClick={() => onCourse(null)}>Add speeds</Button>
        </div>
        <ul data-testid="courses">
          {courses.map((course) => (
            <li key={course.id} className="flex flex-wrap items-center gap-x-4 border-b border-line py-1.5">
              <span className="font-medium">{course.name}</span>
              <span className="text-[13.5px] text-muted">
                {formatNumber(lapOf(course), 1)} s a lap,{' '}
                {formatNumber(fromSi(Math.min(...course.points.map((p) => p.speed)), velocity), 0)} to{' '}
                {formatNumber(fromSi(Math.max(...course.points.map((p) => p.speed)), velocity), 0)}{' '}
                {velocity.symbol}
              </span>
              <span className="ml-auto flex gap-1">
                <RowButtons
                  name={course.name}
                  onChange={() => onCourse(course.id)}
                  onRemove={() => remove('courseSpeeds', course)}
                />
              </span>
            </li>
          ))}
          {courses.length === 0 && (
            <li className="py-1.5 text-muted">
              None yet. With the speeds of a lap you get shifts a lap and time on the boil for every gearing.
            </li>
          )}
        </ul>
      </section>
      <ShelfSearch car={car} shelf={shelf} courses={courses} />
    </>
  )
}

/** Ratios to choose from: the fitted one named, each other with a button that fits it. */
function RatioList({
  set,
  drive,
  onFit,
}: {
  set: Extract<AnySet, { kind: 'finalDrive' | 'between' }>
  drive: Drive
  onFit: (name: string, change: Partial<Drive>) => void
}) {
  const field = set.kind === 'finalDrive' ? 'finalDrive' : 'between'
  const name = set.kind === 'finalDrive' ? 'final drive' : 'drop or transfer'
  return (
    <span className="flex flex-wrap items-center gap-x-3 text-[14.5px]">
      {set.ratios.map((ratio) =>
        Math.abs(drive[field] - ratio) < 5e-4 ? (
          <span key={ratio} className="text-zinc">
            {sayRatio(ratio)} fitted
          </span>
        ) : (
          <span key={ratio} className="whitespace-nowrap">
            {sayRatio(ratio)}
            <Button
              look="quiet"
              className="!px-1"
              onClick={() => onFit(`${name} ${sayRatio(ratio)}`, { [field]: ratio })}
            >
              Fit
              <span className="sr-only">
                {' '}
                {name} {sayRatio(ratio)}
              </span>
            </Button>
          </span>
        ),
      )}
    </span>
  )
}
