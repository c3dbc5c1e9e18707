interface Props {
  readonly steelKg: number
  readonly litres: number
  readonly coolantKg: number
  readonly medium: 'none' | 'freezer' | 'dry-ice' | 'liquid-nitrogen'
}

const WORDS = {
  none: 'no cold in this route',
  freezer: 'freezer',
  'dry-ice': 'dry ice in the bath, lid loose',
  'liquid-nitrogen': 'liquid nitrogen, lid loose',
} as const

/** The cold box in section: bath level by its volume, blades standing in it. */
export function BoxDrawing({ steelKg, litres, coolantKg, medium }: Props) {
  const level = medium === 'dry-ice' ? Math.min(120, 20 + litres * 12) : medium === 'none' ? 0 : 100
  const blades = Math.min(14, Math.max(0, Math.round(steelKg / 0.2)))
  const pellets = medium === 'dry-ice' ? Math.min(26, Math.round(coolantKg * 8)) : 0
  return (
    <svg
      viewBox="0 0 520 210"
      className="max-h-[140px] w-full"
      preserveAspectRatio="xMinYMid meet"
      role="img"
      aria-label={`Cold box: ${WORDS[medium]}`}
    >
      <rect x={20} y={30} width={360} height={160} rx={6} fill="none" className="stroke-rule-strong" strokeWidth={14} />
      <rect x={28} y={182 - level} width={344} height={level} className="fill-ice-wash" />
      {Array.from({ length: blades }, (_, i) => (
        <rect key={i} x={52 + i * 22} y={62} width={5} height={116} className="fill-ink-2" />
      ))}
      {Array.from({ length: pellets }, (_, i) => (
        <circle
          key={i}
          cx={40 + ((i * 53) % 320)}
          cy={176 - ((i * 17) % Math.max(1, level - 12))}
          r={4.5}
          className="fill-raised stroke-ice"
        />
      ))}
      <path d="M12 20 H388" className="stroke-ink" strokeWidth={5} strokeDasharray="300 14" />
      <text x={404} y={26} fontSize={13} className="fill-ink-2">
        lid, never sealed
      </text>
      <text x={404} y={182 - level / 2} fontSize={13} className="fill-ice">
        {WORDS[medium].split(',')[0]}
      </text>
    </svg>
  )
}
