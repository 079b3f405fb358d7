import { isOpenJob, putEdit, WAIT_KIND, withoutVersion, type Wait } from '@bold-ballast/contract'
import { useMay } from '../../../store/me'
import { useBuild } from '../../../store/useBuild'
import { useMoney } from '../../../store/useMoney'
import { useReckonedFrom } from '../../../store/useReckonedFrom'
import { Button } from '../../../ui/Button'
import { MayOnly } from '../../../ui/MayOnly'
import { RowButtons } from '../../../ui/RowButtons'
import { sayDate } from '../../../ui/sayDay'
import { movedSaid } from './movedSaid'
import { WAIT_WORDS } from './waitWords'

/** What is waited for besides parts: how far each has got, and what it holds up. */
export function WaitList({ waits, onWait }: { waits: readonly Wait[]; onWait: (id: string | null) => void }) {
  return (
    <>
      <div className="mt-5 flex flex-wrap items-end justify-between gap-2">
        <h2 className="text-[20px]">What else is waited for</h2>
        <MayOnly right="log">
          <Button onClick={() => onWait(null)}>Add what is waited for</Button>
        </MayOnly>
      </div>
      <ul aria-label="What else is waited for">
        {waits.map((wait) => (
          <WaitRow key={wait.id} wait={wait} onWait={onWait} />
        ))}
      </ul>
    </>
  )
}

function WaitRow({ wait, onWait }: { wait: Wait; onWait: (id: string) => void }) {
  const { view, save, removeSaying } = useBuild()
  const { day: now } = useReckonedFrom()
  const seesMoney = useMay('money')
  const money = useMoney(view.build.currency)
  const { begin, begun, end, over } = WAIT_WORDS[wait.kind]
  const isGiven = wait.givenOn !== null
  const holds = view.jobs
    .filter((job) => isOpenJob(job) && job.waits.includes(wait.id))
    .map((job) => job.name)
  const step = () =>
    save(`${isGiven ? end : begin}: ${wait.name}`, [
      putEdit(view, 'wait', {
        ...withoutVersion(wait),
        ...(isGiven ? { backOn: now } : { givenOn: now }),
      }),
    ])
  const facts = [
    WAIT_KIND[wait.kind],
    wait.supplier,
    seesMoney && wait.cost !== null && money(wait.cost),
    wait.givenOn && `${begun} ${sayDate(wait.givenOn, now)}`,
    wait.backOn
      ? `${over} ${sayDate(wait.backOn, now)}`
      : wait.promisedFor && `promised ${sayDate(wait.promisedFor, now)}`,
    movedSaid(wait, now),
  ]
  return (
    <li className="flex flex-wrap items-center gap-x-4 border-b border-line py-1.5">
      <span className="min-w-[220px] flex-1">
        <span className={`font-medium ${wait.backOn === null ? '' : 'text-muted'}`}>{wait.name}</span>
        <span className="block text-[13px] text-muted">{facts.filter(Boolean).join(' · ')}</span>
        {holds.length > 0 && wait.backOn === null && (
          <span className="block text-[13px]">holds up {holds.join(', ')}</span>
        )}
      </span>
      <span className="whitespace-nowrap">
        <MayOnly right="log">
          {wait.backOn === null && (
            <Button className="!px-2" onClick={step}>
              {isGiven ? end : begin}
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
  )
}
