import { documentOf, type BuildFile, type HomecomingFile } from '@bold-ballast/contract'
import { useCallback, useMemo, useState } from 'react'
import { Link } from 'react-router'
import { useBringHomeMutation, useBuildQuery } from '../../store/api'
import { bringFiles, broughtSaid } from './bringFiles'
import { MergeBuild, type Choices } from './MergeBuild'

/**
 * What was done to a build elsewhere, as a file says it, taken over here.
 *
 * @param base what both sides had last; null for what the build here came as
 */
export function BringHome({
  from,
  base,
  mine,
  files,
}: {
  from: string
  base: BuildFile | null
  mine: BuildFile
  files: Pick<HomecomingFile, 'photographs' | 'pictures' | 'logs'>
}) {
  const { id: buildId, name } = mine.build
  const { data: here } = useBuildQuery(buildId)
  const [bring] = useBringHomeMutation()
  const [id] = useState(() => crypto.randomUUID())
  const document = useMemo(() => documentOf(mine), [mine])
  const [beside, setBeside] = useState('')
  const merge = useCallback(
    async (choices: Choices, look: boolean) => {
      const { data, error } = await bring({ buildId, body: { id, from, base, mine, choices, look } })
      if (data?.isDone)
        setBeside(
          await bringFiles(buildId, files).then(
            broughtSaid,
            () => 'The photographs, pictures and logs could not be put here: bring the file once more.',
          ),
        )
      return { data, error }
    },
    [bring, buildId, id, from, base, mine, files],
  )
  return (
    <MergeBuild
      title={`${name}, from ${from}`}
      says="This build is here already. What was done elsewhere comes over record by record; what was done here stays."
      sides={['Brought', 'Here']}
      options={['Take what was brought', 'Keep what is here']}
      brought={document}
      there={here}
      merge={merge}
      after={
        <>
          {beside}{' '}
          <Link className="text-blued underline" to={`/builds/${buildId}`}>
            Open it
          </Link>
        </>
      }
    />
  )
}
