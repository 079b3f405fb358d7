import type { Present } from '@bold-ballast/contract'
import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import { useEffect } from 'react'
import { selectPerson } from './me'
import { useAppDispatch, useAppSelector, type RootState } from './store'

interface LiveState {
  /** Everybody who is in the open build, this tab too. */
  readonly present: readonly Present[]
  /** The record that is being changed in this tab. */
  readonly recordId: string | null
  /** The build that others are heard in right now; null while nobody can be. */
  readonly followed: string | null
  /** The line on which others are heard has been cut: what is shown may be old, and nobody knows who is reached. */
  readonly isCut: boolean
  /** Who removed records while this tab looked on, by the records' ids: the latest few. */
  readonly removedBy: Readonly<Record<string, string>>
}

const MOST_REMOVED = 200

/** Who else is here, and what they are changing. */
export const live = createSlice({
  name: 'live',
  initialState: { present: [], recordId: null, followed: null, isCut: false, removedBy: {} } as LiveState,
  reducers: {
    seen: (state, { payload }: PayloadAction<readonly Present[]>) => {
      state.present = payload as never
    },
    followed: (state, { payload }: PayloadAction<string | null>) => {
      state.followed = payload
    },
    cut: (state, { payload }: PayloadAction<boolean>) => {
      state.isCut = payload
    },
    removed: (state, { payload }: PayloadAction<{ ids: readonly string[]; author: string }>) => {
      const latest = payload.ids.map((id) => [id, payload.author] as const)
      state.removedBy = Object.fromEntries(
        [...Object.entries(state.removedBy), ...latest].slice(-MOST_REMOVED),
      )
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

/** Whether somebody who is here is whoever sits before this tab, in another one or at another device. */
export const isMe = (state: RootState, personId: string | null): boolean =>
  personId !== null && personId === selectPerson(state)?.id

/** The names of those who are changing a record elsewhere, as one text; empty where nobody is. */
const selectChangers = (state: RootState, recordId: string | null): string =>
  recordId === null
    ? ''
    : state.live.present
        .filter((one) => one.recordId === recordId && one.tab !== TAB)
        .map(({ name, personId }) => (isMe(state, personId) ? 'you, elsewhere' : name || 'Somebody'))
        .join(', ')

/** Who is changing a record elsewhere, in words; null where nobody is. */
export function useChangedBy(recordId: string | null): string | null {
  return useAppSelector((state) => selectChangers(state, recordId)) || null
}

/** Who removed a record while this tab looked on; empty where nobody knows. */
export function useRemovedBy(recordId: string | null): string {
  return useAppSelector((state) => (recordId === null ? '' : (state.live.removedBy[recordId] ?? '')))
}
