import { templateBox, templateTiles, type Paper, type Template, type Tile, itemAt } from '@bold-ballast/core'
import type { jsPDF } from 'jspdf'

const mm = (m: number) => m * 1000
const CHECK = 50

/** One sheet: the part of the outline that falls on it, marks where it meets its neighbours, and a line to measure. */
function drawTile(pdf: jsPDF, template: Template, tile: Tile, paper: Paper): void {
  const box = templateBox(template)
  const [margin, overlap] = [mm(paper.margin), mm(paper.overlap)]
  const [width, height] = [mm(paper.width), mm(paper.height)]
  const at = ({ x, y }: { x: number; y: number }) =>
    [mm(y - box.y - tile.x) + margin, mm(x - box.x - tile.y) + margin] as const
  pdf.saveGraphicsState()
  pdf.rect(margin, margin, width - 2 * margin, height - 2 * margin, null)
  pdf.clip()
  pdf.discardPath()
  pdf.setLineWidth(0.4)
  template.outline.forEach((p, i) => {
    const next = itemAt(template.outline, (i + 1) % template.outline.length)
    pdf.line(...at(p), ...at(next))
  })
  pdf.setLineWidth(0.2)
  for (const mark of template.marks) {
    const [cx, cy] = at(mark)
    pdf.line(cx - 6, cy, cx + 6, cy)
    pdf.line(cx, cy - 6, cx, cy + 6)
  }
  pdf.restoreGraphicsState()
  pdf.setLineWidth(0.1)
  pdf.setDrawColor(150)
  pdf.rect(margin, margin, width - 2 * margin, height - 2 * margin)
  // The next sheet's edge is laid on these.
  pdf.line(width - margin - overlap, margin, width - margin - overlap, height - margin)
  pdf.line(margin, height - margin - overlap, width - margin, height - margin - overlap)
  pdf.setDrawColor(0)
  pdf.setFontSize(9)
  pdf.text(`${tile.label}  ${template.name}`, margin, margin - 3)
  const [left, bottom] = [margin, height - margin + 4]
  pdf.line(left, bottom, left + CHECK, bottom)
  pdf.line(left, bottom - 1.5, left, bottom + 1.5)
  pdf.line(left + CHECK, bottom - 1.5, left + CHECK, bottom + 1.5)
  pdf.text(`This line is ${CHECK} mm long where it was printed at 100 %.`, left + CHECK + 4, bottom + 1)
}

/** A template on sheets of paper at true scale, as a PDF. The library that writes it is fetched only here. */
export async function templatePdf(template: Template, paper: Paper): Promise<Blob> {
  const { jsPDF: Pdf } = await import('jspdf')
  const box = templateBox(template)
  const format = [mm(paper.width), mm(paper.height)]
  const pdf = new Pdf({ unit: 'mm', format })
  templateTiles(box.width, box.height, paper).forEach((tile, i) => {
    if (i > 0) pdf.addPage(format)
    drawTile(pdf, template, tile, paper)
  })
  return pdf.output('blob')
}
