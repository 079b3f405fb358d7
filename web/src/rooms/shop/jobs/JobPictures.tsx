import { putEdit, withoutVersion, type Picture } from '@bold-ballast/contract'
import { useId } from 'react'
import { keepPhoto, photoOf, useWaitingPhoto } from '../../../store/photos'
import { useAppDispatch } from '../../../store/store'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { MayOnly } from '../../../ui/MayOnly'
import { PhotoImage } from '../../../ui/PhotoImage'
import { sayDate } from '../../../ui/sayDay'
import { today } from '../../../ui/today'

/** The pictures of a job, the oldest first, each with what it shows; and a way to take the next. */
export function JobPictures({ jobId, name }: { jobId: string; name: string }) {
  const { view, save } = useBuild()
  const dispatch = useAppDispatch()
  const pictures = view.pictures.filter((picture) => picture.jobId === jobId)
  const add = (file: File | undefined) => {
    if (!file) return
    const id = crypto.randomUUID()
    const record = { id, jobId, what: '', date: today() }
    void dispatch(
      keepPhoto('picture', view.build.id, id, file, name, () =>
        save(`Picture of ${name}`, [putEdit(view, 'picture', record)]),
      ),
    )
  }
  return (
    <section aria-label="Pictures" className="mt-5">
      <h3 className="text-[17px]">Pictures</h3>
      <ul>
        {pictures.map((picture) => (
          <PictureRow key={picture.id} picture={picture} job={name} />
        ))}
      </ul>
      <MayOnly right="log">
        <label className="mt-2 flex flex-col gap-1 text-[13px] text-muted">
          {pictures.length > 0 ? 'Another picture' : 'Picture of the job'}
          <input
            type="file"
            accept="image/*"
            capture="environment"
            className="rounded-[3px] border border-edge bg-panel p-1 text-ink"
            onChange={(e) => {
              add(e.target.files?.[0])
              e.target.value = ''
            }}
          />
        </label>
      </MayOnly>
    </section>
  )
}

function PictureRow({ picture, job }: { picture: Picture; job: string }) {
  const { view, save, removeSaying } = useBuild()
  const waiting = useWaitingPhoto('picture', picture.id)
  const field = useId()
  const said = picture.what || `${job}, ${sayDate(picture.date, today())}`
  const say = (typed: string) => {
    const what = typed.trim()
    if (what !== picture.what)
      save(`What a picture of ${job} shows`, [putEdit(view, 'picture', { ...withoutVersion(picture), what })])
  }
  return (
    <li className="border-b border-line py-2">
      <PhotoImage
        src={waiting ?? photoOf('picture', view.build.id, picture.id)}
        alt={said}
        className="mb-1 max-h-[260px] w-full"
      />
      <label htmlFor={field} className="text-[13px] text-muted">
        What it shows, on {sayDate(picture.date, today())}
      </label>
      <div className="flex gap-2">
        <input
          id={field}
          maxLength={200}
          className="min-w-0 flex-1 rounded-[3px] border border-edge bg-panel px-2 py-1"
          defaultValue={picture.what}
          onBlur={(e) => say(e.target.value)}
        />
        <MayOnly right="plan">
          <Button look="quiet" onClick={() => removeSaying('picture', picture.id, `picture of ${job}`)}>
            Remove<span className="sr-only"> {said}</span>
          </Button>
        </MayOnly>
      </div>
    </li>
  )
}
