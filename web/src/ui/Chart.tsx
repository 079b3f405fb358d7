import { csvOf } from '@bold-ballast/words'
import type * as PlotlyModule from 'plotly.js-basic-dist-min'
import type { Data, Layout } from 'plotly.js-basic-dist-min'
import { useEffect, useRef, useState } from 'react'
import { Button } from './Button'
import { chartText } from './chartText'
import { download } from './download'
import { usePrinting } from './usePrinting'

export interface Series {
  readonly name: string
  readonly x: readonly (number | string)[]
  readonly y: readonly (number | null)[]
  /** A colour token, such as `--blued`. */
  readonly colour: string
  readonly dash?: 'solid' | 'dash' | 'dot'
  readonly mode?: 'lines' | 'lines+markers' | 'markers'
  readonly symbol?: string
  readonly hollow?: boolean
  /** What stands at the line's end, or in the legend; `null` for nothing, where another line says it. */
  readonly label?: string | null
  /** One sentence a point, shown when it is pointed at. */
  readonly says: readonly string[]
}

export interface ChartProps {
  readonly title: string
  /** What the chart shows, for those who can't see it. */
  readonly summary: string
  readonly xTitle: string
  readonly yTitle: string
  readonly series: readonly Series[]
  readonly table: {
    readonly header: readonly string[]
    readonly rows: readonly (readonly (string | number | null)[])[]
  }
  readonly filename: string
  readonly height?: number
  /** A place along x that is marked, and what is called as another is pointed at. */
  readonly at?: number
  readonly onAt?: (x: number) => void
}

/** The colour of a token in the theme of now: charts know no CSS variables. */
function token(name: string): string {
  const probe = document.body.appendChild(document.createElement('i'))
  probe.style.color = `var(${name})`
  const { color } = getComputedStyle(probe)
  probe.remove()
  return color
}

type Plotly = typeof PlotlyModule
/** The drawing library once it is here: then a chart is drawn at once, as printing needs it. */
let library: Plotly | null = null

const LABEL_HEIGHT = 14
const labelled = (series: readonly Series[]) => series.filter((s) => s.label !== null)

/** From the first figure to the last, or round the categories: labels beside the chart don't stretch it. */
function rangeOf(series: readonly Series[]): [number, number] | undefined {
  const xs = series.flatMap((s) => s.x)
  if (xs.some((x) => typeof x === 'string')) return [-0.3, new Set(xs).size - 0.7]
  const figures = xs as number[]
  if (figures.length === 0) return undefined
  const [low, high] = [Math.min(...figures), Math.max(...figures)]
  // Half a marker would be cut off at the edge.
  const room = series.some((s) => s.mode?.includes('markers')) ? (high - low) * 0.03 : 0
  return [low - room, high + room]
}

/** What people called things, as text and nothing else. */
const plainly = (s: Series): Series => ({
  ...s,
  name: chartText(s.name),
  ...(typeof s.label === 'string' && { label: chartText(s.label) }),
  says: s.says.map(chartText),
  x: s.x.map((x) => (typeof x === 'string' ? chartText(x) : x)) as Series['x'],
})

/** Labels at the line ends, pushed apart where they would overlap, so that four lines need no legend. */
function endLabels(series: readonly Series[], height: number): Partial<Layout>['annotations'] {
  const all = series.flatMap((s) => s.y.filter((v) => v !== null))
  const pixels = (height - 56) / Math.max(1e-9, Math.max(...all) - Math.min(...all))
  const ends = labelled(series)
    .flatMap((s) => {
      const last = s.y.findLastIndex((v) => v !== null)
      const [x, y] = [s.x[last], s.y[last]]
      return x === undefined || y == null ? [] : [{ s, x, y }]
    })
    .sort((a, b) => a.y - b.y)
  let floor = -Infinity
  return ends.map(({ s, x, y }) => {
    const own = y * pixels
    floor = Math.max(own, floor + LABEL_HEIGHT)
    return {
      text: s.label ?? s.name,
      showarrow: false,
      xanchor: 'left' as const,
      xshift: 9,
      yshift: floor - own,
      font: { color: token(s.colour), size: 12 },
      // A line that passes behind a label doesn't cross it out.
      bgcolor: token('--chalk'),
      borderpad: 1,
      x,
      y,
    }
  })
}

/**
 * Puts a line across a drawn chart at a place of its x axis. It lies over the picture instead of in it: to draw all of a
 * chart anew for it would take longer than a move of the pointer.
 */
function markAt(node: HTMLElement, mark: HTMLElement, at: number | undefined): void {
  const area = node.querySelector('.nsewdrag')?.getBoundingClientRect()
  const { layout } = node as HTMLElement & { readonly layout?: Partial<Layout> }
  const [from, to] = (layout?.xaxis?.range ?? []) as (number | undefined)[]
  const isSeen =
    area && typeof from === 'number' && typeof to === 'number' && at !== undefined && at >= from && at <= to
  mark.hidden = !isSeen
  if (!isSeen) return
  const around = node.getBoundingClientRect()
  const left = area.left - around.left + ((at - from) / (to - from)) * area.width
  Object.assign(mark.style, {
    left: `${left}px`,
    top: `${area.top - around.top}px`,
    height: `${area.height}px`,
  })
}

/**
 * A chart with its axis titles, line-end labels, sentences on hover, the same data as a table, and PNG and
 * CSV to take away. The drawing library is fetched only when a chart is on the page.
 */
export function Chart({
  title,
  summary,
  xTitle,
  yTitle,
  series,
  table,
  filename,
  height = 300,
  at,
  onAt,
}: ChartProps) {
  const holder = useRef<HTMLDivElement>(null)
  const mark = useRef<HTMLDivElement>(null)
  const [asTable, setAsTable] = useState(false)
  const [theme, setTheme] = useState(0)
  const [width, setWidth] = useState(0)
  const isPrinting = usePrinting()
  // What is pointed at moves a line; it draws nothing anew.
  const marked = useRef({ at, onAt })
  useEffect(() => {
    marked.current = { at, onAt }
    if (holder.current && mark.current) markAt(holder.current, mark.current, at)
  }, [at, onAt])

  useEffect(() => {
    const dark = matchMedia('(prefers-color-scheme: dark)')
    const again = () => setTheme((t) => t + 1)
    dark.addEventListener('change', again)
    const watch = new MutationObserver(again)
    watch.observe(document.documentElement, { attributes: true, attributeFilter: ['data-theme'] })
    return () => {
      dark.removeEventListener('change', again)
      watch.disconnect()
    }
  }, [])

  useEffect(() => {
    const node = holder.current
    if (!node) return
    // In coarse steps, so that a window being dragged isn't drawn anew with each pixel.
    const watch = new ResizeObserver(() => setWidth(Math.round(node.clientWidth / 40) * 40))
    watch.observe(node)
    return () => watch.disconnect()
  }, [asTable])

  useEffect(() => {
    const node = holder.current
    if (asTable || !node) return
    let isGone = false
    const grid = token('--line')
    const axis = { gridcolor: grid, linecolor: token('--edge'), zeroline: false, automargin: true }
    const drawn = series.map(plainly)
    const data = drawn.map((s): Data => ({
      type: 'scatter',
      name: s.label ?? s.name,
      showlegend: s.label !== null,
      x: [...s.x],
      y: [...s.y],
      mode: s.mode ?? 'lines',
      line: { color: token(s.colour), width: 2, dash: s.dash ?? 'solid' },
      marker: {
        color: token(s.hollow ? '--panel' : s.colour),
        size: 10,
        symbol: s.symbol ?? 'circle',
        line: { color: token(s.colour), width: 1.5 },
      },
      text: [...s.says],
      hovertemplate: '%{text}<extra></extra>',
      connectgaps: true,
    }))
    const beside = 12 + Math.max(60, ...labelled(drawn).map((s) => (s.label ?? s.name).length * 6.2))
    // On a phone, or with long names, labels beside the lines would leave the lines no room.
    const withLegend = labelled(drawn).length > 4 || (width > 0 && beside > width * 0.3)
    const figures = drawn.flatMap((s) => s.y.filter((v) => v !== null))
    // Where the figures lie on both sides of nothing, nothing is drawn.
    const crosses = Math.min(...figures) < 0 && Math.max(...figures) > 0
    const range = rangeOf(drawn)
    const layout: Partial<Layout> = {
      height,
      margin: {
        l: 56,
        r: withLegend ? 24 : beside,
        t: 12,
        b: withLegend ? 84 : 44,
      },
      paper_bgcolor: 'transparent',
      plot_bgcolor: 'transparent',
      font: { family: 'Barlow, sans-serif', size: 12, color: token('--muted') },
      showlegend: withLegend,
      legend: { orientation: 'h', yref: 'container', y: 0, yanchor: 'bottom' },
      hoverlabel: {
        bgcolor: token('--panel'),
        bordercolor: token('--edge'),
        font: { color: token('--ink'), family: 'Barlow, sans-serif' },
      },
      xaxis: {
        ...axis,
        title: { text: chartText(xTitle) },
        ...(range && { range }),
        tickformat: ',',
        // Days are names here, as far apart as others: left to itself the library reads them as dates.
        ...(series.some((s) => typeof s.x[0] === 'string') && { type: 'category' as const }),
      },
      yaxis: {
        ...axis,
        title: { text: chartText(yTitle) },
        zeroline: crosses,
        zerolinecolor: token('--ink'),
      },
      annotations: (withLegend ? null : endLabels(drawn, height)) ?? [],
    }
    const draw = (plotly: Plotly) => {
      library = plotly
      if (isGone) return
      void plotly.react(node, data, layout, { displayModeBar: false, responsive: true }).then((there) => {
        const again = () => mark.current && markAt(there, mark.current, marked.current.at)
        again()
        there.removeAllListeners('plotly_relayout')
        there.on('plotly_relayout', again)
        there.removeAllListeners('plotly_hover')
        there.on('plotly_hover', ({ points: [point] }) => {
          if (typeof point?.x === 'number') marked.current.onAt?.(point.x)
        })
      })
    }
    if (library) draw(library)
    else void import('plotly.js-basic-dist-min').then(({ default: plotly }) => draw(plotly))
    return () => {
      isGone = true
    }
  }, [series, xTitle, yTitle, height, asTable, theme, width, isPrinting])

  useEffect(() => {
    const node = holder.current
    return () => {
      if (node?.childElementCount)
        void import('plotly.js-basic-dist-min').then(({ default: plotly }) => plotly.purge(node))
    }
  }, [asTable])

  const savePicture = async () => {
    if (!holder.current) return
    const { default: plotly } = await import('plotly.js-basic-dist-min')
    await plotly.downloadImage(holder.current, { format: 'png', filename, width: 1200, height: 600 })
  }

  return (
    <figure className="my-3">
      <figcaption className="flex flex-wrap items-center justify-between gap-2">
        <h2 className="text-[19px]">{title}</h2>
        <span className="no-print flex gap-1">
          <Button look="quiet" aria-pressed={asTable} onClick={() => setAsTable(!asTable)}>
            {asTable ? 'Chart' : 'Table'}
          </Button>
          {!asTable && (
            <Button look="quiet" onClick={() => void savePicture()}>
              PNG
            </Button>
          )}
          <Button
            look="quiet"
            onClick={() => download(`${filename}.csv`, csvOf(table.header, table.rows), 'text/csv')}
          >
            CSV
          </Button>
        </span>
      </figcaption>
      <p className="sr-only">{summary}</p>
      {asTable ? (
        <div
          className="max-h-[420px] overflow-auto"
          tabIndex={0}
          role="region"
          aria-label={`${title}, as a table`}
        >
          <table className="w-full">
            <thead className="sticky top-0 bg-chalk">
              <tr>
                {table.header.map((h) => (
                  <th key={h} scope="col" className="border-b border-edge px-2 py-1 text-left font-medium">
                    {h}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {table.rows.map((row, i) => (
                <tr key={i}>
                  {row.map((c, j) => (
                    <td key={j} className="border-b border-line px-2 py-1">
                      {c ?? '–'}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      ) : (
        <div className="relative">
          <div ref={holder} role="img" aria-label={summary} style={{ height }} />
          <div
            ref={mark}
            hidden
            aria-hidden
            className="pointer-events-none absolute w-0 border-l border-dotted border-ink"
          />
        </div>
      )}
    </figure>
  )
}
