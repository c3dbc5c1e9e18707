import type { ChartConfiguration } from 'chart.js'
import { useCallback, useMemo, useRef } from 'react'
import { halfWidth95 } from '../../core/numeric/coverage'
import { interpolateLinear } from '../../core/numeric/interpolate'
import type { TargetHrc } from '../../core/rockwell/target'
import type { CurvePoint } from '../../core/steel/temper-curve'
import { CURVE_RANGE_C } from '../../core/steel/usual'
import { formatNumber, formatTemperature, type System } from '../../core/units/quantity'
import { useDrag } from '../use-drag'
import { token } from './chart-look'
import { useChart } from './use-chart'

interface Props {
  readonly points: readonly CurvePoint[]
  readonly target: TargetHrc
  readonly temperC: number
  readonly system: System
  /** Above it a temper costs corrosion resistance, °C; null for steels that rust anyway. */
  readonly rustsAboveC: number | null
  /** Points of the grade's own tempering chart, drawn where they were measured. */
  readonly chart: readonly (readonly [temperC: number, hrc: number])[]
  readonly onTemper: (c: number) => void
}

const STEP_C = 5
const DRAG_C = { min: 120, max: 580 }
const clampStep = (c: number) => Math.min(DRAG_C.max, Math.max(DRAG_C.min, Math.round(c / STEP_C) * STEP_C))

/** Hardness against temper temperature with its band and the target; the temper is dragged along it. */
export default function TemperChart({
  points,
  target,
  temperC,
  system,
  rustsAboveC,
  chart: chartPoints,
  onTemper,
}: Props) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const config = useCallback(
    (element: HTMLCanvasElement) => configOf(element, points, target, rustsAboveC, chartPoints, system),
    [points, target, rustsAboveC, chartPoints, system],
  )
  const { chart } = useChart(canvas, config)
  const mean = useMemo(() => points.map(p => [p.atC, p.mean] as const), [points])
  const { held, grip } = useDrag<{ readonly atC: number }>({
    move: (_, event) => ({ atC: cAt(event.clientX) }),
    drop: last => {
      if (last.atC !== temperC) onTemper(last.atC)
    },
  })
  const atC = held?.atC ?? temperC
  const hrc = interpolateLinear(mean, atC)
  const spot =
    chart?.scales.x && chart.scales.y
      ? { left: chart.scales.x.getPixelForValue(atC), top: chart.scales.y.getPixelForValue(hrc) }
      : null
  const cAt = (clientX: number) => {
    const scale = chart?.scales.x
    const frame = canvas.current?.getBoundingClientRect()
    return scale && frame ? clampStep(scale.getValueForPixel(clientX - frame.left) ?? temperC) : temperC
  }
  return (
    <div className="relative h-full">
      {/* biome-ignore lint/a11y/noAriaHiddenOnFocusable: a canvas takes no focus; the slider on it says what it shows. */}
      <canvas ref={canvas} aria-hidden="true" />
      {spot && temperC > 0 && (
        <div
          role="slider"
          tabIndex={0}
          aria-label="Temper temperature, all tempers"
          aria-valuemin={DRAG_C.min}
          aria-valuemax={DRAG_C.max}
          aria-valuenow={atC}
          aria-valuetext={`${formatTemperature(atC, system)}, ${hrc.toFixed(1)} HRC`}
          className="absolute grid h-11 w-11 -translate-x-1/2 -translate-y-1/2 cursor-ew-resize touch-none place-items-center rounded-full"
          style={spot}
          {...grip(() => ({ atC }))}
          onKeyDown={event => {
            const step = { ArrowLeft: -STEP_C, ArrowRight: STEP_C, PageDown: -5 * STEP_C, PageUp: 5 * STEP_C }[
              event.key
            ]
            if (step === undefined) return
            event.preventDefault()
            onTemper(clampStep(temperC + step))
          }}
        >
          <span className="h-5 w-5 rounded-full border-2 border-ash bg-ember" />
          <span
            className={`pointer-events-none absolute top-8 whitespace-nowrap bg-ash px-1 text-small font-semibold ${atC > 420 ? 'right-5' : 'left-5'}`}
          >
            {hrc.toFixed(1)} HRC at {formatTemperature(atC, system)}
          </span>
        </div>
      )}
    </div>
  )
}

function configOf(
  element: HTMLCanvasElement,
  points: readonly CurvePoint[],
  target: TargetHrc,
  rustsAboveC: number | null,
  chart: Props['chart'],
  system: System,
): ChartConfiguration<'line', { x: number; y: number }[]> {
  const ink2 = token(element.parentElement ?? document.body, 'ink-2')
  const parent = element.parentElement ?? document.body
  const rule = token(parent, 'rule')
  const line = (y: (p: CurvePoint) => number) => points.map(p => ({ x: p.atC, y: y(p) }))
  const all = points.flatMap(p => [p.mean - 2 * p.sd, p.mean + 2 * p.sd])
  return {
    type: 'line',
    data: {
      datasets: [
        { data: line(p => p.mean + halfWidth95(p.sd)), borderWidth: 0, pointRadius: 0, fill: false },
        {
          data: line(p => p.mean - halfWidth95(p.sd)),
          borderWidth: 0,
          pointRadius: 0,
          fill: 0,
          backgroundColor: token(parent, 'rule').replace('rgb(', 'rgba(').replace(')', ', 0.35)'),
        },
        { data: line(p => p.mean), borderColor: token(parent, 'ink'), borderWidth: 2, pointRadius: 0, tension: 0.3 },
        {
          data: chart.map(([x, y]) => ({ x, y })),
          showLine: false,
          pointRadius: 4,
          pointStyle: 'rectRot',
          pointBackgroundColor: 'transparent',
          pointBorderColor: ink2,
          pointBorderWidth: 1.5,
        },
      ],
    },
    options: {
      layout: { padding: { top: 6, right: 14 } },
      scales: {
        x: {
          type: 'linear',
          min: CURVE_RANGE_C.min,
          max: CURVE_RANGE_C.max,
          grid: { color: rule },
          border: { color: rule },
          ticks: { color: ink2, stepSize: 100, callback: c => formatNumber(Number(c), 'temperature', system) },
          title: { display: true, text: `temper, all of them, ${system === 'metric' ? '°C' : '°F'}`, color: ink2 },
        },
        y: {
          type: 'linear',
          suggestedMin: Math.max(40, Math.floor(Math.min(...all))),
          suggestedMax: Math.ceil(Math.max(...all)),
          grid: { color: rule },
          border: { display: false },
          ticks: { color: ink2, precision: 0 },
          title: { display: true, text: 'HRC', color: ink2 },
        },
      },
      plugins: {
        annotation: {
          annotations: {
            target: {
              type: 'box',
              yMin: target.min,
              yMax: target.max,
              backgroundColor: token(parent, 'ember').replace('rgb(', 'rgba(').replace(')', ', 0.14)'),
              borderWidth: 0,
              label: {
                display: true,
                content: `target ${target.min} to ${target.max}`,
                position: { x: 'end', y: 'center' },
                color: token(parent, 'ember'),
                font: { size: 13, weight: 'normal' },
              },
            },
            ...(rustsAboveC === null
              ? {}
              : {
                  rusts: {
                    type: 'line' as const,
                    xMin: rustsAboveC,
                    xMax: rustsAboveC,
                    borderColor: token(parent, 'ice'),
                    borderDash: [4, 4],
                    borderWidth: 1,
                    label: {
                      display: true,
                      content: 'rusts sooner',
                      position: 'start' as const,
                      color: token(parent, 'ice'),
                      backgroundColor: 'transparent',
                      font: { size: 13, weight: 'normal' as const },
                      xAdjust: 42,
                      yAdjust: 2,
                    },
                  },
                }),
          },
        },
      },
    },
  }
}
