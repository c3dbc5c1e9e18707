import type { ChartConfiguration } from 'chart.js'
import { useCallback, useRef } from 'react'
import type { SoakPoint } from '../../core/steel/grade-curves'
import { formatNumber, type System } from '../../core/units/quantity'
import { useSay } from '../Units'
import { token } from './chart-look'
import { useChart } from './use-chart'

interface Props {
  readonly points: readonly SoakPoint[]
  readonly window: { readonly minC: number; readonly maxC: number }
  readonly system: System
}

/** Untempered hardness over the austenitize temperature: without cold, in dry ice, in liquid nitrogen; the grade's window shaded. */
export default function SoakChart({ points, window, system }: Props) {
  const say = useSay()
  const canvas = useRef<HTMLCanvasElement>(null)
  const config = useCallback(
    (element: HTMLCanvasElement): ChartConfiguration<'line', { x: number; y: number }[]> => {
      const parent = element.parentElement ?? document.body
      const colour = (name: string) => token(parent, name)
      const line = (pick: (p: SoakPoint) => number, name: string, dash: number[]) => ({
        data: points.map(p => ({ x: p.atC, y: pick(p) })),
        borderColor: colour(name),
        borderWidth: 2,
        borderDash: dash,
        pointRadius: 0,
      })
      const last = points.at(-1)
      const named = (pick: (p: SoakPoint) => number, text: string, name: string, at: number, above: boolean) => {
        const point = points[Math.round((points.length - 1) * at)] ?? last
        return {
          type: 'label' as const,
          xValue: point?.atC ?? 0,
          yValue: point ? pick(point) : 0,
          content: text,
          color: colour(name),
          font: { size: 13 },
          yAdjust: above ? -10 : 11,
        }
      }
      return {
        type: 'line',
        data: {
          datasets: [
            line(p => p.noCold, 'ember', []),
            line(p => p.dryIce, 'ice', []),
            line(p => p.nitrogen, 'ice', [5, 4]),
          ],
        },
        options: {
          layout: { padding: { top: 6, right: 14 } },
          scales: {
            x: {
              type: 'linear',
              min: points[0]?.atC ?? 900,
              max: last?.atC ?? 1200,
              grid: { display: false },
              border: { color: colour('rule') },
              ticks: {
                color: colour('ink-2'),
                maxTicksLimit: 7,
                callback: c => formatNumber(Number(c), 'temperature', system),
              },
              title: { display: true, text: `soak, ${system === 'metric' ? '°C' : '°F'}`, color: colour('ink-2') },
            },
            y: {
              type: 'linear',
              grid: { color: colour('rule') },
              border: { display: false },
              ticks: { color: colour('ink-2'), precision: 0 },
              title: { display: true, text: 'HRC, untempered', color: colour('ink-2') },
            },
          },
          plugins: {
            annotation: {
              annotations: {
                window: {
                  type: 'box',
                  xMin: window.minC,
                  xMax: window.maxC,
                  backgroundColor: colour('rule').replace('rgb(', 'rgba(').replace(')', ', 0.35)'),
                  borderWidth: 0,
                },
                none: named(p => p.noCold, 'no cold', 'ember', 0.66, false),
                ice: named(p => p.dryIce, 'dry ice', 'ice', 0.45, false),
                nitrogen: named(p => p.nitrogen, 'liquid nitrogen', 'ice', 0.66, true),
              },
            },
          },
        },
      }
    },
    [points, window, system],
  )
  useChart(canvas, config)
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label={`Untempered hardness over austenitize temperature; without cold it is highest near ${say.t(points.reduce((a, b) => (b.noCold > a.noCold ? b : a)).atC)}, with dry ice near ${say.t(points.reduce((a, b) => (b.dryIce > a.dryIce ? b : a)).atC)}`}
    />
  )
}
