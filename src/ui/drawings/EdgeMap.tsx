import { Wide } from '../Wide'

interface Point {
  readonly id: string
  readonly hrc: number
  readonly edgeDeg: number
  readonly result: 'holds' | 'rolls' | 'chips'
  readonly label: string
}

interface Props {
  readonly points: readonly Point[]
  /** Where half of the edges of an angle roll, and half chip. */
  readonly band: readonly { readonly edgeDeg: number; readonly rollsHrc: number; readonly chipsHrc: number }[]
  readonly next: { readonly hrc: number; readonly edgeDeg: number }
}

const [WIDTH, HEIGHT, LEFT, TOP, BELOW] = [640, 250, 56, 12, 40] as const
const DEG = { least: 8, most: 35 } as const

/** Hardness across, edge angle up: where edges of this shop rolled, held and chipped, and where they should. */
export function EdgeMap({ points, band, next }: Props) {
  const all = [...points.map(p => p.hrc), next.hrc, ...band.flatMap(b => [b.rollsHrc, b.chipsHrc])]
  const [low, high] = [Math.floor(Math.min(...all) - 0.5), Math.ceil(Math.max(...all) + 0.5)]
  const x = (hrc: number) => LEFT + ((hrc - low) / (high - low)) * (WIDTH - LEFT - 90)
  const y = (deg: number) => HEIGHT - BELOW - ((deg - DEG.least) / (DEG.most - DEG.least)) * (HEIGHT - BELOW - TOP)
  const line = (of: 'rollsHrc' | 'chipsHrc') => band.map(one => `${x(one[of]).toFixed(1)},${y(one.edgeDeg).toFixed(1)}`)
  const top = band.at(-1)
  const step = high - low > 8 ? 2 : 1
  const ticks = Array.from({ length: Math.floor((high - low) / step) + 1 }, (_, i) => low + i * step)
  return (
    <Wide leastPx={WIDTH} label="Where edges hold">
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="max-h-[250px] w-full"
        preserveAspectRatio="xMinYMid meet"
        role="img"
        aria-label={
          points.length === 0
            ? 'No results yet; the band is only what is thought before any test.'
            : points.map(p => `${p.label}, ${p.hrc.toFixed(1)} HRC at ${p.edgeDeg}°: ${p.result}`).join('; ')
        }
      >
        <polygon points={[...line('rollsHrc'), ...line('chipsHrc').reverse()].join(' ')} className="fill-ember-wash" />
        {ticks.map(hrc => (
          <g key={hrc}>
            <line x1={x(hrc)} x2={x(hrc)} y1={TOP} y2={HEIGHT - BELOW} className="stroke-rule" />
            <text x={x(hrc)} y={HEIGHT - BELOW + 16} textAnchor="middle" fontSize={13} className="fill-ink-2">
              {hrc}
            </text>
          </g>
        ))}
        {[10, 15, 20, 25, 30, 35].map(deg => (
          <text key={deg} x={LEFT - 8} y={y(deg) + 4} textAnchor="end" fontSize={13} className="fill-ink-2">
            {deg}°
          </text>
        ))}
        <text x={x((low + high) / 2)} y={HEIGHT - 6} textAnchor="middle" fontSize={13} className="fill-ink-2">
          hardness, HRC
        </text>
        {top && (
          <>
            <text x={x(top.rollsHrc) - 6} y={TOP + 12} textAnchor="end" fontSize={13} className="fill-ink">
              rolls
            </text>
            <text x={x(top.chipsHrc) + 6} y={TOP + 12} fontSize={13} className="fill-ink">
              chips
            </text>
          </>
        )}
        {points.map(point => (
          <Mark key={point.id} point={point} at={[x(point.hrc), y(point.edgeDeg)]} />
        ))}
        <g transform={`translate(${x(next.hrc)} ${y(next.edgeDeg)})`}>
          <path d="M-11 0H11M0 -11V11" className="stroke-ember" strokeWidth={2.5} />
          <text x={14} y={-8} fontSize={13} className="fill-ember">
            try next
          </text>
        </g>
      </svg>
      <p className="text-note text-ink-2">
        ● held, ▭ rolled, V chipped. In the band more than half should hold; left of it edges roll, right of it they
        chip.
      </p>
    </Wide>
  )
}

/** A full disc holds, a flat bar rolled, an open wedge chipped: told by shape, not by colour. */
function Mark({ point, at: [x, y] }: { point: Point; at: readonly [number, number] }) {
  return (
    <g transform={`translate(${x} ${y})`} className="stroke-ink" strokeWidth={1.8}>
      <title>{`${point.label}: ${point.result}`}</title>
      {point.result === 'holds' && <circle r={5} className="fill-ink" />}
      {point.result === 'rolls' && <path d="M-7 -3H7V3H-7Z" className="fill-ash" />}
      {point.result === 'chips' && <path d="M-6 -6L0 6L6 -6" fill="none" />}
    </g>
  )
}
