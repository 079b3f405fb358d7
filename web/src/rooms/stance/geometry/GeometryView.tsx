import type { BodyCheck } from '@bold-ballast/contract'
import { formatNumber, formatQuantity, outOfTrue, type Position } from '@bold-ballast/core'
import { carsOf, soFar } from '@bold-ballast/model'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { MayOnly } from '../../../ui/MayOnly'
import { RowButtons } from '../../../ui/RowButtons'
import { TableHead, type TableColumn } from '../../../ui/TableHead'

const figure = (says: string): TableColumn => ({ says, figures: true, className: 'px-1' })
const words = (says: string): TableColumn => ({ says, className: 'px-1' })
const STAGE_HEAD = [
  words('Stage'),
  ...['Wheelbase', 'Front track', 'Rear track', 'Tank, back', 'Driver, back'].map(figure),
  figure('Centre of mass, back'),
]
const POINT_HEAD = [
  ...['Point', 'Left against right (mm)', 'Left has come (mm)', 'Right has come (mm)'].map(words),
  figure('Worst'),
]

/** What each stage's geometry is, and what of the body is out of true. */
export function GeometryView({
  onChange,
  onCheck,
}: {
  onChange: () => void
  onCheck: (id: string | null) => void
}) {
  const { view, ledger, stage, unit, removeSaying } = useBuild()
  const cars = carsOf(view)
  const length = unit('length')
  const own = new Map(view.geometries.map((g) => [g.stageId, g]))
  const checks = soFar(view.bodyChecks, ledger.stages, stage.id)
  const here = own.get(stage.id)
  return (
    <section aria-label="Geometry">
      <div className="overflow-x-auto">
        <table className="w-full max-w-[900px]" data-testid="geometry">
          <caption className="sr-only">Geometry by stage</caption>
          <TableHead columns={STAGE_HEAD} />
          <tbody>
            {cars.map(({ stage: of, build, centre }) => {
              const geometry = own.get(of.id)
              return (
                <tr key={of.id} className={`border-b border-line ${of.id === stage.id ? 'bg-panel' : ''}`}>
                  <th scope="row" className="px-1 py-1.5 text-left font-medium">
                    {of.name}
                    {geometry && (
                      <span className="block text-[12.5px] font-normal text-muted">
                        {geometry.cut
                          ? `shell cut by ${formatNumber(geometry.cut.by * 1000, 0)} mm at ${formatNumber(geometry.cut.at * 1000, 0)}`
                          : 'its own'}
                      </span>
                    )}
                  </th>
                  {[
                    build.wheelbase,
                    build.trackFront,
                    build.trackRear,
                    build.tank.x,
                    build.seat.x,
                    centre.x.value,
                  ].map((value, i) => (
                    <td key={i} className="px-1 text-right whitespace-nowrap tabular-nums">
                      {formatQuantity(value, length)}
                    </td>
                  ))}
                </tr>
              )
            })}
          </tbody>
        </table>
      </div>
      <p className="mt-2 max-w-[720px] text-[14px] text-muted">
        A stage without its own carries on that of the stage before. Places are kept as they were measured: a
        shell that is cut brings what sits behind the cut forward from that stage on.{' '}
        {here && (
          <MayOnly right="plan">
            <Button
              look="quiet"
              className="!px-0"
              onClick={() =>
                removeSaying('geometry', here.id, `the geometry of ${stage.name}`, 'Geometry removed.')
              }
            >
              Let {stage.name} carry on what was before
            </Button>
          </MayOnly>
        )}
      </p>
      <div className="mt-6 flex flex-wrap items-baseline justify-between gap-2">
        <h2 className="text-[20px]">Is the body true?</h2>
        <MayOnly right="log">
          <Button onClick={() => onCheck(null)}>Measure the body</Button>
        </MayOnly>
      </div>
      {checks.length === 0 ? (
        <p className="max-w-[620px] text-[15px] text-muted">
          Hard points from a datum, left and right, before a front is cut off and after it is on again, or
          before and after a body goes onto another floor: what is out of true stands here, and which way.
        </p>
      ) : (
        checks.map((check) => <Check key={check.id} check={check} onChange={() => onCheck(check.id)} />)
      )}
      {view.geometries.length === 0 && (
        <p className="mt-4">
          <MayOnly right="plan">
            <Button onClick={onChange}>Change the geometry from this stage on</Button>
          </MayOnly>
        </p>
      )}
    </section>
  )
}

function Check({ check, onChange }: { check: BodyCheck; onChange: () => void }) {
  const { removeSaying } = useBuild()
  const found = outOfTrue(check.points)
  const off = found.filter((p) => p.worst > check.allowed)
  const way = (m: number, ahead: string, behind: string) =>
    Math.abs(m) < 5e-5 ? '' : `${formatNumber(Math.abs(m) * 1000, 1)} ${m > 0 ? ahead : behind}`
  // Out is away from the middle, on either side.
  const place = (p: Position | null, side: 1 | -1 = 1) =>
    p === null
      ? '–'
      : [way(p.x, 'back', 'forward'), way(p.y * side, 'out', 'in'), way(p.z, 'up', 'down')]
          .filter(Boolean)
          .join(', ') || 'nothing'
  return (
    <section aria-label={check.name} className="mt-3" data-testid="body-check">
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h3 className="text-[17px]">
          {check.name}{' '}
          <span className="text-[13.5px] font-normal text-muted">
            {check.date}
            {check.datum && `, from ${check.datum}`}
          </span>
        </h3>
        <span>
          <RowButtons
            name={check.name}
            recordId={check.id}
            onChange={onChange}
            onRemove={() => removeSaying('bodyCheck', check.id, check.name)}
          />
        </span>
      </div>
      <p className={off.length > 0 ? 'text-oxide' : 'text-zinc'}>
        {off.length === 0
          ? `All ${found.length} points are true to ${formatNumber(check.allowed * 1000, 1)} mm.`
          : `${off.length} of ${found.length} points are out by more than ${formatNumber(check.allowed * 1000, 1)} mm: ${off.map((p) => p.name).join(', ')}.`}
      </p>
      <div className="overflow-x-auto">
        <table className="w-full max-w-[900px] text-[14px]">
          <caption className="sr-only">Points out of true, mm</caption>
          <TableHead columns={POINT_HEAD} />
          <tbody>
            {found.map((p) => (
              <tr key={p.name} className="border-b border-line">
                <th scope="row" className="px-1 py-1 text-left font-medium">
                  {p.name}
                </th>
                <td className="px-1">{place(p.sides)}</td>
                <td className="px-1">{place(p.moved.left)}</td>
                <td className="px-1">{place(p.moved.right, -1)}</td>
                <td className={`px-1 text-right tabular-nums ${p.worst > check.allowed ? 'text-oxide' : ''}`}>
                  {formatNumber(p.worst * 1000, 1)} mm
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {check.note && <p className="mt-1 text-[14px]">{check.note}</p>}
    </section>
  )
}
