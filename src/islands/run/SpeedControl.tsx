import { runSecondsAt } from '../../core/job/run-state'
import type { Run } from '../../core/shop/run'
import { changeRun } from '../../store/records'

const SPEEDS = [1, 10, 60, 300, 600] as const

/** How fast a practice run's clock goes; each change is stored with its instant. */
export function SpeedControl({ run }: { run: Run }) {
  const speed = run.clock[run.clock.length - 1]?.speed ?? 1
  const set = (next: number) => {
    const realMs = Date.now()
    void changeRun(run.id, stored => ({
      ...stored,
      clock: [...stored.clock, { realMs, runS: runSecondsAt(stored.clock, realMs), speed: next }],
    }))
  }
  return (
    <fieldset aria-label="Speed of the practice clock" className="ml-auto flex">
      {SPEEDS.map(value => (
        <button
          key={value}
          type="button"
          aria-pressed={value === speed}
          className={`min-h-[72px] min-w-[64px] border-b-4 ${value === speed ? 'border-hot font-bold text-bone' : 'border-transparent'}`}
          onClick={() => set(value)}
        >
          {value}×
        </button>
      ))}
    </fieldset>
  )
}
