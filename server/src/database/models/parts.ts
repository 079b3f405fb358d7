import type { Kind } from '@bold-ballast/contract'
import { Row } from './Row'

/** A row that belongs to a build. */
export class PartRow extends Row {
  buildId!: string
}

export class BuildRow extends Row {
  static override tableName = 'builds'
  static override jsonAttributes = [
    'baseCentre',
    'tank',
    'seat',
    'reference',
    'springs',
    'ballast',
    'airLoads',
    'bridges',
    'growth',
    'doubts',
    'lean',
    'units',
  ]
}
export class StageRow extends PartRow {
  static override tableName = 'stages'
}
export class SwapRow extends PartRow {
  static override tableName = 'swaps'
}
export class LineRow extends PartRow {
  static override tableName = 'lines'
  static override jsonAttributes = ['position', 'movedTo', 'weighing', 'said', 'alsoAt']
}
export class WeighInRow extends PartRow {
  static override tableName = 'weigh_ins'
  static override jsonAttributes = ['readings', 'checklist', 'condition', 'tyrePressures']
}
export class TiltTestRow extends PartRow {
  static override tableName = 'tilt_tests'
  static override jsonAttributes = ['tilts']
}
export class DynoDayRow extends PartRow {
  static override tableName = 'dyno_days'
  static override jsonAttributes = ['air', 'limits', 'sheetColumns']
}
export class PullRow extends PartRow {
  static override tableName = 'pulls'
  static override jsonAttributes = ['points', 'channels']
}
export class MarkRow extends PartRow {
  static override tableName = 'marks'
}

export class SizingRow extends PartRow {
  static override tableName = 'sizings'
  static override jsonAttributes = ['engine', 'fuel', 'air', 'cooling', 'electrics']
}
export class OptionSetRow extends PartRow {
  static override tableName = 'option_sets'
  static override jsonAttributes = ['options']
}

export class ComponentRow extends PartRow {
  static override tableName = 'components'
  static override jsonAttributes = ['life', 'replacement']
}
export class DrivetrainRow extends PartRow {
  static override tableName = 'drivetrains'
  static override jsonAttributes = ['drive']
}
export class GearsetRow extends PartRow {
  static override tableName = 'gearsets'
  static override jsonAttributes = ['set']
}
export class CourseSpeedsRow extends PartRow {
  static override tableName = 'course_speeds'
  static override jsonAttributes = ['points']
}
export class CourseRow extends PartRow {
  static override tableName = 'courses'
  static override jsonAttributes = ['sections']
}
export class InstrumentRow extends PartRow {
  static override tableName = 'instruments'
}
export class BranchRow extends PartRow {
  static override tableName = 'branches'
  static override jsonAttributes = ['edits']
}
export class OutingRow extends PartRow {
  static override tableName = 'outings'
  static override jsonAttributes = ['amounts']
}
export class ServiceRow extends PartRow {
  static override tableName = 'services'
  static override jsonAttributes = ['parts', 'fluids']
}
export class JobRow extends PartRow {
  static override tableName = 'jobs'
}
export class SealRow extends PartRow {
  static override tableName = 'seals'
  static override jsonAttributes = ['figures', 'reopened']
}
export class SteeringRow extends PartRow {
  static override tableName = 'steerings'
  static override jsonAttributes = ['rearToe']
}
export class FitmentRow extends PartRow {
  static override tableName = 'fitments'
  static override jsonAttributes = ['front', 'rear', 'candidates']
}

export class AeroElementRow extends PartRow {
  static override tableName = 'aero_elements'
  static override jsonAttributes = ['wing', 'panel', 'mount', 'correction']
}
export class CoastDownRow extends PartRow {
  static override tableName = 'coast_downs'
  static override jsonAttributes = ['air', 'runs']
}
export class DownforceTestRow extends PartRow {
  static override tableName = 'downforce_tests'
  static override jsonAttributes = ['motionRatio', 'wheelRate', 'air', 'runs']
}
export class AttitudeRow extends PartRow {
  static override tableName = 'attitudes'
  static override jsonAttributes = ['wheelRate']
}
export class SheetStockRow extends PartRow {
  static override tableName = 'sheet_stocks'
  static override jsonAttributes = ['thicknesses', 'price']
}
export class RulebookRow extends PartRow {
  static override tableName = 'rulebooks'
  static override jsonAttributes = ['rules']
}
export class ScrutinyRow extends PartRow {
  static override tableName = 'scrutinies'
}

export class LoadRow extends PartRow {
  static override tableName = 'loads'
  static override jsonAttributes = ['position']
}
export class ConditionRow extends PartRow {
  static override tableName = 'conditions'
  static override jsonAttributes = ['amounts']
}

export const ROW_OF = {
  build: BuildRow,
  stage: StageRow,
  swap: SwapRow,
  line: LineRow,
  weighIn: WeighInRow,
  tiltTest: TiltTestRow,
  dynoDay: DynoDayRow,
  pull: PullRow,
  mark: MarkRow,
  sizing: SizingRow,
  optionSet: OptionSetRow,
  drivetrain: DrivetrainRow,
  gearset: GearsetRow,
  courseSpeeds: CourseSpeedsRow,
  course: CourseRow,
  instrument: InstrumentRow,
  branch: BranchRow,
  component: ComponentRow,
  outing: OutingRow,
  service: ServiceRow,
  job: JobRow,
  seal: SealRow,
  steering: SteeringRow,
  fitment: FitmentRow,
  aeroElement: AeroElementRow,
  coastDown: CoastDownRow,
  downforceTest: DownforceTestRow,
  attitude: AttitudeRow,
  sheetStock: SheetStockRow,
  rulebook: RulebookRow,
  scrutiny: ScrutinyRow,
  load: LoadRow,
  condition: ConditionRow,
} as const satisfies Record<Kind, typeof Row>
