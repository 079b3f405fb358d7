import { CORNERS, formatQuantity, unitsOf, type Corner, type Unit } from '@bold-ballast/core'
import { useWatch } from 'react-hook-form'
import { useBuild } from '../store/useBuild'
import { Button } from '../ui/Button'
import { useOpenForm } from '../ui/record/RecordFormContext'

type Pressures = Partial<Readonly<Record<Corner, number | null>>> | undefined
/** What tyres of such cars stand at, cold or hot, Pa: beyond it somebody has another unit in mind. */
const TYRES = { from: 0.7e5, to: 5e5 }

/** The other unit that a pressure was meant in; undefined where it needs none, or none makes sense of it. */
export function meantUnit(pascal: number, unit: Unit, all: readonly Unit[]): Unit | undefined {
  if (pascal >= TYRES.from && pascal <= TYRES.to) return undefined
  const typed = pascal / unit.factor
  return all.find(
    (other) =>
      other.symbol !== unit.symbol && typed * other.factor >= TYRES.from && typed * other.factor <= TYRES.to,
  )
}

/** Asks about pressures that no tyre of such a car has, but would in another unit. */
export function AskTyreUnit({ name }: { name: 'cold' | 'hot' }) {
  const { unit } = useBuild()
  const { control, setValue } = useOpenForm()
  const typed = useWatch({ control, name }) as Pressures
  const own = unit('pressure')
  const odd = CORNERS.flatMap((corner) => {
    const pascal = typed?.[corner]
    const meant = typeof pascal === 'number' ? meantUnit(pascal, own, unitsOf('pressure')) : undefined
    return typeof pascal === 'number' && meant ? [{ corner, pascal, meant }] : []
  })
  const [first] = odd
  if (!first) return null
  const inMeant = (pascal: number, meant: Unit) => (pascal / own.factor) * meant.factor
  const shown = formatQuantity(inMeant(first.pascal, first.meant), own)
  return (
    <div role="status" className="col-span-2 text-[14px] text-ochre" data-testid={`ask-unit-${name}`}>
      {formatQuantity(first.pascal, own)} is no pressure of a tyre. Was it {first.meant.symbol}? That would be{' '}
      {shown}.{' '}
      <Button
        look="quiet"
        className="!px-0"
        onClick={() => {
          for (const { corner, pascal, meant } of odd)
            setValue(`${name}.${corner}`, inMeant(pascal, meant), { shouldDirty: true, shouldValidate: true })
        }}
      >
        Read {odd.length === 1 ? 'it' : 'them'} as {first.meant.symbol}
      </Button>
    </div>
  )
}
