import { zodResolver } from '@hookform/resolvers/zod'
import { useForm } from 'react-hook-form'
import { toast } from 'sonner'
import * as z from 'zod'
import { settings } from '../store/settings'
import { useAppDispatch, useAppSelector } from '../store/store'
import { Button } from '../ui/Button'
import { FormText } from '../ui/form'
import { SideSheet } from '../ui/SideSheet'

const typed = z.object({ author: z.string().trim().max(80, 'Keep it under 80 characters.') })

/** Who works at this screen: the name goes with every change into the history. */
export function WhoSheet({ onClose }: { onClose: () => void }) {
  const dispatch = useAppDispatch()
  const { author, crew } = useAppSelector((state) => state.settings)
  const { control, handleSubmit } = useForm<z.infer<typeof typed>>({
    ...{ resolver: zodResolver(typed), defaultValues: { author } },
  })
  const name = (who: string) => {
    dispatch(settings.actions.authorNamed(who))
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
      <form
        className="flex flex-col gap-3"
        onSubmit={(event) => void handleSubmit(({ author: who }) => name(who))(event)}
        noValidate
      >
        <FormText control={control} name="author" label="Name" hint="Empty: nobody is named" autoFocus />
        <Button type="submit" look="main">
          That is me
        </Button>
      </form>
    </SideSheet>
  )
}
