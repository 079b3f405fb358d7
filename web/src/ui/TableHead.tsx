import type { ReactNode } from 'react'

export interface TableColumn {
  readonly says: string
  /** Figures stand to the right. */
  readonly figures?: boolean
  /** For screen readers only: the eye sees what it is. */
  readonly unseen?: boolean
  readonly className?: string
  /** Beside the words: a button, say. */
  readonly beside?: ReactNode
}

/** For words in a cell that stand in the head of the table where there is room for one. */
export const FOLDED = 'block font-sans text-[12.5px] font-normal text-muted @2xl:hidden'

/** The head of a table. `folds`: on a phone its rows become cards, and the head is for screen readers. */
export function TableHead({ columns, folds = false }: { columns: readonly TableColumn[]; folds?: boolean }) {
  return (
    <thead className={folds ? '@max-2xl:sr-only' : ''}>
      <tr className="border-b border-line text-[12.5px] text-muted">
        {columns.map(({ says, figures, unseen, beside, className = '' }) => (
          <th
            key={says}
            scope="col"
            className={`py-1 font-normal ${figures ? 'text-right' : 'text-left'} ${className}`}
          >
            {unseen ? <span className="sr-only">{says}</span> : says} {beside}
          </th>
        ))}
      </tr>
    </thead>
  )
}
