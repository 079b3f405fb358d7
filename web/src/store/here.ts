import { createSlice, type PayloadAction } from '@reduxjs/toolkit'

/** In which the server says whose a build is. */
export const WORKSHOP_HEADER = 'ballast-workshop'
const KEY = 'bold-ballast.workshop'

export interface HereState {
  /** The workshop that is open in this tab; null where there is only one. */
  readonly workshopId: string | null
  /** The server knows nobody here any more. */
  readonly isSignedOut: boolean
  /** How often somebody has come in here: what was asked before that says nothing of who is here now. */
  readonly entries: number
}

const start = (): HereState => {
  try {
    return {
      workshopId: sessionStorage.getItem(KEY) ?? localStorage.getItem(KEY),
      isSignedOut: false,
      entries: 0,
    }
  } catch {
    return { workshopId: null, isSignedOut: false, entries: 0 }
  }
}

/** Kept for this tab, and for the next one. */
function keep(workshopId: string | null): void {
  try {
    for (const storage of [sessionStorage, localStorage])
      if (workshopId === null) storage.removeItem(KEY)
      else storage.setItem(KEY, workshopId)
  } catch {
    // A device that keeps nothing opens the first workshop.
  }
}

/** Where this tab is. */
export const here = createSlice({
  name: 'here',
  initialState: start,
  reducers: {
    entered: (state, { payload }: PayloadAction<string | null>) => {
      if (state.workshopId === payload) return
      state.workshopId = payload
      keep(payload)
    },
    signedOut: (state) => {
      state.isSignedOut = true
    },
    signedIn: (state) => {
      state.isSignedOut = false
      state.entries += 1
    },
  },
})

/** What is a person's or a link's own, and what a build leads to by itself. */
const ELSEWHERE =
  /^\/(me|owner|sign-in|sign-out|sessions|passes|pairings|garage\/trust|shared|workshops|builds\/.)/

/** The address of something in a workshop; the first that somebody works in where none is named. */
export const inWorkshop = (path: string, workshopId: string | null): string =>
  workshopId === null || ELSEWHERE.test(path) ? path : `/workshops/${workshopId}${path}`
