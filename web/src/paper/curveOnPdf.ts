import type { SealedFigures } from '@bold-ballast/contract'
import {
  formatNumber,
  fromSi,
  preferredUnit,
  type Unit,
  type UnitPreferences,
  itemWhere,
  itemAt,
} from '@bold-ballast/core'
import type { Colour, Hand, PdfPen } from './pdfPen'

const SMALL: Hand = { face: 'text', size: 7.5, colour: 'muted' }
const AXIS = 11
const TICKS = 5

/** Even steps of 1, 2 or 5 over a span, about as many as were asked for. */
export function ticksOver(low: number, high: number, about = TICKS): number[] {
  const raw = (high - low) / about
  const power = 10 ** Math.floor(Math.log10(raw))
  const step = itemWhere(
    [1, 2, 5, 10].map((s) => s * power),
    (s) => s >= raw,
  )
  const first = Math.ceil(low / step)
  return Array.from({ length: Math.floor(high / step) - first + 1 }, (_, i) => (first + i) * step)
}

/** Power and torque over engine speed, each on an axis of its own, named at the line's end. */
export function curveOnPdf(
  pen: PdfPen,
  curve: SealedFigures['curve'],
  units: UnitPreferences,
  box: { readonly x: number; readonly width: number; readonly height: number },
): void {
  const unit = (q: 'power' | 'torque' | 'engineSpeed') => preferredUnit(q, units)
  const speeds = curve.map((p) => fromSi(p.speed, unit('engineSpeed')))
  const [slow, fast] = [Math.min(...speeds), Math.max(...speeds)]
  const [left, right] = [box.x + AXIS, box.x + box.width - AXIS]
  const [top, bottom] = [pen.y + 5, pen.y + box.height - 9]
  const xAt = (v: number) => left + ((v - slow) / Math.max(1e-9, fast - slow)) * (right - left)
  const line = (
    name: string,
    { symbol }: Unit,
    values: readonly number[],
    colour: Colour,
    onRight: boolean,
  ) => {
    const most = Math.max(...values) * 1.05
    const yAt = (v: number) => bottom - (v / most) * (bottom - top)
    pen.say(`${name} (${symbol})`, onRight ? right : left, top - 2, { ...SMALL, colour }, onRight)
    for (const tick of ticksOver(0, most)) {
      if (!onRight) pen.rule(left, right, yAt(tick))
      const says = formatNumber(tick, 0)
      pen.say(says, onRight ? right + 1.5 : left - 1.5, yAt(tick) + 1, SMALL, !onRight)
    }
    pen.stroke(colour, 0.5)
    for (let i = 1; i < values.length; i += 1)
      pen.pdf.line(
        xAt(itemAt(speeds, i - 1)),
        yAt(itemAt(values, i - 1)),
        xAt(itemAt(speeds, i)),
        yAt(itemAt(values, i)),
      )
  }
  line(
    'Power',
    unit('power'),
    curve.map((p) => fromSi(p.torque * p.speed, unit('power'))),
    'oxide',
    false,
  )
  line(
    'Torque',
    unit('torque'),
    curve.map((p) => fromSi(p.torque, unit('torque'))),
    'blued',
    true,
  )
  for (const tick of ticksOver(slow, fast, 7)) {
    const says = formatNumber(tick, 0)
    pen.say(says, xAt(tick) - pen.widthOf(says, SMALL) / 2, bottom + 4, SMALL)
  }
  pen.say(`Engine speed (${unit('engineSpeed').symbol})`, right, bottom + 8, SMALL, true)
  pen.y += box.height
}
