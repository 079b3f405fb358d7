import { AskTyreUnit } from './AskTyreUnit'
import { CornerGrid } from '../ui/record/CornerGrid'
import { fieldsOf } from '../ui/record/fieldsOf'
import { NOTHING } from '../ui/record/nothing'
import { OptionalPart } from '../ui/record/OptionalPart'

const { Field } = fieldsOf('tyreReading')
const blankTread = () => ({ inside: NOTHING, middle: NOTHING, outside: NOTHING })

/** Hot pressures and tread temperatures, corner by corner, in the form of a record that has both. */
export function HotTyres() {
  return (
    <>
      <CornerGrid says="Hot, straight after" name="hot" canMirror={false}>
        {(corner, label) => <Field name={`hot.${corner}`} label={label} />}
      </CornerGrid>
      <AskTyreUnit name="hot" />
      <CornerGrid says="Treads" name="treads" canMirror={false} hint="With a needle, while they are hot">
        {(corner, label) => (
          <OptionalPart name={`treads.${corner}`} label={label} blank={blankTread}>
            <Field name={`treads.${corner}.inside`} />
            <Field name={`treads.${corner}.middle`} />
            <Field name={`treads.${corner}.outside`} />
          </OptionalPart>
        )}
      </CornerGrid>
    </>
  )
}
