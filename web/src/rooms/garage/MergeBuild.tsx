import {
  KIND_WORDS,
  recordIdOf,
  recordOf,
  type BuildDocument,
  type Edit,
  type HomecomingResult,
  type RecordChange,
} from '@bold-ballast/contract'
import { recordName, wordingOf } from '@bold-ballast/words'
import { useEffect, useMemo, useState, type ReactNode } from 'react'
import { problemOf } from '../../store/api'
import { Button } from '../../ui/Button'
import { ChangesSaid } from '../../ui/ChangeList'
import { Choice } from '../../ui/Choice'
import { Conflict, recordIn } from '../../ui/Conflict'

export type Choices = Readonly<Record<string, 'mine' | 'theirs'>>
export interface Merged {
  readonly data?: HomecomingResult | undefined
  readonly error?: unknown
}

export interface MergeBuildProps {
  readonly title: string
  /** What comes over to where, and what stays. */
  readonly says: string
  /** The side that is brought, and the one that it is brought to. */
  readonly sides: readonly [string, string]
  /** What can be chosen where both changed one record: the first, or the second. */
  readonly options: readonly [string, string]
  /** The build as it is brought. */
  readonly brought: BuildDocument
  /** As it is where it is brought to; undefined until it is known. */
  readonly there: BuildDocument | undefined
  /** Looks what would be done, or does it. */
  readonly merge: (choices: Choices, look: boolean) => Promise<Merged>
  /** Beside what was done. */
  readonly after?: ReactNode
}

/**
 * What was done to a build on one side, looked through before it is taken over on the other: what comes over, what somebody
 * has to choose, and then all of it or none.
 */
export function MergeBuild({ title, says, sides, options, brought, there, merge, after }: MergeBuildProps) {
  const [choices, setChoices] = useState<Choices>({})
  const [isBusy, setBusy] = useState(false)
  const [error, setError] = useState<unknown>(null)
  const [result, setResult] = useState<HomecomingResult | null>(null)
  useEffect(() => {
    let isGone = false
    void merge({}, true).then(({ data, error: wrong }) => {
      if (isGone) return
      setResult(data ?? null)
      setError(wrong)
    })
    return () => {
      isGone = true
    }
  }, [merge])
  const wording = useMemo(() => wordingOf(brought), [brought])
  if (error && !result)
    return (
      <div role="alert" className="mt-3 max-w-[720px] rounded-[4px] border border-ochre p-3">
        <p className="font-medium">{problemOf(error).title}</p>
        <p className="mt-1 text-[13px]">{problemOf(error).detail}</p>
      </div>
    )
  if (!result) return <p className="mt-3 text-muted">Looking what has changed …</p>
  const why: Readonly<Record<HomecomingResult['conflicts'][number]['why'], string>> = {
    both: 'Both sides changed it.',
    twice: 'Each side made one, and there can be only one.',
    driven: 'A day was driven on it, and the other side set it otherwise: it has to stand as it was driven.',
    frozen: `Its stage has been frozen meanwhile (${sides[1].toLowerCase()}): it stays as it was signed.`,
  }
  const either = [
    ['mine', options[0]],
    ['theirs', options[1]],
  ] as const
  const edits = result.edits as readonly Edit[]
  const changes = edits.map((edit): RecordChange => {
    const recordId = recordIdOf(edit)
    const before = (there && recordOf(there, edit.kind, recordId)) ?? null
    return { kind: edit.kind, id: recordId, before, after: edit.op === 'put' ? edit.record : null }
  })
  const open = result.conflicts.filter(({ id, isSettled }) => !isSettled && choices[id] === undefined)
  const take = async () => {
    // What is frozen there, or was driven on, stays so, whatever was brought.
    const settled = result.conflicts
      .filter(({ isSettled }) => isSettled)
      .map((c) => [c.id, 'theirs'] as const)
    setBusy(true)
    const merged = await merge({ ...choices, ...Object.fromEntries(settled) }, false)
    setBusy(false)
    setError(merged.error)
    if (merged.data) setResult(merged.data)
  }
  return (
    <section
      aria-label={`What was done to ${brought.build.name}`}
      className="mt-3 max-w-[820px] rounded-[4px] border border-edge bg-panel p-3"
      data-testid="bring-home"
    >
      <p className="font-medium">{title}</p>
      {result.isDone ? (
        <p role="status" className="mt-1 text-zinc">
          {edits.length === 0
            ? 'No record had changed.'
            : edits.length === 1
              ? 'One record was brought over.'
              : `${edits.length} records were brought over.`}{' '}
          {after}
        </p>
      ) : (
        <>
          <p className="text-[13px] text-muted">{says}</p>
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
                  <p className="text-[13px] text-muted">
                    {why[conflict.why]}
                    {conflict.isSettled &&
                      conflict.why === 'driven' &&
                      ` What is ${sides[1].toLowerCase()} stays.`}
                  </p>
                  <Conflict
                    kind={conflict.kind}
                    yours={conflict.mine}
                    theirs={conflict.theirs}
                    wording={wording}
                    heads={sides}
                  />
                  {!conflict.isSettled && (
                    <Choice
                      label="What becomes of it"
                      value={choices[conflict.id] ?? ''}
                      options={either}
                      onChange={(side) =>
                        setChoices({ ...choices, [conflict.id]: side as 'mine' | 'theirs' })
                      }
                    />
                  )}
                </li>
              ))}
            </ul>
          )}
          {error !== null && error !== undefined && (
            <p role="alert" className="mb-2 text-oxide">
              {problemOf(error).detail}
            </p>
          )}
          <Button look="main" disabled={isBusy || open.length > 0} onClick={() => void take()}>
            {open.length > 0 ? 'Choose above first' : 'Take it over'}
          </Button>
        </>
      )}
    </section>
  )
}
