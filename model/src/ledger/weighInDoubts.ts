import { CORNER_WORDS, type Build, type WeighIn } from '@bold-ballast/contract'
import {
  CORNERS,
  doubtReadings,
  formatNumber,
  formatQuantity,
  leftShare,
  type Corner,
  type Unit,
  type WeighInReading,
} from '@bold-ballast/core'

/** A question about readings that look mistyped, with what they could be instead. */
export interface WeighInDoubt {
  readonly question: string
  /** Each says what is put in whose place: fields of the weigh-in, kg. */
  readonly instead: readonly {
    readonly words: string
    readonly readings: readonly { readonly field: string; readonly mass: number }[]
  }[]
}

interface Read {
  readonly field: string
  readonly says: string
  readonly reading: number
  readonly expected: number
}

/** Each figure of a weigh-in with what the books expect on that scale. */
function readIn(
  readings: WeighIn['readings'],
  { books, booksFront }: Pick<WeighInReading, 'books' | 'booksFront'>,
  track: number,
): Read[] {
  const mass = books.mass.value
  const front = booksFront.value
  const left = leftShare(books.centre.y, track).value
  const expected = (corner: Corner) =>
    mass * (corner.startsWith('front') ? front : 1 - front) * (corner.endsWith('Left') ? left : 1 - left)
  const ofCorners = (path: string, corners: Readonly<Record<Corner, number>>) =>
    CORNERS.map((corner) => ({
      field: `${path}.${corner}`,
      says: CORNER_WORDS[corner],
      reading: corners[corner],
      expected: expected(corner),
    }))
  switch (readings.method) {
    case 'fourPads':
    case 'twoPads':
      return ofCorners('readings.corners', readings.corners)
    case 'threePads':
      return readings.placements.flatMap(({ corners }, i) =>
        ofCorners(`readings.placements.${i}.corners`, corners),
      )
    case 'axles':
      return [
        { field: 'readings.front', says: 'Front axle', reading: readings.front, expected: mass * front },
        { field: 'readings.rear', says: 'Rear axle', reading: readings.rear, expected: mass * (1 - front) },
      ]
  }
}

/**
 * Questions about readings that neither the books nor their neighbours lead one to expect.
 *
 * @param reading the weighing as it would be read
 * @param unit in which masses are said
 */
export function weighInDoubts(
  weighIn: Pick<WeighIn, 'readings'>,
  reading: Pick<WeighInReading, 'books' | 'booksFront'>,
  build: Pick<Build, 'trackFront' | 'trackRear'>,
  unit: Unit,
): WeighInDoubt[] {
  const read = readIn(weighIn.readings, reading, (build.trackFront + build.trackRear) / 2)
  const say = (mass: number) => formatQuantity(mass, unit)
  return doubtReadings(read).map(({ at, ratio, couldBe }): WeighInDoubt => {
    const one = at === null ? undefined : read[at]
    if (!one)
      return {
        question: `All that was read is ${formatNumber(ratio, 1)} times what the books say. Is the unit right?`,
        instead: couldBe.map((slip) => ({
          words: `Read ${say(read.reduce((sum, { reading: mass }) => sum + mass * slip, 0))} in all`,
          readings: read.map(({ field, reading: mass }) => ({ field, mass: mass * slip })),
        })),
      }
    return {
      question: `${one.says}: ${say(one.reading)} where the books and the other readings lead one to expect about ${say(one.expected)}. Is it right?`,
      instead: couldBe.map((mass) => ({ words: say(mass), readings: [{ field: one.field, mass }] })),
    }
  })
}
