import { isToCome } from '@bold-ballast/model'
import {
  isOpenJob,
  PART_CONDITION,
  PART_STATE,
  PART_STATES,
  putEdit,
  withoutVersion,
  type PartToCome,
} from '@bold-ballast/contract'
import { useState } from 'react'
import { useMay } from '../../../store/me'
import { useBuild } from '../../../store/useBuild'
import { useMoney } from '../../../store/useMoney'
import { Button } from '../../../ui/Button'
import { Choose } from '../../../ui/Choose'
import { download } from '../../../ui/download'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { MayOnly } from '../../../ui/MayOnly'
import { RowButtons } from '../../../ui/RowButtons'
import { TableHead } from '../../../ui/TableHead'
import { movedSaid } from './movedSaid'
import { PartImport } from './PartImport'
import { partCsv } from './partRows'
import { TakeParts } from './TakeParts'
import { WaitList } from './WaitList'
import { sayDate } from '../../../ui/sayDay'
import { useReckonedFrom } from '../../../store/useReckonedFrom'

type Shown = 'open' | 'all' | PartToCome['state']
const NEXT: Partial<Record<PartToCome['state'], readonly [PartToCome['state'], string]>> = {
  wanted: ['ordered', 'Ordered'],
  quoted: ['ordered', 'Ordered'],
  ordered: ['arrived', 'Arrived'],
  arrived: ['trialFitted', 'Trial-fitted'],
  trialFitted: ['fitted', 'Fitted'],
}
/** Still to come, or to be fitted. */
const isOpenPart = (part: PartToCome) => isToCome(part) || part.state === 'arrived'

/** How far a part has got, with its day. */
function stateSaid(part: PartToCome, now: string): string {
  if (part.state === 'ordered') {
    if (part.promisedFor === null) return 'ordered, no day promised'
    return part.promisedFor < now
      ? `overdue since ${sayDate(part.promisedFor, now)}`
      : `due ${sayDate(part.promisedFor, now)}`
  }
  return PART_STATE[part.state]
}

/** Parts to come and what else is waited for: how far each has got, what it holds up, and whether its day has moved. */
export function PartsView({
  onPart,
  onWait,
}: {
  onPart: (id: string | null) => void
  onWait: (id: string | null) => void
}) {
  const { view, ledger, save, removeSaying } = useBuild()
  const seesMoney = useMay('money')
  const money = useMoney(view.build.currency)
  const [shows, setShows] = useState<Shown>('open')
  const [isTaking, setTaking] = useState(false)
  const [isBringing, setBringing] = useState(false)
  const { day: now } = useReckonedFrom()
  const stageOrder = new Map(ledger.stages.map((s, i) => [s.id, i]))
  const parts = [...view.parts].sort(
    (a, b) =>
      (stageOrder.get(a.stageId) ?? 0) - (stageOrder.get(b.stageId) ?? 0) ||
      PART_STATES.indexOf(a.state) - PART_STATES.indexOf(b.state) ||
      a.order - b.order,
  )
  const shown = parts.filter(
    (part) => shows === 'all' || (shows === 'open' ? isOpenPart(part) : part.state === shows),
  )
  const waits = [...view.waits].sort(
    (a, b) => Number(a.backOn !== null) - Number(b.backOn !== null) || a.order - b.order,
  )
  const held = (id: string) =>
    view.jobs.filter((job) => isOpenJob(job) && job.parts.includes(id)).map((job) => job.name)
  const step = (part: PartToCome) => {
    const [state, words] = NEXT[part.state] ?? ['fitted', 'Fitted']
    save(`${words}: ${part.name}`, [
      putEdit(view, 'part', {
        ...withoutVersion(part),
        state,
        ...(state === 'ordered' && part.orderedOn === null && { orderedOn: now }),
        ...(state === 'arrived' && part.arrivedOn === null && { arrivedOn: now }),
      }),
    ])
  }
  const stageName = (id: string) => ledger.stages.find((s) => s.id === id)?.name ?? ''
  const csv = () =>
    partCsv(
      shown.map((part) => (seesMoney ? part : { ...part, price: null })),
      {
        titles: ['stage', 'holds up'],
        cells: (part) => [stageName(part.stageId), held(part.id).join('; ')],
      },
    )
  const taking = (
    <>
      {isTaking && <TakeParts onClose={() => setTaking(false)} />}
      {isBringing && <PartImport onClose={() => setBringing(false)} />}
    </>
  )
  if (parts.length === 0 && waits.length === 0)
    return (
      <>
        <EmptyRoom
          title="No part to come yet"
          action={
            <span className="flex flex-wrap gap-2">
              <Button look="main" onClick={() => onPart(null)}>
                Add a part to come
              </Button>
              <Button onClick={() => setTaking(true)}>Take over what is planned</Button>
              <Button onClick={() => setBringing(true)}>From a CSV</Button>
              <Button onClick={() => onWait(null)}>Add what is waited for</Button>
            </span>
          }
        >
          Wanted, quoted, ordered, due, arrived, trial-fitted, fitted or sent back: with whom, for how much,
          and which jobs wait for it. The days that are promised are kept, so that what a supplier’s day is
          worth shows.
        </EmptyRoom>
        {taking}
      </>
    )
  const right = 'px-2 text-right whitespace-nowrap tabular-nums'
  return (
    <section aria-label="Parts to come" className="max-w-[1100px]">
      <div className="flex flex-wrap items-end justify-between gap-2">
        <Choose
          wide={false}
          label="Parts that are"
          value={shows}
          options={[
            ['open', 'not fitted yet'],
            ...PART_STATES.map((state) => [state, PART_STATE[state]] as const),
            ['all', 'in any state'],
          ]}
          onChange={(v) => setShows(v ?? 'open')}
        />
        <span>
          <MayOnly right="log">
            <Button look="quiet" onClick={() => setTaking(true)}>
              Take over what is planned
            </Button>
          </MayOnly>
          <MayOnly right="log">
            <Button look="quiet" onClick={() => setBringing(true)}>
              From a CSV
            </Button>
          </MayOnly>
          <Button look="quiet" onClick={() => download(`${view.build.name} parts.csv`, csv(), 'text/csv')}>
            CSV
          </Button>
        </span>
      </div>
      <div className="relative overflow-x-auto">
        <table className="mt-1 w-full" data-testid="parts">
          <caption className="sr-only">Parts to come</caption>
          <TableHead
            columns={[
              { says: 'Part' },
              { says: 'It is', className: 'px-2' },
              { says: 'Holds up', className: 'px-2 @max-2xl:hidden' },
              ...(seesMoney ? [{ says: 'Price', figures: true, className: 'px-2 @max-2xl:hidden' }] : []),
              { says: 'Change', unseen: true },
            ]}
          />
          <tbody>
            {shown.map((part) => (
              <tr key={part.id} className="border-b border-line">
                <th scope="row" className="py-1 pr-2 text-left font-medium">
                  {part.quantity > 1 && `${part.quantity} × `}
                  {part.name}
                  <span className="block text-[12.5px] font-normal text-muted">
                    {[
                      stageName(part.stageId),
                      part.supplier,
                      part.condition !== 'new' && PART_CONDITION[part.condition],
                      part.came !== null &&
                        part.came < part.quantity &&
                        `${part.came} of ${part.quantity} came`,
                      part.findings.length > 0 &&
                        `${part.findings.length} ${part.findings.length === 1 ? 'finding' : 'findings'}`,
                    ]
                      .filter(Boolean)
                      .join(' · ')}
                  </span>
                  {seesMoney && part.price !== null && (
                    <span className="block text-[12.5px] font-normal @2xl:hidden">
                      {money(part.price * part.quantity)}
                    </span>
                  )}
                </th>
                <td className="px-2">
                  <span
                    className={
                      part.state === 'ordered' && part.promisedFor !== null && part.promisedFor < now
                        ? 'font-medium text-oxide'
                        : ''
                    }
                  >
                    {stateSaid(part, now)}
                  </span>
                  <span className="block text-[12.5px] text-muted">{movedSaid(part, now)}</span>
                </td>
                <td className="px-2 text-[13.5px] @max-2xl:hidden">{held(part.id).join(', ') || '–'}</td>
                {seesMoney && (
                  <td className={`${right} @max-2xl:hidden`}>
                    {part.price === null ? '–' : money(part.price * part.quantity)}
                  </td>
                )}
                <td className="text-right whitespace-nowrap @max-2xl:whitespace-normal">
                  <MayOnly right="log">
                    {NEXT[part.state] && (
                      <Button className="!px-2" onClick={() => step(part)}>
                        {NEXT[part.state]?.[1]}
                        <span className="sr-only"> {part.name}</span>
                      </Button>
                    )}
                  </MayOnly>
                  <RowButtons
                    name={part.name}
                    recordId={part.id}
                    onChange={() => onPart(part.id)}
                    onRemove={() => removeSaying('part', part.id, part.name)}
                  />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {shown.length === 0 && <p className="mt-1 text-muted">No part is like that.</p>}
      <WaitList waits={waits} onWait={onWait} />
      {taking}
    </section>
  )
}
