import type { WorkingLine } from '../core/codes/working'
import { workingValue } from '../words/figures'
import { workingWords } from '../words/working'
import { BandBars } from './BandBars'
import { useSay } from './Units'

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
