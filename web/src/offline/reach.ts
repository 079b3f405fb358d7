import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import { here } from '../store/here'

export interface ReachState {
  /** Since when the server can't be reached, milliseconds since 1970; null while it can. */
  readonly awaySince: number | null
  /** When it last answered, the same. */
  readonly heardAt: number
  /** Of what is shown as this device last knew it: when it was so, by what was asked for. */
  readonly knownAt: Readonly<Record<string, number>>
  /** The server is of another version than this page: what it says and what is sent would not fit. */
  readonly isOutgrown: boolean
  /** A newer version of this page is on the device. */
  readonly isUpdateThere: boolean
  /** How often somebody wanted to know at once. */
  readonly sought: number
  /** What somebody wants kept that may have been forgotten here: by what it is asked for. */
  readonly wanted: readonly string[]
}

/** How often it is noted that the server is there. */
const NOTED_MS = 10_000

/** Whether the server can be reached, and how old what is shown may be. */
export const reach = createSlice({
  name: 'reach',
  initialState: (): ReachState => ({
    awaySince: null,
    heardAt: Date.now(),
    knownAt: {},
    isOutgrown: false,
    isUpdateThere: false,
    sought: 0,
    wanted: [],
  }),
  reducers: {
    lost: (state) => {
      state.awaySince ??= Date.now()
    },
    heard: (state) => {
      const now = Date.now()
      if (state.awaySince === null && now - state.heardAt < NOTED_MS) return
      state.awaySince = null
      state.heardAt = now
    },
    sought: (state) => {
      state.sought += 1
    },
    wanted: (state, { payload }: PayloadAction<readonly string[]>) => {
      state.wanted = [...payload]
    },
    /** What is shown is what this device knew. */
    recalled: (state, { payload }: PayloadAction<{ asked: string; at: number }>) => {
      state.knownAt[payload.asked] = payload.at
    },
    /** What is shown is what the server says. */
    renewed: (state, { payload }: PayloadAction<string>) => {
      delete state.knownAt[payload]
    },
    outgrown: (state) => {
      state.isOutgrown = true
    },
    /** A newer version of this page has been fetched, and can be taken. */
    updated: (state) => {
      state.isUpdateThere = true
    },
  },
  extraReducers: (builder) =>
    void builder.addCase(here.actions.signedOut, (state) => {
      state.knownAt = {}
    }),
})
