import {
  isOpenJob,
  PART_CONDITION,
  PART_STATE,
  PART_STATES,
  putEdit,
  SYSTEM,
  WAIT_KIND,
  withoutVersion,
  type PartToCome,
  type Wait,
} from '@bold-ballast/contract'
import { csvOf } from '@bold-ballast/words'
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
import { TakeParts } from './TakeParts'
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
const isToCome = (part: PartToCome) =>
  part.state !== 'fitted' && part.state !== 'returned' && part.state !== 'trialFitted'

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
  const { day: now } = useReckonedFrom()
  const stageOrder = new Map(ledger.stages.map((s, i) => [s.id, i]))
  const parts = [...view.parts].sort(
    (a, b) =>
      (stageOrder.get(a.stageId) ?? 0) - (stageOrder.get(b.stageId) ?? 0) ||
      PART_STATES.indexOf(a.state) - PART_STATES.indexOf(b.state) ||
      a.order - b.order,
  )
  const shown = parts.filter(
    (part) => shows === 'all' || (shows === 'open' ? isToCome(part) : part.state === shows),
  )
  const waits = [...view.waits].sort(
    (a, b) => Number(a.backOn !== null) - Number(b.backOn !== null) || a.order - b.order,
  )
  const held = (id: string, of: 'parts' | 'waits') =>
    view.jobs.filter((job) => isOpenJob(job) && job[of].includes(id)).map((job) => job.name)
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
  const back = (wait: Wait) =>
    save(`${wait.givenOn === null ? 'Given away' : 'Back'}: ${wait.name}`, [
      putEdit(
        view,
        'wait',
        wait.givenOn === null
          ? { ...withoutVersion(wait), givenOn: now }
          : { ...withoutVersion(wait), backOn: now },
      ),
    ])
  const csv = () =>
    csvOf(
      [
        'stage',
        'part',
        'system',
        'state',
        'pieces',
        'came',
        'condition',
        'from',
        'price',
        'ordered',
        'due',
        'promised first',
        'arrived',
        'holds up',
      ],
      shown.map((p) => [
        ledger.stages.find((s) => s.id === p.stageId)?.name ?? '',
        p.name,
        SYSTEM[p.system],
        PART_STATE[p.state],
        p.quantity,
        p.came,
        PART_CONDITION[p.condition],
        p.supplier,
        seesMoney ? p.price : null,
        p.orderedOn,
        p.promisedFor,
        p.promisedFirst,
        p.arrivedOn,
        held(p.id, 'parts').join('; '),
      ]),
    )
  const taking = isTaking && <TakeParts onClose={() => setTaking(false)} />
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
  const moved = (first: string | null, last: string | null) =>
    first && last && first !== last ? `first ${sayDate(first, now)}` : ''
  return (
    <section aria-label="Parts to come" className="max-w-[1100px]">
      <div className="flex flex-wrap items-end justify-between gap-2">
        <Choose
          wide={false}
          label="Parts that are"
          value={shows}
          options={[
            ['open', 'still to come'],
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
              ...(seesMoney ? [{ says: 'Price', figures: true, className: 'px-2' }] : []),
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
                      ledger.stages.find((s) => s.id === part.stageId)?.name,
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
                  <span className="block text-[12.5px] text-muted">
                    {moved(part.promisedFirst, part.promisedFor)}
                  </span>
                </td>
                <td className="px-2 text-[13.5px] @max-2xl:hidden">
                  {held(part.id, 'parts').join(', ') || '–'}
                </td>
                {seesMoney && (
                  <td className={right}>{part.price === null ? '–' : money(part.price * part.quantity)}</td>
                )}
                <td className="text-right whitespace-nowrap">
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
      <div className="mt-5 flex flex-wrap items-end justify-between gap-2">
        <h2 className="text-[20px]">What else is waited for</h2>
        <MayOnly right="log">
          <Button onClick={() => onWait(null)}>Add what is waited for</Button>
        </MayOnly>
      </div>
      <ul aria-label="What else is waited for">
        {waits.map((wait) => (
          <li key={wait.id} className="flex flex-wrap items-center gap-x-4 border-b border-line py-1.5">
            <span className="min-w-[220px] flex-1">
              <span className={`font-medium ${wait.backOn === null ? '' : 'text-muted'}`}>{wait.name}</span>
              <span className="block text-[13px] text-muted">
                {[
                  WAIT_KIND[wait.kind],
                  wait.supplier,
                  wait.givenOn && `given ${sayDate(wait.givenOn, '')}`,
                  wait.backOn
                    ? `back ${sayDate(wait.backOn, '')}`
                    : wait.promisedFor && `promised ${sayDate(wait.promisedFor, '')}`,
                  moved(wait.promisedFirst, wait.promisedFor),
                ]
                  .filter(Boolean)
                  .join(' · ')}
              </span>
              {held(wait.id, 'waits').length > 0 && wait.backOn === null && (
                <span className="block text-[13px]">holds up {held(wait.id, 'waits').join(', ')}</span>
              )}
            </span>
            <span className="whitespace-nowrap">
              <MayOnly right="log">
                {wait.backOn === null && (
                  <Button className="!px-2" onClick={() => back(wait)}>
                    {wait.givenOn === null ? 'Given away' : 'Back'}
                    <span className="sr-only"> {wait.name}</span>
                  </Button>
                )}
              </MayOnly>
              <RowButtons
                name={wait.name}
                recordId={wait.id}
                onChange={() => onWait(wait.id)}
                onRemove={() => removeSaying('wait', wait.id, wait.name)}
              />
            </span>
          </li>
        ))}
      </ul>
      {taking}
    </section>
  )
}
