import { homeToAdd, type Home, type HomeToAdd } from '@bold-ballast/contract'
import { format, parseISO } from 'date-fns'
import { useState } from 'react'
import { Link } from 'react-router'
import { problemOf, useAlongQuery } from '../../store/api'
import {
  useAddHomeMutation,
  useBuildsAtHomeQuery,
  useForgetHomeMutation,
  useHomesQuery,
  useTakeAlongMutation,
} from '../../store/homesApi'
import { Button } from '../../ui/Button'
import { fieldsTyped } from '../../ui/record/fieldsOf'
import { FormSheet } from '../../ui/record/FormSheet'
import { refusedAs, useSchemaForm } from '../../ui/record/useSchemaForm'
import { toast } from '../../ui/toast'
import { BringOver } from './BringOver'

const { Field } = fieldsTyped<HomeToAdd>()

/** Other workshops on the network: builds are taken along from them, worked on here, and brought home. */
export function OtherWorkshops() {
  const { data: homes, error } = useHomesQuery()
  const [isAdding, setAdding] = useState(false)
  return (
    <section className="mt-8 border-t border-line pt-4" aria-label="Another workshop">
      <h2 className="text-[19px]">Another workshop on the network</h2>
      <p className="mt-1 mb-3 max-w-[760px] text-muted">
        A laptop takes builds along from the workshop’s own server, with their photographs, and brings home
        what was done at the track. It is paired once, like a phone.
      </p>
      {error && (
        <p role="alert" className="mb-2 text-oxide">
          {problemOf(error).detail}
        </p>
      )}
      <ul>
        {homes?.map((home) => (
          <Workshop key={home.id} home={home} />
        ))}
      </ul>
      <p className="mt-2">
        <Button onClick={() => setAdding(true)}>Pair with a workshop</Button>
      </p>
      {isAdding && <PairWithSheet onClose={() => setAdding(false)} />}
    </section>
  )
}

function PairWithSheet({ onClose }: { onClose: () => void }) {
  const [add] = useAddHomeMutation()
  const form = useSchemaForm<HomeToAdd>(null, homeToAdd, { link: '' }, async (typed) => {
    const { error } = await add(typed)
    if (error) return refusedAs(error)
    toast('Paired. Its builds can be taken along now.')
    onClose()
    return null
  })
  return (
    <FormSheet
      form={form}
      title="Pair with a workshop"
      says="Pair"
      onClose={onClose}
      before={
        <p className="mb-3 text-muted">
          Open the workshop’s address in this laptop’s browser, sign in, and copy the link that pairs a
          laptop. It holds the fingerprint of the workshop’s machine: nothing is told to any other.
        </p>
      }
    >
      <Field name="link" isWide autoFocus />
    </FormSheet>
  )
}

function Workshop({ home }: { home: Home }) {
  const [isOpen, setOpen] = useState(false)
  const [forget] = useForgetHomeMutation()
  const at = new URL(home.origin).host
  return (
    <li className="border-b border-line py-2" data-testid="other-workshop">
      <p className="flex flex-wrap items-baseline gap-x-3">
        <span className="flex-1">
          {at}
          <span className="block text-[13px] text-muted">
            as {home.person}, since {format(parseISO(home.since), 'd MMM yyyy')}
          </span>
        </span>
        <Button onClick={() => setOpen(!isOpen)} aria-expanded={isOpen}>
          {isOpen ? 'Close' : 'Its builds'}
        </Button>
        <Button look="quiet" className="!px-1 !text-muted" onClick={() => void forget(home.id)}>
          Forget<span className="sr-only"> {at}</span>
        </Button>
      </p>
      {isOpen && <BuildsThere homeId={home.id} />}
    </li>
  )
}

function BuildsThere({ homeId }: { homeId: string }) {
  const {
    data: builds,
    error,
    isFetching,
    refetch,
  } = useBuildsAtHomeQuery(homeId, {
    refetchOnMountOrArgChange: true,
  })
  const { data: along } = useAlongQuery()
  const [take, { isLoading, error: refused }] = useTakeAlongMutation()
  const [merging, setMerging] = useState<{ buildId: string; way: 'home' | 'here' } | null>(null)
  const wrong = error ?? refused
  const cameAlong = new Set(along?.map(({ buildId }) => buildId))
  return (
    <div className="mt-2 pl-3">
      {wrong && (
        <p role="alert" className="mb-2 flex flex-wrap items-baseline gap-x-3 text-oxide">
          <span>{problemOf(wrong).detail}</span>
          <Button onClick={() => void refetch()}>Try again</Button>
        </p>
      )}
      {!builds && isFetching && <p className="text-muted">Asking there …</p>}
      {builds?.length === 0 && <p className="text-muted">There is no build that may be taken along.</p>}
      <ul>
        {builds?.map(({ id, name, workshop, isHere }) => (
          <li key={id} className="py-1" data-testid="build-there">
            <p className="flex flex-wrap items-baseline gap-x-3 gap-y-1">
              <span className="flex-1">
                {isHere ? (
                  <Link className="text-blued underline" to={`/builds/${id}`}>
                    {name}
                  </Link>
                ) : (
                  name
                )}{' '}
                <span className="text-[13px] text-muted">{workshop}</span>
              </span>
              {!isHere && (
                <Button disabled={isLoading} onClick={() => void take({ homeId, buildId: id })}>
                  Take along<span className="sr-only"> {name}</span>
                </Button>
              )}
              {isHere && cameAlong.has(id) && (
                <>
                  <Button onClick={() => setMerging({ buildId: id, way: 'home' })}>
                    Bring home<span className="sr-only"> {name}</span>
                  </Button>
                  <Button onClick={() => setMerging({ buildId: id, way: 'here' })}>
                    Fetch what is new<span className="sr-only"> of {name}</span>
                  </Button>
                </>
              )}
              {isHere && !cameAlong.has(id) && (
                <span className="text-[13px] text-muted">here, but not taken along</span>
              )}
            </p>
            {merging?.buildId === id && (
              <BringOver key={merging.way} homeId={homeId} buildId={id} way={merging.way} />
            )}
          </li>
        ))}
      </ul>
    </div>
  )
}
