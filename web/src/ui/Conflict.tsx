import type { Kind } from '@bold-ballast/contract'
import { differingFields, type Wording } from '@bold-ballast/words'
import { TableHead } from './TableHead'

const isRecord = (value: unknown): value is object => typeof value === 'object' && value !== null
export const recordIn = (value: unknown): object => (isRecord(value) ? value : {})

/** Two versions of one record, field by field. */
export function Conflict({
  kind,
  yours,
  theirs,
  wording,
  heads = ['Yours', 'Theirs'],
}: {
  kind: Kind
  yours: unknown
  theirs: unknown
  wording: Wording
  /** What the two versions are called. */
  heads?: readonly [string, string]
}) {
  if (!isRecord(theirs)) return <p>It has been removed meanwhile.</p>
  if (!isRecord(yours)) return <p>You removed it; it has been changed meanwhile.</p>
  const fields = differingFields(kind, yours, theirs, wording)
  if (fields.length === 0) return <p>Both versions say the same.</p>
  return (
    <table className="my-2 w-full text-[13px]">
      <TableHead columns={['Field', ...heads].map((says) => ({ says }))} />
      <tbody>
        {fields.map((field) => (
          <tr key={field.label} className="border-t border-line">
            <th scope="row" className="pr-3 text-left font-normal">
              {field.label}
            </th>
            <td className="pr-3">{field.before}</td>
            <td>{field.after}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
