import { fileOf, type BuildDocument } from '@bold-ballast/contract'
import { download } from '../ui/download'

/** A whole build as one JSON file. */
export const exportBuild = (view: BuildDocument) =>
  download(`${view.build.name}.build.json`, JSON.stringify(fileOf(view), null, 1), 'application/json')
