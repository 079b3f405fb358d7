import { fromSi, toSi, formatQuantity } from '@bold-ballast/core'
import { OWN_FIGURES, type CarStance, type OwnChange, type OwnFigure } from '@bold-ballast/model'
import { useBuild } from '../../../store/useBuild'
import { Choose } from '../../../ui/Choose'
import { QuantityField } from '../../../ui/QuantityField'

const OF_AXLES: readonly (readonly [OwnFigure, string])[] = [
  ['spring', 'springs'],
  ['bar', 'bar at the axle'],
  ['tyre', 'tyre rate'],
  ['track', 'track'],
  ['rollCentre', 'roll centre, up'],
]
const CHOICES: readonly (readonly [string, string])[] = [
  ['', 'choose what'],
  ...(['front', 'rear'] as const).flatMap((end) =>
    OF_AXLES.map(([figure, says]) => [`${end} ${figure}`, `${end} ${says}`] as const),
  ),
  ['car height', 'centre of mass, up'],
  ['car back', 'centre of mass behind the front axle'],
]

const named = (name: string | null): Pick<OwnChange, 'figure' | 'end'> | null => {
  const [of, figure] = name?.split(' ') ?? []
  const known = OWN_FIGURES[figure as OwnFigure] ? (figure as OwnFigure) : null
  return known && { figure: known, end: of === 'front' || of === 'rear' ? of : null }
}
/** As it is now, in as many digits as are written: what is typed over is a figure that somebody could have typed. */
const rounded = (si: number, unit: Parameters<typeof fromSi>[1]) =>
  toSi(Number(fromSi(si, unit).toFixed(unit.decimals)), unit)

/** A change of one's own, tried beside those that are asked about anyway: another figure in any unit. */
export function OwnChangeFields({
  stance,
  own,
  onChange,
}: {
  stance: CarStance
  own: OwnChange | null
  onChange: (own: OwnChange | null) => void
}) {
  const { unit } = useBuild()
  // A tyre that nobody knows the rate of can’t be made softer than it is.
  const choices = CHOICES.filter(
    ([name]) =>
      !(name === 'front tyre' && !stance.front.tyre) && !(name === 'rear tyre' && !stance.rear.tyre),
  )
  const chosen = own && `${own.end ?? 'car'} ${own.figure}`
  const asked = own && OWN_FIGURES[own.figure]
  const choose = (name: string | null) => {
    const next = named(name)
    if (!next) return onChange(null)
    const { quantity, now } = OWN_FIGURES[next.figure]
    onChange({ ...next, to: rounded(now(stance, next.end ?? 'front'), unit(quantity)) })
  }
  const isOff = own && asked && !(own.to >= asked.from && own.to <= asked.upTo)
  const says = (si: number) => asked && formatQuantity(si, unit(asked.quantity))
  return (
    <div className="mt-4 flex flex-wrap items-start gap-3" data-testid="own-change">
      <Choose
        label="Try something of your own"
        wide={false}
        value={chosen}
        options={choices}
        onChange={choose}
      />
      {own && asked && (
        <div className="w-[170px]">
          <QuantityField
            key={chosen}
            label="Make it"
            quantity={asked.quantity}
            unit={unit(asked.quantity)}
            value={own.to}
            onChange={(to) => onChange({ ...own, to: to ?? NaN })}
            hint={`Now ${says(asked.now(stance, own.end ?? 'front'))}`}
            problem={isOff ? `From ${says(asked.from)} to ${says(asked.upTo)}.` : undefined}
          />
        </div>
      )}
    </div>
  )
}
