import type { Stance } from '@bold-ballast/model'
import {
  elementAreas,
  extraSupports,
  formatNumber,
  fromSi,
  givesWay,
  pullInStruts,
  STANDARD_GRAVITY,
} from '@bold-ballast/core'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { ShowWorking } from '../../../ui/ShowWorking'
import { LAY } from '@bold-ballast/contract'
import { GroundSays } from './GroundSays'
import { heldBy, panelIn, type Panelled } from './panelFigures'
import { mm, sizeMm, times, tone } from './safetyTone'
import { SheetTable } from './SheetTable'
import { sheetOf, type Sheet } from './useSheets'

const PERSON = 80
/** What a panel may bend before it matters to the air, m (common practice). */
const ENOUGH = 0.005

/** A panel under the air of a speed: what bends, what is in hand, the gap it keeps, and the sheets side by side. */
export function PanelCheck({
  element,
  sheets,
  stance,
  q,
  speed,
  onChange,
  onTemplate,
}: {
  element: Panelled
  sheets: readonly Sheet[]
  stance: Stance
  /** Dynamic pressure, Pa, at a speed, m/s. */
  q: number
  speed: number
  onChange: () => void
  onTemplate: () => void
}) {
  const { view, unit } = useBuild()
  const mass = unit('mass')
  const velocity = unit('velocity')
  const { panel, span, chord } = element
  const { gust, kerb, wanted } = view.build.airLoads
  const steady = Math.abs(elementAreas(element).downforceArea) * q
  const pressure = (steady * gust * kerb) / (span * chord)
  const own = panelIn(element, sheetOf(sheets, panel), panel.thickness, pressure)
  const rows = sheets.flatMap((s) => s.material.thicknesses.map((t) => panelIn(element, s, t, pressure)))
  const allowed = Math.max(own.bends, ENOUGH)
  const lightest = rows
    .filter((r) => r.safety >= wanted && Math.max(r.bends, r.droops) <= allowed)
    .reduce<(typeof rows)[number] | null>((a, r) => (!a || r.mass < a.mass ? r : a), null)
  const { struts } = panel
  const pull = struts && pullInStruts(steady * gust * kerb * struts.share, struts.count, struts.angle)
  const held = struts && heldBy(struts)
  // Load goes with the square of the speed.
  const standing = speed * Math.sqrt((PERSON * STANDARD_GRAVITY) / Math.max(1e-9, steady))
  const even = steady / (span * chord)
  const [helps] = extraSupports(own.plate, panel, even)
  return (
    <section aria-label={element.name} className="mt-4" data-testid="panel">
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h2 className="text-[19px]">{element.name}</h2>
        <span className="flex gap-1">
          <Button look="quiet" onClick={onTemplate}>
            Cut list and template<span className="sr-only"> of {element.name}</span>
          </Button>
          <Button look="quiet" onClick={onChange}>
            Change<span className="sr-only"> {element.name}</span>
          </Button>
        </span>
      </div>
      <p className="text-[17px]" data-testid="panel-says">
        {formatNumber(panel.thickness * 1000, 1)} mm {own.sheet.says} bends{' '}
        <span className="figure text-[22px]">{mm(own.bends)}</span> <span className="unit">mm</span> between
        its supports{panel.overhang > 0 && ` and droops ${mm(own.droops)} mm at the lip`}:{' '}
        <span className={tone(own.safety, wanted)}>{times(own.safety)} times what it is asked</span>.{' '}
        <ShowWorking
          working={{
            title: element.name,
            formula: 'y = α·q·b⁴/(E·t³), σ = β·q·b²/t²;  lip δ = w·L⁴/8D',
            inputs: [
              ['Steady load', `${formatNumber(steady, 0)} N`],
              ['With gusts and kerbs', `× ${formatNumber(gust * kerb, 2)}`],
              ['Pressure', `${formatNumber(pressure, 0)} Pa`],
              ['Between supports', `${sizeMm(panel.spanAlong)} × ${sizeMm(panel.spanAcross)} mm`],
              ['It lies', LAY[panel.lay]],
            ],
            result: `${times(own.safety)} in hand`,
            source: 'Roark, flat rectangle, simply supported; usual figures of generic sheets',
          }}
        />
      </p>
      <GroundSays
        element={element}
        gives={givesWay(own.plate, panel, even).gives}
        {...{ stance, speed, helps: helps ?? null }}
      />
      <p className="text-[14px] text-muted">
        It carries {formatNumber(fromSi(steady / STANDARD_GRAVITY, mass), 0)} {mass.symbol}. A person of{' '}
        {PERSON} kg standing on it is as much as {formatNumber(fromSi(standing, velocity), 0)}{' '}
        {velocity.symbol}.
        {lightest &&
          ` The lightest sheet that holds and bends no more than ${mm(allowed)} mm is ${sizeMm(lightest.thickness)} mm ${lightest.sheet.says}, ${formatNumber(fromSi(lightest.mass, mass), 1)} ${mass.symbol} instead of ${formatNumber(fromSi(own.mass, mass), 1)}.`}
      </p>
      {held && struts && pull !== null && (
        <p className="text-[14px]" data-testid="struts-say">
          {struts.count} {struts.kind === 'cable' ? 'cables' : 'struts'} pull {formatNumber(pull, 0)} N each:{' '}
          <span className={tone(held.pull / pull, wanted)}>{times(held.pull / pull)} times in hand</span>;{' '}
          {struts.kind === 'cable'
            ? 'pushed from below, a cable holds nothing.'
            : `pushed from below they buckle at ${formatNumber(held.push, 0)} N each.`}
        </p>
      )}
      <SheetTable name={element.name} {...{ rows, own, wanted }} />
    </section>
  )
}
