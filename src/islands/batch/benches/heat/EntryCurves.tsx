import { useRef } from 'react'
import { meanOf } from '../../../../core/numeric/round'
import type { EntryOutcome } from '../../../../core/oven/entry-schools'
import type { System } from '../../../../core/units/quantity'
import { HeatGrid, plotScale, USUAL_WIDTH } from '../../../../ui/drawings/HeatGrid'
import { Strokes } from '../../../../ui/heatline/Curve'
import { heatRgb } from '../../../../ui/heatline/colour'
import { useWidth } from '../../../../ui/use-width'
import { ENTRY_WORDS } from './entry-words'

const HEIGHT = 200

/** Oven and blade of the chosen school; the blades of the others faint behind it. */
export function EntryCurves({
  outcomes,
  active,
  system,
}: {
  outcomes: readonly EntryOutcome[]
  active: EntryOutcome
  system: System
}) {
  const longest = Math.max(30, ...outcomes.flatMap(o => o.curve.map(([min]) => min)))
  const hottest = Math.max(1000, ...active.curve.map(([, c]) => c))
  const frame = useRef<HTMLDivElement>(null)
  const told = useWidth(frame)
  const width = told || USUAL_WIDTH
  const scale = plotScale(longest, hottest, HEIGHT, width)
  const { x, y, path } = scale
  const blade = (o: EntryOutcome) => o.curve.flatMap(([m, , c]): [number, number][] => (c === null ? [] : [[m, c]]))
  const own = blade(active)
  return (
    <div ref={frame}>
      <svg
        viewBox={`0 0 ${width} ${HEIGHT}`}
        // Until its width is told, its text would be drawn small for a moment.
        className={`mb-1 w-full ${told === 0 ? 'invisible' : ''}`}
        role="img"
        aria-label={`Oven and blade, ${ENTRY_WORDS[active.school].name}, over ${Math.round(longest)} minutes`}
      >
        <HeatGrid scale={scale} system={system} />
        {outcomes
          .filter(o => o !== active)
          .map(o => (
            <path
              key={o.school}
              d={path(blade(o))}
              fill="none"
              className="stroke-rule-strong"
              strokeWidth={1}
              strokeDasharray="2 4"
            />
          ))}
        <path
          d={path(active.curve.map(([m, c]) => [m, c] as const))}
          fill="none"
          className="stroke-ink"
          strokeWidth={1.4}
        />
        <Strokes
          strokeWidth={3.5}
          pieces={own.slice(1).map(([m, c], i) => {
            const [m0, c0] = own[i] as [number, number]
            return { x1: x(m0), y1: y(c0), x2: x(m), y2: y(c), rgb: heatRgb(meanOf(c, c0), 'ramp') }
          })}
        />
      </svg>
    </div>
  )
}
