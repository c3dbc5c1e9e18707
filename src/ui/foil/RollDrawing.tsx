import type { RefObject, SVGProps } from 'react'
import type { Cut } from '../../core/foil/check-layout'
import type { Placement } from '../../core/foil/cut-plan'

export interface RollProps {
  readonly rollWidthMm: number
  readonly usedLengthMm: number
  readonly layout: readonly Placement[]
  readonly marks: readonly string[]
  readonly cuts: readonly Cut[] | null
  readonly lengthText: (mm: number) => string
}

interface Props extends RollProps {
  /** Sheets that do not fit where they lie. */
  readonly wrong?: ReadonlySet<number>
  readonly svg?: RefObject<SVGSVGElement | null>
  /** What makes a sheet more than a drawing; none where it is only shown. */
  readonly sheetProps?: (index: number) => SVGProps<SVGGElement>
}

const END = 60
const HEIGHT = 330

/** The roll from its free end, to scale, running to the right; shear lines in order, sheets with their marks and folds. */
export function RollDrawing(props: Props) {
  const { rollWidthMm, usedLengthMm, layout, marks, cuts, lengthText, wrong, sheetProps } = props
  const width = usedLengthMm + END + 150
  const scale = Math.max(width / 760, rollWidthMm / (HEIGHT - 64))
  return (
    <svg
      ref={props.svg}
      viewBox={`${-24 * scale} ${-22 * scale} ${Math.max(width + 24 * scale, 790 * scale)} ${rollWidthMm + 50 * scale}`}
      className={`w-full ${sheetProps ? 'touch-none select-none' : ''}`}
      style={{ maxHeight: HEIGHT }}
      preserveAspectRatio="xMinYMin meet"
      role={sheetProps ? 'group' : 'img'}
      aria-label={`Cut plan on a roll ${lengthText(rollWidthMm)} wide: ${lengthText(usedLengthMm)} used, ${layout.length} sheets`}
    >
      <rect x={0} y={0} width={usedLengthMm + END} height={rollWidthMm} className="fill-raised" />
      <path
        d={`M${usedLengthMm + END} 0 H0 V${rollWidthMm} H${usedLengthMm + END}`}
        fill="none"
        className="stroke-rule-strong"
        strokeWidth={1.5 * scale}
      />
      {layout.map((place, i) => (
        <g key={i} {...sheetProps?.(i)}>
          <rect
            x={place.yMm}
            y={place.xMm}
            width={place.alongMm}
            height={place.acrossMm}
            className={wrong?.has(i) ? 'fill-ember-wash stroke-bad' : 'fill-ember-wash stroke-ink-2'}
            strokeWidth={(wrong?.has(i) ? 3 : 1) * scale}
          />
          <FoldLine place={place} scale={scale} />
          <text
            x={place.yMm + place.alongMm / 2}
            y={place.xMm + place.acrossMm / 2 + 5 * scale}
            textAnchor="middle"
            fontSize={13 * scale}
            fontWeight={650}
            className="fill-ink"
          >
            {marks[i]}
          </text>
        </g>
      ))}
      <ShearLines cuts={cuts} rollWidthMm={rollWidthMm} scale={scale} />
      <text x={0} y={-8 * scale} fontSize={12 * scale} className="fill-ink-2">
        free end
      </text>
      <text x={usedLengthMm + END + 8 * scale} y={rollWidthMm / 2} fontSize={12 * scale} className="fill-ink-2">
        roll, {lengthText(rollWidthMm)}
      </text>
    </svg>
  )
}

/** The way the sheet folds in half: along its own length. */
function FoldLine({ place, scale }: { place: Placement; scale: number }) {
  const [x, y] = [place.yMm + place.alongMm / 2, place.xMm + place.acrossMm / 2]
  const ends = place.rotated
    ? { x1: x, x2: x, y1: place.xMm, y2: place.xMm + place.acrossMm }
    : { x1: place.yMm, x2: place.yMm + place.alongMm, y1: y, y2: y }
  return (
    <line
      {...ends}
      className="stroke-ink-2"
      strokeWidth={0.8 * scale}
      strokeDasharray={`${4 * scale} ${4 * scale}`}
      opacity={0.6}
    />
  )
}

/** Across the whole roll bold, numbered in the order they are made; inside a section thin. */
function ShearLines({ cuts, rollWidthMm, scale }: { cuts: readonly Cut[] | null; rollWidthMm: number; scale: number }) {
  const isWhole = (cut: Cut) => cut.kind === 'across' && cut.toMm - cut.fromMm >= rollWidthMm - 1
  const whole = (cuts ?? []).filter(isWhole)
  return (
    <g className="pointer-events-none">
      {(cuts ?? [])
        .filter(cut => !isWhole(cut))
        .map((cut, i) => {
          const across = cut.kind === 'across'
          return (
            <line
              key={i}
              x1={across ? cut.atMm : cut.fromMm}
              x2={across ? cut.atMm : cut.toMm}
              y1={across ? cut.fromMm : cut.atMm}
              y2={across ? cut.toMm : cut.atMm}
              className="stroke-ember"
              strokeWidth={1.2 * scale}
            />
          )
        })}
      {whole.map((cut, i) => (
        <g key={cut.atMm}>
          <line
            x1={cut.atMm}
            x2={cut.atMm}
            y1={-4 * scale}
            y2={rollWidthMm + 6 * scale}
            className="stroke-ember"
            strokeWidth={2.5 * scale}
          />
          <text
            x={cut.atMm}
            y={rollWidthMm + 20 * scale}
            textAnchor="middle"
            fontSize={12 * scale}
            className="fill-ink-2"
          >
            {i + 1}
          </text>
        </g>
      ))}
    </g>
  )
}
