import { CORNER_WORDS } from '@bold-ballast/contract'
import { CORNERS, formatNumber, fuelOfLap, type Lap } from '@bold-ballast/core'
import { useLiveCar } from '../../../store/useCar'

const kilojoules = (j: number) => `${formatNumber(j / 1000, 0)} kJ`

/** What the engine gave and where it went: air, tyres, slopes, each disc, and the fuel that took. */
export function WhereItWent({ lap }: { lap: Lap }) {
  const { ethanol } = useLiveCar()
  const { driven, drag, rolling, brakesFront, brakesRear, tyres } = lap.energy
  const hardest = CORNERS.reduce((a, b) => (tyres[b] > tyres[a] ? b : a))
  const share = (j: number) => `${formatNumber((j / driven) * 100, 0)} %`
  const fuel = fuelOfLap(driven, ethanol ?? 0)
  return (
    <section aria-label="Where the work went" className="mt-4 max-w-[820px]">
      <h2 className="text-[19px]">Where the work went</h2>
      <p className="text-[15px]" data-testid="lap-energy">
        {kilojoules(driven)} at the wheels: {share(drag)} into the air, {share(rolling)} into rolling,{' '}
        {share(brakesFront + brakesRear)} into the brakes: {kilojoules(brakesFront / 2)} into each front disc,{' '}
        {kilojoules(brakesRear / 2)} into each rear one. About{' '}
        <b className="figure">{formatNumber(fuel * 1000, 2)} l</b> of fuel a lap, give or take a fifth.
      </p>
      <p className="text-[15px]" data-testid="lap-tyres">
        Force times distance through the tyres:{' '}
        {CORNERS.map((c) => `${CORNER_WORDS[c].toLowerCase()} ${formatNumber(tyres[c] / 1e6, 2)}`).join(', ')}{' '}
        MJ. The {CORNER_WORDS[hardest].toLowerCase()} one works hardest.{' '}
        <span className="text-[13.5px] text-muted">
          It compares corners and set-ups; what of it becomes heat and wear depends on slip.
        </span>
      </p>
    </section>
  )
}
