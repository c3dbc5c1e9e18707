import type { ChartConfiguration } from 'chart.js'
import { type RefObject, useCallback, useEffect, useRef, useState } from 'react'
import { Chart } from './chart-look'

/**
 * Keeps a chart on a canvas: made once, its data and options changed in place. Returns the chart after each layout of what it shows,
 * so that handles can be laid over it.
 */
export function useChart(
  canvas: RefObject<HTMLCanvasElement | null>,
  configOf: (element: HTMLCanvasElement) => ChartConfiguration<'line', { x: number; y: number }[]>,
) {
  const chart = useRef<Chart<'line', { x: number; y: number }[]> | null>(null)
  const [, setLaidOut] = useState(0)
  const latest = useRef(configOf)
  latest.current = configOf
  /** Configuration the chart shows now; null before it shows anything. */
  const shown = useRef<typeof configOf | null>(null)

  const show = useCallback(() => {
    const element = canvas.current
    if (!chart.current || !element) return
    shown.current = latest.current
    const { data, options } = latest.current(element)
    chart.current.data = data
    chart.current.options = options ?? {}
    chart.current.update('none')
  }, [canvas])

  useEffect(() => {
    const element = canvas.current
    if (!element) return
    const { type, options } = latest.current(element)
    // Its axes first and what is on them after: both at once would hold up a slow tablet too long.
    chart.current = new Chart(element, {
      type,
      data: { datasets: [] },
      options: { ...options, plugins: {} },
      plugins: [{ id: 'told', afterLayout: () => shown.current && setLaidOut(n => n + 1) }],
    })
    const filling = setTimeout(() => {
      if (!shown.current) show()
    })
    const watch = new MutationObserver(show)
    watch.observe(document.documentElement, { attributes: true, attributeFilter: ['data-theme'] })
    const media = matchMedia('(prefers-color-scheme: dark)')
    media.addEventListener('change', show)
    return () => {
      clearTimeout(filling)
      watch.disconnect()
      media.removeEventListener('change', show)
      chart.current?.destroy()
      chart.current = null
      shown.current = null
    }
  }, [canvas, show])

  useEffect(() => {
    if (shown.current && shown.current !== configOf) show()
  }, [configOf, show])

  return { chart: chart.current }
}
