import type { RefObject, SVGProps } from 'react'
import type { Cut } from '../../core/foil/check-layout'
import type { Placement } from '../../core/foil/cut-plan'

export interface RollProps {
  readonly rollWidthMm: number
  readonly usedLengthMm: number
  readonly layout: readonly Placement[]
  readonly marks: readonly string[]
  /** In the order they are made. */
  readonly cuts: readonly Cut[] | null
  readonly lengthText: (mm: number) => string
}

interface Props extends RollProps {
  /** Sheets that do not fit where they lie. */
  readonly wrong?: ReadonlySet<number>
  readonly svg?: RefObject<SVGSVGElement | null>
  /** Returns the props that make a sheet interactive; absent if it is only shown. */
  readonly sheetProps?: (index: number) => SVGProps<SVGGElement>
  /** Draws the cuts up to this one, from 0, and marks it; absent: all of them. */
  readonly step?: number | undefined
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
            fontSize={14.5 * scale}
            fontWeight={650}
            className="fill-ink"
          >
            {marks[i]}
          </text>
        </g>
      ))}
      <ShearLines cuts={cuts} rollWidthMm={rollWidthMm} scale={scale} step={props.step} />
      <text x={0} y={-8 * scale} fontSize={14.5 * scale} className="fill-ink-2">
        free end
      </text>
      <text x={usedLengthMm + END + 8 * scale} y={rollWidthMm / 2} fontSize={14.5 * scale} className="fill-ink-2">
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

interface ShearProps {
  readonly cuts: readonly Cut[] | null
  readonly rollWidthMm: number
  readonly scale: number
  readonly step?: number | undefined
}

/** Whether a cut goes across the whole roll. */
export const isWholeCut = (cut: Cut, rollWidthMm: number): boolean =>
  cut.kind === 'across' && cut.toMm - cut.fromMm >= rollWidthMm - 1

/** Every cut with its number in the order they are made: across the whole roll bold, inside a section thin. */
function ShearLines({ cuts, rollWidthMm, scale, step }: ShearProps) {
  const shown = (cuts ?? []).slice(0, step === undefined ? undefined : step + 1)
  return (
    <g className="pointer-events-none">
      {shown.map((cut, i) => (
        <ShearLine
          key={i}
          cut={cut}
          number={i + 1}
          rollWidthMm={rollWidthMm}
          scale={scale}
          now={step === i}
          bright={step === undefined || step === i}
        />
      ))}
    </g>
  )
}

interface ShearLineProps {
  readonly cut: Cut
  readonly number: number
  readonly rollWidthMm: number
  readonly scale: number
  /** The one that is made now. */
  readonly now: boolean
  readonly bright: boolean
}

function ShearLine({ cut, number, rollWidthMm, scale, now, bright }: ShearLineProps) {
  const across = cut.kind === 'across'
  const whole = isWholeCut(cut, rollWidthMm)
  const from = cut.fromMm - (whole ? 4 * scale : 0)
  const to = cut.toMm + (whole ? 6 * scale : 0)
  const ends = across
    ? { x1: cut.atMm, x2: cut.atMm, y1: from, y2: to }
    : { x1: from, x2: to, y1: cut.atMm, y2: cut.atMm }
  return (
    <g>
      <line
        {...ends}
        className={bright ? 'stroke-ember' : 'stroke-ink-2'}
        strokeWidth={(now ? 4 : whole ? 2.5 : 1.2) * scale}
      />
      <text
        {...numberAt(cut, rollWidthMm, scale)}
        textAnchor="middle"
        fontSize={14.5 * scale}
        fontWeight={now ? 700 : 400}
        className={now ? 'fill-ember' : 'fill-ink-2'}
      >
        {number}
      </text>
    </g>
  )
}

/** Where a cut's number stands: under the roll for a whole one, else beside its line. */
function numberAt(cut: Cut, rollWidthMm: number, scale: number): { readonly x: number; readonly y: number } {
  if (isWholeCut(cut, rollWidthMm)) return { x: cut.atMm, y: rollWidthMm + 20 * scale }
  return cut.kind === 'across'
    ? { x: cut.atMm + 8 * scale, y: cut.fromMm + 13 * scale }
    : { x: cut.fromMm + 9 * scale, y: cut.atMm - 3 * scale }
}
