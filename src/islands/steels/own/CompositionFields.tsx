import { ELEMENTS } from '../../../data/grades'
import { Text } from './SheetFields'

const COLUMNS = [
  ['nominal', 'Nominal'],
  ['least', 'Minimum'],
  ['most', 'Maximum'],
] as const

/** Fields of the composition in wt%: nominal is enough; minimum and maximum narrow or widen the band. */
export function CompositionFields() {
  return (
    <div className="mt-1 overflow-x-auto">
      <table className="w-full min-w-[760px] border-separate border-spacing-x-1">
        <thead>
          <tr>
            <th className="w-16">
              <span className="sr-only">Column</span>
            </th>
            {ELEMENTS.map(element => (
              <th key={element} scope="col" className="text-left text-small font-semibold">
                {element}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {COLUMNS.map(([column, label]) => (
            <tr key={column}>
              <th scope="row" className="text-left text-note font-normal text-ink-2">
                {label}
              </th>
              {ELEMENTS.map(element => (
                <td key={element} className="align-top">
                  <Text name={`${column}.${element}`} label={`${label} ${element}`} hideLabel longest={12} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
