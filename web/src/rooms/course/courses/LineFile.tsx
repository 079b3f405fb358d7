import { useState } from 'react'
import { useWatch } from 'react-hook-form'
import { useOpenForm } from '../../../ui/record/RecordFormContext'
import { courseRows } from './courseRows'
import { pointsAsText } from './pointsText'

/** Beyond that a file is cut to one lap before, MB. */
const MOST_MB = 30

/** A file that holds the line: what was read of it, or what is wrong with it. */
export function LineFile() {
  const { control, setValue } = useOpenForm()
  const closed = useWatch({ control, name: 'closed' }) as boolean
  const [says, setSays] = useState<{ readonly wrong: boolean; readonly text: string } | null>(null)
  const open = async (file: File) => {
    if (file.size > MOST_MB * 1e6)
      return setSays({ wrong: true, text: `${file.name} has over ${MOST_MB} MB: cut it to one lap.` })
    const found = courseRows(await file.text(), closed)
    if ('problem' in found) return setSays({ wrong: true, text: found.problem })
    setValue('points', pointsAsText(found.points), { shouldDirty: true, shouldValidate: true })
    setValue('from', found.from, { shouldDirty: true })
    setValue('closingError', found.closingError, { shouldDirty: true })
    setValue('origin', found.origin, { shouldDirty: true })
    setSays({ wrong: false, text: found.says })
  }
  return (
    <div className="col-span-2">
      <label className="flex flex-col gap-1 text-[13px] text-muted">
        A log or a file with the line
        <input
          type="file"
          accept=".csv,.txt,.json,.geojson,text/csv,text/plain,application/json,application/geo+json"
          className="rounded-[3px] border border-edge bg-panel px-2 py-1 text-ink"
          onChange={(event) => event.target.files?.[0] && void open(event.target.files[0])}
        />
      </label>
      <p className="mt-1 text-[12.5px] text-muted">
        CSV with x and y in metres; latitude and longitude; or time, speed and sideways acceleration. Or
        GeoJSON. Of a log that goes round more than once the first lap is taken.
      </p>
      {says && (
        <p
          role={says.wrong ? 'alert' : 'status'}
          className={`text-[13.5px] ${says.wrong ? 'text-oxide' : 'text-zinc'}`}
        >
          {says.text}
        </p>
      )}
    </div>
  )
}
