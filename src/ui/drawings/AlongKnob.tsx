import type { TaleFigure } from '../../core/steel/folklore'
import { TALE_FIGURES } from '../../words/steels'

const WIDTH = 260
const HEIGHT = 150

/** A figure along its knob, with a mark where the knob stands. */
export function AlongKnob({ figure, at }: { figure: TaleFigure; at: number }) {
  const values = figure.along.map(([, v]) => v)
  const [low, high] = [Math.min(...values), Math.max(...values)]
  const { label, unit, shown, least } = TALE_FIGURES[figure.name]
  const room = Math.max(high - low, least)
  const middle = (low + high) / 2
  const [x0, x1] = [figure.along[0]?.[0] ?? 0, figure.along.at(-1)?.[0] ?? 1]
  const x = (v: number) => 4 + ((v - x0) / (x1 - x0)) * (WIDTH - 8)
  const y = (v: number) => HEIGHT / 2 - ((v - middle) / room) * (HEIGHT - 20)
  return (
    <div className="border-t border-rule pt-2">
      <p className="text-note text-ink-2">{label}</p>
      <p>
        <span className="figure text-figure">{shown(figure.now)}</span> <span className="text-ink-2">{unit}</span>
      </p>
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full" aria-hidden="true">
        <path
          d={`M${figure.along.map(([a, v]) => `${x(a).toFixed(1)} ${y(v).toFixed(1)}`).join('L')}`}
          fill="none"
          style={{ stroke: 'var(--ink)' }}
          strokeWidth={1.5}
        />
        <line x1={x(at)} x2={x(at)} y1={0} y2={HEIGHT} style={{ stroke: 'var(--rule-strong)' }} strokeDasharray="2 3" />
        <circle cx={x(at)} cy={y(figure.now)} r={5} style={{ fill: 'var(--ember)' }} />
      </svg>
    </div>
  )
}
