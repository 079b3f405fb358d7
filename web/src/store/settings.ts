import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import * as z from 'zod'

export type Theme = 'light' | 'dark' | 'system'
export const SETTINGS_KEY = 'bold-ballast.settings'
/** Where the last signature's name was kept before names were a setting. */
const OLD_AUTHOR_KEY = 'bold-ballast.author'
const MOST_CREW = 12

const kept = z.object({
  theme: z.enum(['light', 'dark', 'system']).catch('system'),
  /** Who works at this screen; empty while nobody has said. */
  author: z.string().max(80).catch(''),
  /** Who has worked at it, the last first. */
  crew: z.array(z.string().max(80)).max(MOST_CREW).catch([]),
})
type Settings = z.infer<typeof kept>

const start = (): Settings => {
  try {
    const author = localStorage.getItem(OLD_AUTHOR_KEY) ?? ''
    const parsed = kept.safeParse({
      author,
      ...(JSON.parse(localStorage.getItem(SETTINGS_KEY) ?? '{}') as object),
    })
    if (parsed.success) return parsed.data
  } catch {
    // A device that keeps nothing begins anew.
  }
  return { theme: 'system', author: '', crew: [] }
}

/** What belongs to this person at this screen. Units belong to the build. */
export const settings = createSlice({
  name: 'settings',
  initialState: start,
  reducers: {
    themeChosen: (state, { payload }: PayloadAction<Theme>) => {
      state.theme = payload
    },
    /** Says who works here; what is done from now on carries the name. */
    authorNamed: (state, { payload }: PayloadAction<string>) => {
      const name = payload.trim().slice(0, 80)
      state.author = name
      if (name !== '') state.crew = [name, ...state.crew.filter((n) => n !== name)].slice(0, MOST_CREW)
    },
  },
})
