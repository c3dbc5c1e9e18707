import { useEffect, useRef } from 'react'
import { happeningsAt } from '../../core/run/drill'
import type { Batch } from '../../core/shop/batch'
import type { Run } from '../../core/shop/run'
import { seenWords } from '../../words/drill'
import { setSpeed, speedOf } from './SpeedControl'

/** A surprise comes to this speed, so that a person can answer it. */
const ANSWERED_AT_SPEED = 1

/** The surprises of a practice that wait for an answer. */
export const openSurprises = (run: Run, nowS: number) => happeningsAt(run, nowS).filter(one => one.answer === null)

/** Shows the signs of a surprise in a practice; its name is for the trainee to find. The clock slows down for it. */
export function SurpriseNote({ run, batch, nowS }: { run: Run; batch: Batch; nowS: number }) {
  const open = openSurprises(run, nowS)
  const newest = open.at(-1)
  const told = useRef<string | null>(null)
  useEffect(() => {
    if (!newest || told.current === newest.surprise.stepId) return
    told.current = newest.surprise.stepId
    if (speedOf(run) > ANSWERED_AT_SPEED) setSpeed(run, ANSWERED_AT_SPEED)
  }, [newest, run])
  if (!newest) return null
  return (
    <p role="alert" className="border-l-4 border-[#ff8a6a] bg-soot-2 p-3 text-title">
      {seenWords(newest, batch)}
    </p>
  )
}
