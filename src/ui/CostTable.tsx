import { COST_KINDS, type CostKind } from '../data/task-times'
import { COST_NAMES } from '../words/cost'
import { useSay } from './Units'

interface Column {
  readonly head: string
  readonly costs: Readonly<Record<CostKind, number>>
  /** Total; `by` divides it. */
  readonly total: number
  readonly by?: number
}

/** Money by what it is paid for, and together. */
export function CostTable({ columns }: { readonly columns: readonly Column[] }) {
  const say = useSay()
  const share = (money: number, by = 1) => say.money(by > 0 ? money / by : 0)
  return (
    <table className="sheet">
      <thead>
        <tr>
          <th>Paid for</th>
          {columns.map(({ head }) => (
            <th key={head} className="!text-right">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {COST_KINDS.map(kind => (
          <tr key={kind}>
            <td>{COST_NAMES[kind]}</td>
            {columns.map(({ head, costs, by }) => (
              <td key={head} className="text-right">
                {share(costs[kind], by)}
              </td>
            ))}
          </tr>
        ))}
        <tr className="font-semibold">
          <td>Together</td>
          {columns.map(({ head, total, by }) => (
            <td key={head} className="text-right">
              {share(total, by)}
            </td>
          ))}
        </tr>
      </tbody>
    </table>
  )
}
