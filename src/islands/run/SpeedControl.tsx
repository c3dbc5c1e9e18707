import { runSecondsAt, withLeg } from '../../core/run/clock'
import type { Run } from '../../core/shop/run'
import { changeRun } from '../../store/runs'

const SPEEDS = [1, 10, 60, 300, 600] as const

export const speedOf = (run: Pick<Run, 'clock'>): number => run.clock.at(-1)?.speed ?? 1

/** Sets how fast a practice run's clock goes; each change is stored with its instant. */
export function setSpeed(run: Run, next: number) {
  void changeRun(run.id, stored => {
    const realMs = Date.now()
    return { ...stored, clock: [...withLeg(stored.clock, realMs, runSecondsAt(stored.clock, realMs), next)] }
  })
}

/** The next faster or slower of the speeds there are. */
export function changeSpeed(run: Run, by: 1 | -1) {
  const at = SPEEDS.findIndex(speed => speed >= speedOf(run))
  const next = SPEEDS[Math.min(SPEEDS.length - 1, Math.max(0, at + by))]
  if (next !== undefined) setSpeed(run, next)
}

/** How fast a practice run's clock goes. */
export function SpeedControl({ run }: { run: Run }) {
  const speed = speedOf(run)
  return (
    <fieldset aria-label="Speed of the practice clock: comma slower, full stop faster" className="ml-auto flex">
      {SPEEDS.map(value => (
        <button
          key={value}
          type="button"
          aria-pressed={value === speed}
          className={`min-h-[72px] min-w-[64px] border-b-4 ${value === speed ? 'border-hot font-bold text-bone' : 'border-transparent'}`}
          onClick={() => setSpeed(run, value)}
        >
          {value}×
        </button>
      ))}
    </fieldset>
  )
}
