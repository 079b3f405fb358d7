import type { Edit } from '@bold-ballast/contract'
import { createSlice, type PayloadAction } from '@reduxjs/toolkit'

/** One step that can be taken back: what was done, and what undoes it. */
export interface Step {
  readonly buildId: string
  readonly label: string
  readonly done: readonly Edit[]
  readonly inverse: readonly Edit[]
}

const MOST_STEPS = 50

/** The last 50 edits, for undo and redo. */
export const history = createSlice({
  name: 'history',
  initialState: { past: [] as Step[], future: [] as Step[] },
  reducers: {
    did: (state, { payload }: PayloadAction<Step>) => {
      state.past = [...state.past, payload].slice(-MOST_STEPS) as never
      state.future = []
    },
    undid: (state) => {
      const step = state.past.pop()
      if (step) state.future.push(step)
    },
    /** What is taken back belongs to the build or to something tried on it; neither is undone in the other. */
    forgotten: () => ({ past: [], future: [] }),
    redid: (state) => {
      const step = state.future.pop()
      if (step) state.past.push(step)
    },
  },
})
