import { formatNumber, formatQuantity, fromSi, unitOf } from '@bold-ballast/core'
import { csvOf } from '@bold-ballast/words'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { download } from '../../../ui/download'
import type { CarLife } from '@bold-ballast/model'
import { RowButtons } from '../../../ui/RowButtons'
import { outingCsv } from './outingRows'

const HOUR = unitOf('time', 'h')
const hours = (s: number) => formatNumber(fromSi(s, HOUR), 1)

/** The days that the car ran or will, and what was done to it or gave out. */
export function SeasonLists({
  life: { outings, services },
  onOuting,
  onService,
  onImport,
  onRemove,
}: {
  life: CarLife
  onOuting: (id: string | null) => void
  onService: (id: string | null, kind: 'service' | 'failure') => void
  onImport: () => void
  onRemove: (kind: 'outing' | 'service', id: string, name: string) => void
}) {
  const { view, unit } = useBuild()
  const volume = unit('volume')
  const velocity = unit('velocity')
  const nameOf = (id: string | null) =>
    id === null ? null : (view.components.find((c) => c.id === id)?.name ?? 'a component that is gone')
  const saveDays = () => download(`${view.build.name} days.csv`, outingCsv(outings), 'text/csv')
  const saveServices = () =>
    download(
      `${view.build.name} service.csv`,
      csvOf(
        ['date', 'kind', 'what', 'component', 'renewed', 'changed before', 'parts', 'fluids', 'note'],
        services.map((s) => [
          s.date,
          s.kind,
          s.what,
          nameOf(s.componentId),
          s.renewed ? 'yes' : 'no',
          s.changedThen,
          s.parts.map((p) => `${p.quantity} ${p.name}`).join('; '),
          s.fluids.map((f) => `${f.name} ${fromSi(f.volume, volume)} ${volume.symbol}`).join('; '),
          s.note,
        ]),
      ),
      'text/csv',
    )
  const buttons = (name: string, change: () => void, remove: () => void) => (
    <span className="ml-auto flex gap-1">
      <RowButtons name={name} onChange={change} onRemove={remove} />
    </span>
  )
  return (
    <div className="mt-5 grid gap-x-8 gap-y-5 @3xl:grid-cols-2">
      <section aria-label="Days">
        <div className="flex items-baseline justify-between gap-2 border-b border-edge pb-1">
          <h2 className="text-[19px]">Days</h2>
          <span className="flex gap-1">
            <Button look="quiet" onClick={onImport}>
              From a CSV<span className="sr-only"> of days</span>
            </Button>
            <Button look="quiet" onClick={saveDays} disabled={outings.length === 0}>
              CSV<span className="sr-only"> of days</span>
            </Button>
            <Button onClick={() => onOuting(null)}>Log a day</Button>
          </span>
        </div>
        <ul data-testid="outings">
          {outings.map((o) => (
            <li key={o.id} className="flex flex-wrap items-center gap-x-3 border-b border-line py-1.5">
              <span className="w-[88px] text-[13.5px] text-muted">{o.date}</span>
              <span className="min-w-[150px] flex-1">
                <span className="font-medium">{o.name}</span>
                {o.planned && <span className="text-ochre"> to come</span>}
                <span className="block text-[12.5px] text-muted">
                  {hours(o.amounts.hours)} h, {o.amounts.laps} laps, {o.amounts.launches} launches,{' '}
                  {o.amounts.heatCycles} heat cycles
                  {o.bestLap !== null && `, best lap ${o.bestLap} s`}
                  {o.quarterMile !== null && `, 402 m in ${o.quarterMile} s`}
                  {o.topSpeed !== null && `, ${formatQuantity(o.topSpeed, velocity, 0)} at most`}
                  {o.note && `. ${o.note}`}
                </span>
              </span>
              {buttons(
                o.name,
                () => onOuting(o.id),
                () => onRemove('outing', o.id, o.name),
              )}
            </li>
          ))}
          {outings.length === 0 && (
            <li className="py-1.5 text-muted">
              None yet. Every day that is logged counts for everything that wears.
            </li>
          )}
        </ul>
      </section>
      <section aria-label="Service and failures">
        <div className="flex flex-wrap items-baseline justify-between gap-2 border-b border-edge pb-1">
          <h2 className="text-[19px]">Service and failures</h2>
          <span className="flex flex-wrap gap-1">
            <Button look="quiet" onClick={saveServices} disabled={services.length === 0}>
              CSV<span className="sr-only"> of service</span>
            </Button>
            <Button onClick={() => onService(null, 'service')}>Log a service</Button>
            <Button onClick={() => onService(null, 'failure')}>Log a failure</Button>
          </span>
        </div>
        <ul data-testid="services">
          {services.map((s) => (
            <li key={s.id} className="flex flex-wrap items-center gap-x-3 border-b border-line py-1.5">
              <span className="w-[88px] text-[13.5px] text-muted">{s.date}</span>
              <span className="min-w-[150px] flex-1">
                <span className="font-medium">{s.what}</span>
                {s.kind === 'failure' && <span className="text-oxide"> failure</span>}
                <span className="block text-[12.5px] text-muted">
                  {[
                    nameOf(s.componentId),
                    s.componentId && s.renewed && 'renewed',
                    s.kind === 'failure' && `changed before: ${s.changedThen || 'nobody wrote it down'}`,
                    ...s.parts.map((p) => `${p.quantity} × ${p.name}`),
                    ...s.fluids.map(
                      (f) => `${f.name} ${formatNumber(fromSi(f.volume, volume), 1)} ${volume.symbol}`,
                    ),
                    s.note,
                  ]
                    .filter(Boolean)
                    .join('; ')}
                </span>
              </span>
              {buttons(
                s.what,
                () => onService(s.id, s.kind),
                () => onRemove('service', s.id, s.what),
              )}
            </li>
          ))}
          {services.length === 0 && (
            <li className="py-1.5 text-muted">
              Nothing logged. A failure with what was changed before it is worth more than a guess at a life.
            </li>
          )}
        </ul>
      </section>
    </div>
  )
}
