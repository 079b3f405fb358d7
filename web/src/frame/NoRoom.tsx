import { Link, useLocation, useParams } from 'react-router'
import { Door } from '../crew/Door'
import { ROOMS } from './rooms'

/** What an address that leads to no room says, and where it could have led. */
export function NoRoom() {
  const { buildId, stageId, '*': room = '' } = useParams()
  return (
    <section aria-label="No such room" className="max-w-[640px]">
      <h1 className="text-[28px]">There is no room called “{room}”</h1>
      <p className="mt-2">
        The address was cut off, or is of another version. These are the rooms of this build:
      </p>
      <ul className="mt-3 flex flex-wrap gap-x-5 gap-y-1">
        {ROOMS.map(({ path, name }) => (
          <li key={path}>
            <Link
              to={`/builds/${buildId}/stages/${stageId}/${path}`}
              className="inline-flex min-h-8 items-center text-blued underline pointer-coarse:min-h-11"
            >
              {name}
            </Link>
          </li>
        ))}
      </ul>
    </section>
  )
}

/** The same of an address outside any build. */
export function NoPage() {
  const { pathname } = useLocation()
  return (
    <Door title="There is nothing at that address">
      <p className="break-words">
        Nothing of Bold Ballast is at <code>{pathname}</code>. It may have been cut off when it was copied.
      </p>
      <p className="mt-4">
        <Link
          to="/"
          className="inline-flex min-h-8 items-center text-blued underline pointer-coarse:min-h-11"
        >
          To the Garage
        </Link>
      </p>
    </Door>
  )
}
