import type { Edit } from '@bold-ballast/contract'
import { createSlice, type PayloadAction } from '@reduxjs/toolkit'

/** What is being typed right now, as the edit it would become, so that totals move with every key. */
export const draft = createSlice({
  name: 'draft',
  initialState: { buildId: null as string | null, edits: [] as Edit[] },
  reducers: {
    typing: (_state, { payload }: PayloadAction<{ buildId: string; edits: Edit[] }>) => payload as never,
    cleared: (state) => {
      if (state.edits.length > 0) state.edits = []
    },
  },
})
