import { formatFigure, formatNumber, formatQuantity, type Lap } from '@bold-ballast/core'
import type { CourseDrawn } from '@bold-ballast/model'
import { useMemo, useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { Choice } from '../../../ui/Choice'
import { CourseMap } from '../../../ui/CourseMap'
import { MapKey } from '../../../ui/MapKey'
import { sayCorners } from '../sayCorners'
import { COLOURINGS, lapStretches, type Colouring } from './lapLooks'

const COLOURING: Readonly<Record<Colouring, string>> = { limit: 'What limits', speed: 'Speed', gear: 'Gear' }

/** The map of a lap, coloured by what holds the car, its speed or its gear; a place on it can be marked. */
export function LapMap({
  name,
  lap,
  drawn,
  at,
  onAt,
}: {
  name: string
  lap: Lap
  drawn: CourseDrawn
  /** m along the line */
  at: number
  onAt: (at: number) => void
}) {
  const velocity = useBuild().unit('velocity')
  const [by, setBy] = useState<Colouring>('limit')
  const { stretches, key } = useMemo(
    () =>
      lapStretches(
        lap,
        by,
        (from, to) => `${formatFigure(from, velocity, 0)} to ${formatQuantity(to, velocity, 0)}`,
      ),
    [lap, by, velocity],
  )
  return (
    <div>
      <div className="mb-2 flex flex-wrap items-center gap-3">
        <Choice
          label="The map is coloured by"
          value={by}
          options={COLOURINGS.map((c) => [c, COLOURING[c]] as const)}
          onChange={setBy}
        />
      </div>
      <CourseMap
        label={`Map of ${name}, ${formatNumber(drawn.length, 0)} m, ${sayCorners(drawn.corners.length)}`}
        points={drawn.points}
        closed={drawn.closed}
        length={drawn.length}
        stretches={stretches}
        corners={drawn.corners}
        marks={drawn.sectors.slice(0, -1).map(([, to]) => to)}
        at={at}
        onAt={onAt}
      />
      <div className="mt-1.5">
        <MapKey looks={key} />
      </div>
    </div>
  )
}
