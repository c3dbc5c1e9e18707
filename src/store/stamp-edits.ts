import type { DBCore, DBCoreMutateRequest, DBCoreTransaction } from 'dexie'
import { STAMPED_TABLES, type StampedTable, stampsAfter } from '../core/joining/parts'
import { type Stamp, type StampRow, stampRowId, tickUs } from '../core/joining/stamp'
import type { Screen } from '../core/shop/stamps'

/** Where this browser's identity among the screens of a workshop stands in the table `meta`. */
export const SCREEN = 'screen'

/** Tables as they are called in the database and in a file. */
const STORED_AS: Readonly<Partial<Record<StampedTable, string>>> = { grades: 'ownGrades' }
const STAMPED = new Map(STAMPED_TABLES.map(table => [STORED_AS[table] ?? table, table]))

/** Transactions that write what came from another screen, with its stamps. */
const joins = new WeakSet<object>()
/** Leaves the writes of a transaction unstamped: what writes them brings the stamps along. */
export const bringsItsStamps = (transaction: object): void => void joins.add(transaction)

/** Returns a new identity for this browser's log, which has seen so much of others. */
export const newScreen = (seen: Screen['seen'] = {}): Screen => ({ id: crypto.randomUUID(), atUs: 0, seen })

/**
 * A storage layer that stamps each changed part of a record in the transaction that changes it, so that logs of two screens can be
 * joined part by part. A version's own upgrades are the same on every screen and are not stamped.
 */
export function stampingEdits(core: DBCore): DBCore {
  /** One stamp for all that a transaction changes. */
  const stamps = new WeakMap<DBCoreTransaction, PromiseLike<Stamp>>()

  // Chained by the library’s own promises: its transactions are lost after others.
  const nextStamp = (trans: DBCoreTransaction): PromiseLike<Stamp> => {
    const meta = core.table('meta')
    return meta.get({ trans, key: SCREEN }).then((stored?: { readonly value: string }) => {
      const screen: Screen = stored ? JSON.parse(stored.value) : newScreen()
      const atUs = tickUs(Date.now(), Math.max(screen.atUs, ...Object.values(screen.seen)))
      const value = JSON.stringify({ ...screen, atUs } satisfies Screen)
      return meta.mutate({ type: 'put', trans, values: [{ key: SCREEN, value }] }).then((): Stamp => [atUs, screen.id])
    })
  }
  const stampOf = (trans: DBCoreTransaction) => {
    const stamp = stamps.get(trans) ?? nextStamp(trans)
    stamps.set(trans, stamp)
    return stamp
  }

  /** Stamps what a request changes, and then makes it. */
  const stampedly = <T>(
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
            return stampOf(trans).then(stamp => {
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

  return {
    ...core,
    transaction: (tables, mode, options) =>
      core.transaction(
        mode === 'readwrite' && tables.some(name => STAMPED.has(name))
          ? [...new Set([...tables, 'stamps', 'meta'])]
          : tables,
        mode,
        options,
      ),
    table: name => {
      const table = core.table(name)
      const stamped = STAMPED.get(name)
      if (!stamped) return table
      return {
        ...table,
        mutate: request =>
          // Rows are cleared as a whole only where a log is replaced.
          request.type === 'deleteRange' ||
          joins.has(request.trans) ||
          (request.trans as IDBTransaction).mode === 'versionchange'
            ? table.mutate(request)
            : (stampedly(stamped, name, request, () => table.mutate(request)) as ReturnType<typeof table.mutate>),
      }
    },
  }
}
