import { LONGEST_SHARE_DAYS, type Share } from '@bold-ballast/contract'
import { addDays, endOfDay, format, isAfter, parseISO } from 'date-fns'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { toast } from 'sonner'
import * as z from 'zod'
import type { Paper } from '../../../paper/ProofPaper'
import { QrCode } from '../../../paper/QrCode'
import { problemOf, useAddShareMutation, useWorkshopQuery } from '../../../store/api'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { FormText } from '../../../ui/form'
import { SheetForm } from '../../../ui/SheetForm'
import { SideSheet } from '../../../ui/SideSheet'
import { useDraftForm } from '../../../ui/useDraftForm'
import { shareLink } from './shareLink'

const USUAL_DAYS = 30
const DAY = 'yyyy-MM-dd'
const typed = z.object({
  until: z.iso
    .date('Choose the last day on which the link works.')
    .refine((day) => isAfter(endOfDay(parseISO(day)), new Date()), 'That day is over: choose a later one.')
    .refine(
      (day) => !isAfter(parseISO(day), addDays(new Date(), LONGEST_SHARE_DAYS - 1)),
      'A link works for a year at most.',
    ),
})

/** Makes a link under which somebody else may read this sheet, and nothing besides. */
export function ShareSheet({ paper, onClose }: { paper: Paper; onClose: () => void }) {
  const { buildId, stage } = useBuild()
  const { data: workshop } = useWorkshopQuery()
  const [add, { isLoading }] = useAddShareMutation()
  const [made, setMade] = useState<Share | null>(null)
  const [fault, setFault] = useState<string | null>(null)
  const [start] = useState(() => ({
    id: crypto.randomUUID(),
    until: format(addDays(new Date(), USUAL_DAYS), DAY),
  }))
  const { control, handleSubmit, kept } = useDraftForm<z.infer<typeof typed>>(`share.${stage.id}`, {
    resolver: zodResolver(typed),
    defaultValues: { until: start.until },
  })
  const submit = handleSubmit(async ({ until }) => {
    const { build, stage: name, place, figures, signed, code, units } = paper
    const sheet = { build, stage: name, place, figures, signed, code, units }
    const endsAt = endOfDay(parseISO(until)).toISOString()
    const answer = await add({ buildId, share: { id: start.id, stageId: stage.id, sheet, endsAt } })
    if (!answer.data) return setFault(problemOf(answer.error).detail)
    setMade(answer.data)
    kept.forget()
  })
  const link = made && shareLink(made, workshop?.shareOrigin)
  return (
    <SideSheet open onClose={onClose} title="Share this sheet">
      {link ? (
        <div className="flex flex-col items-start gap-3" data-testid="share-made">
          <p>
            Whoever has this link reads the sheet as it is now, until{' '}
            {format(parseISO(made.endsAt), 'd MMMM yyyy')}. Nothing else can be reached from it.
          </p>
          <p
            className="w-full rounded-[3px] border border-edge bg-panel p-2 break-all"
            data-testid="share-link"
          >
            {link}
          </p>
          <QrCode text={link} label={`Leads to ${link}`} size={132} />
          <p className="flex gap-2">
            <Button
              look="main"
              onClick={() => void navigator.clipboard.writeText(link).then(() => toast('Link copied.'))}
            >
              Copy the link
            </Button>
            <Button onClick={onClose}>Done</Button>
          </p>
          {!workshop?.shareOrigin && (
            <p className="text-[13.5px] text-ochre">
              This link works on this machine only, because Bold Ballast listens nowhere else. To let others
              open it, say where it is reached from outside: the README tells how (SHARE_ORIGIN).
            </p>
          )}
        </div>
      ) : (
        <>
          <p className="mb-3 text-[13.5px] text-muted">
            The sheet is copied as it stands, {paper.signed ? 'signed' : 'not signed yet'}; what changes later
            doesn’t show in it. The link can be withdrawn at any time.
          </p>
          <SheetForm
            onSubmit={submit}
            kept={kept}
            fault={fault}
            says={isLoading ? 'Making the link …' : 'Make the link'}
            columns={1}
          >
            <FormText control={control} name="until" label="It works until" type="date" autoFocus />
          </SheetForm>
        </>
      )}
    </SideSheet>
  )
}
