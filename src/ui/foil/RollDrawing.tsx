interface Placement {
  readonly piece: number
  readonly xMm: number
  readonly yMm: number
  readonly acrossMm: number
  readonly alongMm: number
}

interface Props {
  readonly rollWidthMm: number
  readonly usedLengthMm: number
  readonly layout: readonly Placement[]
  readonly cuts: readonly { readonly yMm: number; readonly alongMm: number }[]
  /** Mark written on each placement. */
  readonly marks: readonly string[]
  readonly lengthText: (mm: number) => string
}

const FOOT = 46
const END = 40

/** The roll from its free end, to scale, running to the right; shear lines in order, sheets with their marks. */
export function RollDrawing({ rollWidthMm, usedLengthMm, layout, cuts, marks, lengthText }: Props) {
  const width = usedLengthMm + END + 150
  const scale = width / 640
  return (
    <svg
      viewBox={`${-30 * scale} ${-22 * scale} ${width + 30 * scale} ${rollWidthMm + (FOOT + 22) * scale}`}
      className="max-h-[270px] w-full"
      preserveAspectRatio="xMinYMin meet"
      role="img"
      aria-label={`Cut plan on a roll ${lengthText(rollWidthMm)} wide: ${lengthText(usedLengthMm)} used, ${layout.length} sheets, ${cuts.length} cuts across`}
    >
      <rect x={0} y={0} width={usedLengthMm + END} height={rollWidthMm} className="fill-raised" />
      <path
        d={`M${usedLengthMm + END} 0 H0 V${rollWidthMm} H${usedLengthMm + END}`}
        fill="none"
        className="stroke-rule-strong"
        strokeWidth={1.5 * scale}
      />
      {layout.map((place, i) => (
        <g key={i}>
          <rect
            x={place.yMm}
            y={place.xMm}
            width={place.alongMm}
            height={place.acrossMm}
            className="fill-ember-wash stroke-ink-2"
            strokeWidth={scale}
          />
          <text
            x={place.yMm + place.alongMm / 2}
            y={place.xMm + place.acrossMm / 2 + 5 * scale}
            textAnchor="middle"
            fontSize={14 * scale}
            fontWeight={650}
            className="fill-ink"
          >
            {marks[i]}
          </text>
        </g>
      ))}
      {cuts.map((cut, i) => (
        <g key={cut.yMm}>
          <line
            x1={cut.yMm + cut.alongMm}
            x2={cut.yMm + cut.alongMm}
            y1={-6 * scale}
            y2={rollWidthMm + 8 * scale}
            className="stroke-ember"
            strokeWidth={2 * scale}
          />
          <text
            x={cut.yMm + cut.alongMm}
            y={rollWidthMm + 24 * scale}
            textAnchor="middle"
            fontSize={12.5 * scale}
            className="fill-ink-2"
          >
            {cut.alongMm > 76 * scale ? `${i + 1}: ${lengthText(cut.alongMm)}` : i + 1}
          </text>
        </g>
      ))}
      <text x={0} y={-8 * scale} fontSize={12.5 * scale} className="fill-ink-2">
        free end
      </text>
      <text x={usedLengthMm + END + 8 * scale} y={rollWidthMm / 2} fontSize={12.5 * scale} className="fill-ink-2">
        roll, {lengthText(rollWidthMm)}
      </text>
    </svg>
  )
}
