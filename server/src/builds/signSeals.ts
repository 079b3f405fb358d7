import { applyEdits, documentWithoutMoney, type BuildDocument, type Edit } from '@bold-ballast/contract'
import { foldBuild } from '@bold-ballast/model'
import { differingFigures, sealedFiguresOf } from '@bold-ballast/words'
import { Refusal } from '../http/Refusal'

/** So many differences are said in full. */
const SAID = 4

/**
 * What is signed is worked out here, from the records as they are when it is signed: not what a client says it is.
 *
 * What the client showed is held against it. A person signs what they have seen, so where the two read differently
 * nothing is signed, and the difference is said.
 *
 * @param before the whole build before the edits; asked for only where something is signed
 * @param seesMoney whether whoever signs sees what things cost
 * @returns the edits, with the figures of this server in new seals
 * @throws {Refusal} 422 where what was shown isn't what the records say
 */
export async function signSeals(
  edits: readonly Edit[],
  before: () => Promise<BuildDocument>,
  seesMoney: boolean,
): Promise<readonly Edit[]> {
  // One that is opened again keeps what it was signed with.
  const isNew = (edit: Edit) => edit.op === 'put' && edit.kind === 'seal' && edit.record.version === 0
  if (!edits.some(isNew)) return edits
  const after = applyEdits(await before(), edits)
  return edits.map((edit) => {
    if (edit.op !== 'put' || edit.kind !== 'seal' || !isNew(edit)) return edit
    const { stageId, figures: shown } = edit.record
    // A seal of no stage is refused where it is written.
    if (!foldBuild(after).stages.some((s) => s.id === stageId)) return edit
    const figures = sealedFiguresOf(after, stageId)
    // Whoever sees no money has seen the sheet without it, which is what they sign; the sheet itself is whole.
    const seen = seesMoney ? figures : sealedFiguresOf(documentWithoutMoney(after), stageId)
    const differing = differingFigures(shown, seen, after.build.units)
    if (differing.length > 0) {
      const said = differing.slice(0, SAID).map((d) => `${d.what}: shown as ${d.before}, it is ${d.after}`)
      const rest = differing.length - said.length
      throw new Refusal(
        422,
        'not-valid',
        'It isn’t what was shown',
        `${said.join('; ')}${rest > 0 ? `; and ${rest} more` : ''}. Nothing was signed: look at the sheet as it is now, and sign that.`,
        { errors: [{ field: 'figures', problem: 'What was shown is not what the records say.' }] },
      )
    }
    return { ...edit, record: { ...edit.record, figures } }
  })
}
