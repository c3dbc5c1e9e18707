import type { ChartConfiguration } from 'chart.js'
import type { AnnotationOptions } from 'chartjs-plugin-annotation'
import { useCallback, useRef } from 'react'
import type { ControlChart } from '../../core/rockwell/control-chart'
import { token } from './chart-look'
import { useChart } from './use-chart'

interface Props {
  readonly values: readonly { readonly value: number; readonly label: string; readonly day: string }[]
  readonly chart: ControlChart
  readonly unit: string
}

type Config = ChartConfiguration<'line', { x: number; y: number }[]>

/** Room at the right for the names of the lines, px. */
const NAMES_PX = 92
/** Room at the left, so that both charts stand over one another, px. */
const SCALE_PX = 48
/** Beside the dots a signal is larger and stands on its point. */
const SIGNAL_PX = 7
/** So many points at most have dots of their own: more are a line. */
const MOST_DOTS = 150

/** Days written under the chart at most. */
const MOST_DAYS = 12
/** Above and below the limits, so that their names stand beside them. */
const EDGE_HRC = 0.25

const said = (value: number) => value.toFixed(1).replace('-', '−')

interface Look {
  readonly ink: string
  readonly ink2: string
  readonly rule: string
  readonly ember: string
}
const lookOf = (element: HTMLCanvasElement): Look => {
  const parent = element.parentElement ?? document.body
  const of = (name: string) => token(parent, name)
  return { ink: of('ink'), ink2: of('ink-2'), rule: of('rule'), ember: of('ember') }
}

/** A level across the chart, its name and value beside it. */
const level = (value: number, name: string, { ink2 }: Look, dash?: number[]): AnnotationOptions => ({
  type: 'line',
  yMin: value,
  yMax: value,
  borderColor: ink2,
  borderWidth: 1,
  ...(dash && { borderDash: dash }),
  label: {
    display: true,
    content: `${name} ${said(value)}`,
    position: 'end',
    xAdjust: NAMES_PX,
    color: ink2,
    backgroundColor: 'transparent',
    font: { size: 13, weight: 'normal' },
  },
})

/** `within`: levels that stand clear of the edges. */
const scalesOf = (
  count: number,
  { ink2, rule }: Look,
  { dayOf, within }: { readonly dayOf: ((i: number) => string) | null; readonly within: readonly number[] },
) => ({
  x: {
    type: 'linear' as const,
    min: -0.5,
    max: count - 0.5,
    grid: { display: false },
    border: { color: rule },
    ticks: {
      display: dayOf !== null,
      color: ink2,
      font: { size: 13 },
      maxRotation: 0,
      callback: (at: number | string) => dayOf?.(Number(at)) ?? '',
    },
    afterBuildTicks: (scale: { ticks: { value: number }[] }) => {
      const step = Math.max(1, Math.ceil(count / MOST_DAYS))
      scale.ticks = Array.from({ length: Math.ceil(count / step) }, (_, i) => ({ value: i * step }))
    },
  },
  y: {
    type: 'linear' as const,
    grid: { color: rule },
    border: { display: false },
    suggestedMin: Math.min(...within) - EDGE_HRC,
    suggestedMax: Math.max(...within) + EDGE_HRC,
    ticks: {
      color: ink2,
      font: { size: 13 },
      maxTicksLimit: 5,
      callback: (value: number | string) => said(Number(value)),
    },
    afterFit: (scale: { width: number }) => {
      scale.width = SCALE_PX
    },
  },
})

/** Individuals above, moving ranges below: centre, limits, and points that a rule names, marked by shape and number. */
export default function ControlCharts({ values, chart, unit }: Props) {
  const singles = useCallback(
    (element: HTMLCanvasElement): Config => {
      const look = lookOf(element)
      const signalled = new Map<number, number>()
      chart.signals.forEach((signal, i) => {
        if (!signalled.has(signal.index)) signalled.set(signal.index, i + 1)
      })
      const named = (i: number) => signalled.has(i)
      return {
        type: 'line',
        data: {
          datasets: [
            {
              data: values.map(({ value }, x) => ({ x, y: value })),
              borderColor: look.ink,
              borderWidth: 1.2,
              pointStyle: values.map((_, i) => (named(i) ? 'rectRot' : 'circle')),
              pointRadius: values.map((_, i) => (named(i) ? SIGNAL_PX : values.length > MOST_DOTS ? 0 : 3)),
              pointBackgroundColor: values.map((_, i) => (named(i) ? look.ember : look.ink)),
              pointBorderWidth: 0,
            },
          ],
        },
        options: {
          layout: { padding: { right: NAMES_PX, top: 8 } },
          scales: scalesOf(values.length, look, {
            dayOf: i => values[i]?.day ?? '',
            within: [chart.lower, chart.upper],
          }),
          plugins: {
            annotation: {
              clip: false,
              annotations: {
                upper: level(chart.upper, 'upper', look, [5, 3]),
                centre: level(chart.centre, 'centre', look),
                lower: level(chart.lower, 'lower', look, [5, 3]),
                ...Object.fromEntries(
                  [...signalled].map(([index, number]): [string, AnnotationOptions] => [
                    `signal-${number}`,
                    {
                      type: 'label',
                      xValue: index,
                      yValue: values[index]?.value ?? 0,
                      yAdjust: -16,
                      content: String(number),
                      color: look.ember,
                      font: { size: 13, weight: 'bold' },
                    },
                  ]),
                ),
              },
            },
          },
        },
      }
    },
    [values, chart],
  )
  const ranges = useCallback(
    (element: HTMLCanvasElement): Config => {
      const look = lookOf(element)
      return {
        type: 'line',
        data: {
          datasets: [
            {
              data: chart.ranges.map((y, i) => ({ x: i + 1, y })),
              borderColor: look.ink2,
              borderWidth: 1,
              pointRadius: 0,
            },
          ],
        },
        options: {
          layout: { padding: { right: NAMES_PX, top: 8 } },
          scales: scalesOf(values.length, look, { dayOf: null, within: [EDGE_HRC, chart.upperRange] }),
          plugins: {
            annotation: { clip: false, annotations: { range: level(chart.upperRange, 'limit', look, [5, 3]) } },
          },
        },
      }
    },
    [values.length, chart],
  )
  return (
    <>
      <p className="text-note text-ink-2">{unit}</p>
      <Canvas
        config={singles}
        className="h-[230px]"
        label={`Control chart of ${values.length} batches, ${unit}: centre ${chart.centre.toFixed(2)}, limits ${chart.lower.toFixed(2)} to ${chart.upper.toFixed(2)}, ${chart.signals.length} signals`}
      />
      <p className="mt-1 text-note text-ink-2">From one batch to the next, HRC</p>
      <Canvas config={ranges} className="h-[90px]" label="How far each batch is from the one before" />
    </>
  )
}

function Canvas({
  config,
  className,
  label,
}: {
  config: (element: HTMLCanvasElement) => Config
  className: string
  label: string
}) {
  const canvas = useRef<HTMLCanvasElement>(null)
  useChart(canvas, config)
  return (
    <div className={className}>
      <canvas ref={canvas} role="img" aria-label={label} />
    </div>
  )
}
