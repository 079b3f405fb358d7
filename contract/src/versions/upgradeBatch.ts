import { FORMAT_VERSION } from './formatVersion'
import { isFields } from './recordSteps'
import { upgradeEdit } from './upgradeRecord'

/**
 * A batch of edits as it was sent by a tab that is older than the server, as one of today.
 *
 * @param json anything that was read as JSON; what is no older batch comes back as it is, for the schema to judge
 */
export function upgradeBatch(json: unknown, buildId: string): unknown {
  if (!isFields(json)) return json
  const { formatVersion: from, edits } = json
  if (
    !Number.isInteger(from) ||
    !((from as number) >= 1 && (from as number) < FORMAT_VERSION) ||
    !Array.isArray(edits)
  )
    return json
  return {
    ...json,
    formatVersion: FORMAT_VERSION,
    edits: edits.map((edit: unknown) => upgradeEdit(edit, from as number, buildId)),
  }
}
