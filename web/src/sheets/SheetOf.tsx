import { useBuild } from '../store/useBuild'
import { LinkField } from '../ui/record/LinkField'

/** Which set-up sheet something was driven, read or measured on. */
export function SheetOf() {
  const { setups } = useBuild().view
  return (
    <LinkField
      name="setupId"
      label="On set-up sheet"
      options={[...setups]
        .sort((a, b) => b.order - a.order)
        .map((s) => [s.id, `Sheet ${s.order}${s.name ? `, ${s.name}` : ''}`] as const)}
    />
  )
}
