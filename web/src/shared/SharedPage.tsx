import { format, parseISO } from 'date-fns'
import { useParams } from 'react-router'
import { ProofPaper, type Paper } from '../paper/ProofPaper'
import { savePdf } from '../paper/savePdf'
import { problemOf, useSharedSheetQuery } from '../store/api'
import { Button } from '../ui/Button'

/** A proof sheet as somebody outside reads it: the sheet, and no way further in. */
export function SharedPage() {
  const { token = '' } = useParams()
  const { data, error } = useSharedSheetQuery(token)
  if (error)
    return (
      <main className="mx-auto max-w-[860px] p-6">
        <h1 className="text-[28px]">{problemOf(error).title}</h1>
        <p className="mt-2">{problemOf(error).detail}</p>
      </main>
    )
  if (!data) return null
  const paper: Paper = {
    ...data.sheet,
    units: data.sheet.units,
    link: `${location.origin}/shared/${token}`,
  }
  return (
    <main className="mx-auto max-w-[900px] px-5 py-5 max-md:px-2">
      <h1 className="no-print text-[28px]">Proof sheet</h1>
      <p className="no-print mb-3 text-muted">
        Shared {format(parseISO(data.sharedAt), 'd MMMM yyyy')}, to be read until{' '}
        {format(parseISO(data.endsAt), 'd MMMM yyyy')}.
      </p>
      <p className="no-print mb-3 flex gap-2">
        <Button onClick={() => void savePdf(paper)}>PDF</Button>
        <Button onClick={() => window.print()}>Print</Button>
      </p>
      <ProofPaper paper={paper} />
    </main>
  )
}
