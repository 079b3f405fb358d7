import { createSlice, type PayloadAction } from '@reduxjs/toolkit'

/** The branch that is open in this tab: every room shows the build as it would be, and what is done is only tried. */
export interface Trying {
  readonly buildId: string
  readonly branchId: string
}

const KEY = 'bold-ballast.trying'

function keptTrying(): Trying | null {
  try {
    return JSON.parse(sessionStorage.getItem(KEY) ?? 'null') as Trying | null
  } catch {
    return null
  }
}

/** Keeps it through a reload of this tab. */
export function keepTrying(open: Trying | null): void {
  try {
    if (open) sessionStorage.setItem(KEY, JSON.stringify(open))
    else sessionStorage.removeItem(KEY)
  } catch {
    // A closed storage costs only that a reload leaves the branch.
  }
}

export const trying = createSlice({
  name: 'trying',
  initialState: () => ({ open: keptTrying() }),
  reducers: {
    opened: (state, { payload }: PayloadAction<Trying>) => {
      state.open = payload
    },
    left: (state) => {
      state.open = null
    },
  },
})
