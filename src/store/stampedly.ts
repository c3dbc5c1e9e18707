import type { DBCore, DBCoreMutateRequest, DBCoreTransaction } from 'dexie'
import { stampsAfter } from '../core/joining/parts'
import { type Stamp, type StampRow, stampRowId, tickUs } from '../core/joining/stamp'
import type { StampedTable } from '../core/joining/tables'
import type { Screen } from '../core/shop/stamps'

/** Where this browser's identity among the screens of a workshop stands in the table `meta`. */
export const SCREEN = 'screen'

/** Returns a new identity for this browser's log, which has seen so much of others. */
export const newScreen = (seen: Screen['seen'] = {}): Screen => ({ id: crypto.randomUUID(), atUs: 0, seen })

/** One stamp for all that a transaction changes. */
const stamps = new WeakMap<DBCoreTransaction, PromiseLike<Stamp>>()

// Chained by the library’s own promises: its transactions are lost after others.
const nextStamp = (core: DBCore, trans: DBCoreTransaction): PromiseLike<Stamp> => {
  const meta = core.table('meta')
  return meta.get({ trans, key: SCREEN }).then((stored?: { readonly value: string }) => {
    const screen: Screen = stored ? JSON.parse(stored.value) : newScreen()
    const atUs = tickUs(Date.now(), Math.max(screen.atUs, ...Object.values(screen.seen)))
    const value = JSON.stringify({ ...screen, atUs } satisfies Screen)
    return meta.mutate({ type: 'put', trans, values: [{ key: SCREEN, value }] }).then((): Stamp => [atUs, screen.id])
  })
}
const stampOf = (core: DBCore, trans: DBCoreTransaction) => {
  const stamp = stamps.get(trans) ?? nextStamp(core, trans)
  stamps.set(trans, stamp)
  return stamp
}

/** Stamps what a request changes, and then makes it. */
export const stampedly = <T>(
  core: DBCore,
  table: StampedTable,
  name: string,
  request: Exclude<DBCoreMutateRequest, { type: 'deleteRange' }>,
  mutate: () => PromiseLike<T>,
): PromiseLike<T> => {
  const { trans } = request
  const values: readonly { readonly id: string }[] = request.type === 'delete' ? [] : request.values
  const ids: readonly string[] = request.type === 'delete' ? request.keys : values.map(({ id }) => id)
  return core
    .table(name)
    .getMany({ trans, keys: [...ids] })
    .then((befores: (object | undefined)[]) =>
      core
        .table('stamps')
        .getMany({ trans, keys: ids.map(id => stampRowId(table, id)) })
        .then((rows: (StampRow | undefined)[]) => {
          if (![...befores, ...rows].some(Boolean)) return mutate()
          return stampOf(core, trans).then(stamp => {
            const changed = ids.flatMap(
              (id, i) => stampsAfter(table, id, [befores[i], values[i]], rows[i], stamp) ?? [],
            )
            return changed.length === 0
              ? mutate()
              : core
                  .table('stamps')
                  .mutate({ type: 'put', trans, values: changed })
                  .then(() => mutate())
          })
        }),
    )
}
