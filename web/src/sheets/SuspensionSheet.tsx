import { AXLE_WORDS, blankSuspension, type Suspension } from '@bold-ballast/contract'
import { useWatch } from 'react-hook-form'
import { useBuild, useLiveBuild } from '../store/useBuild'
import { useCarried } from '../store/useCarried'
import { fieldsOf } from '../ui/record/fieldsOf'
import { NOTHING } from '../ui/record/nothing'
import { OptionalPart } from '../ui/record/OptionalPart'
import { RecordSheet } from '../ui/record/RecordSheet'
import { Rows } from '../ui/record/Rows'
import { useRecordForm } from '../ui/record/useRecordForm'
import { useOpenForm } from '../ui/record/RecordFormContext'

const { Field, Fields } = fieldsOf('suspension')

type End = 'front' | 'rear'
const THREE = 'grid grid-cols-[1fr_1fr_auto] items-end gap-3'

const blankSetting = () => ({ name: '', arm: NOTHING, stiffness: null })
const blankBar = () => ({
  diameter: NOTHING,
  bore: 0,
  length: NOTHING,
  motionRatio: NOTHING,
  grade: 'measured',
  settings: [{ ...blankSetting(), name: '1' }],
})
const blankPoint = () => ({ travel: NOTHING, force: NOTHING })
const blankLine = () => ({ clicks: NOTHING, bump: NOTHING, rebound: NOTHING })

/** Pairs of travel go before a ratio that was typed. */
function Ratio({ end }: { end: End }) {
  const { control } = useOpenForm()
  const pairs = (useWatch({ control, name: `${end}.pairs` }) ?? []) as Suspension['front']['pairs']
  const isMeasured = pairs.length > 1
  return (
    <>
      <Field
        name={`${end}.motionRatio`}
        hint={isMeasured ? 'The pairs below go before it' : 'Spring travel over wheel travel'}
      />
      <Field name={`${end}.ratioGrade`} label="Ratio known by" />
      <Rows
        name={`${end}.pairs`}
        one="pair"
        of={`of the ${end}`}
        begins="Measure it over the travel"
        most={20}
        blank={() => ({ wheel: NOTHING, spring: NOTHING })}
        className={THREE}
        removes="beside"
      >
        {(i) => (
          <>
            <Field name={`${end}.pairs.${i}.wheel`} label={`Wheel ${i + 1}, up`} />
            <Field name={`${end}.pairs.${i}.spring`} label="Spring, shorter" />
          </>
        )}
      </Rows>
    </>
  )
}

function Bar({ end }: { end: End }) {
  return (
    <OptionalPart name={`${end}.bar`} label={`Anti-roll bar, ${end}`} blank={blankBar}>
      <Fields
        names={[
          `${end}.bar.diameter`,
          `${end}.bar.bore`,
          `${end}.bar.length`,
          `${end}.bar.motionRatio`,
          `${end}.bar.grade`,
        ]}
      />
      <span />
      <Rows
        name={`${end}.bar.settings`}
        one="hole"
        of={`of the ${end} bar`}
        least={1}
        most={12}
        blank={blankSetting}
        className="grid grid-cols-[1fr_1fr_1fr_auto] items-end gap-2"
        removes="beside"
      >
        {(i) => (
          <>
            <Field name={`${end}.bar.settings.${i}.name`} label={`Hole ${i + 1}`} />
            <Field name={`${end}.bar.settings.${i}.arm`} hint="" />
            <Field name={`${end}.bar.settings.${i}.stiffness`} label="Or measured" hint="" />
          </>
        )}
      </Rows>
    </OptionalPart>
  )
}

function Stops({ end }: { end: End }) {
  return (
    <>
      <Fields names={[`${end}.droop`, `${end}.bump`]} />
      <OptionalPart
        name={`${end}.rubber`}
        label={`Bump rubber, ${end}`}
        blank={() => ({ gap: NOTHING, points: [blankPoint()] })}
      >
        <Field name={`${end}.rubber.gap`} />
        <span />
        <Rows
          name={`${end}.rubber.points`}
          one="point"
          of={`of the ${end} rubber`}
          least={1}
          most={20}
          blank={blankPoint}
          className={THREE}
          removes="beside"
        >
          {(i) => <Fields names={[`${end}.rubber.points.${i}.travel`, `${end}.rubber.points.${i}.force`]} />}
        </Rows>
      </OptionalPart>
    </>
  )
}

function Damper({ end }: { end: End }) {
  return (
    <OptionalPart
      name={`${end}.damper`}
      label={`Damper with its sheet, ${end}`}
      blank={() => ({ name: '', points: [blankLine()] })}
    >
      <Field name={`${end}.damper.name`} label="Damper" isWide />
      <Rows
        name={`${end}.damper.points`}
        one="line"
        of={`of the ${end} damper`}
        least={1}
        most={40}
        blank={blankLine}
        className="grid grid-cols-[1fr_1fr_1fr_auto] items-end gap-2"
        removes="beside"
      >
        {(i) => (
          <Fields
            names={[
              `${end}.damper.points.${i}.clicks`,
              `${end}.damper.points.${i}.bump`,
              `${end}.damper.points.${i}.rebound`,
            ]}
          />
        )}
      </Rows>
    </OptionalPart>
  )
}

function Axle({ end }: { end: End }) {
  return (
    <fieldset className="col-span-2 grid grid-cols-2 items-start gap-3 border-t-2 border-edge pt-3">
      <legend className="mb-1 pr-2 text-[19px]">{AXLE_WORDS[end]}</legend>
      <Fields names={[`${end}.springRate`, `${end}.springGrade`]} />
      <Ratio end={end} />
      <Fields names={[`${end}.tyreRate`]} />
      <Field name={`${end}.tyreGrade`} label="Tyre known by" />
      <Fields names={[`${end}.threadPitch`, `${end}.damperRatio`]} />
      <OptionalPart
        name={`${end}.helper`}
        label={`Helper spring, ${end}`}
        blank={() => ({ rate: NOTHING, travel: NOTHING })}
      >
        <Fields names={[`${end}.helper.rate`, `${end}.helper.travel`]} />
      </OptionalPart>
      <Bar end={end} />
      <Field name={`${end}.rollCentre`} />
      <Field name={`${end}.rollGrade`} label="Roll centre known by" />
      <Field name={`${end}.unsprung`} />
      <Field name={`${end}.unsprungGrade`} label="Unsprung known by" />
      <Stops end={end} />
      <Damper end={end} />
    </fieldset>
  )
}

/** Springs, ratios, bars, stops and dampers of both axles from this stage on. */
export function SuspensionSheet({ onClose }: { onClose: () => void }) {
  const { built, stage } = useBuild()
  const { summary } = useLiveBuild()
  const { record, carriedFrom } = useCarried('suspension')
  const form = useRecordForm('suspension', record, {
    blank: (id) => blankSuspension(stage.id, id, built.springs, summary.mass.value),
    says: () => 'Change the suspension',
    onSaved: onClose,
  })
  return (
    <RecordSheet
      form={form}
      title="Springs, bars and stops"
      says="Save the suspension"
      carriedFrom={carriedFrom}
      wide
      onClose={onClose}
    >
      <Axle end="front" />
      <Axle end="rear" />
      <Field name="turnStep" />
      <Field name="note" />
    </RecordSheet>
  )
}
