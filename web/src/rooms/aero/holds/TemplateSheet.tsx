import { newLine, nextOrder, putEdit, removalOf, withoutVersion } from '@bold-ballast/contract'
import {
  A3,
  A4,
  formatNumber,
  fromSi,
  outlineDxf,
  outlineMiddle,
  outlineSvg,
  strutMarks,
  templateBox,
  templateTiles,
  type Template,
  USUAL_SHEET_CURRENCY,
} from '@bold-ballast/core'
import { csvOf, formatMoney } from '@bold-ballast/words'
import { useMay } from '../../../store/me'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { download } from '../../../ui/download'
import { SideSheet } from '../../../ui/SideSheet'
import { outlineOf, panelIn, strutMass, type Panelled } from '@bold-ballast/model'
import { sizeMm } from './safetyTone'
import { templatePdf } from './templatePdf'
import { stockOf, useStocks } from './useStocks'

/** What has to be cut for a panel, its outline to take away at true scale, and its mass for the ledger. */
export function TemplateSheet({ element, onClose }: { element: Panelled; onClose: () => void }) {
  const { view, unit, save, saveSaying } = useBuild()
  const seesMoney = useMay('money')
  const stocks = useStocks()
  const mass = unit('mass')
  const { panel, span, chord } = element
  const outline = outlineOf(element)
  const figures = panelIn(element, stockOf(stocks, panel), panel.thickness, 1)
  const finished = figures.mass + (panel.struts ? strutMass(panel.struts) : 0)
  const line = view.lines.find((l) => l.id === element.lineId)
  if (!outline)
    return (
      <SideSheet open onClose={onClose} title={`${element.name}: cut list and template`}>
        <p role="alert" className="text-oxide">
          Its corners are rounder than it has room for: at most {sizeMm(Math.min(chord, span / 2))} mm.
        </p>
      </SideSheet>
    )
  const marks = panel.struts ? strutMarks(span, panel.struts.count, panel.overhang) : []
  const template: Template = { name: `${view.build.name}, ${element.name}`, outline, marks }
  const box = templateBox(template)
  const pages = (paper: typeof A4) => templateTiles(box.width, box.height, paper).length
  const file = `${view.build.name} ${element.name}`
  const cuts: [what: string, pieces: number, size: string][] = [
    [
      `${sizeMm(panel.thickness)} mm ${figures.sheet.says}`,
      panel.lay === 'crossed' ? 2 : 1,
      `${sizeMm(box.width)} × ${sizeMm(box.height)} mm${panel.lay === 'crossed' ? ', half as thick, crossed' : ''}`,
    ],
    ...(panel.struts
      ? [
          [
            panel.struts.kind === 'cable'
              ? `Cable, 7 × 7 stainless, ${formatNumber(panel.struts.outside * 1000, 1)} mm`
              : `Tube, steel, ${formatNumber(panel.struts.outside * 1000, 1)} × ${formatNumber(panel.struts.wall * 1000, 1)} mm`,
            panel.struts.count,
            `${sizeMm(panel.struts.length)} mm each, ends beyond it`,
          ] as [string, number, string],
        ]
      : []),
  ]
  // The element as it is kept: a set-up sheet may have it in another hole.
  const own = view.aeroElements.find((e) => e.id === element.id) ?? element
  const toSwaps = () => {
    const position = { x: element.x - chord / 2 + outlineMiddle(outline), y: 0, z: element.z }
    const known = { mass: Number(finished.toFixed(3)), grade: 'claim' as const, sigma: null, weighing: null }
    const swapId = crypto.randomUUID()
    const lineId = line?.id ?? crypto.randomUUID()
    const swaps = view.swaps.filter((s) => s.stageId === element.stageId)
    const edits = line
      ? [putEdit(view, 'line', { ...withoutVersion(line), ...known })]
      : [
          putEdit(view, 'swap', {
            id: swapId,
            stageId: element.stageId,
            name: element.name,
            workTime: null,
            cost: null,
            order: nextOrder(swaps),
            note: '',
          }),
          putEdit(
            view,
            'line',
            newLine({
              id: lineId,
              swapId,
              kind: 'on',
              name: element.name,
              system: 'aero',
              order: 0,
              ...known,
              position,
            }),
          ),
          putEdit(view, 'aeroElement', { ...withoutVersion(own), lineId }),
        ]
    const says = `${element.name} counts ${formatNumber(fromSi(finished, mass), 2)} ${mass.symbol} in Swaps.`
    saveSaying(`Put ${element.name} into Swaps as a claim`, edits, says)
  }
  const takeOut = () => {
    if (!line) return
    const swap = view.swaps.find((s) => s.id === line.swapId)
    const alone = swap && view.lines.filter((l) => l.swapId === swap.id).length === 1
    save(`Take ${element.name} out of Swaps`, [
      putEdit(view, 'aeroElement', { ...withoutVersion(own), lineId: null }),
      ...(alone ? removalOf(view, 'swap', swap.id) : removalOf(view, 'line', line.id)),
    ])
  }
  const pdf = async (paper: typeof A4, name: string) =>
    download(`${file} ${name}.pdf`, await templatePdf(template, paper), 'application/pdf')
  const viewBox = `-10 -10 ${box.width * 1000 + 20} ${box.height * 1000 + 20}`
  return (
    <SideSheet open onClose={onClose} title={`${element.name}: cut list and template`} wide>
      <svg
        viewBox={viewBox}
        className="block max-h-[240px] w-full"
        role="img"
        aria-label={`Outline, ${sizeMm(box.width)} mm across and ${sizeMm(box.height)} mm long`}
      >
        <path
          d={`M${outline.map((p) => `${(p.y - box.y) * 1000} ${(p.x - box.x) * 1000}`).join('L')}Z`}
          fill="var(--bench)"
          stroke="var(--ink)"
          strokeWidth="4"
        />
        {panel.under > 0 && (
          <line
            x1="0"
            x2={box.width * 1000}
            y1={chord * 1000}
            y2={chord * 1000}
            stroke="var(--muted)"
            strokeWidth="3"
            strokeDasharray="16 10"
          />
        )}
        {marks.map((m) => (
          <path
            key={m.y}
            d={`M${(m.y - box.y) * 1000 - 14} ${m.x * 1000}h28M${(m.y - box.y) * 1000} ${m.x * 1000 - 14}v28`}
            stroke="var(--oxide)"
            strokeWidth="4"
          />
        ))}
      </svg>
      {panel.under > 0 && (
        <p className="text-[13px] text-muted">What lies behind the dashes is hidden under the bumper.</p>
      )}
      <table className="mt-3 w-full" data-testid="cuts">
        <thead>
          <tr className="text-left text-[12.5px] text-muted">
            <th className="font-normal">Cut</th>
            <th className="pr-3 text-right font-normal">Pieces</th>
            <th className="font-normal">Size</th>
          </tr>
        </thead>
        <tbody>
          {cuts.map(([what, pieces, size]) => (
            <tr key={what} className="border-b border-line">
              <th scope="row" className="py-1 text-left font-medium">
                {what}
              </th>
              <td className="figure pr-3 text-right text-[17px]">{pieces}</td>
              <td>{size}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2" data-testid="template-says">
        {formatNumber(figures.area, 3)} m² of sheet; finished{' '}
        <span className="figure text-[19px]">{formatNumber(fromSi(finished, mass), 2)}</span>{' '}
        <span className="unit">{mass.symbol}</span>
        {seesMoney &&
          `, ${formatMoney(figures.price, figures.sheet.stock ? view.build.currency : USUAL_SHEET_CURRENCY, 0)} for the sheet`}
        .
      </p>
      <div className="mt-3 flex flex-wrap gap-2">
        <Button onClick={() => download(`${file}.svg`, outlineSvg(template), 'image/svg+xml')}>SVG</Button>
        <Button onClick={() => download(`${file}.dxf`, outlineDxf(template), 'application/dxf')}>DXF</Button>
        <Button onClick={() => void pdf(A4, 'A4')}>PDF, {pages(A4)} sheets of A4</Button>
        <Button onClick={() => void pdf(A3, 'A3')}>PDF, {pages(A3)} sheets of A3</Button>
        <Button
          look="quiet"
          onClick={() => download(`${file} cut list.csv`, csvOf(['cut', 'pieces', 'size'], cuts), 'text/csv')}
        >
          CSV
        </Button>
      </div>
      <p className="mt-1 text-[13px] text-muted">
        All at true scale, in millimetres. Print at 100 % and measure the line at each sheet’s foot.
      </p>
      <div className="mt-4 flex flex-wrap items-center gap-2 border-t border-line pt-3">
        {line ? (
          <>
            <span>
              In Swaps as {formatNumber(fromSi(line.mass, mass), 2)} {mass.symbol}, {line.grade}.
            </span>
            {line.grade !== 'claim' && line.grade !== 'guess' ? null : Math.abs(line.mass - finished) >
              5e-4 ? (
              <Button onClick={toSwaps}>Put it right there</Button>
            ) : null}
            <Button look="quiet" className="!text-muted" onClick={takeOut}>
              Take it out
            </Button>
          </>
        ) : (
          <Button look="main" onClick={toSwaps}>
            Put it into Swaps as a claim
          </Button>
        )}
      </div>
    </SideSheet>
  )
}
