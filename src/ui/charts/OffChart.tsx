import type { ChartConfiguration } from 'chart.js'
import { format } from 'date-fns/format'
import { useCallback, useRef } from 'react'
import { token } from './chart-look'
import { useChart } from './use-chart'

interface Props {
  readonly rows: readonly { readonly at: number; readonly off: number; readonly label: string }[]
}

/** How far each finished blade came out from its prediction, over time; the zero line is the prediction. */
export default function OffChart({ rows }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const config = useCallback(
    (element: HTMLCanvasElement): ChartConfiguration<'line', { x: number; y: number }[]> => {
      const parent = element.parentElement ?? document.body
      const [ink2, rule, ember] = ['ink-2', 'rule', 'ember'].map(name => token(parent, name)) as [
        string,
        string,
        string,
      ]
      return {
        type: 'line',
        data: {
          datasets: [
            {
              data: rows.map(r => ({ x: r.at, y: r.off })),
              showLine: false,
              pointRadius: 3.5,
              pointBackgroundColor: ember,
              pointBorderWidth: 0,
            },
          ],
        },
        options: {
          scales: {
            x: {
              type: 'linear',
              grid: { display: false },
              border: { color: rule },
              ticks: { color: ink2, maxTicksLimit: 8, callback: at => format(Number(at), 'MMM yyyy') },
            },
            y: {
              type: 'linear',
              suggestedMin: -1.5,
              suggestedMax: 1.5,
              grid: { color: rule },
              border: { display: false },
              ticks: { color: ink2 },
            },
          },
          plugins: {
            annotation: {
              annotations: { zero: { type: 'line', yMin: 0, yMax: 0, borderColor: ink2, borderWidth: 1.5 } },
            },
          },
        },
      }
    },
    [rows],
  )
  useChart(canvas, config)
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label={`Measured less predicted hardness of ${rows.length} finished blades over time; the same figures stand in the table below`}
    />
  )
}
