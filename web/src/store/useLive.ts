import { followEdits, LIVE_EVENTS, LIVE_NAMES, type Edit, type Whereabouts } from '@bold-ballast/contract'
import { original } from '@reduxjs/toolkit'
import { useEffect } from 'react'
import { api, listsChangedBy } from './api'
import { live, TAB } from './live'
import { usePerson } from './me'
import { openStream } from './openStream'
import { useAppDispatch, useAppSelector, type Dispatch, type RootState } from './store'

/** A tab that says nothing for three times as long is taken to be gone. */
const STILL_HERE_MS = 15_000
/** Between a move and saying so: who leafs through rooms is in none of them. */
const SETTLED_MS = 250
/** Lists of the workshop are asked for no more often while others work. */
const LISTS_MS = 1500

type Thunk = (dispatch: Dispatch, getState: () => RootState) => void

/** Takes over what others did to a build; where something was missed, the build is asked for. */
const follow =
  (buildId: string, edits: readonly Edit[]): Thunk =>
  (dispatch, getState) => {
    const document = api.endpoints.build.select(buildId)(getState()).data
    if (!document) return
    const next = followEdits(document, edits)
    if (next === document) return
    if (next)
      dispatch(
        api.util.updateQueryData(
          'build',
          buildId,
          (draft) => followEdits(original(draft) ?? draft, edits) ?? undefined,
        ),
      )
    else dispatch(api.util.invalidateTags([{ type: 'Build', id: buildId }]))
  }

/** Shows what others do to the build that is open, within a moment, and goes on by itself after a cut. */
function useFollowing(buildId: string): void {
  const dispatch = useAppDispatch()
  useEffect(() => {
    let hellos = 0
    let lists: ReturnType<typeof setTimeout> | null = null
    const kinds = new Set<Edit['kind']>()
    /** The lists that are made of what was changed, once for all that came meanwhile. */
    const askLists = (changed: readonly string[]) => {
      for (const kind of changed) kinds.add(kind as Edit['kind'])
      lists ??= setTimeout(() => {
        lists = null
        const edits = [...kinds].map((kind) => ({ kind }))
        kinds.clear()
        dispatch(api.util.invalidateTags(['Builds', ...listsChangedBy(edits)]))
      }, LISTS_MS)
    }
    const stop = openStream(`/api/v1/builds/${buildId}/events`, LIVE_NAMES, ({ name, data }) => {
      dispatch(live.actions.followed(name === 'error' ? null : buildId))
      dispatch(live.actions.cut(name === 'error'))
      // Nobody knows who is here while nobody can be heard.
      if (name === 'error') dispatch(live.actions.seen([]))
      const read = <T>(schema: { parse: (given: unknown) => T }) => schema.parse(JSON.parse(data))
      switch (name) {
        case 'hello':
          hellos += 1
          dispatch(live.actions.seen(read(LIVE_EVENTS.hello).present))
          // After a cut: what was done meanwhile nobody told.
          if (hellos > 1) {
            dispatch(api.util.invalidateTags([{ type: 'Build', id: buildId }]))
            askLists([])
          }
          return
        case 'present':
          return void dispatch(live.actions.seen(read(LIVE_EVENTS.present).present))
        case 'edited': {
          const { author, edits: told } = read(LIVE_EVENTS.edited)
          const edits = told as Edit[]
          const ids = edits.flatMap((edit) => (edit.op === 'remove' ? [edit.id] : []))
          if (ids.length > 0) dispatch(live.actions.removed({ ids, author }))
          dispatch(follow(buildId, edits))
          return askLists(edits.map(({ kind }) => kind))
        }
        case 'changed': {
          const changed = read(LIVE_EVENTS.changed)
          if (changed.buildId === buildId) dispatch(api.util.invalidateTags([{ type: 'Build', id: buildId }]))
          return askLists(changed.kinds)
        }
        case 'builds':
          return askLists([])
        case 'ended':
          return void dispatch(api.util.invalidateTags(['Me', { type: 'Build', id: buildId }]))
      }
    })
    return () => {
      stop()
      if (lists) clearTimeout(lists)
      dispatch(live.actions.seen([]))
      dispatch(live.actions.followed(null))
      dispatch(live.actions.cut(false))
    }
  }, [buildId, dispatch])
}

/** Says where this tab is; a word that is lost is said again. */
const tellWhere = (buildId: string, where: Whereabouts): void =>
  void fetch(`/api/v1/builds/${buildId}/presence`, {
    method: 'POST',
    keepalive: true,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(where),
  }).catch(() => undefined)

/** Tells the others where this tab is. Without accounts nobody else is there. */
function useTelling(buildId: string, room: string, stageId: string | null): void {
  const isTold = usePerson() !== null
  const recordId = useAppSelector((state) => state.live.recordId)
  useEffect(() => {
    if (!isTold) return
    const tell = () => tellWhere(buildId, { tab: TAB, name: '', room, stageId, recordId, isGone: false })
    const settled = setTimeout(tell, SETTLED_MS)
    const again = setInterval(() => document.visibilityState === 'visible' && tell(), STILL_HERE_MS)
    return () => {
      clearTimeout(settled)
      clearInterval(again)
    }
  }, [isTold, buildId, room, stageId, recordId])
  // A tab that is closed has gone, and so has one that shows another page.
  useEffect(() => {
    if (!isTold) return
    const leave = () =>
      tellWhere(buildId, { tab: TAB, name: '', room: '', stageId: null, recordId: null, isGone: true })
    addEventListener('pagehide', leave)
    return () => {
      removeEventListener('pagehide', leave)
      leave()
    }
  }, [isTold, buildId])
}

/** What others do to the open build is seen here, and where this tab is by them. */
export function useLive(buildId: string, room: string, stageId: string | null): void {
  useFollowing(buildId)
  useTelling(buildId, room, stageId)
}
