import type { UnitPreferences } from '@bold-ballast/core'

/** What it takes to say a value to a person: the units they chose, the build's currency, and the names of records. */
export interface Wording {
  readonly units: UnitPreferences
  /** Such as EUR; empty where nobody said. */
  readonly currency?: string
  /** The name of the record that an id names; null where there is no such record, or it has no name. */
  readonly nameOf?: (kind: string, id: string) => string | null
}
