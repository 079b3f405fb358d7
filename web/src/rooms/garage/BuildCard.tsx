import { DISCIPLINE, LAYOUT, type BuildFault, type BuildSummary } from '@bold-ballast/contract'
import { formatFigure, preferredUnit, type Known, type UnitPreferences, itemAt } from '@bold-ballast/core'
import { Link } from 'react-router'
import { roomPath } from '../../frame/rooms'
import { Figure } from '../../ui/Figure'
import { GradeMark } from '../../ui/grades'
import { sayMass } from '@bold-ballast/words'
import { reachedStage } from './chooseBuilds'

const CARD =
  'relative flex flex-col rounded-[4px] border border-edge bg-panel p-4 focus-within:border-blued hover:border-blued'

/** What is wrong with a build as a whole, and where it is mended. */
function sayFault(fault: BuildFault, units: UnitPreferences): string {
  return fault.why === 'weighsNothing'
    ? `Can’t be worked out: at ${fault.stage} the car would weigh ${sayMass(fault.mass, units)}. Open it and check the ledger.`
    : 'Can’t be worked out from its records. Open it, and take the last changes back in its history.'
}

interface CardProps {
  readonly build: BuildSummary
  /** The server is away, and this device doesn't know the build. */
  readonly isMissing: boolean
}

/** One build: what it is, how it shrinks, and where it stands; of one that can't be worked out, what is wrong. */
export function BuildCard({ build, isMissing }: CardProps) {
  const reached = reachedStage(build)
  return reached ? (
    <WholeCard build={build} reached={reached} isMissing={isMissing} />
  ) : (
    <BareCard build={build} isMissing={isMissing} />
  )
}

function CardHead({ build, isMissing, to }: CardProps & { to: string }) {
  const { fault } = build
  return (
    <>
      <h2 className="text-[26px]">
        <Link to={to} className="after:absolute after:inset-0 after:content-['']">
          {build.name}
        </Link>
      </h2>
      <p className="text-[13px] text-muted">{build.car}</p>
      <p className="text-[13px] text-muted">
        {DISCIPLINE[build.discipline]}, {LAYOUT[build.layout]}
      </p>
      {isMissing && (
        <p className="mt-1 text-ochre">Not on this device: it opens once the workshop is back.</p>
      )}
      {fault && <p className="mt-2 text-oxide">{sayFault(fault, build.units)}</p>}
      {build.isWorkingOut && (
        <p role="status" className="mt-2 text-[13px] text-ochre">
          {build.stages.length > 0
            ? 'Changed: its figures are worked out anew, these are of before.'
            : 'Its figures are being worked out.'}
        </p>
      )}
    </>
  )
}

const BareCard = ({ build, isMissing }: CardProps) => (
  <li className={CARD}>
    <CardHead build={build} isMissing={isMissing} to={`/builds/${build.id}`} />
  </li>
)

function WholeCard({
  build,
  reached,
  isMissing,
}: CardProps & {
  reached: NonNullable<ReturnType<typeof reachedStage>>
}) {
  const units = build.units
  const mass = preferredUnit('mass', units)
  const ratio = preferredUnit('powerToWeight', units)
  const first = itemAt(build.stages, 0)
  const heaviest = Math.max(...build.stages.map((s) => s.mass.value))
  const number = build.stages.indexOf(reached) + 1
  const change = reached.mass.value - first.mass.value
  const counts = [
    build.marks.met && `${build.marks.met} met`,
    build.marks.missed && `${build.marks.missed} missed`,
    build.marks.cantTell && `${build.marks.cantTell} can’t tell yet`,
  ].filter(Boolean)
  return (
    <li className={CARD}>
      <CardHead
        isMissing={isMissing}
        build={build}
        to={
          build.fault?.why === 'weighsNothing'
            ? roomPath(build.id, build.fault.stageId, 'swaps')
            : roomPath(build.id, reached.id, 'board')
        }
      />
      <p className="mt-3 mb-1 text-[13px] text-muted">
        Stage {number} of {build.stages.length}: {reached.name}
      </p>
      {(reached.isDone
        ? ([['', reached.finished]] as const)
        : ([
            ['as it stands', reached.standing],
            ['when it is finished', reached.finished],
          ] as const)
      ).map(([when, car]) => (
        <dl key={when} className="grid grid-cols-2 gap-3">
          <Headline name={['Mass', when].filter(Boolean).join(', ')} known={car.mass} unit={mass} />
          {car.powerToWeight && (
            <Headline
              name={['Power to weight', car.powerFrom === 'plan' && 'planned'].filter(Boolean).join(', ')}
              known={car.powerToWeight}
              unit={ratio}
            />
          )}
        </dl>
      ))}
      <p className="mt-2 text-[13px]">
        {change === 0
          ? 'Nothing taken off yet.'
          : `${formatFigure(Math.abs(change), mass)} ${mass.symbol} ${change < 0 ? 'lighter' : 'heavier'} than as bought.`}
      </p>
      <ol aria-label="Stages" className="mt-3 flex flex-col gap-1">
        {build.stages.map((stage, i) => (
          <li key={stage.id} className="grid grid-cols-[1fr_auto] items-center gap-2 text-[12.5px]">
            <span
              style={{ width: `${Math.max(0, stage.mass.value / heaviest) * 100}%` }}
              className={`truncate rounded-[2px_6px_6px_2px] border border-l-4 px-2 py-0.5 ${stage === reached ? 'border-blued bg-blued text-on-blued' : stage.massFrom === 'plan' ? 'border-dashed border-edge' : 'border-edge'}`}
            >
              {i + 1} {stage.name}
            </span>
            <span className="text-muted">{formatFigure(stage.mass.value, mass, 0)}</span>
          </li>
        ))}
      </ol>
      <p className="mt-auto pt-3 text-[13px] text-muted">
        {counts.length > 0 ? `Marks: ${counts.join(', ')}` : 'No marks set'}
      </p>
    </li>
  )
}

function Headline({
  name,
  known,
  unit,
}: {
  name: string
  known: Known
  unit: ReturnType<typeof preferredUnit>
}) {
  return (
    <div>
      <dt className="flex items-center gap-2 text-[12.5px] text-muted">
        {name} <GradeMark grade={known.grade} />
      </dt>
      <dd className="text-[22px]">
        <Figure known={known} unit={unit} />
      </dd>
    </div>
  )
}
