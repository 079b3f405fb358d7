import { ELEMENT, type AeroElement } from '@bold-ballast/contract'
import { formatNumber, type AeroBalance, type ElementAreas } from '@bold-ballast/core'
import { useBuild } from '../../../store/useBuild'
import { GradeMark } from '../../../ui/grades'
import { TableHead } from '../../../ui/TableHead'
import { RowButtons } from '../../../ui/RowButtons'

export interface Effect {
  readonly element: AeroElement
  /** What it does by itself. */
  readonly own: AeroBalance
  readonly areas: ElementAreas
}

/** Every element with what it is worth at a speed, and how well that is known. */
export function ElementTable({
  effects,
  chosen,
  load,
  dragPower,
  onElement,
  onRemove,
}: {
  effects: readonly Effect[]
  chosen: string | null
  /** What a downforce area presses with, and what a drag area takes, in the person’s units. */
  load: (area: number) => number
  dragPower: (area: number) => number
  onElement: (id: string) => void
  onRemove: (element: AeroElement) => void
}) {
  const { stage, ledger, unit } = useBuild()
  const mass = unit('mass')
  const power = unit('power')
  return (
    <div className="relative overflow-x-auto" role="region" aria-label="Elements" tabIndex={0}>
      <table
        className="w-full whitespace-nowrap [&_td]:pl-4 [&_thead_th]:pl-4 [&_thead_th:first-child]:pl-0"
        data-testid="elements"
      >
        <TableHead
          columns={[
            { says: 'Element' },
            { says: 'Known by' },
            { says: `Front (${mass.symbol})`, figures: true },
            { says: `Rear (${mass.symbol})`, figures: true },
            { says: `Drag (${power.symbol})`, figures: true },
            { says: 'C_L·A (m²)', figures: true },
            { says: 'May be off by', figures: true },
            { says: 'Change', unseen: true },
          ]}
        />
        <tbody>
          {effects.map(({ element: e, own, areas }) => (
            <tr key={e.id} className={`border-b border-line ${e.id === chosen ? 'bg-panel' : ''}`}>
              <th scope="row" className="py-1.5 text-left font-medium">
                {e.name}
                <span className="block text-[12.5px] font-normal text-muted">
                  {ELEMENT[e.kind]}
                  {e.stageId !== stage.id && `, since ${ledger.stages.find((s) => s.id === e.stageId)?.name}`}
                  {areas.stalled && <span className="text-oxide">, stalled</span>}
                </span>
              </th>
              <td title={e.from}>
                <GradeMark grade={e.grade} word />
              </td>
              <td className="figure text-right text-[17px]">{formatNumber(load(own.front), 0)}</td>
              <td className="figure text-right text-[17px]">{formatNumber(load(own.rear), 0)}</td>
              <td className="figure text-right text-[17px]">{formatNumber(dragPower(own.drag), 1)}</td>
              <td className="figure text-right text-[17px]">{formatNumber(areas.downforceArea, 3)}</td>
              <td className="figure text-right text-[17px]">{`${formatNumber(e.spread * 100, 0)} %`}</td>
              <td className="text-right">
                <RowButtons
                  name={e.name}
                  recordId={e.id}
                  onChange={() => onElement(e.id)}
                  onRemove={() => onRemove(e)}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
