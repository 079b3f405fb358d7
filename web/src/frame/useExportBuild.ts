import { fileOf, type BuildDocument } from '@bold-ballast/contract'
import { useMay } from '../store/me'
import { selectOpenBranch } from '../store/selectors'
import { useAppSelector } from '../store/store'
import { download } from '../ui/download'

/**
 * Takes a whole build out as one JSON file: by the server, which notes who did; made here where it has something that
 * the server doesn't have, such as what is only tried.
 *
 * @returns null for whoever may not
 */
export function useExportBuild(buildId: string): ((view: BuildDocument) => void) | null {
  const mayExport = useMay('export')
  const isOfServer = useAppSelector(
    (state) =>
      state.outbox.pending.length === 0 && state.outbox.away === null && !selectOpenBranch(state, buildId),
  )
  if (!mayExport) return null
  return (view) => {
    if (isOfServer) return location.assign(`/api/v1/builds/${buildId}/file`)
    download(`${view.build.name}.build.json`, JSON.stringify(fileOf(view), null, 1), 'application/json')
  }
}
