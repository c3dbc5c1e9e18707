import type { BatchBlade } from '../../../../core/batch/tray'
import { randomBelow } from '../../../../ui/random'

interface Props {
  readonly blades: readonly BatchBlade[]
  readonly order: readonly string[] | null
  readonly onOrder: (order: readonly string[] | null) => void
}

/** Fisher and Yates: every order is as likely. */
function drawn(ids: readonly string[]): string[] {
  const left = [...ids]
  for (let i = left.length - 1; i > 0; i--) {
    const j = randomBelow(i + 1)
    ;[left[i], left[j]] = [left[j] as string, left[i] as string]
  }
  return left
}

/** The order edges are tested in, by lot, so that a tired hand or a blunting medium does not speak for one of them. */
export function DrawnOrder({ blades, order, onOrder }: Props) {
  const marks = new Map(blades.map(blade => [blade.id, blade.mark]))
  return (
    <div className="max-w-2xl space-y-3 py-2">
      <p>
        Test in a random order: your hand tires and the medium changes. With the marks hidden you do not know which
        blade you judge: let somebody else tape the numbers over the marks.
      </p>
      <div className="flex flex-wrap gap-3">
        <button type="button" className="btn btn-ember" onClick={() => onOrder(drawn(blades.map(blade => blade.id)))}>
          {order ? 'Draw another order' : 'Draw the order and hide the marks'}
        </button>
        {order && (
          <button type="button" className="btn" onClick={() => onOrder(null)}>
            Show the marks again
          </button>
        )}
      </div>
      {order && (
        <details>
          <summary className="min-h-touch cursor-pointer py-2">
            Which number goes on which blade, for who tapes them
          </summary>
          <ol className="columns-3 text-small">
            {order.map((id, i) => (
              <li key={id}>
                Number {i + 1}: {marks.get(id) ?? ''}
              </li>
            ))}
          </ol>
        </details>
      )}
    </div>
  )
}
