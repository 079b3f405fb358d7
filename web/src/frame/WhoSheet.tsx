import { zodResolver } from '@hookform/resolvers/zod'
import { toast } from 'sonner'
import * as z from 'zod'
import { settings } from '../store/settings'
import { useAppDispatch, useAppSelector } from '../store/store'
import { Button } from '../ui/Button'
import { FormText } from '../ui/form'
import { SheetForm } from '../ui/SheetForm'
import { SideSheet } from '../ui/SideSheet'
import { useDraftForm } from '../ui/useDraftForm'

const typed = z.object({ author: z.string().trim().max(80, 'Keep it under 80 characters.') })

/** Who works at this screen: the name goes with every change into the history. */
export function WhoSheet({ onClose }: { onClose: () => void }) {
  const dispatch = useAppDispatch()
  const { author, crew } = useAppSelector((state) => state.settings)
  const { control, handleSubmit, kept } = useDraftForm<z.infer<typeof typed>>('who', {
    resolver: zodResolver(typed),
    defaultValues: { author },
  })
  const name = (who: string) => {
    dispatch(settings.actions.authorNamed(who))
    kept.forget()
    toast(who ? `Changes from here are ${who}’s.` : 'Changes from here carry no name.')
    onClose()
  }
  return (
    <SideSheet open onClose={onClose} title="Who works here">
      <p className="mb-3 text-[13.5px] text-muted">
        The name goes with every change made at this screen into the history of the build.
      </p>
      {crew.length > 0 && (
        <p className="mb-4 flex flex-wrap gap-2">
          {crew.map((who) => (
            <Button key={who} look={who === author ? 'main' : 'plain'} onClick={() => name(who)}>
              {who}
            </Button>
          ))}
        </p>
      )}
      <SheetForm
        onSubmit={handleSubmit(({ author: who }) => name(who))}
        kept={kept}
        fault={null}
        says="That is me"
        columns={1}
      >
        <FormText control={control} name="author" label="Name" hint="Empty: nobody is named" autoFocus />
      </SheetForm>
    </SideSheet>
  )
}
