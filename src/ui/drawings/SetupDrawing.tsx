import type { SetupStep } from '../../data/setup'

interface Props {
  readonly step: SetupStep
}

const NAMES: Readonly<Record<SetupStep, string>> = {
  units: 'A blade with a ruler above it and a thermometer beside it',
  oven: 'A bench oven with its door open and its controller below',
  plates: 'A blade between two plates in a vice, with an air nozzle',
  cold: 'A blade standing in a cold box with a bath',
  tester: 'A hardness tester over a blade, and a file beside it',
  prices: 'A roll of foil with a sheet drawn off it, and coins',
}

/** Drawing of a set-up step. */
export function SetupDrawing({ step }: Props) {
  return (
    <svg viewBox="0 0 320 200" className="max-h-[260px] w-full bg-soot" role="img" aria-label={NAMES[step]}>
      {DRAWINGS[step]}
    </svg>
  )
}

const BONE = '#f3e9da'
const GREY = '#8d857c'
const HOT = '#ff8a2a'
const ICE = '#8fd0f2'
const blade = 'M40 112 L118 112 L118 106 L228 104 Q268 108 284 128 Q250 138 204 136 L124 134 L118 128 L40 126 Z'

const DRAWINGS: Readonly<Record<SetupStep, React.ReactNode>> = {
  units: (
    <g fill="none" stroke={BONE} strokeWidth={1.5}>
      <rect x={40} y={60} width={244} height={24} />
      {Array.from({ length: 25 }, (_, i) => (
        <line key={i} x1={40 + i * 10.1} x2={40 + i * 10.1} y1={84} y2={i % 5 === 0 ? 70 : 77} />
      ))}
      <path d={blade} fill={GREY} stroke="none" />
      <line x1={20} x2={20} y1={50} y2={150} strokeWidth={6} stroke={GREY} strokeLinecap="round" />
      <line x1={20} x2={20} y1={90} y2={150} strokeWidth={6} stroke={HOT} strokeLinecap="round" />
      <circle cx={20} cy={156} r={8} fill={HOT} stroke="none" />
    </g>
  ),
  oven: (
    <g fill="none" stroke={GREY} strokeWidth={2}>
      <rect x={70} y={28} width={180} height={110} />
      <rect x={96} y={50} width={128} height={66} fill="#6d1408" stroke="none" />
      {[0, 1, 2].map(i => (
        <line key={i} x1={110} x2={206} y1={68 + i * 16} y2={68 + i * 16} stroke={HOT} strokeWidth={4} />
      ))}
      <path d="M70 28 L30 48 L30 158 L70 138" />
      <rect x={70} y={146} width={180} height={30} />
      <rect x={84} y={152} width={60} height={18} fill="#2a231d" stroke="none" />
      <text x={92} y={166} fontSize={14} fill={HOT} stroke="none">
        1065
      </text>
      {[170, 192, 214].map(x => (
        <circle key={x} cx={x} cy={161} r={6} />
      ))}
    </g>
  ),
  plates: (
    <g>
      <rect x={50} y={52} width={220} height={36} fill={GREY} />
      <rect x={50} y={104} width={220} height={36} fill={GREY} />
      <rect x={70} y={90} width={180} height={12} fill={HOT} />
      <path d="M160 20 V48 M148 36 L160 50 L172 36" fill="none" stroke={BONE} strokeWidth={3} />
      <path d="M160 172 V144 M148 156 L160 142 L172 156" fill="none" stroke={BONE} strokeWidth={3} />
      <path d="M292 86 H276 M292 96 H276 M292 106 H276" stroke={ICE} strokeWidth={3} />
      <rect x={292} y={80} width={18} height={32} fill="none" stroke={ICE} strokeWidth={2} />
    </g>
  ),
  cold: (
    <g>
      <rect x={60} y={40} width={200} height={124} fill="none" stroke={GREY} strokeWidth={10} />
      <rect x={66} y={84} width={188} height={74} fill="#1c3440" />
      <path d="M66 84 H254" stroke={ICE} strokeWidth={2} />
      {[100, 140, 180, 220].map(x => (
        <path key={x} d={`M${x} 66 V150`} stroke={BONE} strokeWidth={5} />
      ))}
      {[84, 120, 162, 200, 240].map(x => (
        <circle key={x} cx={x} cy={142} r={7} fill={ICE} opacity={0.7} />
      ))}
      <path d="M52 34 H268" stroke={BONE} strokeWidth={4} />
    </g>
  ),
  tester: (
    <g fill="none" stroke={GREY} strokeWidth={3}>
      <path d="M60 176 H250 M90 176 V34 H190 V60" />
      <rect x={172} y={60} width={36} height={40} fill="#2a231d" />
      <path d="M182 100 L190 118 L198 100 Z" fill={BONE} stroke="none" />
      <rect x={130} y={120} width={130} height={9} fill={BONE} stroke="none" />
      <rect x={166} y={130} width={48} height={46} />
      <circle cx={116} cy={76} r={20} stroke={BONE} />
      <path d="M116 76 L127 64" stroke={HOT} />
      <rect x={262} y={70} width={12} height={90} fill={GREY} stroke="none" />
      <path d="M262 80 l12 8 M262 94 l12 8 M262 108 l12 8 M262 122 l12 8 M262 136 l12 8" stroke="#1c1713" />
    </g>
  ),
  prices: (
    <g fill="none" stroke={GREY} strokeWidth={3}>
      <circle cx={84} cy={92} r={44} fill="#2a231d" />
      <circle cx={84} cy={92} r={14} />
      <path d="M84 136 H236 V128 H92" fill={BONE} stroke="none" />
      {[0, 1, 2].map(i => (
        <ellipse key={i} cx={246} cy={96 - i * 14} rx={30} ry={9} fill="#2a231d" stroke={HOT} />
      ))}
    </g>
  ),
}
