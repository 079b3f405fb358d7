import type { Edit } from '@bold-ballast/contract'
import { createSlice, original, type Draft, type PayloadAction } from '@reduxjs/toolkit'
import { keptHistory } from './keptHistory'

/** One step that can be taken back: what was done, and what undoes it. */
export interface Step {
  readonly buildId: string
  readonly label: string
  readonly done: readonly Edit[]
  readonly inverse: readonly Edit[]
}

export interface HistoryState {
  readonly past: readonly Step[]
  readonly future: readonly Step[]
}

const MOST_STEPS = 50

const without = (steps: readonly Step[], step: Step) => steps.filter((one) => one !== step)

/** The state itself: a step is known by being the very same, which what is drafted from it isn't. */
const plain = (state: Draft<HistoryState>): HistoryState => original(state) ?? state

/** The last 50 edits of this tab, through a reload, for undo and redo. */
export const history = createSlice({
  name: 'history',
  initialState: (): HistoryState => keptHistory(),
  reducers: {
    did: (state, { payload }: PayloadAction<Step>): HistoryState => ({
      past: [...plain(state).past, payload].slice(-MOST_STEPS),
      // The way forth of other builds stays.
      future: plain(state).future.filter(({ buildId }) => buildId !== payload.buildId),
    }),
    undid: (state, { payload }: PayloadAction<Step>): HistoryState => ({
      past: without(plain(state).past, payload),
      future: [...plain(state).future, payload],
    }),
    redid: (state, { payload }: PayloadAction<Step>): HistoryState => ({
      past: [...plain(state).past, payload],
      future: without(plain(state).future, payload),
    }),
    /** A step that leads nowhere any more, since somebody else went on from it. */
    overtaken: (state, { payload }: PayloadAction<Step>): HistoryState => ({
      past: without(plain(state).past, payload),
      future: without(plain(state).future, payload),
    }),
    /** What is taken back belongs to the build or to something tried on it; neither is undone in the other. */
    forgotten: (): HistoryState => ({ past: [], future: [] }),
  },
})
