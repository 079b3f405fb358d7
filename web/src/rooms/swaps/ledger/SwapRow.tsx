import { MayOnly } from '../../../ui/MayOnly'
import type { Swap } from '@bold-ballast/contract'
import { creditOfSwap } from '@bold-ballast/core'
import { Pencil, Plus, Trash2 } from 'lucide-react'
import { useEffect, useRef, useState } from 'react'
import { useBuild, useLiveBuild } from '../../../store/useBuild'
import { Figure } from '../../../ui/Figure'
import type { RowPlace } from './LineRow'

export interface SwapRowProps extends RowPlace {
  readonly swap: Swap
  readonly isAt: boolean
  readonly isEditing: boolean
  readonly onAt: () => void
  readonly onEdit: () => void
  readonly onOpen: () => void
  readonly onRename: (swap: Swap, name: string) => string | null
  readonly onLeave: () => void
  readonly onAdd: () => void
  readonly onRemove: () => void
}

const ICON =
  'inline-flex size-8 items-center justify-center rounded-[3px] text-muted hover:text-blued max-md:size-11'

/** The head of a swap: its name, what it is worth, and why that is not banked yet. */
export function SwapRow({
  ref,
  index,
  start,
  swap,
  isAt,
  isEditing,
  onAt,
  onEdit,
  onRename,
  onOpen,
  onLeave,
  onAdd,
  onRemove,
}: SwapRowProps) {
  const { unit } = useBuild()
  const { ledger } = useLiveBuild()
  const lines = ledger.swapsOf(swap.stageId).find((s) => s.swap.id === swap.id)?.counted ?? []
  const credit = creditOfSwap(lines)
  const why = [
    credit.unweighed && `${credit.unweighed} not weighed`,
    credit.unfitted && `${credit.unfitted} not done`,
  ]
    .filter(Boolean)
    .join(', ')
  return (
    <div
      ref={ref}
      data-index={index}
      role="row"
      aria-rowindex={index + 1}
      style={{ transform: `translateY(${start}px)` }}
      className={`absolute top-0 left-0 flex w-full items-center gap-3 border-b border-edge bg-bench px-2 max-md:flex-wrap max-md:justify-between max-md:gap-y-0 ${isEditing ? 'z-10' : ''}`}
    >
      <div
        role="gridcell"
        data-cell={`${swap.id}:swap`}
        tabIndex={isAt && !isEditing ? 0 : -1}
        onFocus={(event) => event.target === event.currentTarget && !isAt && onAt()}
        onDoubleClick={onEdit}
        className={`min-w-0 flex-1 truncate py-1.5 max-md:basis-full max-md:px-1 focus:outline-2 focus:outline-blued`}
      >
        {isEditing ? (
          <NameBox name={swap.name} onKeep={(name) => onRename(swap, name)} onLeave={onLeave} />
        ) : (
          <span className="figure text-[17px]">{swap.name}</span>
        )}
      </div>
      <div
        role="gridcell"
        className="flex items-center gap-2 whitespace-nowrap max-md:px-1 max-md:whitespace-normal"
      >
        {credit.state !== 'empty' && (
          <>
            <Figure known={credit.net} unit={unit('mass')} signed className="text-[17px]" />
            <span
              className={`text-[13px] font-medium ${credit.state === 'banked' ? 'text-zinc' : 'text-ochre'}`}
            >
              {credit.state === 'banked' ? 'banked' : `pending: ${why}`}
            </span>
          </>
        )}
      </div>
      <div role="gridcell" className="flex">
        <button
          tabIndex={-1}
          className={ICON}
          onClick={onAdd}
          aria-label={`Add a line to ${swap.name}`}
          title="Add a line (i)"
        >
          <Plus size={16} aria-hidden />
        </button>
        <button
          tabIndex={-1}
          className={ICON}
          onClick={onOpen}
          aria-label={`All about ${swap.name}`}
          title="Name, hours, money (Enter renames)"
        >
          <Pencil size={14} aria-hidden />
        </button>
        <MayOnly right="plan">
          <button
            tabIndex={-1}
            className={ICON}
            onClick={onRemove}
            aria-label={`Remove ${swap.name}`}
            title="Remove (Delete)"
          >
            <Trash2 size={15} aria-hidden />
          </button>
        </MayOnly>
      </div>
    </div>
  )
}

function NameBox({
  name,
  onKeep,
  onLeave,
}: {
  name: string
  onKeep: (name: string) => string | null
  onLeave: () => void
}) {
  const [text, setText] = useState(name)
  const [problem, setProblem] = useState<string | null>(null)
  const box = useRef<HTMLInputElement>(null)
  const isLeaving = useRef(false)
  useEffect(() => box.current?.select(), [])
  const keep = () => {
    isLeaving.current = true
    const wrong = onKeep(text.trim())
    if (wrong) {
      isLeaving.current = false
      setProblem(wrong)
    }
  }
  return (
    <>
      <input
        ref={box}
        autoFocus
        aria-label="Name of the swap"
        aria-invalid={problem ? true : undefined}
        value={text}
        onChange={(e) => setText(e.target.value)}
        onBlur={() => !isLeaving.current && keep()}
        onKeyDown={(event) => {
          event.stopPropagation()
          if (event.key === 'Enter' || event.key === 'Tab') {
            event.preventDefault()
            keep()
          } else if (event.key === 'Escape') {
            isLeaving.current = true
            onLeave()
          }
        }}
        className="figure w-full max-w-[360px] border-2 border-blued bg-panel px-1.5 text-[17px]"
      />
      {problem && (
        <span role="alert" className="ml-2 text-[12.5px] text-oxide">
          {problem}
        </span>
      )}
    </>
  )
}
