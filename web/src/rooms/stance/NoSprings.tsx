import { Button } from '../../ui/Button'
import { EmptyRoom } from '../../ui/EmptyRoom'

/** What a view needs of the suspension before it can say anything. */
export function NoSprings({ onChange, children }: { onChange: () => void; children: string }) {
  return (
    <EmptyRoom
      title="The suspension is not known yet"
      action={
        <Button look="main" onClick={onChange}>
          Type springs and bars
        </Button>
      }
    >
      {children}
    </EmptyRoom>
  )
}
