import {
  documentOf,
  KIND_WORDS,
  recordOf,
  type BuildFile,
  type Edit,
  type HomecomingResult,
  type RecordChange,
} from '@bold-ballast/contract'
import { recordName, wordingOf } from '@bold-ballast/words'
import { useEffect, useMemo, useState } from 'react'
import { Link } from 'react-router'
import { problemOf, useBringHomeMutation, useBuildQuery } from '../../store/api'
import { Button } from '../../ui/Button'
import { ChangesSaid } from '../../ui/ChangeList'
import { Choice } from '../../ui/Choice'
import { Conflict, recordIn } from '../../ui/Conflict'

const WHY: Readonly<Record<HomecomingResult['conflicts'][number]['why'], string>> = {
  both: 'Both sides changed it.',
  twice: 'Each side made one, and there can be only one.',
  frozen: 'Its stage has been frozen here meanwhile: it stays as it was signed.',
}
const SIDES = [
  ['mine', 'Take what was brought'],
  ['theirs', 'Keep what is here'],
] as const

/**
 * What was done to a build elsewhere, looked through first: what comes over, what somebody has to choose, and then all of
 * it or none.
 *
 * @param base what both sides had last; null for what the build here came as
 */
export function BringHome({ from, base, mine }: { from: string; base: BuildFile | null; mine: BuildFile }) {
  const { id: buildId, name } = mine.build
  const { data: here } = useBuildQuery(buildId)
  const [bring, { error, isLoading }] = useBringHomeMutation()
  const [id] = useState(() => crypto.randomUUID())
  const [choices, setChoices] = useState<Readonly<Record<string, 'mine' | 'theirs'>>>({})
  const [result, setResult] = useState<HomecomingResult | null>(null)
  useEffect(() => {
    const body = { id, from, base, mine, choices: {}, look: true }
    void bring({ buildId, body }).then(({ data }) => data && setResult(data))
  }, [bring, buildId, id, from, base, mine])
  const wording = useMemo(() => wordingOf(documentOf(mine)), [mine])
  if (error && !result)
    return (
      <div role="alert" className="mt-3 max-w-[720px] rounded-[4px] border border-ochre p-3">
        <p className="font-medium">{problemOf(error).title}</p>
        <p className="mt-1 text-[13px]">{problemOf(error).detail}</p>
      </div>
    )
  if (!result) return <p className="mt-3 text-muted">Looking what has changed …</p>
  const edits = result.edits as readonly Edit[]
  const changes = edits.map((edit): RecordChange => {
    const recordId = edit.op === 'put' ? edit.record.id : edit.id
    const before = (here && recordOf(here, edit.kind, recordId)) ?? null
    return { kind: edit.kind, id: recordId, before, after: edit.op === 'put' ? edit.record : null }
  })
  const open = result.conflicts.filter((conflict) => choices[conflict.id] === undefined)
  const take = () => {
    // What is frozen here stays so, whatever was brought.
    const frozen = result.conflicts
      .filter(({ why }) => why === 'frozen')
      .map((c) => [c.id, 'theirs'] as const)
    const all = { ...choices, ...Object.fromEntries(frozen) }
    void bring({ buildId, body: { id, from, base, mine, choices: all, look: false } }).then(
      ({ data }) => data && setResult(data),
    )
  }
  return (
    <section
      aria-label={`What was done to ${name}`}
      className="mt-3 max-w-[820px] rounded-[4px] border border-edge bg-panel p-3"
      data-testid="bring-home"
    >
      <p className="font-medium">
        {name}, from {from}
      </p>
      {result.isDone ? (
        <p role="status" className="mt-1 text-zinc">
          {edits.length === 0 ? 'Nothing had changed.' : `${edits.length} records were brought over.`}{' '}
          <Link className="text-blued underline" to={`/builds/${buildId}`}>
            Open it
          </Link>
        </p>
      ) : (
        <>
          <p className="text-[13px] text-muted">
            This build is here already. What was done elsewhere comes over record by record; what was done
            here stays.
          </p>
          <ChangesSaid changes={changes} wording={wording} />
          {result.kept.length > 0 && (
            <p className="mb-2 text-[13.5px] text-ochre">
              {result.kept.length === 1 ? 'One record stays' : `${result.kept.length} records stay`} though
              one side removed {result.kept.length === 1 ? 'it' : 'them'}: something new hangs from{' '}
              {result.kept.length === 1 ? 'it' : 'them'}.
            </p>
          )}
          {result.conflicts.length > 0 && (
            <ul data-testid="home-conflicts">
              {result.conflicts.map((conflict) => (
                <li key={conflict.id} className="border-t border-line py-2">
                  <p className="font-medium">
                    The {KIND_WORDS[conflict.kind]}{' '}
                    {recordName(conflict.kind, recordIn(conflict.mine ?? conflict.theirs), wording)}
                  </p>
                  <p className="text-[13px] text-muted">{WHY[conflict.why]}</p>
                  <Conflict
                    kind={conflict.kind}
                    yours={conflict.mine}
                    theirs={conflict.theirs}
                    wording={wording}
                    heads={['Brought', 'Here']}
                  />
                  {conflict.why !== 'frozen' && (
                    <Choice
                      label="What becomes of it"
                      value={choices[conflict.id] ?? ''}
                      options={SIDES}
                      onChange={(side) =>
                        setChoices({ ...choices, [conflict.id]: side as 'mine' | 'theirs' })
                      }
                    />
                  )}
                </li>
              ))}
            </ul>
          )}
          {error && (
            <p role="alert" className="mb-2 text-oxide">
              {problemOf(error).detail}
            </p>
          )}
          <Button look="main" disabled={isLoading || open.some(({ why }) => why !== 'frozen')} onClick={take}>
            {open.some(({ why }) => why !== 'frozen') ? 'Choose above first' : 'Take it over'}
          </Button>
        </>
      )}
    </section>
  )
}
