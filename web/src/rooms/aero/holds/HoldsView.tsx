import { dynamicPressure, formatNumber } from '@bold-ballast/core'
import { Suspense, useMemo, useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { useLiveCar } from '../../../store/useCar'
import { Button } from '../../../ui/Button'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { later } from '../../../ui/later'
import { QuantityField } from '../../../ui/QuantityField'
import { stanceAt } from '@bold-ballast/model'
import { MountCheck } from './MountCheck'
import { PanelCheck } from './PanelCheck'
import { isMounted, isPanelled } from '@bold-ballast/model'
import { useStocks } from './useStocks'

const AttitudeSheet = later(() => import('./AttitudeSheet'), 'AttitudeSheet')
const FactorsSheet = later(() => import('./FactorsSheet'), 'FactorsSheet')
const StockSheet = later(() => import('./StockSheet'), 'StockSheet')
const TemplateSheet = later(() => import('./TemplateSheet'), 'TemplateSheet')

/** What bends and breaks at a speed, and the gap that is left under it. */
export function HoldsView({ onElement }: { onElement: (id: string | null) => void }) {
  const { view, unit } = useBuild()
  const car = useLiveCar()
  const { elements } = car.aero
  const stocks = useStocks()
  const velocity = unit('velocity')
  const [speed, setSpeed] = useState(230 / 3.6)
  const [open, setOpen] = useState<'attitude' | 'factors' | 'stock' | null>(null)
  const [template, setTemplate] = useState<string | null>(null)
  const q = dynamicPressure(car.airDensity, Number.isFinite(speed) ? speed : 0)
  const stance = useMemo(() => stanceAt(car, q), [car, q])
  const panels = elements.filter(isPanelled)
  const mounts = elements.filter(isMounted)
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
        of a wing, you get what bends and by how much, what is in hand before it breaks, the gap to the
        ground, a template to cut by, and the sheets side by side.
      </EmptyRoom>
    )
  const { gust, kerb, wanted } = view.build.airLoads
  const close = () => setOpen(null)
  const cut = panels.find((e) => e.id === template)
  return (
    <section aria-label="Will it hold?">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
        <div className="w-[140px]">
          <QuantityField
            label="At"
            quantity="velocity"
            unit={velocity}
            value={speed}
            onChange={(v) => v !== null && setSpeed(v)}
          />
        </div>
        <p className="min-w-[240px] flex-1 text-[14px] text-muted">
          Loads with gusts and kerbs: {formatNumber(gust * kerb, 2)} times the steady ones.{' '}
          {formatNumber(wanted, 1)} is wanted beyond that.
        </p>
        <span className="flex flex-wrap gap-1">
          <Button look="quiet" onClick={() => setOpen('factors')}>
            Factors
          </Button>
          <Button look="quiet" onClick={() => setOpen('attitude')}>
            Pitch and roll
          </Button>
          <Button look="quiet" onClick={() => setOpen('stock')}>
            Sheets to be had
          </Button>
        </span>
      </div>
      {panels.map((element) => (
        <PanelCheck
          key={element.id}
          {...{ element, stocks, stance, q, speed }}
          onChange={() => onElement(element.id)}
          onTemplate={() => setTemplate(element.id)}
        />
      ))}
      {mounts.map((element) => (
        <MountCheck key={element.id} element={element} q={q} onChange={() => onElement(element.id)} />
      ))}
      <p className="mt-4 text-[13px] text-muted">
        Cut composites with mask and eyes covered. Never jack under a splitter. Whatever holds a wing, fit a
        second thing that keeps it on the car if the first fails. The event’s scrutineers decide what may run.
      </p>
      <Suspense>
        {open === 'attitude' && <AttitudeSheet onClose={close} />}
        {open === 'factors' && <FactorsSheet onClose={close} />}
        {open === 'stock' && <StockSheet onClose={close} />}
        {cut && <TemplateSheet key={cut.id} element={cut} onClose={() => setTemplate(null)} />}
      </Suspense>
    </section>
  )
}
