import type { ChartConfiguration } from 'chart.js'
import { type RefObject, useEffect, useRef, useState } from 'react'
import { Chart } from './chart-look'

/**
 * Keeps a chart on a canvas: made once, its data and options changed in place. Returns the chart after each layout,
 * so that handles can be laid over it.
 */
export function useChart(
  canvas: RefObject<HTMLCanvasElement | null>,
  configOf: (element: HTMLCanvasElement) => ChartConfiguration<'line', { x: number; y: number }[]>,
) {
  const chart = useRef<Chart<'line', { x: number; y: number }[]> | null>(null)
  const [laidOut, setLaidOut] = useState(0)
  const latest = useRef(configOf)
  latest.current = configOf
  /** What the chart shows now: it is made with the first, and need not be laid out again for it. */
  const shown = useRef<typeof configOf | null>(null)

  useEffect(() => {
    const element = canvas.current
    if (!element) return
    shown.current = latest.current
    chart.current = new Chart(element, {
      ...latest.current(element),
      plugins: [{ id: 'told', afterLayout: () => setLaidOut(n => n + 1) }],
    })
    const repaint = () => {
      if (!chart.current) return
      chart.current.options = latest.current(element).options ?? {}
      chart.current.data = latest.current(element).data
      chart.current.update('none')
    }
    const watch = new MutationObserver(repaint)
    watch.observe(document.documentElement, { attributes: true, attributeFilter: ['data-theme'] })
    const media = matchMedia('(prefers-color-scheme: dark)')
    media.addEventListener('change', repaint)
    return () => {
      watch.disconnect()
      media.removeEventListener('change', repaint)
      chart.current?.destroy()
      chart.current = null
    }
  }, [canvas])

  useEffect(() => {
    const element = canvas.current
    if (!chart.current || !element || shown.current === configOf) return
    shown.current = configOf
    const { data, options } = configOf(element)
    chart.current.data = data
    chart.current.options = options ?? {}
    chart.current.update('none')
  }, [canvas, configOf])

  return { chart: chart.current, laidOut }
}
