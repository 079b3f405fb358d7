import {
  adoption,
  readAt,
  recordIdOf,
  recordOf,
  withoutVersion,
  type Branch,
  type RecordChange,
  KIND_WORDS,
  putEdit,
} from '@bold-ballast/contract'
import { useMemo } from 'react'
import { toast } from '../ui/toast'
import { useBranches } from '../store/useBranches'
import { useBuild } from '../store/useBuild'
import { Button } from '../ui/Button'
import { ChangeList } from '../ui/ChangeList'
import { SideSheet } from '../ui/SideSheet'

/** What taking a branch over would change in the build as it is now, and the button that does it. */
export function AdoptSheet({ branch, onClose }: { branch: Branch; onClose: () => void }) {
  const { own, save } = useBuild()
  const { leave } = useBranches()
  const { edits, lost } = useMemo(() => adoption(own, branch), [own, branch])
  const changes = edits.map((edit): RecordChange => {
    const id = recordIdOf(edit)
    const after = edit.op === 'put' ? edit.record : null
    return { kind: edit.kind, id, before: recordOf(own, edit.kind, id) ?? null, after }
  })
  const adopt = () => {
    const adopted = putEdit(own, 'branch', { ...withoutVersion(branch), adoptedAt: new Date().toISOString() })
    // Out of it first: what is taken over belongs to the build, and is taken back there.
    leave(readAt(branch))
    const faults = save(`Take over “${branch.name}”`, [...edits, adopted])
    toast(faults ? faults[0].problem : `“${branch.name}” is in the build now. Ctrl+Z takes it back.`)
    onClose()
  }
  return (
    <SideSheet open onClose={onClose} title={`Take over “${branch.name}”`}>
      <p className="mb-3 text-[13.5px] text-muted">
        This is what changes in the build as it is now, beside what it would become. Other things that are
        being tried stay as they are.
      </p>
      <ChangeList changes={changes} />
      {lost.length > 0 && (
        <p className="mb-3 text-ochre">
          Left out, because what it hung from is gone from the build:{' '}
          {lost
            .map((e) => `${KIND_WORDS[e.kind]} ${e.op === 'put' && 'name' in e.record ? e.record.name : ''}`)
            .join(', ')}
          .
        </p>
      )}
      <Button look="main" className="w-full" disabled={edits.length === 0} onClick={adopt}>
        {edits.length === 0 ? 'Nothing was tried yet' : 'Take it over'}
      </Button>
    </SideSheet>
  )
}
