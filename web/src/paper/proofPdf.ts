import {
  CORNERS,
  formatFigure,
  formatKnown,
  formatNumber,
  formatQuantity,
  preferredUnit,
} from '@bold-ballast/core'
import { CORNER_WORDS } from '@bold-ballast/contract'
import { curveOnPdf } from './curveOnPdf'
import type { Face } from './paperFonts'
import { PAGE, PdfPen, type Hand } from './pdfPen'
import { DISCLAIMER, whenSigned, type Paper } from './ProofPaper'
import { LINKS_SHOWN } from './ProofLists'
import { MOVED } from './MovedSince'
import { qrModules } from './QrCode'
import { ticketRows } from './ticketRows'
import { describeExpectedWrong } from '@bold-ballast/words'

const TITLE: Hand = { face: 'figure', size: 20 }
const HEAD: Hand = { face: 'figure', size: 13 }
const FIGURE: Hand = { face: 'figure', size: 11 }
const TEXT: Hand = { face: 'text', size: 9 }
const SMALL: Hand = { face: 'text', size: 7.5, colour: 'muted' }
const LEFT = PAGE.margin
const RIGHT = PAGE.width - PAGE.margin
const HALF = (RIGHT - LEFT - 8) / 2
const QR = 18

/** A line of a list: what, and its figure against the right. */
interface Row {
  readonly what: string
  readonly figure: string
  readonly colour?: Hand['colour']
}

const VERDICT = { met: 'zinc', missed: 'oxide', cantTell: 'ochre' } as const

function head(pen: PdfPen, title: string, height: number): void {
  pen.need(height + 9)
  pen.y += 9
  pen.say(title, LEFT, pen.y, HEAD)
  pen.y += 1.5
}

function facts(pen: PdfPen, { figures }: Paper): void {
  for (const { what, says } of figures.facts) {
    const lines = pen.linesOf(says, RIGHT - LEFT - 38, TEXT)
    pen.need(lines.length * pen.heightOf(TEXT) + 1)
    pen.y += 1
    lines.forEach((line, i) => {
      pen.y += pen.heightOf(TEXT)
      if (i === 0) pen.say(what, LEFT, pen.y, SMALL)
      pen.say(line, LEFT + 38, pen.y, TEXT)
    })
  }
}

function marks(pen: PdfPen, { figures }: Paper): void {
  if (figures.marks.length === 0) return
  head(pen, 'Marks', 12)
  const [figureAt, verdictAt, reasonAt] = [LEFT + 48, LEFT + 78, LEFT + 102]
  for (const mark of figures.marks) {
    const name = pen.linesOf(`${mark.name} ${mark.target}`, figureAt - LEFT - 3, TEXT)
    const says = pen.linesOf(mark.says, reasonAt - verdictAt - 3, TEXT)
    const reason = pen.linesOf(mark.reason, RIGHT - reasonAt, SMALL)
    const height =
      Math.max(Math.max(name.length, says.length) * pen.heightOf(TEXT), reason.length * pen.heightOf(SMALL)) +
      2
    pen.need(height)
    const top = pen.y
    name.forEach((line, i) => pen.say(line, LEFT, top + (i + 1) * pen.heightOf(TEXT), TEXT))
    pen.say(mark.figure, figureAt, top + pen.heightOf(TEXT), FIGURE)
    const colour = VERDICT[mark.verdict]
    says.forEach((line, i) =>
      pen.say(line, verdictAt, top + (i + 1) * pen.heightOf(TEXT), { ...TEXT, colour }),
    )
    reason.forEach((line, i) => pen.say(line, reasonAt, top + (i + 1) * pen.heightOf(SMALL), SMALL))
    pen.y = top + height
    pen.rule(LEFT, RIGHT, pen.y)
  }
  const byChance = describeExpectedWrong(figures)
  if (!byChance) return
  pen.need(pen.heightOf(SMALL) + 1)
  pen.y += pen.heightOf(SMALL) + 1
  pen.say(byChance, LEFT, pen.y, SMALL)
}

function ticket(pen: PdfPen, { figures, units }: Paper): void {
  const { ticket: read } = figures
  if (!read) return
  head(pen, 'Weigh ticket', 36)
  pen.y += pen.heightOf(SMALL)
  pen.say(`${read.date}, ${read.method}`, LEFT, pen.y, SMALL)
  const top = pen.y + 2
  const mass = preferredUnit('mass', units)
  const { corners } = read
  if (corners)
    CORNERS.forEach((corner, i) => {
      const [x, y] = [LEFT + (i % 2) * (HALF / 2), top + Math.floor(i / 2) * 13]
      pen.stroke('line', 0.2)
      pen.pdf.rect(x, y, HALF / 2 - 2, 11)
      pen.say(CORNER_WORDS[corner], x + 2, y + 3.8, SMALL)
      pen.say(formatQuantity(corners[corner], mass), x + 2, y + 9, FIGURE)
    })
  const from = corners ? LEFT + HALF + 8 : LEFT
  let y = top
  for (const { what, known, unit } of ticketRows(read, units)) {
    y += pen.heightOf(FIGURE) + 0.8
    const { figure, spread, unit: symbol } = formatKnown(known.value, known.sigma, unit)
    pen.say(what, from, y, TEXT)
    pen.say(`${figure} ±${spread} ${symbol}`, RIGHT, y, FIGURE, true)
    pen.rule(from, RIGHT, y + 1.2)
  }
  for (const line of pen.linesOf(read.books, RIGHT - from, SMALL)) {
    y += pen.heightOf(SMALL) + 0.6
    pen.say(line, from, y, SMALL)
  }
  pen.y = Math.max(y + 2, corners ? top + 26 : 0)
}

/** Lists under their titles, two to a row. */
function lists(
  pen: PdfPen,
  both: readonly { readonly title: string; readonly rows: readonly Row[] }[],
): void {
  for (let i = 0; i < both.length; i += 2) {
    const pair = both.slice(i, i + 2).map(({ title, rows }) => ({
      title,
      rows: rows.map((row) => ({
        ...row,
        lines: pen.linesOf(row.what, HALF - pen.widthOf(row.figure, FIGURE) - 3, TEXT),
      })),
    }))
    const heightOfRow = (lines: number) => lines * pen.heightOf(TEXT) + 1.6
    const heights = pair.map((list) => list.rows.reduce((sum, row) => sum + heightOfRow(row.lines.length), 0))
    const room = PAGE.height - PAGE.foot - PAGE.margin
    head(pen, '', Math.min(room - 12, Math.max(...heights) + 4))
    const top = pen.y
    const [page, ends] = [pen.pdf.getCurrentPageInfo().pageNumber, [] as { page: number; y: number }[]]
    pair.forEach(({ title, rows }, side) => {
      const x = LEFT + side * (HALF + 8)
      pen.pdf.setPage(page)
      pen.y = top
      pen.say(title, x, top - 1.5, HEAD)
      for (const { lines, figure, colour } of rows) {
        // A list longer than a page goes on, on one page that both lists share.
        if (pen.y + heightOfRow(lines.length) > PAGE.height - PAGE.foot) {
          const next = pen.pdf.getCurrentPageInfo().pageNumber + 1
          if (next > pen.pdf.getNumberOfPages()) pen.need(PAGE.height)
          else pen.pdf.setPage(next)
          pen.y = PAGE.margin + 8
        }
        lines.forEach((line, l) => pen.say(line, x, pen.y + (l + 1) * pen.heightOf(TEXT), TEXT))
        pen.say(figure, x + HALF, pen.y + pen.heightOf(TEXT), colour ? { ...FIGURE, colour } : FIGURE, true)
        pen.y += heightOfRow(lines.length)
        pen.rule(x, x + HALF, pen.y - 0.4)
      }
      ends.push({ page: pen.pdf.getCurrentPageInfo().pageNumber, y: pen.y })
    })
    const last = Math.max(...ends.map((e) => e.page))
    pen.pdf.setPage(last)
    pen.y = Math.max(...ends.filter((e) => e.page === last).map((e) => e.y))
  }
}

function listsOf({ figures, units }: Paper) {
  const { gears, finalDrive, links, changed, risks } = figures
  const [velocity, mass] = [preferredUnit('velocity', units), preferredUnit('mass', units)]
  const all: { title: string; rows: Row[] }[] = [
    {
      title: finalDrive === null ? 'Gearing' : `Gearing, final drive ${formatNumber(finalDrive, 3)}`,
      rows: gears.map((g, i) => ({
        what: `${i + 1}: ${formatNumber(g.ratio, 3)}`,
        figure: formatQuantity(g.speed, velocity, 0),
      })),
    },
    {
      title: 'Weak links, rating over what is asked',
      rows: links.slice(0, LINKS_SHOWN).map((link) => ({
        what: link.name,
        figure: formatNumber(link.margin, 2),
        colour: VERDICT[link.verdict],
      })),
    },
    {
      title: 'Changed since the stage before',
      rows: changed.map((c) => ({
        what: c.swap,
        figure: `${c.mass > 0 ? '+' : ''}${formatFigure(c.mass, mass)} ${mass.symbol}`,
      })),
    },
    {
      title: 'Open risks',
      rows:
        risks.length === 0
          ? [{ what: 'None that the record knows of.', figure: '' }]
          : risks.map((risk) => ({ what: risk, figure: '' })),
    },
  ]
  return all.filter((list) => list.rows.length > 0)
}

/** What the records say otherwise today than was signed. */
function moved(pen: PdfPen, { moved: all = [] }: Paper): void {
  if (all.length === 0) return
  head(pen, MOVED, 12)
  for (const { what, before, after } of all) {
    const lines = pen.linesOf(
      `${what}: ${before} as signed, ${after} by the records of today`,
      RIGHT - LEFT,
      TEXT,
    )
    pen.need(lines.length * pen.heightOf(TEXT) + 1)
    pen.y += 1
    for (const line of lines) {
      pen.y += pen.heightOf(TEXT)
      pen.say(line, LEFT, pen.y, TEXT)
    }
  }
}

/** What stands at the foot of every page: the code that leads back, and that nobody certified anything. */
function foot(pen: PdfPen, paper: Paper): void {
  const y = PAGE.height - PAGE.foot + 4
  pen.rule(LEFT, RIGHT, y - 2, 'muted', true)
  const modules = qrModules(paper.link)
  const side = QR / modules.length
  pen.pdf.setFillColor(0, 0, 0)
  modules.forEach((row, r) =>
    row.forEach((dark, c) => {
      if (dark) pen.pdf.rect(RIGHT - QR + c * side, y - 1 + r * side, side, side, 'F')
    }),
  )
  pen.say(`Record ${paper.code}`, LEFT, y + 4, FIGURE)
  pen.say(paper.signed ? 'Kept as it was signed.' : 'Not signed.', LEFT, y + 8, SMALL)
  pen.say(DISCLAIMER, LEFT, y + 11.5, SMALL)
  pen.say(paper.link, LEFT, y + 15, SMALL)
}

/**
 * A proof sheet as a PDF on A4, with the application's own faces, text that can be searched, and curves as lines.
 *
 * @param fonts see `paperFonts`
 */
export async function proofPdf(paper: Paper, fonts: { text: Face; figure: Face }): Promise<Blob> {
  const { jsPDF: Pdf } = await import('jspdf')
  const pdf = new Pdf({ unit: 'mm', format: 'a4', compress: true, putOnlyUsedFonts: true })
  pdf.setProperties({ title: `${paper.build}, stage ${paper.place}: ${paper.stage}` })
  const pen = new PdfPen(pdf, fonts, (on) => foot(on, paper))
  pen.y += pen.heightOf(TITLE)
  const when = whenSigned(paper)
  const title = pen.linesOf(
    `${paper.build}, stage ${paper.place}: ${paper.stage}`,
    RIGHT - LEFT - pen.widthOf(when, TEXT) - 6,
    TITLE,
  )
  pen.say(when, RIGHT, pen.y, { ...TEXT, colour: 'muted' }, true)
  title.forEach((line, i) => {
    if (i > 0) pen.y += pen.heightOf(TITLE)
    pen.say(line, LEFT, pen.y, TITLE)
  })
  pen.y += 2.5
  pen.rule(LEFT, RIGHT, pen.y, 'muted', true)
  facts(pen, paper)
  marks(pen, paper)
  ticket(pen, paper)
  if (paper.figures.curve.length > 1) {
    head(pen, `Wheel power and torque, ${paper.figures.dyno}`, 62)
    curveOnPdf(pen, paper.figures.curve, paper.units, { x: LEFT, width: RIGHT - LEFT, height: 56 })
  }
  lists(pen, listsOf(paper))
  moved(pen, paper)
  const pages = pdf.getNumberOfPages()
  for (let page = 1; page <= pages; page += 1) {
    pdf.setPage(page)
    pen.say(`${page} of ${pages}`, RIGHT - QR - 4, PAGE.height - PAGE.foot + 8, SMALL, true)
  }
  return pdf.output('blob')
}
