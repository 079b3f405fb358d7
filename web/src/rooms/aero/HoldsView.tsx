import type { AeroElement } from '@bold-ballast/contract'
import {
  checkWingMount,
  dynamicPressure,
  elementAreas,
  formatNumber,
  fromSi,
  lipUnderLoad,
  panelUnderLoad,
  PLAIN_STEEL,
  PLATE_ALUMINIUM,
  plateOf,
  pullInStruts,
  SHEET_NAMES,
  SHEETS,
  STANDARD_GRAVITY,
  strutLimits,
  unitNamed,
  type SheetName,
} from '@bold-ballast/core'
import { useState } from 'react'
import { useBuild } from '../../store/useBuild'
import { useGearing } from '../../store/useGearing'
import { Button } from '../../ui/Button'
import { EmptyRoom } from '../../ui/EmptyRoom'
import { QuantityField } from '../../ui/QuantityField'
import { ShowWorking } from '../../ui/ShowWorking'
import { TableHead } from '../../ui/TableHead'
import { LAY, SHEET, SHEET_NOTE } from '../../words/names'
import { useAero } from './useAero'

type Panelled = AeroElement & { readonly panel: NonNullable<AeroElement['panel']> }
type Mounted = AeroElement & { readonly mount: NonNullable<AeroElement['mount']> }
const STANDARD_AIR = 1.225
/** Gusts and kerbs together over the steady load, and what is wanted beyond that (common practice). */
const SHAKES = 1.5
const WANTED = 2
const PERSON = 80
/** What a panel may bend before it matters to the air, m (common practice). */
const ENOUGH = 0.005
const DEGREE = unitNamed('angle', '°')!
const MM = unitNamed('length', 'mm')!
const mm = (m: number) => (m > 0.999 ? 'over 999' : formatNumber(fromSi(m, MM), m < 0.01 ? 1 : 0))
const times = (n: number) => (n > 99 ? 'over 99' : formatNumber(n, 1))
const tone = (safety: number) => (safety >= WANTED ? 'text-zinc' : safety >= 1 ? 'text-ochre' : 'text-oxide')

/** What bends and breaks at a speed: panels by sheet, their lips and struts, and a wing's uprights. */
export function HoldsView({ onElement }: { onElement: (id: string | null) => void }) {
  const { unit } = useBuild()
  const { elements } = useAero()
  const { car } = useGearing()
  const velocity = unit('velocity')
  const [speed, setSpeed] = useState(230 / 3.6)
  const q = dynamicPressure(car?.load.airDensity ?? STANDARD_AIR, Number.isFinite(speed) ? speed : 0)
  const panels = elements.filter((e): e is Panelled => e.panel !== null)
  const mounts = elements.filter((e): e is Mounted => e.mount !== null)
  if (panels.length === 0 && mounts.length === 0)
    return (
      <EmptyRoom
        title="Nothing to break yet"
        action={
          <Button look="main" onClick={() => onElement(elements.find((e) => e.kind !== 'body')?.id ?? null)}>
            Say how one is built
          </Button>
        }
      >
        With the sheet of a splitter or floor, the spans between its supports and its struts, or the uprights
        of a wing, you get what bends and by how much, what is in hand before it breaks, and the sheets side
        by side.
      </EmptyRoom>
    )
  return (
    <section aria-label="Will it hold?">
      <div className="flex flex-wrap items-end gap-4">
        <div className="w-[140px]">
          <QuantityField
            label="At"
            quantity="velocity"
            unit={velocity}
            value={speed}
            onChange={(v) => v !== null && setSpeed(v)}
          />
        </div>
        <p className="flex-1 text-[14px] text-muted">
          Loads with gusts and kerbs: {SHAKES} times the steady ones. {WANTED} is wanted beyond that (common
          practice).
        </p>
      </div>
      {panels.map((element) => (
        <PanelCheck
          key={element.id}
          element={element}
          q={q}
          speed={speed}
          onChange={() => onElement(element.id)}
        />
      ))}
      {mounts.map((element) => (
        <MountCheck key={element.id} element={element} q={q} onChange={() => onElement(element.id)} />
      ))}
      <p className="mt-4 text-[13px] text-muted">
        Cut composites with mask and eyes covered. Never jack under a splitter. Whatever holds a wing, fit a
        second thing that keeps it on the car if the first fails. The event’s scrutineers decide what may run.
      </p>
    </section>
  )
}

function PanelCheck({
  element,
  q,
  speed,
  onChange,
}: {
  element: Panelled
  /** Dynamic pressure, Pa, at a speed, m/s. */
  q: number
  speed: number
  onChange: () => void
}) {
  const { view, unit } = useBuild()
  const mass = unit('mass')
  const velocity = unit('velocity')
  const { panel, span, chord } = element
  const area = span * chord
  const steady = Math.abs(elementAreas(element).downforceArea) * q
  const pressure = (steady * SHAKES) / area
  const sides = [panel.spanAlong, panel.spanAcross] as const
  const of = (sheet: SheetName, thickness: number) => {
    const plate = plateOf(SHEETS[sheet], thickness, panel.lay)
    const { price } = SHEETS[sheet]
    const field = panelUnderLoad(plate, sides, pressure)
    const lip = lipUnderLoad(plate, panel.overhang, pressure)
    return {
      ...{
        sheet,
        thickness,
        mass: plate.areaDensity * area,
        bends: field.deflection,
        droops: lip.deflection,
      },
      safety: Math.min(field.safety, lip.safety),
      price: (price.base + price.perMillimetre * thickness * 1000) * area,
    }
  }
  const own = of(panel.sheet, panel.thickness)
  const rows = SHEET_NAMES.flatMap((sheet) => SHEETS[sheet].thicknesses.map((t) => of(sheet, t)))
  const allowed = Math.max(own.bends, ENOUGH)
  const lightest = rows
    .filter((r) => r.safety >= WANTED && Math.max(r.bends, r.droops) <= allowed)
    .reduce<(typeof rows)[number] | null>((a, r) => (!a || r.mass < a.mass ? r : a), null)
  const { struts } = panel
  const pull = struts && pullInStruts(steady * SHAKES * struts.share, struts.count, struts.angle)
  const limits = struts && strutLimits({ ...struts, ...PLAIN_STEEL })
  // Load goes with the square of the speed.
  const standing = speed * Math.sqrt((PERSON * STANDARD_GRAVITY) / Math.max(1e-9, steady))
  return (
    <section aria-label={element.name} className="mt-4" data-testid="panel">
      <div className="flex items-baseline justify-between gap-2">
        <h2 className="text-[19px]">{element.name}</h2>
        <Button look="quiet" onClick={onChange}>
          Change<span className="sr-only"> {element.name}</span>
        </Button>
      </div>
      <p className="text-[17px]" data-testid="panel-says">
        {formatNumber(fromSi(panel.thickness, MM), 1)} mm {SHEET[panel.sheet]} bends{' '}
        <span className="figure text-[22px]">{mm(own.bends)}</span> <span className="unit">mm</span> between
        its supports{panel.overhang > 0 && ` and droops ${mm(own.droops)} mm at the lip`}:{' '}
        <span className={tone(own.safety)}>{times(own.safety)} times what it is asked</span>.{' '}
        <ShowWorking
          working={{
            title: element.name,
            formula: 'y = α·q·b⁴/(E·t³), σ = β·q·b²/t²;  lip δ = w·L⁴/8D',
            inputs: [
              ['Steady load', `${formatNumber(steady, 0)} N`],
              ['With gusts and kerbs', `× ${SHAKES}`],
              ['Pressure', `${formatNumber(pressure, 0)} Pa`],
              ['Between supports', `${mm(panel.spanAlong)} × ${mm(panel.spanAcross)} mm`],
              ['It lies', LAY[panel.lay]],
            ],
            result: `${times(own.safety)} in hand`,
            source: 'Roark, flat rectangle, simply supported; usual figures of generic sheets',
          }}
        />
      </p>
      <p className="text-[14px] text-muted">
        It carries {formatNumber(fromSi(steady / STANDARD_GRAVITY, mass), 0)} {mass.symbol}. A person of{' '}
        {PERSON} kg standing on it is as much as {formatNumber(fromSi(standing, velocity), 0)}{' '}
        {velocity.symbol}.
        {lightest &&
          ` The lightest sheet that holds and bends no more than ${mm(allowed)} mm is ${formatNumber(fromSi(lightest.thickness, MM), 0)} mm ${SHEET[lightest.sheet]}, ${formatNumber(fromSi(lightest.mass, mass), 1)} ${mass.symbol} instead of ${formatNumber(fromSi(own.mass, mass), 1)}.`}
      </p>
      {limits && pull !== null && (
        <p className="text-[14px]" data-testid="struts-say">
          {struts!.count} struts pull {formatNumber(pull, 0)} N each:{' '}
          <span className={tone(limits.tension / pull)}>{times(limits.tension / pull)} times in hand</span>;
          pushed from below they buckle at {formatNumber(limits.compression, 0)} N each.
        </p>
      )}
      <div
        className="relative mt-2 overflow-x-auto"
        role="region"
        aria-label={`Sheets for ${element.name}`}
        tabIndex={0}
      >
        <table
          className="w-full max-w-[900px] whitespace-nowrap [&_td]:pl-4 [&_thead_th]:pl-4 [&_thead_th:first-child]:pl-0"
          data-testid="sheets"
        >
          <TableHead
            columns={[
              { says: 'Sheet' },
              { says: `Mass (${mass.symbol})`, figures: true },
              { says: 'Bends (mm)', figures: true },
              { says: 'Lip (mm)', figures: true },
              { says: 'In hand', figures: true },
              { says: `Price${view.build.currency && ` (${view.build.currency})`}`, figures: true },
            ]}
          />
          <tbody>
            {rows.map((r, i) => {
              const isOwn = r.sheet === panel.sheet && Math.abs(r.thickness - panel.thickness) < 5e-5
              return (
                <tr
                  key={`${r.sheet} ${r.thickness}`}
                  className={`border-b border-line ${isOwn ? 'bg-panel font-medium' : ''}`}
                >
                  <th scope="row" className="py-1 text-left font-medium">
                    {formatNumber(fromSi(r.thickness, MM), 0)} mm {SHEET[r.sheet]}
                    {isOwn && <span className="unit"> as built</span>}
                    {r.sheet !== rows[i - 1]?.sheet && (
                      <span className="block text-[12.5px] font-normal text-muted">
                        {SHEET_NOTE[r.sheet]}
                      </span>
                    )}
                  </th>
                  <td className="figure text-right text-[17px]">{formatNumber(fromSi(r.mass, mass), 1)}</td>
                  <td className="figure text-right text-[17px]">{mm(r.bends)}</td>
                  <td className="figure text-right text-[17px]">{mm(r.droops)}</td>
                  <td className={`figure text-right text-[17px] ${tone(r.safety)}`}>{times(r.safety)}</td>
                  <td className="figure text-right text-[17px]">{formatNumber(r.price, 0)}</td>
                </tr>
              )
            })}
          </tbody>
        </table>
      </div>
    </section>
  )
}

function MountCheck({ element, q, onChange }: { element: Mounted; q: number; onChange: () => void }) {
  const { mount } = element
  const { downforceArea, dragArea } = elementAreas(element)
  const load = { downforce: downforceArea * q * SHAKES, drag: dragArea * q * SHAKES }
  const check = checkWingMount({ ...mount, ...PLATE_ALUMINIUM }, load)
  const rows: [string, number][] = [
    ['Uprights, bent back by drag', check.bending],
    ['Uprights, pressed sideways', check.buckling],
    ['Bolts at the foot', check.bolts],
  ]
  return (
    <section aria-label={element.name} className="mt-5" data-testid="mount">
      <div className="flex items-baseline justify-between gap-2">
        <h2 className="text-[19px]">{element.name}</h2>
        <Button look="quiet" onClick={onChange}>
          Change<span className="sr-only"> {element.name}</span>
        </Button>
      </div>
      <p className="text-[15px]" data-testid="mount-says">
        {formatNumber(load.downforce, 0)} N down and {formatNumber(load.drag, 0)} N back, with gusts and
        kerbs; its own load tips it back by {formatNumber(fromSi(check.tipsBack, DEGREE), 2)}°.{' '}
        {mount.on === 'lid' && (
          <span className="text-oxide">
            It stands on the lid: a lid’s hinges, latch and skin were not made for this.{' '}
          </span>
        )}
        {!mount.retention && <span className="text-oxide">Nothing but the mount keeps it on the car.</span>}
      </p>
      <ul className="max-w-[560px]">
        {rows.map(([says, safety]) => (
          <li key={says} className="flex justify-between gap-4 border-b border-line py-1.5">
            <span>{says}</span>
            <span className={`figure text-[17px] ${tone(safety)}`}>{times(safety)} in hand</span>
          </li>
        ))}
      </ul>
    </section>
  )
}
