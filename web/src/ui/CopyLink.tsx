import { Button } from './Button'
import { toast } from './toast'

/** Puts a link where it can be pasted from. */
export function CopyLink({ link, look = 'plain' }: { link: string; look?: 'main' | 'plain' | 'quiet' }) {
  return (
    <Button
      look={look}
      onClick={() => void navigator.clipboard.writeText(link).then(() => toast('Link copied.'))}
    >
      Copy the link
    </Button>
  )
}
