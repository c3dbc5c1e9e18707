import { useRef, useState } from 'react'
import { indentRules } from '../../core/rockwell/indent'
import { outlinePath } from '../../core/rockwell/outline'
import { checkPlace, hiddenPlaces, type Place, type PlacedBlade } from '../../core/rockwell/places'
import { cautionWords } from '../../words/cautions'
import { useSay } from '../Units'
import { Wide } from '../Wide'

export interface PlacedReading {
  readonly hrc: number
  readonly place: Place | null
}

interface Props {
  readonly blade: PlacedBlade
  readonly mark: string
  readonly readings: readonly PlacedReading[]
  /** Places chosen for the next readings, in order. */
  readonly next: readonly Place[]
  readonly expectedHrc: number
  readonly onPlace: (place: Place) => void
}

/** Readings without a place are drawn along the tang, in the order taken. */
const FIRST_AT = 0.06
const SHARE = 0.24

/**
 * A blade with its indents and the room each needs. Pointing shows whether a reading may be taken there and why not; a click sets the
 * place of the next one. Bevels are shaded.
 */
export function PlaceBoard({ blade, mark, readings, next, expectedHrc, onPlace }: Props) {
  const say = useSay()
  const svg = useRef<SVGSVGElement>(null)
  const [at, setAt] = useState<Place | null>(null)
  const { lengthMm, widthMm } = blade
  const rules = indentRules(expectedHrc)
  const size = Math.max(3, lengthMm / 38)
  const step = Math.max(rules.minimumSpacingMm, (lengthMm * SHARE) / Math.max(3, readings.length))
  const shown = readings.map((r, i) => r.place ?? { xMm: lengthMm * FIRST_AT + i * step, yMm: widthMm * 0.3 })
  const taken = [...readings.flatMap(r => (r.place ? [r.place] : [])), ...next]
  const troubles = at ? checkPlace(blade, at, taken, expectedHrc) : []
  const suggested = hiddenPlaces(blade, taken, expectedHrc)
  const placeOf = (event: React.PointerEvent): Place | null => {
    const matrix = svg.current?.getScreenCTM()
    if (!matrix) return null
    const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse())
    return { xMm: Math.round(point.x * 10) / 10, yMm: Math.round(point.y * 10) / 10 }
  }
  return (
    <figure>
      <Wide leastPx={620} label="Blade with its readings">
        <svg
          ref={svg}
          viewBox={`-4 ${-2.6 * size} ${lengthMm + 8} ${widthMm + 2.6 * size + 4}`}
          className="max-h-[170px] w-full cursor-crosshair"
          preserveAspectRatio="xMinYMid meet"
          role="img"
          aria-label={`Blade ${mark} with readings ${readings.map(r => r.hrc).join(', ') || 'none yet'}`}
          onPointerMove={event => setAt(placeOf(event))}
          onPointerLeave={() => setAt(null)}
          onPointerDown={event => {
            const place = placeOf(event)
            if (place && checkPlace(blade, place, taken, expectedHrc).length === 0) onPlace(place)
            else setAt(place)
          }}
        >
          <path d={outlinePath(blade)} className="fill-raised stroke-ink" strokeWidth={0.8} />
          <text x={lengthMm * 0.6} y={widthMm * 0.4} fontSize={widthMm * 0.3} fontWeight={650} className="fill-ink-2">
            {mark}
          </text>
          {suggested.map(place => (
            <circle
              key={`${place.xMm}`}
              cx={place.xMm}
              cy={place.yMm}
              r={2.4}
              fill="none"
              className="stroke-ink-2"
              strokeWidth={0.5}
              strokeDasharray="1 1"
            />
          ))}
          {readings.map((reading, i) => {
            const place = shown[i] as Place
            return (
              <g key={i}>
                <circle
                  cx={place.xMm}
                  cy={place.yMm}
                  r={rules.minimumSpacingMm}
                  className="fill-ember-wash stroke-ember"
                  strokeWidth={0.3}
                  strokeDasharray={reading.place ? undefined : '1 1'}
                />
                <circle cx={place.xMm} cy={place.yMm} r={rules.diameterMm / 2} className="fill-ember" />
                <text
                  x={place.xMm}
                  y={i % 2 === 0 ? -0.4 * size : -1.5 * size}
                  textAnchor="middle"
                  fontSize={size}
                  fontWeight={600}
                  className="fill-ink"
                >
                  {reading.hrc.toFixed(1)}
                </text>
              </g>
            )
          })}
          {next.map((place, i) => (
            <g key={`${place.xMm}/${place.yMm}`}>
              <circle cx={place.xMm} cy={place.yMm} r={1.6} fill="none" className="stroke-ink" strokeWidth={0.6} />
              <text x={place.xMm + 3} y={place.yMm + 2.5} fontSize={7} className="fill-ink">
                {i + 1}
              </text>
            </g>
          ))}
          {at && (
            <circle
              cx={at.xMm}
              cy={at.yMm}
              r={rules.minimumSpacingMm}
              fill="none"
              className={troubles.length > 0 ? 'stroke-bad' : 'stroke-good'}
              strokeWidth={0.6}
            />
          )}
        </svg>
      </Wide>
      <figcaption className="flex min-h-touch flex-wrap items-center gap-x-4 text-note text-ink-2">
        <span className={troubles.length > 0 ? 'text-bad' : undefined}>
          {at === null
            ? `Point at the blade: indents ${say.length(rules.minimumSpacingMm)} apart, ${say.length(rules.minimumEdgeMm)} from an edge, none on the bevel.`
            : troubles[0]
              ? cautionWords(troubles[0], say)
              : `${say.length(Math.round(at.xMm))} from the butt, ${say.length(Math.round(at.yMm))} from the spine: a reading may be taken here.`}
        </span>
        {suggested[0] && (
          <button type="button" className="link min-h-touch" onClick={() => suggested[0] && onPlace(suggested[0])}>
            Use a place the handle hides
          </button>
        )}
      </figcaption>
    </figure>
  )
}
