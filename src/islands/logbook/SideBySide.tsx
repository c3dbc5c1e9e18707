import { useState } from 'react'
import { type Side, sidesOf } from '../../core/logbook/side-by-side'
import type { Batch } from '../../core/shop/batch'
import { routeChanges } from '../../core/steel/compare-routes'
import { useBatch, useBatchNames, useLatestReadIds, useReadings } from '../../store/hooks'
import { day } from '../../ui/dates'
import { SelectField } from '../../ui/PlainFields'
import { useSay } from '../../ui/Units'
import { edgeCounts, hardnessList, routeLine, soakedRange } from '../../words/side-by-side'
import { routeChangeWords } from '../../words/steels'
import { useShopNow } from '../shop-context'

/** Batches read last that are looked at: a deleted one is passed over. */
const MOST_READ = 6

/** Two batches beside one another: what was done, what was read, what the edges did. */
export default function SideBySide() {
  const names = useBatchNames()
  const [chosen, setChosen] = useState<readonly [string | null, string | null]>([null, null])
  // What was finished last is what one compares; where less than two were read, the newest stand in.
  const read = useLatestReadIds(MOST_READ)
  const usual = [
    ...new Set([...(read ?? []).filter(id => names?.some(one => one.id === id)), ...(names ?? []).map(({ id }) => id)]),
  ]
  const idOf = (i: 0 | 1): string => chosen[i] ?? usual[i] ?? ''
  const [one, other] = [useBatch(idOf(0)), useBatch(idOf(1))]
  if (!names || !read) return <p className="py-6 text-ink-2">Reading …</p>
  if (names.length < 2) return <p className="py-6">Two batches are needed to lay one beside the other.</p>
  const options = names.map(batch => [batch.id, `${batch.name}, ${day(batch.createdAt)}`] as const)
  return (
    <div className="space-y-3">
      <div className="flex flex-wrap gap-4">
        <SelectField label="One batch" value={idOf(0)} options={options} onCommit={id => setChosen([id, chosen[1]])} />
        <SelectField label="Beside it" value={idOf(1)} options={options} onCommit={id => setChosen([chosen[0], id])} />
      </div>
      {one && other && <Beside one={one} other={other} />}
    </div>
  )
}

function Beside({ one, other }: { one: Batch; other: Batch }) {
  const { tester } = useShopNow()
  const say = useSay()
  const [ownReadings, otherReadings] = [useReadings(one.id), useReadings(other.id)]
  if (!ownReadings || !otherReadings) return null
  const [left, right] = [
    sidesOf(one, { readings: ownReadings, tester }),
    sidesOf(other, { readings: otherReadings, tester }),
  ]
  // Steels of one name stand beside one another; one that only one batch has stands alone.
  const names = [...new Set([...left, ...right].map(side => side.name))]
  const pairs = names.flatMap(name => {
    const [a, b] = [left, right].map(sides => sides.filter(side => side.name === name)) as [Side[], Side[]]
    return Array.from({ length: Math.max(a.length, b.length) }, (_, i) => [a[i], b[i]] as const)
  })
  const rows: readonly (readonly [name: string, of: (side: Side) => string])[] = [
    ['Bar', side => side.lot ?? 'not noted'],
    ['Oven', side => side.ovenName],
    ['Route', side => routeLine(side.route, say)],
    ['Soak as run', side => soakedRange(side.soakedMin)],
    ['Hardness', side => hardnessList(side.hardness)],
    ['Edges', side => edgeCounts(side.edges, side.edgeDeg)],
    ['Blades', side => `${side.blades}${side.lost > 0 ? `, ${side.lost} scrapped` : ''}`],
  ]
  return (
    <>
      {pairs.map(([a, b]) => (
        <table key={`${a?.groupId} ${b?.groupId}`} className="sheet max-w-5xl">
          <thead>
            <tr>
              <th className="w-32">{a?.name ?? b?.name}</th>
              <th>{one.name}</th>
              <th>{other.name}</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(([name, of]) => (
              <tr key={name}>
                <th scope="row">{name}</th>
                <td>{a ? of(a) : 'not in this batch'}</td>
                <td>{b ? of(b) : 'not in this batch'}</td>
              </tr>
            ))}
            {a && b && (
              <tr>
                <th scope="row">What differs</th>
                <td colSpan={2}>{routeChangeWords(routeChanges(a.route, b.route), say) || 'nothing in the route'}</td>
              </tr>
            )}
          </tbody>
        </table>
      ))}
    </>
  )
}
