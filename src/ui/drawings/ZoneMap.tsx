import type { OvenSurvey } from '../../core/oven/evidence'
import { surveyOf, zoneAt } from '../../core/oven/survey'
import { formatDifference, type System } from '../../core/units/quantity'

import { Wide } from '../Wide'
import { ChamberFrame, chamberViewBox } from './ChamberFrame'

interface Props {
  readonly chamber: { readonly width: number; readonly height: number; readonly depth: number }
  readonly survey: OvenSurvey
  readonly system: System
}

const CELLS = [18, 7] as const

/** The chamber from above, door on the left: colder places in ice, hotter in ember, each reading with its number. */
export function ZoneMap({ chamber, survey, system }: Props) {
  const { width, height, depth } = chamber
  const [along, across] = CELLS
  const [w, h] = [depth / along, width / across]
  const zone = (inMm: number, acrossMm: number) => zoneAt(survey, { inMm, acrossMm, upMm: height / 2 })
  const { meanC: mean } = surveyOf(survey)
  const most = Math.max(4, ...survey.points.map(p => Math.abs(p.c - mean)))
  return (
    <Wide leastPx={560} label="Zones of the chamber">
      <svg
        viewBox={chamberViewBox(chamber)}
        className="max-h-[190px] w-full"
        preserveAspectRatio="xMinYMid meet"
        role="img"
        aria-label={`Zones of the chamber from above, door on the left: ${survey.points.map(p => formatDifference(p.c - mean, system)).join(', ')} from their mean`}
      >
        <ChamberFrame chamber={chamber}>
          {Array.from({ length: along * across }, (_, i) => {
            const [cx, cy] = [(i % along) * w, Math.floor(i / along) * h]
            const k = zone(cx + w / 2, cy + h / 2)
            return (
              <rect
                key={i}
                x={cx}
                y={cy}
                width={w + 0.4}
                height={h + 0.4}
                className={k < 0 ? 'fill-ice' : 'fill-ember'}
                opacity={Math.min(0.75, (Math.abs(k) / most) * 0.75)}
              />
            )
          })}
          {survey.points.map((p, i) => (
            <text
              key={i}
              x={p.inMm}
              y={p.acrossMm + 4}
              fontSize={13}
              fontWeight={600}
              textAnchor="middle"
              className="fill-ink"
            >
              {formatDifference(p.c - mean, system)}
            </text>
          ))}
        </ChamberFrame>
      </svg>
    </Wide>
  )
}
