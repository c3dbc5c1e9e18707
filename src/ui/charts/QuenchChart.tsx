import type { ChartConfiguration } from 'chart.js'
import { useCallback, useRef } from 'react'
import { formatNumber, type System } from '../../core/units/quantity'
import { token } from './chart-look'
import { useChart } from './use-chart'

interface Props {
  readonly curve: readonly (readonly [s: number, bladeC: number, plateC: number])[]
  readonly martensiteStartC: number
  readonly system: System
}

const SHOWN_S = 90

/** Blade and plates against seconds, with martensite start and what a hand can hold. */
export default function QuenchChart({ curve, martensiteStartC, system }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const config = useCallback(
    (element: HTMLCanvasElement): ChartConfiguration<'line', { x: number; y: number }[]> => {
      const parent = element.parentElement ?? document.body
      const [ink, ink2, rule, ember] = ['ink', 'ink-2', 'rule', 'ember'].map(name => token(parent, name)) as [
        string,
        string,
        string,
        string,
      ]
      const shown = curve.filter(([s]) => s <= SHOWN_S)
      const level = (c: number, text: string, position: `${number}%` | 'end') => ({
        type: 'line' as const,
        yMin: c,
        yMax: c,
        borderColor: ink2,
        borderWidth: 1,
        borderDash: [3, 4],
        label: {
          display: true,
          content: text,
          position,
          backgroundColor: 'transparent',
          color: ink2,
          yAdjust: -8,
          // No taller than its text: between the two levels there is just room for it.
          padding: { x: 4, y: 0 },
          font: { size: 13, weight: 'normal' as const },
        },
      })
      const c = (value: number) => formatNumber(value, 'temperature', system)
      return {
        type: 'line',
        data: {
          datasets: [
            { data: shown.map(([x, y]) => ({ x, y })), borderColor: ember, borderWidth: 3, pointRadius: 0 },
            {
              data: shown.map(([x, , y]) => ({ x, y })),
              borderColor: ink,
              borderWidth: 1.5,
              borderDash: [5, 4],
              pointRadius: 0,
            },
          ],
        },
        options: {
          scales: {
            x: {
              type: 'linear',
              min: 0,
              max: SHOWN_S,
              grid: { display: false },
              border: { color: rule },
              ticks: { color: ink2, callback: s => `${s} s` },
            },
            y: {
              type: 'linear',
              min: 0,
              max: 1200,
              grid: { color: rule },
              border: { display: false },
              ticks: { color: ink2, stepSize: 400, callback: v => c(Number(v)) },
            },
          },
          plugins: {
            annotation: {
              annotations: {
                ms: level(martensiteStartC, `martensite starts ${c(martensiteStartC)}`, '58%'),
                warm: level(60, `cool enough to hold, ${c(60)}`, 'end'),
              },
            },
          },
        },
      }
    },
    [curve, martensiteStartC, system],
  )
  useChart(canvas, config)
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label="Cooling of the blade (solid) and the plates (dashed) over ninety seconds"
    />
  )
}
