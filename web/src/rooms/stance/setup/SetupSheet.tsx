import { nextSetup } from '@bold-ballast/contract'
import { itemAt, type Corner } from '@bold-ballast/core'
import { useBuild } from '../../../store/useBuild'
import { useLiveCar } from '../../../store/useCar'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { Rows } from '../../../ui/record/Rows'
import { useRecordForm } from '../../../ui/record/useRecordForm'
import { today } from '../../../ui/today'
import { CornerGrid } from '../../../ui/record/CornerGrid'
import { ToeField } from '../ToeField'

const { Field, Fields } = fieldsOf('setup')

const ENDS = [
  ['front', 'Front'],
  ['rear', 'Rear'],
] as const
const ADJUSTERS = [
  ['bump', 'bump'],
  ['rebound', 'rebound'],
  ['fastBump', 'fast bump'],
  ['fastRebound', 'fast rebound'],
] as const

const Heading = ({ children }: { children: string }) => (
  <h3 className="col-span-2 mt-1 border-t-2 border-edge pt-2 text-[19px]">{children}</h3>
)

function Bars() {
  const { suspension } = useLiveCar()
  return ENDS.map(([end, label]) => {
    const settings = suspension?.value[end].bar?.settings ?? []
    return (
      <fieldset key={end} className="col-span-2 grid grid-cols-2 items-end gap-3">
        <legend className="sr-only">{label} bar</legend>
        <Field name={`bars.${end}.isOn`} label={`${label} bar on`} />
        {settings.length > 0 ? (
          <Field
            name={`bars.${end}.setting`}
            label={`${label} hole or blade`}
            options={[['', 'as under Springs'], ...settings.map((s) => [s.name, s.name] as const)]}
          />
        ) : (
          <Field name={`bars.${end}.setting`} label={`${label} hole or blade`} />
        )}
      </fieldset>
    )
  })
}

function Wings() {
  const { aero } = useLiveCar()
  const elements = aero.elements.filter((e) => e.kind !== 'body')
  if (elements.length === 0) return null
  return (
    <Rows
      name="wings"
      one="wing"
      begins="Say where wing and splitter stand"
      adds="wing or splitter"
      most={8}
      blank={() => ({ elementId: itemAt(elements, 0).id, hole: '', angle: null })}
      className="grid grid-cols-3 items-start gap-3 border-t border-line pt-2"
    >
      {(i) => (
        <>
          <Field
            name={`wings.${i}.elementId`}
            label="Which"
            options={elements.map((e) => [e.id, e.name] as const)}
          />
          <Field name={`wings.${i}.hole`} />
          <Field name={`wings.${i}.angle`} />
        </>
      )}
    </Rows>
  )
}

/** A set-up sheet: the next one, or the newest put right while nobody has driven on it. */
export function SetupSheet({ setupId, onClose }: { setupId: string | null; onClose: () => void }) {
  const { stage } = useBuild()
  const { setup } = useLiveCar()
  const form = useRecordForm('setup', setupId, {
    blank: (id, order) =>
      nextSetup(setup?.value ?? null, { id, stageId: stage.id, order: Math.max(1, order), date: today() }),
    says: ({ order }, isNew) => (isNew ? `Write set-up sheet ${order}` : `Put set-up sheet ${order} right`),
    onSaved: onClose,
  })
  const at =
    (group: 'heights' | 'perches' | 'camber' | 'cold' | 'hot') => (corner: Corner, label: string) => (
      <Field name={`${group}.${corner}`} label={label} />
    )
  return (
    <RecordSheet
      form={form}
      title={form.isNew ? 'Next set-up sheet' : 'Put the sheet right'}
      says={form.isNew ? 'Save the sheet' : 'Save what was wrong'}
      before={
        form.isNew &&
        setup && (
          <p className="mb-3 text-[13.5px] text-muted">
            It begins as sheet {setup.value.order}. Change one thing, and say what it is meant to do: then the
            laps can tell whether it did.
          </p>
        )
      }
      wide
      onClose={onClose}
    >
      <Field name="why" isWide autoFocus />
      <Field name="meant" isWide />
      <Fields names={['date', 'driver', 'course', 'weather', 'fuel', 'brakeBar']} />
      <Heading>Tyres and pressures</Heading>
      <CornerGrid says="Cold" name="cold">
        {at('cold')}
      </CornerGrid>
      <CornerGrid says="Wanted hot" name="hot">
        {at('hot')}
      </CornerGrid>
      {ENDS.map(([end, label]) => (
        <fieldset
          key={end}
          className="col-span-2 grid grid-cols-3 items-start gap-3 border-t border-line pt-2"
        >
          <legend className="sr-only">Tyres, {label.toLowerCase()}</legend>
          <Field name={`tyres.${end}.size`} label={`${label} size`} />
          <Field name={`tyres.${end}.compound`} label={`${label} compound`} />
          <Field name={`tyres.${end}.set`} label={`${label} set`} />
          <Field name={`tyres.${end}.laps`} label={`Laps on them, ${end}`} />
          <Field name={`tyres.${end}.grip`} label={`Grip, μ, ${end}`} hint="Empty: as under Gears" />
        </fieldset>
      ))}
      <Heading>Dampers</Heading>
      <CornerGrid says="Clicks" name="dampers" hint="Counted as the damper’s own sheet counts them">
        {(corner, label) => (
          <fieldset className="grid grid-cols-2 gap-2">
            <legend className="text-[13px] font-medium">{label}</legend>
            {ADJUSTERS.map(([which, words]) => (
              <Field key={which} name={`dampers.${corner}.${which}`} label={words} />
            ))}
          </fieldset>
        )}
      </CornerGrid>
      <Heading>Springs, bars, heights</Heading>
      {ENDS.map(([end, label]) => (
        <fieldset key={end} className="col-span-2 grid grid-cols-3 items-start gap-3">
          <legend className="sr-only">Springs, {label.toLowerCase()}</legend>
          <Field name={`springs.${end}.main`} label={`${label} spring`} hint="Empty: as under Springs" />
          <Field name={`springs.${end}.helper`} label={`${label} helper`} />
          <Field name={`springs.${end}.preload`} label={`${label} preload`} />
        </fieldset>
      ))}
      <Bars />
      <Field name="packers.front" label="Front packers" />
      <Field name="packers.rear" label="Rear packers" />
      <CornerGrid says="Ride heights" name="heights">
        {at('heights')}
      </CornerGrid>
      <Field name="heightsAt" isWide />
      <CornerGrid says="Perches" name="perches">
        {at('perches')}
      </CornerGrid>
      <Heading>Alignment</Heading>
      <CornerGrid says="Camber" name="camber">
        {at('camber')}
      </CornerGrid>
      <CornerGrid says="Toe, in above zero" name="toe" hint="1.5 mm, 0.06 in or 0.15°: any of them">
        {(corner, label) => <ToeField name={`toe.${corner}`} label={label} />}
      </CornerGrid>
      <Field name="toeWidth" />
      <span />
      <Field name="caster.left" label="Caster, left" />
      <Field name="caster.right" label="Caster, right" />
      <Heading>Everything else</Heading>
      <Field name="differential" isWide />
      <Wings />
      <Field name="name" isWide />
      <Field name="note" />
    </RecordSheet>
  )
}
