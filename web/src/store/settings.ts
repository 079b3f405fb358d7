import { createSlice, type PayloadAction } from '@reduxjs/toolkit'

export type Theme = 'light' | 'dark' | 'system'
export const SETTINGS_KEY = 'bold-ballast.settings'

const kept = (): { theme: Theme } => {
  try {
    const theme = JSON.parse(localStorage.getItem(SETTINGS_KEY) ?? '{}').theme
    return { theme: theme === 'light' || theme === 'dark' ? theme : 'system' }
  } catch {
    return { theme: 'system' }
  }
}

/** What belongs to this person at this screen. Units belong to the build. */
export const settings = createSlice({
  name: 'settings',
  initialState: kept,
  reducers: {
    themeChosen: (state, { payload }: PayloadAction<Theme>) => {
      state.theme = payload
    },
  },
})
