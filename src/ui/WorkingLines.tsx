import type { BandPart, WorkingLine } from '../core/codes/working'
import { workingValue } from '../words/figures'
import { bandPartWords, workingWords } from '../words/working'
import { percentOfWidth } from './percent-of-width'
import { useSay } from './Units'

/** Smaller sources round to no percent. */
const worthABar = ({ sd }: BandPart): boolean => sd >= 0.05

const variance = ({ sd }: BandPart): number => sd ** 2

/** Shows the variance of a prediction by source, largest first, each as a bar of the whole. */
function BandBars({ parts }: { parts: readonly BandPart[] }) {
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

export interface WorkingProps {
  readonly lines: readonly WorkingLine[]
  readonly note?: string | undefined
}

/** A figure's inputs, equations and sources. */
export default function WorkingLines({ lines, note }: WorkingProps) {
  const say = useSay()
  return (
    <>
      <dl className="text-small">
        {lines.map((line, i) => {
          const { name, equation, source } = workingWords(line, say)
          return (
            <div key={`${line.code} ${i}`} className="grid grid-cols-[1fr_auto] gap-x-4 border-t border-rule py-1.5">
              <dt>{name}</dt>
              <dd className="text-right font-medium">{workingValue(line, say)}</dd>
              {line.code === 'band-one-sigma' ? (
                <dd className="contents">
                  <BandBars parts={line.params.parts} />
                </dd>
              ) : (
                <dd className="col-span-2 text-ink-2">{equation}</dd>
              )}
              <dd className="col-span-2 text-note text-ink-2 italic">{source}</dd>
            </div>
          )
        })}
      </dl>
      {note && <p className="mt-2 border-t border-rule pt-2 text-small">{note}</p>}
    </>
  )
}
