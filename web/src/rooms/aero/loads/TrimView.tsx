import {
  carPolar,
  holesOf,
  nearestHole,
  formatNumber,
  fromSi,
  lengthFor,
  trimFor,
  unitOf,
  type AeroElement,
} from '@bold-ballast/core'
import { useMemo, useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { Chart, type Series } from '../../../ui/Chart'
import { Choose } from '../../../ui/Choose'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { QuantityField } from '../../../ui/QuantityField'
import { useAero } from '../useAero'
import { useAeroDraws } from '../useAeroDraws'

const DEGREE = unitOf('angle', '°')
const SHARE = unitOf('share', '%')
const degrees = (rad: number) => formatNumber(fromSi(rad, DEGREE), 1)

/** Elements scaled one spread up and down, for the range of an answer. */
const scaled = (elements: readonly AeroElement[], id: string, by: 1 | -1): AeroElement[] =>
  elements.map((e) =>
    e.id === id ? { ...e, lift: e.lift * (1 + by * e.spread), drag: e.drag * (1 + by * e.spread) } : e,
  )

/** The whole car over a wing's holes, the trim for a wanted balance, and how long a splitter has to be. */
export function TrimView() {
  const { view, unit, built } = useBuild()
  const { elements, massFront, balance } = useAero()
  const { wheelbase } = built
  const length = unit('length')
  const [wingId, setWingId] = useState<string | null>(null)
  const [elementId, setElementId] = useState<string | null>(null)
  const [wanted, setWanted] = useState<number | null>(null)
  const { wings, others, wing, element } = useMemo(() => {
    const wings = elements.filter((e) => e.wing)
    const others = elements.filter((e) => !e.wing && e.kind !== 'body')
    return {
      wings,
      others,
      wing: wings.find((w) => w.id === wingId) ?? wings[0],
      element:
        others.find((e) => e.id === elementId) ?? others.find((e) => e.kind === 'splitter') ?? others[0],
    }
  }, [elements, wingId, elementId])
  const goal = wanted ?? massFront - 0.03
  const polar = useMemo(() => {
    if (!wing?.wing) return null
    return carPolar(elements, wing.id, holesOf(wing.wing.holes), wheelbase)
  }, [elements, wing, wheelbase])
  const series = useMemo<Series[]>(() => {
    if (!polar) return []
    const x = polar.map((p) => Number(degrees(p.angle)))
    const share = (v: number | null) => (v === null ? null : Number((v * 100).toFixed(1)))
    return [
      {
        name: 'Front share of downforce',
        colour: '--blued',
        mode: 'lines+markers' as const,
        x,
        y: polar.map((p) => share(p.frontShare)),
        says: polar.map(
          (p) =>
            `${degrees(p.angle)}°: ${share(p.frontShare) ?? 'no'} % in front, C_D·A ${formatNumber(p.drag, 3)} m²${p.stalled ? ', stalled' : ''}`,
        ),
      },
      {
        name: 'Front share of mass',
        colour: '--muted',
        dash: 'dash' as const,
        x,
        y: x.map(() => share(massFront)),
        says: x.map(() => `${share(massFront)} % of the mass in front`),
      },
    ]
  }, [polar, massFront])
  const trim = useMemo(() => {
    if (!wing?.wing) return null
    const { from, to } = wing.wing.holes
    return trimFor(elements, wing.id, goal, [from, to], wheelbase)
  }, [elements, wing, goal, wheelbase])
  const answer = useMemo(() => {
    if (!element) return null
    const middle = lengthFor(elements, element.id, goal, wheelbase)
    // The range is that of the element's own coefficients: the wing is known better than any splitter.
    const ends = ([1, -1] as const).map((by) =>
      lengthFor(scaled(elements, element.id, by), element.id, goal, wheelbase),
    )
    return { middle, ends }
  }, [elements, element, goal, wheelbase])
  const balanced = useMemo(
    () =>
      elements.map((e) =>
        e.id === element?.id && answer?.middle != null ? { ...e, chord: answer.middle } : e,
      ),
    [elements, element, answer],
  )
  const draws = useAeroDraws(balanced, wheelbase, massFront)
  if (elements.length === 0 || (!wing && !element))
    return (
      <EmptyRoom title="Nothing to trim yet">
        With a wing that can be set, or a splitter that can be made longer, this says which setting gives the
        balance you want.
      </EmptyRoom>
    )
  const say = (m: number) => `${formatNumber(fromSi(m, length), length.decimals)} ${length.symbol}`
  const hole = trim !== null && wing?.wing ? nearestHole(trim, wing.wing.holes) : null
  return (
    <section aria-label="Trim">
      <div className="flex flex-wrap items-end gap-4">
        <div className="w-[170px]">
          <QuantityField
            label="Front share wanted"
            quantity="share"
            unit={SHARE}
            value={Number(goal.toFixed(4))}
            onChange={(v) => (v === null || (v > 0 && v < 1)) && setWanted(v)}
            hint={`Now ${balance.frontShare === null ? 'none' : `${formatNumber(balance.frontShare * 100, 1)} %`}; the mass has ${formatNumber(massFront * 100, 1)} %`}
          />
        </div>
        {wings.length > 1 && (
          <Choose
            label="By the wing"
            wide={false}
            value={wing?.id ?? null}
            options={wings.map((w) => [w.id, w.name])}
            onChange={setWingId}
          />
        )}
      </div>
      {wing?.wing && polar && (
        <>
          <p className="mt-3 text-[17px]" data-testid="trim-says">
            {trim === null || hole === null
              ? `No hole of ${wing.name} gives ${formatNumber(goal * 100, 1)} % in front.`
              : `${wing.name} at ${degrees(trim)}° gives ${formatNumber(goal * 100, 1)} % in front: the nearest hole is ${degrees(hole)}°, it stands at ${degrees(wing.wing.angle)}°.`}
          </p>
          <Chart
            title="Balance over the wing’s angle"
            summary={`Front share of the downforce at ${polar.length} settings of ${wing.name}, against the front share of the mass.`}
            xTitle="Angle (°)"
            yTitle="In front (%)"
            series={series}
            table={{
              header: [
                'angle (°)',
                'front share (%)',
                'front C_L·A (m²)',
                'rear C_L·A (m²)',
                'C_D·A (m²)',
                'stalled',
              ],
              rows: polar.map((p) => [
                Number(degrees(p.angle)),
                p.frontShare && Number((p.frontShare * 100).toFixed(1)),
                Number(p.front.toFixed(3)),
                Number(p.rear.toFixed(3)),
                Number(p.drag.toFixed(3)),
                p.stalled ? 'yes' : '',
              ]),
            }}
            filename={`${view.build.name} wing angle`}
            height={280}
          />
        </>
      )}
      {element && answer && (
        <section aria-label="How long must it be" className="mt-4 border-t border-line pt-3">
          <h2 className="text-[19px]">
            How big a {element.kind === 'splitter' ? 'splitter' : 'piece'} balances it?
          </h2>
          {others.length > 1 && (
            <span className="mt-1 block w-fit">
              <Choose
                label="Made longer or shorter"
                wide={false}
                value={element.id}
                options={others.map((o) => [o.id, o.name])}
                onChange={setElementId}
              />
            </span>
          )}
          <p className="mt-2 text-[17px]" data-testid="length-says">
            {answer.middle === null ? (
              `No length of ${element.name} gives ${formatNumber(goal * 100, 1)} % in front.`
            ) : (
              <>
                {element.name}: <span className="figure text-[26px]">{say(answer.middle)}</span> long at{' '}
                {say(element.span)} wide
                {answer.ends.every((e) => e !== null) &&
                  `, ${say(Math.min(...(answer.ends as number[])))} to ${say(Math.max(...(answer.ends as number[])))} by how little is known of it`}
                . It is {say(element.chord)} now.
                {draws &&
                  ` As long as that, the balance would still be forward of the mass in ${formatNumber(draws.wrongSide * 100, 0)} % of the cases.`}
              </>
            )}
          </p>
        </section>
      )}
    </section>
  )
}
