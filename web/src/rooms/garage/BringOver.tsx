import { documentOf, type BuildFile } from '@bold-ballast/contract'
import { useCallback, useMemo, useState } from 'react'
import { problemOf, useBuildQuery } from '../../store/api'
import { useBringOverMutation, useBuildAtHomeQuery } from '../../store/homesApi'
import { BringHome } from './BringHome'
import { broughtSaid, type BroughtFiles } from './bringFiles'
import { MergeBuild, type Choices } from './MergeBuild'

/** What is fetched has its photographs there. */
const NONE = { photographs: [], pictures: [], logs: [] }

/**
 * Between a build here and the same at home, over the network: what was done here is brought there, or what was done there
 * is fetched.
 */
export function BringOver({
  homeId,
  buildId,
  way,
}: {
  homeId: string
  buildId: string
  way: 'home' | 'here'
}) {
  const { data: file, error } = useBuildAtHomeQuery({ homeId, buildId }, { refetchOnMountOrArgChange: true })
  if (error)
    return (
      <p role="alert" className="mt-2 text-oxide">
        {problemOf(error).detail}
      </p>
    )
  if (!file) return <p className="mt-2 text-muted">Asking there …</p>
  return way === 'here' ? (
    <BringHome from="home" base={null} mine={file} files={NONE} />
  ) : (
    <Homeward homeId={homeId} atHome={file} />
  )
}

function Homeward({ homeId, atHome }: { homeId: string; atHome: BuildFile }) {
  const { id: buildId, name } = atHome.build
  const { data: here } = useBuildQuery(buildId)
  const [bring] = useBringOverMutation()
  const [id] = useState(() => crypto.randomUUID())
  const [files, setFiles] = useState<BroughtFiles | null>(null)
  const there = useMemo(() => documentOf(atHome), [atHome])
  const merge = useCallback(
    async (choices: Choices, look: boolean) => {
      const { data, error } = await bring({ homeId, buildId, body: { id, choices, look } })
      if (data?.result.isDone) setFiles({ photo: data.photographs, picture: data.pictures, log: data.logs })
      return { data: data?.result, error }
    },
    [bring, homeId, buildId, id],
  )
  if (!here) return null
  return (
    <MergeBuild
      title={`${name}, to be brought home`}
      says="What was done here comes over there record by record, with the photographs and logs that were made here; what was done there stays."
      sides={['From here', 'At home']}
      options={['Take what is here', 'Keep what is at home']}
      brought={here}
      there={there}
      merge={merge}
      after={files && broughtSaid(files)}
    />
  )
}
