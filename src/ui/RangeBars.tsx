import type { Grade } from '../data/grades'

/** Room kept for the bars of the range while they are worked out, so that nothing below jumps, px. */
export const rangeHeight = (grade: Grade) => {
  const bars = Math.min(6, Object.values(grade.range).filter(range => range && range[1] > range[0]).length)
  return bars === 0 ? 0 : 26 + 27 * bars
}

interface Effect {
  readonly element: string
  readonly least: number
  readonly most: number
  readonly hrcAtLeast: number
  readonly hrcAtMost: number
}

/** Bars of the effect of each element's range on the finished hardness, about the nominal, to one scale. */
export function RangeBars({ effects, nominalHrc }: { effects: readonly Effect[]; nominalHrc: number }) {
  const shown = effects.slice(0, 6)
  const reach = Math.max(
    1,
    ...shown.flatMap(e => [Math.abs(e.hrcAtLeast - nominalHrc), Math.abs(e.hrcAtMost - nominalHrc)]),
  )
  const at = (hrc: number) => 50 + (45 * (hrc - nominalHrc)) / reach
  return (
    <table className="sheet text-small">
      <caption className="pb-1 text-left text-note text-ink-2">
        The mill may deliver anything in its range; finished hardness at either end, HRC
      </caption>
      <tbody>
        {shown.map(e => {
          const [low, high] = [Math.min(e.hrcAtLeast, e.hrcAtMost), Math.max(e.hrcAtLeast, e.hrcAtMost)]
          return (
            <tr key={e.element}>
              <th scope="row" className="w-8 !border-rule !py-1 !text-ink">
                {e.element}
              </th>
              <td className="w-32 !py-1 text-ink-2">
                {e.least} to {e.most} %
              </td>
              <td className="!py-1" aria-hidden="true">
                <svg viewBox="0 0 100 8" preserveAspectRatio="none" className="block h-3 w-full" aria-hidden="true">
                  <line
                    x1={50}
                    x2={50}
                    y1={0}
                    y2={8}
                    style={{ stroke: 'var(--rule-strong)' }}
                    vectorEffect="non-scaling-stroke"
                  />
                  <rect
                    x={at(low)}
                    width={Math.max(0.6, at(high) - at(low))}
                    y={1.5}
                    height={5}
                    style={{ fill: 'var(--ember)' }}
                  />
                </svg>
              </td>
              <td className="w-28 !py-1 !pr-0 text-right">
                {e.hrcAtLeast.toFixed(1)} to {e.hrcAtMost.toFixed(1)}
              </td>
            </tr>
          )
        })}
      </tbody>
    </table>
  )
}
