import Pause from 'lucide-react/icons/pause'
import Play from 'lucide-react/icons/play'
import X from 'lucide-react/icons/x'
import { useEffect, useRef, useState } from 'react'
import { type Moment, momentAt, planLengthMin } from '../../core/trace/cursor-time'
import type { TracePoint } from '../../core/trace/run-trace'
import type { Stretch } from '../../core/trace/timeline'

interface Props {
  readonly stretches: readonly Stretch[]
  readonly trace: readonly TracePoint[]
  readonly moment: Moment | null
  readonly onMoment: (moment: Moment | null) => void
}

const SPEEDS = [60, 600] as const
/** How often a playing plan moves on, ms: smooth to the eye, and drawings that follow keep up. */
const TICK_MS = 50

/** Plays the plan, at an increasing speed: every drawing follows. */
export function MomentPlayer({ stretches, trace, moment, onMoment }: Props) {
  const [speed, setSpeed] = useState<(typeof SPEEDS)[number]>(600)
  const [playing, setPlaying] = useState(false)
  const latest = useRef({ moment, onMoment })
  latest.current = { moment, onMoment }
  useEffect(() => {
    if (!playing) return
    let last = performance.now()
    const timer = setInterval(() => {
      const now = performance.now()
      const from = latest.current.moment?.minute ?? 0
      const next = from + ((now - last) / 60_000) * speed
      last = now
      if (next >= planLengthMin(stretches)) setPlaying(false)
      latest.current.onMoment(momentAt(stretches, next, trace) ?? null)
    }, TICK_MS)
    return () => clearInterval(timer)
  }, [playing, speed, stretches, trace])
  const start = () => {
    // From the end it begins anew.
    if (!moment || moment.minute >= planLengthMin(stretches) - 1) onMoment(momentAt(stretches, 0, trace) ?? null)
    setPlaying(true)
  }
  const button =
    'inline-flex min-h-touch items-center gap-1 rounded-[3px] bg-soot px-2 text-small text-bone-2 hover:text-bone'
  return (
    <div className="no-print absolute top-[58px] left-2 flex">
      <button type="button" data-key="p" className={button} onClick={playing ? () => setPlaying(false) : start}>
        {playing ? <Pause size={16} aria-hidden="true" /> : <Play size={16} aria-hidden="true" />}
        {playing ? 'Pause' : 'Play the plan'}
      </button>
      <button
        type="button"
        className={button}
        aria-label={`Speed ${speed}×; change`}
        onClick={() => setSpeed(SPEEDS[(SPEEDS.indexOf(speed) + 1) % SPEEDS.length] ?? 600)}
      >
        {speed}×
      </button>
      {moment && (
        <button
          type="button"
          className={button}
          aria-label="Leave this moment"
          onClick={() => {
            setPlaying(false)
            onMoment(null)
          }}
        >
          <X size={16} aria-hidden="true" />
        </button>
      )}
    </div>
  )
}
