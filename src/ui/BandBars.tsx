import type { BandPart } from '../core/codes/working'
import { bandPartWords } from '../words/working'
import { percentOfWidth } from './percent-of-width'

/** Smaller sources round to no percent. */
const worthABar = ({ sd }: BandPart): boolean => sd >= 0.05

const variance = ({ sd }: BandPart): number => sd ** 2

/** Shows the variance of a prediction by source, largest first, each as a bar of the whole. */
export function BandBars({ parts }: { parts: readonly BandPart[] }) {
  const whole = parts.reduce((sum, part) => sum + variance(part), 0)
  return (
    <ul aria-label="Share of the variance by source" className="col-span-2 my-1 space-y-0.5">
      {parts.filter(worthABar).map(part => {
        const share = percentOfWidth(variance(part), whole)
        return (
          <li
            key={`${part.part} ${part.element ?? ''}`}
            className="grid grid-cols-[minmax(0,180px)_minmax(0,1fr)_48px] items-center gap-2"
          >
            <span>{bandPartWords(part)}</span>
            <svg viewBox="0 0 100 4" className="h-1.5 w-full" aria-hidden="true" preserveAspectRatio="none">
              <rect width={share} height={4} className="fill-ember" />
            </svg>
            <span className="text-right">{Math.round(Number.parseFloat(share))} %</span>
          </li>
        )
      })}
    </ul>
  )
}
