import type { BuildFile } from '@bold-ballast/contract'
import { Suspense, useState } from 'react'
import { useNavigate } from 'react-router'
import { problemOf, useAddBuildMutation, useAlongQuery, useBuildsQuery } from '../../store/api'
import { useMay } from '../../store/me'
import { Button } from '../../ui/Button'
import { later } from '../../ui/later'
import type { ReadBuildFile } from './readBuildFile'
import { TakeOutWorkshop } from './TakeOutWorkshop'

const BringHome = later(() => import('./BringHome'), 'BringHome')
const ImportWorkshop = later(() => import('./ImportWorkshop'), 'ImportWorkshop')

/** What knows every shape of a build file is fetched when a file is chosen: few visits bring one. */
async function readLater(chosen: File): Promise<ReadBuildFile> {
  const reader = await import('./readBuildFile').catch(() => null)
  return reader
    ? reader.readBuildFile(chosen)
    : { faults: ['The server doesn’t answer, so the file could not be looked through. Choose it again.'] }
}

const NONE = { photographs: [], pictures: [], logs: [] }
const isPacked = ({ name, type }: File) => name.endsWith('.gz') || type === 'application/gzip'

/** Bring a build or a workshop from a file: looked through first, then added. */
export function ImportBuild() {
  const [state, setState] = useState<(ReadBuildFile & { name: string }) | null>(null)
  const [packed, setPacked] = useState<File | null>(null)
  const [addBuild, { error, isLoading }] = useAddBuildMutation()
  const mayDump = useMay('dump')
  const navigate = useNavigate()
  const { data: builds } = useBuildsQuery()
  const { data: along } = useAlongQuery()
  const isHere = ({ build }: BuildFile) => builds?.some(({ id }) => id === build.id) ?? false
  /** It came along from elsewhere, so that what has changed there since can be brought over. */
  const cameAlong = ({ build }: BuildFile) => along?.some(({ buildId }) => buildId === build.id) ?? false
  const add = async (file: BuildFile, isAlong: boolean) => {
    const added = await addBuild({ file, isAlong })
    if (added.data) void navigate(`/builds/${added.data.id}`)
  }
  return (
    <section className="mt-8 border-t border-line pt-4">
      <h2 className="text-[19px]">Files</h2>
      <p className="mt-1 mb-3 max-w-[760px] text-muted">
        A build is exported as one JSON file (in a build: <kbd>/</kbd>, then Export). Its shape is published
        as a{' '}
        <a className="text-blued underline" href="/api/v1/schema/build.json">
          JSON Schema
        </a>
        .{' '}
        {mayDump &&
          'The whole workshop, with photographs and histories, is one packed file. Either comes in here.'}
      </p>
      {mayDump && <TakeOutWorkshop />}
      <label className="inline-flex flex-col gap-1 text-[13px] text-muted">
        {mayDump ? 'Build or workshop file' : 'Build file'}
        <input
          type="file"
          accept=".json,.gz,application/json,application/gzip"
          className="rounded-[3px] border border-edge bg-panel p-1.5 text-ink"
          onChange={(event) => {
            const chosen = event.target.files?.[0]
            if (!chosen) return
            setPacked(isPacked(chosen) ? chosen : null)
            if (isPacked(chosen)) return setState(null)
            void readLater(chosen).then((r) => setState({ ...r, name: chosen.name }))
          }}
        />
      </label>
      <Suspense>
        {packed && <ImportWorkshop key={`${packed.name} ${packed.lastModified}`} file={packed} />}
      </Suspense>
      {state && 'faults' in state && (
        <div role="alert" className="mt-3 max-w-[720px] rounded-[4px] border border-oxide p-3">
          <p className="font-medium">{state.name} was not imported. Nothing has changed.</p>
          <ul className="mt-1 list-inside list-disc text-[13px]">
            {state.faults.map((fault) => (
              <li key={fault}>{fault}</li>
            ))}
          </ul>
        </div>
      )}
      <Suspense>
        {state && 'homecoming' in state && (
          <BringHome
            key={state.name}
            from={state.homecoming.from}
            base={state.homecoming.base}
            mine={state.homecoming.mine}
            files={state.homecoming}
          />
        )}
        {state && 'file' in state && cameAlong(state.file) && (
          <BringHome key={state.name} from="home" base={null} mine={state.file} files={NONE} />
        )}
      </Suspense>
      {state && 'file' in state && (
        <div className="mt-3 max-w-[720px] rounded-[4px] border border-edge bg-panel p-3">
          <p className="font-medium">{state.file.build.name}</p>
          <p className="mb-3 text-muted">
            {state.file.stages.length} stages, {state.file.lines.length} lines, {state.file.weighIns.length}{' '}
            weigh-ins, {state.file.pulls.length} pulls
          </p>
          {error && (
            <p role="alert" className="mb-2 text-oxide">
              {problemOf(error).detail}
            </p>
          )}
          <p className="flex flex-wrap items-center gap-2">
            <Button look="main" disabled={isLoading} onClick={() => void add(state.file, false)}>
              Add it to the Garage
            </Button>
            {!isHere(state.file) && (
              <Button disabled={isLoading} onClick={() => void add(state.file, true)}>
                Take it along
              </Button>
            )}
          </p>
          {!isHere(state.file) && (
            <p className="mt-2 text-[13px] text-muted">
              Taken along, it can be worked on here and brought home afterwards: what was changed on both
              sides is put together there, record by record.
            </p>
          )}
        </div>
      )}
    </section>
  )
}
