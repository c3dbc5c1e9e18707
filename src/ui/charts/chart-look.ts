import { CategoryScale, Chart, Filler, LinearScale, LineController, LineElement, PointElement } from 'chart.js'
import annotation from 'chartjs-plugin-annotation'
import { decimalsOf } from '../ticks'

Chart.register(LineController, LineElement, PointElement, LinearScale, CategoryScale, Filler, annotation)
Chart.defaults.font.family = "'Archivo Variable', sans-serif"
Chart.defaults.font.size = 12
Chart.defaults.animation = false
Chart.defaults.responsive = true
Chart.defaults.maintainAspectRatio = false
// As figures are written everywhere else, not by the browser's language, which also takes long to ask for.
Chart.defaults.scales.linear.ticks.callback = (value, _, ticks) =>
  Number(value).toFixed(decimalsOf(ticks.map(tick => tick.value)))

/** A colour of the present theme, as the canvas needs it. */
export const token = (element: Element, name: string): string => {
  const probe = document.createElement('span')
  probe.style.color = `var(--${name})`
  element.append(probe)
  const colour = getComputedStyle(probe).color
  probe.remove()
  return colour
}

export { Chart }
