import { field, LONGEST_SHARE_DAYS, type Share } from '@bold-ballast/contract'
import { addDays, endOfDay, format, isAfter, parseISO } from 'date-fns'
import { useState } from 'react'
import * as z from 'zod'
import type { Paper } from '../../../paper/ProofPaper'
import { QrCode } from '../../../paper/QrCode'
import { problemOf, useAddShareMutation, useWorkshopQuery } from '../../../store/api'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { CopyLink } from '../../../ui/CopyLink'
import { fieldsTyped } from '../../../ui/record/fieldsOf'
import { FormSheet } from '../../../ui/record/FormSheet'
import { useSchemaForm } from '../../../ui/record/useSchemaForm'
import { SideSheet } from '../../../ui/SideSheet'
import { shareLink } from './shareLink'

const USUAL_DAYS = 30
const DAY = 'yyyy-MM-dd'
const shape = z.object({
  until: field(
    z.iso
      .date('Choose the last day on which the link works.')
      .refine((day) => isAfter(endOfDay(parseISO(day)), new Date()), 'That day is over: choose a later one.')
      .refine(
        (day) => !isAfter(parseISO(day), addDays(new Date(), LONGEST_SHARE_DAYS - 1)),
        'A link works for a year at most.',
      ),
    { label: 'It works until' },
  ),
})
type Typed = z.infer<typeof shape>
const { Field } = fieldsTyped<Typed>()

/** Makes a link under which somebody else may read this sheet, and nothing besides. */
export function ShareSheet({ paper, onClose }: { paper: Paper; onClose: () => void }) {
  const { buildId, stage } = useBuild()
  const { data: workshop } = useWorkshopQuery()
  const [add] = useAddShareMutation()
  const [made, setMade] = useState<Share | null>(null)
  const [start] = useState(() => ({
    id: crypto.randomUUID(),
    until: format(addDays(new Date(), USUAL_DAYS), DAY),
  }))
  const form = useSchemaForm<Typed>(`share.${stage.id}`, shape, { until: start.until }, async ({ until }) => {
    const { build, stage: name, place, figures, signed, code, units } = paper
    const sheet = { build, stage: name, place, figures, signed, code, units }
    const endsAt = endOfDay(parseISO(until)).toISOString()
    const answer = await add({ buildId, share: { id: start.id, stageId: stage.id, sheet, endsAt } })
    if (!answer.data) return problemOf(answer.error).detail
    setMade(answer.data)
    return null
  })
  const link = made && shareLink(made, workshop?.shareOrigin)
  if (link)
    return (
      <SideSheet open onClose={onClose} title="Share this sheet">
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
            <CopyLink look="main" link={link} />
            <Button onClick={onClose}>Done</Button>
          </p>
          {!workshop?.shareOrigin && (
            <p className="text-[13.5px] text-ochre">
              This link works on this machine only, because Bold Ballast listens nowhere else. To let others
              open it, say where it is reached from outside: the README tells how (SHARE_ORIGIN).
            </p>
          )}
        </div>
      </SideSheet>
    )
  return (
    <FormSheet
      form={form}
      title="Share this sheet"
      says={form.isSaving ? 'Making the link …' : 'Make the link'}
      onClose={onClose}
      before={
        <p className="mb-3 text-[13.5px] text-muted">
          The sheet is copied as it stands, {paper.signed ? 'signed' : 'not signed yet'}; what changes later
          doesn’t show in it. The link can be withdrawn at any time.
        </p>
      }
    >
      <Field name="until" isWide autoFocus />
    </FormSheet>
  )
}
