import { openBranches, removalOf, type Branch, putEdit } from '@bold-ballast/contract'
import { Suspense, useMemo, useState } from 'react'
import { Link } from 'react-router'
import { toast } from '../../../ui/toast'
import { useBranches } from '../../../store/useBranches'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { later } from '../../../ui/later'
import { TriedTable } from './TriedTable'
import { TrySheet } from './TrySheet'
import { TurnerRow } from './TurnerRow'
import { turners } from './turners'
import { useTried, withTweak } from './useTried'

const AdoptSheet = later(() => import('../../../frame/AdoptSheet'), 'AdoptSheet')
const AT_ONCE = 4

/** What could be done from this stage on, tried apart from the build: side by side on all marks, and turned live. */
export function WhatIfView({ onTry }: { onTry: () => void }) {
  const { own, branch: entered, ledger, stage, buildId, save, saveSaying } = useBuild()
  const { open, leave } = useBranches()
  const branches = useMemo(() => openBranches(own), [own])
  const here = useMemo(() => branches.filter((b) => b.stageId === stage.id), [branches, stage.id])
  const elsewhere = ledger.stages.filter((s) => s !== stage && branches.some((b) => b.stageId === s.id))
  const adopted = own.branches.flatMap((b) =>
    b.adoptedAt === null ? [] : [`${b.name} (${b.adoptedAt.slice(0, 10)})`],
  )
  const [hidden, setHidden] = useState<ReadonlySet<string>>(new Set())
  const [turned, setTurned] = useState<string | null>(null)
  const [live, setLive] = useState<Branch | null>(null)
  const [sheet, setSheet] = useState<{ readonly adopt: boolean; readonly branch: Branch } | null>(null)
  const shown = useMemo(
    () =>
      here
        .filter((b) => !hidden.has(b.id))
        .slice(0, AT_ONCE)
        .map((b) => (b.id === live?.id ? live : b)),
    [here, hidden, live],
  )
  const tried = useTried(shown)
  const turning = tried.find((t) => t.branch.id === turned) ?? tried[0]
  const kept = here.find((b) => b.id === turning?.branch.id)

  const remove = ({ id, name }: Branch) =>
    saveSaying(`Drop “${name}”`, removalOf(own, 'branch', id), `“${name}” dropped.`)
  const letGo = (says: string) => {
    if (!live || !kept) return
    if (JSON.stringify(live.edits) !== JSON.stringify(kept.edits)) {
      const { version: _, ...record } = live
      const faults = save(`${says} in “${live.name}”`, [putEdit(own, 'branch', record)])
      if (faults) toast(faults[0].problem)
    }
    setLive(null)
  }
  const others = elsewhere.length > 0 && (
    <p className="mt-3 text-[14px] text-muted">
      Something is being tried from{' '}
      {elsewhere.map((s, i) => (
        <span key={s.id}>
          {i > 0 && ', '}
          <Link
            className="text-blued hover:underline"
            to={`/builds/${buildId}/stages/${s.id}/board?view=whatif`}
          >
            {s.name}
          </Link>
        </span>
      ))}
      .
    </p>
  )
  if (entered)
    return (
      <EmptyRoom
        title={`You are inside “${entered.name}”`}
        action={
          <Button look="main" onClick={() => leave(entered.stageId)}>
            Compare
          </Button>
        }
      >
        All rooms show the car as it would be. Step out to see it beside the others and beside the build as it
        is.
      </EmptyRoom>
    )
  if (here.length === 0)
    return (
      <section aria-label="What if">
        <EmptyRoom
          title="Nothing is being tried from this stage"
          action={
            <Button look="main" onClick={onTry}>
              Try something
            </Button>
          }
        >
          Another final drive, fewer kilos, a flatter wing, more boost: try it apart from the build, in every
          room if you like, and see all marks side by side before anything is bought. Take over what you like;
          the rest stays for later.
        </EmptyRoom>
        {others}
      </section>
    )
  const heads = tried.map(({ branch }) => (
    <div key={branch.id}>
      <span className="block font-medium">{branch.name}</span>
      <span className="flex flex-wrap gap-x-2 font-normal">
        <Button
          look="quiet"
          className="!px-0"
          onClick={() => open(kept && branch.id === kept.id ? kept : branch, 'swaps')}
        >
          Open<span className="sr-only"> {branch.name} in all rooms</span>
        </Button>
        <Button look="quiet" className="!px-0" onClick={() => setSheet({ adopt: true, branch })}>
          Take over<span className="sr-only"> {branch.name}</span>
        </Button>
      </span>
    </div>
  ))
  return (
    <section aria-label="What if">
      <TriedTable tried={tried} heads={heads} />
      {turning && (
        <section aria-label="Turn it" className="mt-5 max-w-[760px]">
          <h2 className="text-[19px]">Turn it and see</h2>
          {tried.length > 1 && (
            <p className="mt-1 flex flex-wrap gap-1" role="group" aria-label="Which one is turned">
              {tried.map(({ branch }) => (
                <Button
                  key={branch.id}
                  look={branch.id === turning.branch.id ? 'main' : 'plain'}
                  aria-pressed={branch.id === turning.branch.id}
                  onClick={() => setTurned(branch.id)}
                >
                  {branch.name}
                </Button>
              ))}
            </p>
          )}
          <div key={turning.branch.id} className="mt-2">
            {turners(turning).map((turner) => (
              <TurnerRow
                key={turner.key}
                turner={turner}
                onTurn={(value) => kept && setLive(withTweak(own, kept, turner.tweak(value)))}
                onLetGo={() => letGo(turner.says)}
              />
            ))}
          </div>
          <p className="mt-2 text-[13.5px] text-muted">
            For parts, gears, elements and all the rest, open it: every room then shows the car as it would
            be.
          </p>
        </section>
      )}
      <section aria-label="All that is tried" className="mt-5 max-w-[760px]">
        <h2 className="text-[19px]">All that is tried from here</h2>
        <ul>
          {here.map((branch) => (
            <li key={branch.id} className="flex flex-wrap items-center gap-x-3 border-b border-line py-1">
              <label className="flex min-w-[220px] flex-1 items-center gap-2">
                <input
                  type="checkbox"
                  className="size-4 accent-blued"
                  checked={shown.some((b) => b.id === branch.id)}
                  disabled={!shown.some((b) => b.id === branch.id) && shown.length >= AT_ONCE}
                  onChange={() => {
                    const next = new Set(hidden)
                    if (!next.delete(branch.id)) next.add(branch.id)
                    setHidden(next)
                  }}
                />
                <span>
                  {branch.name}
                  {branch.note && <span className="block text-[13px] text-muted">{branch.note}</span>}
                </span>
              </label>
              <Button look="quiet" className="!px-1" onClick={() => setSheet({ adopt: false, branch })}>
                Rename<span className="sr-only"> {branch.name}</span>
              </Button>
              <Button look="quiet" className="!px-1 !text-muted" onClick={() => remove(branch)}>
                Drop<span className="sr-only"> {branch.name}</span>
              </Button>
            </li>
          ))}
        </ul>
        {here.length > AT_ONCE && (
          <p className="mt-1 text-[13px] text-muted">Four fit side by side: untick one to see another.</p>
        )}
      </section>
      {others}
      {adopted.length > 0 && (
        <p className="mt-3 text-[13.5px] text-muted" data-testid="adopted">
          Taken over: {adopted.join(', ')}.
        </p>
      )}
      <Suspense>
        {sheet?.adopt && <AdoptSheet branch={sheet.branch} onClose={() => setSheet(null)} />}
        {sheet && !sheet.adopt && <TrySheet branch={sheet.branch} onClose={() => setSheet(null)} />}
      </Suspense>
    </section>
  )
}
