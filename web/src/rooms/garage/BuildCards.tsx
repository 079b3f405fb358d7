import type { BuildSummary } from '@bold-ballast/contract'
import { useDeferredValue, useMemo, useState } from 'react'
import { useSearchParams } from 'react-router'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { useBuildsHere } from '../../offline/useBuildsHere'
import { BuildCard } from './BuildCard'
import { chooseBuilds, ORDERS, type BuildOrder } from './chooseBuilds'

/** Cards that are drawn at once: a screen or two. */
const A_PAGE = 12
/** Fewer are seen at one glance. */
const WORTH_FINDING = 6

const ORDER_WORDS: readonly (readonly [BuildOrder, string])[] = [
  ['newest', 'Newest'],
  ['name', 'Name'],
  ['lightest', 'Lightest'],
  ['strongest', 'Power to weight'],
]
const isOrder = (text: string | null): text is BuildOrder => ORDERS.some((order) => order === text)

/** The builds of a workshop: found by what is typed, put in an order, and drawn a page at a time. */
export function BuildCards({ builds }: { builds: readonly BuildSummary[] }) {
  const [params, setParams] = useSearchParams()
  const here = useBuildsHere()
  const asked = params.get('by')
  const order = isOrder(asked) ? asked : 'newest'
  const typed = params.get('find') ?? ''
  const find = useDeferredValue(typed)
  const [shown, setShown] = useState(A_PAGE)
  const isLong = builds.length > WORTH_FINDING
  // A few stand as they were added.
  const found = useMemo(
    () => (isLong ? chooseBuilds(builds, find, order) : builds),
    [builds, find, order, isLong],
  )
  const put = (name: string, value: string) => {
    setShown(A_PAGE)
    setParams(
      (before) => {
        const next = new URLSearchParams(before)
        if (value) next.set(name, value)
        else next.delete(name)
        return next
      },
      { replace: true },
    )
  }
  const cards = found.slice(0, shown)
  const left = found.length - cards.length
  return (
    <>
      {isLong && (
        <div className="mb-4 flex flex-wrap items-center gap-3" role="search">
          <input
            type="search"
            aria-label="Find a build"
            placeholder="Name, car, discipline or stage"
            value={typed}
            onChange={(event) => put('find', event.target.value)}
            className="w-[280px] rounded-[3px] border border-edge bg-panel px-2 py-1 max-md:w-full"
          />
          <Choice
            label="Order of the builds"
            value={order}
            options={ORDER_WORDS}
            onChange={(by) => put('by', by === 'newest' ? '' : by)}
          />
          <span role="status" className="text-[13px] text-muted">
            {find && `${found.length} of ${builds.length}`}
          </span>
        </div>
      )}
      {builds.length > 0 && found.length === 0 && (
        <p className="my-6 text-muted">
          No build has all of “{find}” in its name, car, discipline or stages.{' '}
          <Button look="quiet" onClick={() => put('find', '')}>
            Show all
          </Button>
        </p>
      )}
      <ul className="grid gap-4 lg:grid-cols-3" aria-label="Builds">
        {cards.map((build) => (
          <BuildCard key={build.id} build={build} isMissing={here !== null && !here.has(build.id)} />
        ))}
      </ul>
      {left > 0 && (
        <p className="mt-4 flex items-center gap-3 text-muted">
          <Button onClick={() => setShown(shown + A_PAGE)}>Show {Math.min(A_PAGE, left)} more</Button>
          {cards.length} of {found.length}
        </p>
      )}
    </>
  )
}
