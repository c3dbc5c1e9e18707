import { format } from '../../../../ui/dates'
import type { BenchProps } from '../bench-props'

/** What was decided about a group before, newest first, with its reasons. */
export function Decisions({ decisions }: { decisions: BenchProps['plan']['group']['decisions'] }) {
  if (decisions.length === 0) return null
  return (
    <div className="mt-3 border-t border-rule pt-2">
      <h3 className="text-[13px]">Decided</h3>
      <ul className="text-[13px]">
        {[...decisions]
          .reverse()
          .slice(0, 4)
          .map(d => (
            <li key={d.at} className="border-b border-rule py-1.5">
              <span className="text-ink-2">{format(d.at)}</span> {d.what}. <span className="text-ink-2">{d.why}</span>
            </li>
          ))}
      </ul>
    </div>
  )
}
