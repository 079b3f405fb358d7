import { ratioKnown, type CarNow } from '@bold-ballast/core'
import { useBuild, useLiveBuild } from '../../../store/useBuild'
import { useLiveCar } from '../../../store/useCar'
import { Figure } from '../../../ui/Figure'
import { GradeMark } from '../../../ui/grades'
import { WhyFigure } from '../../../ui/WhyFigure'

const ROWS = [
  ['Mass', 'mass', 'mass'],
  ['Wheel power', 'power', 'power'],
  ['Power to weight', 'powerToWeight', 'powerToWeight'],
] as const
const FROM = { scales: 'by the scales', books: 'by the books', plan: 'planned' } as const
const POWER_FROM = { dyno: 'pulled', plan: 'planned' } as const

/** A half-done stage is two cars: as it stands, and when it is finished; each with its own mass, power and ratio. */
export function CarColumns() {
  const { unit } = useBuild()
  const { summary } = useLiveBuild()
  const car = useLiveCar()
  if (summary.openLinesSoFar === 0) return null
  const columns = [
    ['As it stands', 'standing'],
    ['When it is finished', 'finished'],
  ] as const
  const from = (car: CarNow, of: 'mass' | 'power' | 'powerToWeight') =>
    of === 'mass' ? FROM[car.massFrom] : of === 'power' && car.powerFrom ? POWER_FROM[car.powerFrom] : ''
  const byName = ({ power }: CarNow, moment: (typeof columns)[number][1], of: (typeof ROWS)[number][1]) => {
    const mass = car.massByName[moment]
    return of === 'mass' ? mass : of === 'power' ? power : power && ratioKnown(power, mass)
  }
  return (
    <table className="mb-4 w-full max-w-[720px]" data-testid="two-cars">
      <caption className="pb-1 text-left text-[13.5px] text-muted">
        {summary.openLinesSoFar} {summary.openLinesSoFar === 1 ? 'line is' : 'lines are'} still open, so this
        stage is two cars. Its marks are for the finished one.
      </caption>
      <thead>
        <tr className="border-b border-line text-[12.5px] text-muted">
          <th className="text-left font-normal">
            <span className="sr-only">Figure</span>
          </th>
          {columns.map(([when]) => (
            <th key={when} scope="col" className="py-1 pl-4 text-left font-medium">
              {when}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {ROWS.map(([says, of, quantity]) => (
          <tr key={of} className="border-b border-line">
            <th scope="row" className="py-1 text-left font-medium">
              {says}
            </th>
            {columns.map(([when, moment]) => {
              const now = summary[moment]
              const known = now[of]
              return (
                <td key={when} className="py-1 pl-4">
                  {known ? (
                    <span className="inline-flex flex-wrap items-baseline gap-x-2">
                      <Figure known={known} unit={unit(quantity)} className="text-[19px]" />
                      <WhyFigure
                        title={`${says}, ${when.toLowerCase()}`}
                        says={[from(now, of), 'in the reference condition'].filter(Boolean).join(', ')}
                        known={known}
                        named={() => byName(now, moment, of) ?? known}
                        unit={unit(quantity)}
                      />
                      <GradeMark grade={known.grade} />
                      <span className="text-[12.5px] text-muted">{from(now, of)}</span>
                    </span>
                  ) : (
                    <span className="text-muted">–</span>
                  )}
                </td>
              )
            })}
          </tr>
        ))}
      </tbody>
    </table>
  )
}
