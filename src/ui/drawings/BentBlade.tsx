import type { BENT_AT } from '../../data/inspection'
import { Wide } from '../Wide'

interface Props {
  readonly mark: string
  readonly lengthMm: number
  /** How far it is off a straight line, mm; null: not looked at. */
  readonly bowMm: number | null
  /** Limit, mm. */
  readonly limitMm: number
  readonly bentAt: (typeof BENT_AT)[number] | null
  readonly lengthText: (mm: number) => string
}

const WIDTH = 520
const HEIGHT = 88
const BASE = 56
/** A bow at its limit is drawn this high, px; it is drawn much larger than it is, so that it can be seen. */
const AT_LIMIT = 12
const MOST = 44

/** Where along a blade it is bent, share of its length from the tang. */
const PLACES = { tang: 0.18, middle: 0.5, tip: 0.84, twist: 0.5 } as const

/** A blade seen along its spine on a flat surface: where it is bent and how far beside what it may keep, the bow enlarged. */
export function BentBlade({ mark, lengthMm, bowMm, limitMm, bentAt, lengthText }: Props) {
  const high = bowMm === null ? 0 : Math.min(MOST, (bowMm / limitMm) * AT_LIMIT)
  const at = 20 + PLACES[bentAt ?? 'middle'] * (WIDTH - 140)
  const end = WIDTH - 120
  const over = bowMm !== null && bowMm > limitMm
  const says =
    bowMm === null
      ? 'not looked at'
      : `${lengthText(bowMm)} of bow, limit ${lengthText(limitMm)}${bentAt === 'twist' ? ', twisted' : ''}`
  return (
    <Wide leastPx={WIDTH} label="Blade along its spine">
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="max-h-[80px] w-full max-w-[460px]"
        preserveAspectRatio="xMinYMid meet"
        role="img"
        aria-label={`${mark} along its spine, ${lengthText(lengthMm)} long: ${says}${bentAt && bentAt !== 'twist' ? `, bent at the ${bentAt}` : ''}`}
      >
        <line x1={10} x2={end + 10} y1={BASE} y2={BASE} className="stroke-rule-strong" />
        <line
          x1={10}
          x2={end + 10}
          y1={BASE - AT_LIMIT}
          y2={BASE - AT_LIMIT}
          className="stroke-rule-strong"
          strokeDasharray="3 4"
        />
        <text x={end + 16} y={BASE - AT_LIMIT + 4} fontSize={15} className="fill-ink-2">
          {lengthText(limitMm)} limit
        </text>
        <path
          d={`M20 ${BASE - 2} Q${at} ${BASE - 2 - 2 * high} ${end} ${BASE - 2}`}
          fill="none"
          className={over ? 'stroke-bad' : 'stroke-ink'}
          strokeWidth={4}
          strokeDasharray={bentAt === 'twist' ? '10 3' : undefined}
        />
        <text x={20} y={BASE + 22} fontSize={15} className="fill-ink-2">
          tang
        </text>
        <text x={end} y={BASE + 22} fontSize={15} textAnchor="end" className="fill-ink-2">
          tip
        </text>
        <text
          x={(20 + end) / 2}
          y={BASE + 22}
          fontSize={15}
          textAnchor="middle"
          className={over ? 'fill-bad' : 'fill-ink'}
        >
          {says}
        </text>
      </svg>
    </Wide>
  )
}
