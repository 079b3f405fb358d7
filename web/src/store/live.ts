import type { Present } from '@bold-ballast/contract'
import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import { useEffect } from 'react'
import { useAppDispatch, useAppSelector, type RootState } from './store'

interface LiveState {
  /** Everybody who is in the open build, this tab too. */
  readonly present: readonly Present[]
  /** The record that is being changed in this tab. */
  readonly recordId: string | null
  /** The build that others are heard in right now; null while nobody can be. */
  readonly followed: string | null
}

/** Who else is here, and what they are changing. */
export const live = createSlice({
  name: 'live',
  initialState: { present: [], recordId: null, followed: null } as LiveState,
  reducers: {
    seen: (state, { payload }: PayloadAction<readonly Present[]>) => {
      state.present = payload as never
    },
    followed: (state, { payload }: PayloadAction<string | null>) => {
      state.followed = payload
    },
    changing: (state, { payload }: PayloadAction<string | null>) => {
      state.recordId = payload
    },
  },
})

/** By which this tab is known to the others. */
export const TAB = crypto.randomUUID()

/** Says that a record is being changed in this tab, for as long as whoever says so is shown. */
export function useChanging(recordId: string | null): void {
  const dispatch = useAppDispatch()
  useEffect(() => {
    if (recordId === null) return
    dispatch(live.actions.changing(recordId))
    return () => void dispatch(live.actions.changing(null))
  }, [dispatch, recordId])
}

/** The names of those who are changing a record elsewhere, as one text; empty where nobody is. */
const selectChangers = (state: RootState, recordId: string | null): string =>
  recordId === null
    ? ''
    : state.live.present
        .filter((one) => one.recordId === recordId && one.tab !== TAB)
        .map(({ name }) => name || 'Somebody')
        .join(', ')

/** Who is changing a record elsewhere, in words; null where nobody is. */
export function useChangedBy(recordId: string | null): string | null {
  return useAppSelector((state) => selectChangers(state, recordId)) || null
}
