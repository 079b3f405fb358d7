import { documentOf, type BuildFile } from '@bold-ballast/contract'
import { useCallback, useMemo, useState } from 'react'
import { Link } from 'react-router'
import { useBringHomeMutation, useBuildQuery } from '../../store/api'
import { MergeBuild, type Choices } from './MergeBuild'

/**
 * What was done to a build elsewhere, as a file says it, taken over here.
 *
 * @param base what both sides had last; null for what the build here came as
 */
export function BringHome({ from, base, mine }: { from: string; base: BuildFile | null; mine: BuildFile }) {
  const { id: buildId, name } = mine.build
  const { data: here } = useBuildQuery(buildId)
  const [bring] = useBringHomeMutation()
  const [id] = useState(() => crypto.randomUUID())
  const brought = useMemo(() => documentOf(mine), [mine])
  const merge = useCallback(
    (choices: Choices, look: boolean) => bring({ buildId, body: { id, from, base, mine, choices, look } }),
    [bring, buildId, id, from, base, mine],
  )
  return (
    <MergeBuild
      title={`${name}, from ${from}`}
      says="This build is here already. What was done elsewhere comes over record by record; what was done here stays."
      sides={['Brought', 'Here']}
      brought={brought}
      there={here}
      merge={merge}
      after={
        <Link className="text-blued underline" to={`/builds/${buildId}`}>
          Open it
        </Link>
      }
    />
  )
}
