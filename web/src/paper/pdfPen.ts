import latinRanges from '@fontsource/barlow/unicode.json'
import type { jsPDF } from 'jspdf'
import type { Face } from './paperFonts'

/** Of a page of A4, mm. */
export const PAGE = { width: 210, height: 297, margin: 15, foot: 24 } as const
const MM_PER_POINT = 25.4 / 72
const LINE = 1.25

export type Colour = 'ink' | 'muted' | 'zinc' | 'oxide' | 'ochre' | 'line' | 'blued'
const RGB: Record<Colour, readonly [number, number, number]> = {
  ink: [29, 35, 38],
  muted: [88, 96, 88],
  zinc: [86, 111, 18],
  oxide: [154, 58, 37],
  ochre: [138, 90, 0],
  line: [216, 210, 196],
  blued: [31, 78, 105],
}
export interface Hand {
  readonly face: 'text' | 'figure'
  /** Points. */
  readonly size: number
  readonly colour?: Colour
}

const rangesOf = (text: string) =>
  text.split(',').map((range) => {
    const [from, to = from] = range.replace('U+', '').split('-') as [string, string?]
    return [parseInt(from, 16), parseInt(to, 16)] as const
  })
const SETS = [rangesOf(latinRanges.latin), rangesOf(latinRanges['latin-ext'])] as const

/** The text in pieces that one file of a face can set; letters that neither has become question marks. */
export function piecesFor(text: string): { file: 0 | 1; text: string }[] {
  const pieces: { file: 0 | 1; text: string }[] = []
  for (const letter of text) {
    const code = letter.codePointAt(0) ?? 0
    const found = SETS.findIndex((ranges) => ranges.some(([from, to]) => code >= from && code <= to))
    const file = found === 1 ? 1 : 0
    const shown = found < 0 ? '?' : letter
    const last = pieces.at(-1)
    if (last?.file === file) last.text += shown
    else pieces.push({ file, text: shown })
  }
  return pieces
}

const base64 = (bytes: Uint8Array) => {
  let binary = ''
  for (const byte of bytes) binary += String.fromCharCode(byte)
  return btoa(binary)
}

/** Draws on pages of A4 from the top down, in mm, and turns the page where something doesn't fit any more. */
export class PdfPen {
  y: number = PAGE.margin
  private readonly faces: Record<Hand['face'], Face>

  constructor(
    readonly pdf: jsPDF,
    faces: Record<Hand['face'], Face>,
    private readonly onPage: (pen: PdfPen) => void,
  ) {
    this.faces = faces
    for (const { name, files } of Object.values(faces))
      files.forEach((bytes, i) => {
        pdf.addFileToVFS(`${name}${i}.ttf`, base64(bytes))
        pdf.addFont(`${name}${i}.ttf`, `${name}${i}`, 'normal')
      })
    onPage(this)
  }

  private use({ face, size }: Hand, file: 0 | 1): void {
    this.pdf.setFont(`${this.faces[face].name}${file}`, 'normal')
    this.pdf.setFontSize(size)
  }

  widthOf(text: string, hand: Hand): number {
    return piecesFor(text).reduce((sum, piece) => {
      this.use(hand, piece.file)
      return sum + this.pdf.getTextWidth(piece.text)
    }, 0)
  }

  heightOf = ({ size }: Hand) => size * LINE * MM_PER_POINT

  /** Text from a baseline on; `right` sets it against its right end. */
  say(text: string, x: number, y: number, hand: Hand, right = false): void {
    let at = right ? x - this.widthOf(text, hand) : x
    this.pdf.setTextColor(...RGB[hand.colour ?? 'ink'])
    for (const piece of piecesFor(text)) {
      this.use(hand, piece.file)
      this.pdf.text(piece.text, at, y)
      at += this.pdf.getTextWidth(piece.text)
    }
  }

  /** The text in lines that are no wider; a word that is wider than a line is broken. */
  linesOf(text: string, width: number, hand: Hand): string[] {
    const lines: string[] = []
    let line = ''
    for (const word of text.split(/\s+/).filter(Boolean)) {
      let rest = word
      if (line !== '' && this.widthOf(`${line} ${rest}`, hand) <= width) {
        line = `${line} ${rest}`
        continue
      }
      if (line !== '') lines.push(line)
      while (this.widthOf(rest, hand) > width && rest.length > 1) {
        let end = rest.length - 1
        while (end > 1 && this.widthOf(rest.slice(0, end), hand) > width) end -= 1
        lines.push(rest.slice(0, end))
        rest = rest.slice(end)
      }
      line = rest
    }
    return line === '' && lines.length > 0 ? lines : [...lines, line]
  }

  rule(from: number, to: number, y: number, colour: Colour = 'line', dashed = false): void {
    this.pdf.setDrawColor(...RGB[colour])
    this.pdf.setLineWidth(0.2)
    this.pdf.setLineDashPattern(dashed ? [1, 0.8] : [], 0)
    this.pdf.line(from, y, to, y)
    this.pdf.setLineDashPattern([], 0)
  }

  stroke(colour: Colour, width: number): void {
    this.pdf.setDrawColor(...RGB[colour])
    this.pdf.setLineWidth(width)
  }

  /** Turns the page unless there is this much room left. */
  need(height: number): void {
    if (this.y + height <= PAGE.height - PAGE.foot) return
    this.pdf.addPage()
    this.y = PAGE.margin
    this.onPage(this)
  }
}
