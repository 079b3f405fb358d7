import { newLine, type Edit, type Line, type Swap, putEdit } from '@bold-ballast/contract'
import { formatQuantity, type LineKind } from '@bold-ballast/core'
import { format } from 'date-fns'
import { useEffect, useMemo, useRef, useState, type FormEvent } from 'react'
import { takesTooMuch } from '../../../store/commit'
import { draft } from '../../../store/draft'
import { useAppDispatch } from '../../../store/store'
import { keepPhoto } from '../../../store/photos'
import { useBuild, useLiveBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { Choice } from '../../../ui/Choice'
import { Figure } from '../../../ui/Figure'
import { WhyFigure } from '../../../ui/WhyFigure'
import { forgetText, keepText, keptText } from '../../../ui/keptText'
import { readCell } from '../cells'
import { useWeighedParts } from '../parts/useWeighedParts'
import { massDoubt, namedMass } from '@bold-ballast/model'

const BIG = 'h-14 w-full rounded-[4px] border border-edge bg-panel px-3'
const NEW = 'new'
interface Typed {
  name: string
  mass: string
  kind: LineKind
}
const EMPTY: Typed = { name: '', mass: '', kind: 'off' }

/** For one hand at the bench: what it is, what it weighs, next. */
export function BenchView() {
  const { view, buildId, stage, ledger, unit, save } = useBuild()
  const { summary } = useLiveBuild()
  const dispatch = useAppDispatch()
  const key = `bench.${stage.id}`
  const [typed, setTyped] = useState<Typed>(() => keptText<Typed>(key) ?? EMPTY)
  const [swapId, setSwapId] = useState(() => ledger.swapsOf(stage.id).at(-1)?.swap.id ?? NEW)
  const [swapName, setSwapName] = useState(() => `At the bench, ${format(new Date(), 'd MMM')}`)
  const [problem, setProblem] = useState<string | null>(null)
  const [doubt, setDoubt] = useState<ReturnType<typeof massDoubt>>(null)
  const [photo, setPhoto] = useState<File | null>(null)
  const [photoRound, setPhotoRound] = useState(0)
  const name = useRef<HTMLInputElement>(null)
  const lineId = useRef(crypto.randomUUID())
  const units = useMemo(() => ({ mass: unit('mass'), length: unit('length') }), [unit])
  const swaps = ledger.swapsOf(stage.id)
  const chosen = swaps.find((s) => s.swap.id === swapId)
  const last = useWeighedParts(typed.name)
  const past = last.get(typed.name.trim().toLowerCase())
  useEffect(() => () => void dispatch(draft.actions.cleared()), [dispatch])

  const lineOf = (from: Typed, at: string): Omit<Line, 'version'> | string => {
    const called = readCell('name', from.name, units)
    if ('problem' in called) return called.problem
    const read = readCell('mass', from.mass, units)
    if ('problem' in read) return read.problem
    return newLine({
      id: lineId.current,
      swapId: at,
      kind: from.kind,
      name: from.name.trim(),
      system: past?.system ?? 'other',
      mass: read.patch.mass ?? 0,
      grade: 'measured',
      fitted: true,
      order: chosen?.lines.length ?? 0,
    })
  }
  const change = (patch: Partial<Typed>) => {
    const next = { ...typed, ...patch }
    setTyped(next)
    keepText(key, next)
    setProblem(null)
    setDoubt(null)
    const line = chosen && lineOf(next, chosen.swap.id)
    dispatch(
      line && typeof line !== 'string'
        ? draft.actions.typing({ buildId, edits: [putEdit(view, 'line', line)] })
        : draft.actions.cleared(),
    )
  }
  const add = (mass?: number) => {
    const at = chosen?.swap.id ?? crypto.randomUUID()
    const read = lineOf(typed, at)
    if (typeof read === 'string') return setProblem(read)
    const line = mass === undefined ? read : { ...read, mass }
    const question = mass === undefined && !doubt ? massDoubt(line, units.mass) : null
    if (question) return setDoubt(question)
    if (dispatch(takesTooMuch(buildId)))
      return setProblem('That takes more off than the car weighs. Check the mass and the unit.')
    const swap: Omit<Swap, 'version'> = {
      id: at,
      stageId: stage.id,
      name: swapName.trim().slice(0, 120) || 'At the bench',
      order: (swaps.at(-1)?.swap.order ?? -1) + 1,
      workTime: null,
      cost: null,
      note: '',
    }
    const edits: Edit[] = [...(chosen ? [] : [putEdit(view, 'swap', swap)]), putEdit(view, 'line', line)]
    const faults = save(`Add ${line.name}`, edits)
    if (faults) return setProblem(faults[0].problem)
    if (photo) void dispatch(keepPhoto('photo', buildId, line.id, photo, line.name))
    setPhoto(null)
    setPhotoRound((n) => n + 1)
    lineId.current = crypto.randomUUID()
    setSwapId(at)
    setTyped({ ...EMPTY, kind: typed.kind })
    forgetText(key)
    setDoubt(null)
    name.current?.focus()
  }
  const submit = (event: FormEvent) => {
    event.preventDefault()
    add()
  }
  const done = [...(chosen?.lines ?? [])].reverse().slice(0, 5)
  return (
    <form onSubmit={submit} noValidate className="max-w-[460px]" aria-label="Weigh at the bench">
      <p className="mb-3 flex items-baseline justify-between border-y border-line py-2">
        <span className="text-muted">The car, at the end of this stage</span>
        <span className="inline-flex items-center gap-1.5">
          <Figure known={summary.planned.mass} unit={units.mass} className="text-[24px]" />
          <WhyFigure
            title="The car, at the end of this stage"
            says="as bought, less what comes off, with what goes on"
            known={summary.planned.mass}
            named={() => namedMass(view, stage.id, 'planned')}
            unit={units.mass}
          />
        </span>
      </p>
      <div className="grid gap-3">
        <Choice
          label="Off or on"
          value={typed.kind}
          options={[
            ['off', 'comes off'],
            ['on', 'goes on'],
            ['carried', 'carried over'],
          ]}
          onChange={(kind) => change({ kind })}
        />
        <label className="text-[13px] text-muted">
          Part
          <input
            ref={name}
            className={`${BIG} text-[20px] text-ink`}
            list={`${key}-parts`}
            autoComplete="off"
            enterKeyHint="next"
            value={typed.name}
            onChange={(e) => change({ name: e.target.value })}
          />
        </label>
        <datalist id={`${key}-parts`}>
          {[...last.values()].map((part) => (
            <option key={part.lineId} value={part.name} />
          ))}
        </datalist>
        <label className="text-[13px] text-muted">
          What it weighs ({units.mass.symbol})
          <input
            className={`${BIG} figure text-[30px] text-ink`}
            inputMode="decimal"
            autoComplete="off"
            enterKeyHint="done"
            value={typed.mass}
            onChange={(e) => change({ mass: e.target.value })}
          />
        </label>
        <p
          role={problem || doubt ? 'alert' : 'status'}
          className={`min-h-5 text-[13.5px] ${problem ? 'text-oxide' : doubt ? 'text-ochre' : 'text-muted'}`}
        >
          {problem ??
            doubt?.question ??
            (past
              ? `Ours weighed ${formatQuantity(past.mass, units.mass, 2)} last time: ${past.build}.`
              : '')}
        </p>
        {doubt && (
          <span className="flex flex-wrap gap-2">
            {doubt.instead.map(({ words, mass }) => (
              <Button key={words} onClick={() => add(mass)}>
                {words}
              </Button>
            ))}
          </span>
        )}
        <Button look="main" type="submit" className="h-14 text-[18px]">
          {doubt ? 'It is right, next' : 'Next'}
        </Button>
        <label className="text-[13px] text-muted">
          Photograph (can stay empty)
          <input
            key={photoRound}
            type="file"
            accept="image/*"
            capture="environment"
            className="w-full rounded-[4px] border border-edge bg-panel p-2 text-ink"
            onChange={(e) => setPhoto(e.target.files?.[0] ?? null)}
          />
        </label>
        <label className="text-[13px] text-muted">
          Into the swap
          <select
            className={`${BIG} text-[16px] text-ink`}
            value={chosen ? swapId : NEW}
            onChange={(e) => setSwapId(e.target.value)}
          >
            {swaps.map(({ swap }) => (
              <option key={swap.id} value={swap.id}>
                {swap.name}
              </option>
            ))}
            <option value={NEW}>a new one</option>
          </select>
        </label>
        {!chosen && (
          <label className="flex flex-col gap-1 text-[13px] text-muted">
            The new swap’s name
            <input
              value={swapName}
              maxLength={120}
              onChange={(e) => setSwapName(e.target.value)}
              className={BIG}
            />
          </label>
        )}
      </div>
      {done.length > 0 && (
        <ul aria-label="Just weighed" className="mt-4">
          {done.map((line) => (
            <li key={line.id} className="flex justify-between border-t border-line py-1.5">
              <span>{line.name}</span>
              <span className="figure text-[17px]">{formatQuantity(line.mass, units.mass, 2)}</span>
            </li>
          ))}
        </ul>
      )}
    </form>
  )
}
