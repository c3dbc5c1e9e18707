import type { FoldTemplate, TemplateLine } from '../../core/foil/template'
import { templateNoteWords } from '../../words/foil'
import { useSay } from '../Units'
import { Wide } from '../Wide'

const LOOK: Readonly<Record<TemplateLine['kind'], { className: string; dash?: string }>> = {
  cut: { className: 'stroke-ink' },
  fold: { className: 'stroke-ember', dash: '6 3' },
  seam: { className: 'stroke-ink-2', dash: '1.5 2' },
  blade: { className: 'stroke-ice' },
}

/** One sheet laid flat, to scale: cut lines, the fold in half, the turns of each seam, and where the blade lies. */
export function TemplateDrawing({
  template,
  outline,
  lengthText,
}: {
  template: FoldTemplate
  /** Path of one blade, mm. */
  outline: string
  lengthText: (mm: number) => string
}) {
  const say = useSay()
  const { lengthMm, widthMm, lines, notes } = template
  const scale = Math.max(lengthMm / 700, widthMm / 230)
  return (
    <Wide leastPx={740} label="Sheet laid flat">
      <svg
        viewBox={`${-30 * scale} ${-20 * scale} ${lengthMm + 60 * scale} ${widthMm + 30 * scale}`}
        className="max-h-[252px] w-full"
        preserveAspectRatio="xMinYMin meet"
        role="img"
        aria-label={`Sheet ${lengthText(lengthMm)} by ${lengthText(widthMm)} laid flat, with its folds and the blade`}
      >
        {lines.map((line, i) => {
          const { className, dash } = LOOK[line.kind]
          return (
            <line
              key={i}
              x1={line.x1}
              x2={line.x2}
              y1={line.y1}
              y2={line.y2}
              className={className}
              strokeWidth={(line.kind === 'cut' ? 2 : 1.2) * scale}
              strokeDasharray={dash
                ?.split(' ')
                .map(v => Number(v) * scale)
                .join(' ')}
            />
          )
        })}
        {template.blades.map(({ x, y }) => (
          <path
            key={`${x} ${y}`}
            d={outline}
            transform={`translate(${x} ${y})`}
            className="fill-raised stroke-ice"
            strokeWidth={1.2 * scale}
          />
        ))}
        {notes.slice(0, 1).map(note => (
          <text key={note.note.code} x={note.x} y={note.y} fontSize={14 * scale} className="fill-ice">
            {templateNoteWords(note.note, say)}
          </text>
        ))}
        <text x={lengthMm / 2} y={-7 * scale} textAnchor="middle" fontSize={14 * scale} className="fill-ink-2">
          {lengthText(lengthMm)}
        </text>
        <text x={lengthMm + 6 * scale} y={widthMm / 2} fontSize={14 * scale} className="fill-ink-2">
          {lengthText(widthMm)}
        </text>
      </svg>
    </Wide>
  )
}
