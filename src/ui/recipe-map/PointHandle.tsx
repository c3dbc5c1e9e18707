import { useEffect, useRef, useState } from 'react'
import { formatTemperature, type System } from '../../core/units/quantity'
import { useDrag } from '../use-drag'
import { useUnhurried } from '../use-unhurried'
import type { MapAxes, MapPoint } from './axes'
import { type Field, fieldAt } from './contours'

interface Props {
  readonly point: MapPoint
  /** Another point stands where its name would: the name goes to the other side. */
  readonly crowded: boolean
  readonly field: Field
  readonly axes: MapAxes
  readonly system: System
  readonly onMove: (key: string, austenitizeC: number, temperC: number, settled: boolean) => void
}

const STEP_C = 5
/** The point keeps to the hand in every frame. A route on the way, whose figures draw the page anew over some frames, is told no more often, ms. */
const TOLD_EVERY_MS = 300
/** A route is stored and worked out well within this, ms. */
const LAID_MS = 3000
const toStep = (c: number, { min, max }: { min: number; max: number }) =>
  Math.min(
    Math.floor(max / STEP_C) * STEP_C,
    Math.max(Math.ceil(min / STEP_C) * STEP_C, Math.round(c / STEP_C) * STEP_C),
  )

/** A temperature that is not moved stays as it is, between steps though it be. */
const settle = (from: number, to: number, range: { readonly min: number; readonly max: number }) =>
  Math.abs(to - from) < STEP_C / 2 ? from : toStep(to, range)

interface Spot {
  readonly austenitizeC: number
  readonly temperC: number
}

/** A route as a point: dragged, or moved by the arrow keys 5 °C at a time. */
export function PointHandle({ point, crowded, field, axes, system, onMove }: Props) {
  const handle = useRef<HTMLDivElement>(null)
  const told = useUnhurried((next: Spot) => onMove(point.key, next.austenitizeC, next.temperC, false), TOLD_EVERY_MS)
  const { held: dragged, grip } = useDrag<Spot>({
    move: (now, event) => {
      const frame = handle.current?.offsetParent?.getBoundingClientRect()
      if (!frame) return now
      const at = axes.at(event.clientX - frame.left, event.clientY - frame.top)
      const next = {
        austenitizeC: settle(point.austenitizeC, at.austenitizeC, axes.austenitizeC),
        temperC: settle(point.temperC, at.temperC, axes.temperC),
      }
      return next.austenitizeC === now.austenitizeC && next.temperC === now.temperC ? now : next
    },
    moved: told.say,
    drop: next => {
      told.drop()
      setLaid(next)
      onMove(point.key, next.austenitizeC, next.temperC, true)
    },
  })
  // It stays where it was let go until the route has come there: what is shown on the way may lag behind the hand.
  const [laid, setLaid] = useState<Spot | null>(null)
  const isThere = laid?.austenitizeC === point.austenitizeC && laid.temperC === point.temperC
  useEffect(() => {
    if (!laid) return
    if (isThere) return setLaid(null)
    // A route that never comes there (refused, or moved by another tab) is shown as it is.
    const timer = setTimeout(() => setLaid(null), LAID_MS)
    return () => clearTimeout(timer)
  }, [laid, isThere])
  const { austenitizeC, temperC } = dragged ?? laid ?? point
  const share = (c: number, { min, max }: { min: number; max: number }) => (c - min) / (max - min)
  const read = fieldAt(field, share(austenitizeC, axes.austenitizeC), share(temperC, axes.temperC))
  const hrc = point.hrc ?? read
  const x = axes.x(austenitizeC)
  const y = axes.y(temperC)
  const onLeft = crowded !== x > axes.box.right - 190
  const spoken = `${point.key}: soak ${formatTemperature(austenitizeC, system)}, temper ${formatTemperature(temperC, system)}, ${hrc.toFixed(1)} HRC`
  return (
    <div
      ref={handle}
      role="application"
      aria-roledescription="point on the recipe map"
      aria-label={`${spoken}. Arrow keys move it.`}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: it is moved by keys of its own, which is what the role says.
      tabIndex={0}
      // On a layer of its own: as it moves nothing else is laid out or painted.
      className="absolute top-0 left-0 grid h-11 w-11 cursor-move touch-none place-items-center rounded-full will-change-transform"
      style={{ transform: `translate(calc(${x}px - 50%), calc(${y}px - 50%))`, zIndex: point.active ? 2 : 1 }}
      {...grip(() => ({ austenitizeC, temperC }))}
      onKeyDown={event => {
        const by = event.shiftKey ? 5 * STEP_C : STEP_C
        const step = { ArrowLeft: [-by, 0], ArrowRight: [by, 0], ArrowUp: [0, by], ArrowDown: [0, -by] }[event.key]
        if (!step) return
        event.preventDefault()
        event.stopPropagation()
        onMove(
          point.key,
          settle(austenitizeC, austenitizeC + (step[0] ?? 0), axes.austenitizeC),
          settle(temperC, temperC + (step[1] ?? 0), axes.temperC),
          true,
        )
      }}
    >
      <span
        className={`h-5 w-5 rounded-full border-2 ${point.active ? 'border-ash bg-ember' : 'border-ink bg-ash'}`}
        aria-hidden="true"
      />
      <span
        aria-hidden="true"
        className={`pointer-events-none absolute top-1/2 -translate-y-1/2 whitespace-nowrap bg-ash px-1.5 py-0.5 text-small font-semibold ${onLeft ? 'right-9' : 'left-9'}`}
      >
        {point.key} {hrc.toFixed(1)}
        {dragged && (
          <span className="block text-note font-normal">
            {formatTemperature(austenitizeC, system)}, {formatTemperature(temperC, system)}
          </span>
        )}
      </span>
    </div>
  )
}
