import { fieldsOf } from '../../../ui/record/fieldsOf'
import { NOTHING } from '../../../ui/record/nothing'
import { OptionalPart } from '../../../ui/record/OptionalPart'
import type { ElementForm } from './elementForm'

const { Field, Fields } = fieldsOf('aeroElement')

type Mount = NonNullable<ElementForm['mount']>
const blankMount = (): Mount => ({
  on: 'chassis',
  retention: true,
  uprights: 2,
  height: NOTHING,
  width: NOTHING,
  thickness: NOTHING,
  bolts: 4,
  boltDiameter: 0.008,
  boltSpacing: NOTHING,
  topBolts: 2,
  topBoltDiameter: 0.006,
  spar: null,
  footing: null,
})
const blankSpar = (): NonNullable<Mount['spar']> => ({
  metal: 'aluminium',
  outside: 0.03,
  wall: 0.002,
  apart: NOTHING,
  behind: 0.03,
})
const blankFooting = (): NonNullable<Mount['footing']> => ({
  sheet: 'steel',
  thickness: 0.0008,
  spanAlong: NOTHING,
  spanAcross: NOTHING,
  plateRadius: 0.04,
})

/** How a wing stands: its uprights and bolts, the tube inside it, and what its feet stand on. */
export function MountFields() {
  return (
    <OptionalPart name="mount" label="How it stands" blank={blankMount}>
      <Fields
        names={[
          'mount.on',
          'mount.retention',
          'mount.uprights',
          'mount.bolts',
          'mount.height',
          'mount.width',
          'mount.thickness',
          'mount.boltDiameter',
          'mount.boltSpacing',
        ]}
      />
      <span />
      <Fields names={['mount.topBolts', 'mount.topBoltDiameter']} />
      <OptionalPart name="mount.spar" label="A tube inside carries the wing" blank={blankSpar}>
        <Fields
          names={[
            'mount.spar.metal',
            'mount.spar.outside',
            'mount.spar.wall',
            'mount.spar.apart',
            'mount.spar.behind',
          ]}
        />
      </OptionalPart>
      <OptionalPart name="mount.footing" label="What the feet stand on" blank={blankFooting}>
        <Field name="mount.footing.sheet" />
        <Fields
          names={[
            'mount.footing.thickness',
            'mount.footing.spanAlong',
            'mount.footing.spanAcross',
            'mount.footing.plateRadius',
          ]}
        />
      </OptionalPart>
    </OptionalPart>
  )
}
