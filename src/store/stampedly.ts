import type { DBCore, DBCoreMutateRequest, DBCoreTransaction } from 'dexie'
import { problem } from '../core/codes/problem'
import { stampsAfter } from '../core/joining/parts'
import { type Stamp, type StampRow, stampRowId, tickUs } from '../core/joining/stamp'
import type { StampedTable } from '../core/joining/tables'
import type { Screen } from '../core/shop/stamps'
import { Unfit } from './save-state'
import { isShared } from './shared-mark'
import { onlyShows } from './shared-role'
import { markUnsent } from './unsent'

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
  request: Change,
  mutate: () => PromiseLike<T>,
): PromiseLike<T> => {
  refuseWhereOnlyShown(request)
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
          const begun = ids.flatMap((id, i) => (befores[i] || rows[i] ? [] : stampRowId(table, id)))
          if (begun.length === ids.length) return mutate().then(made => alsoSent(core, trans, begun, made))
          return stampOf(core, trans).then(stamp => {
            const changed = ids.flatMap(
              (id, i) => stampsAfter(table, id, [befores[i], values[i]], rows[i], stamp) ?? [],
            )
            return changed.length === 0
              ? mutate().then(made => alsoSent(core, trans, begun, made))
              : core
                  .table('stamps')
                  .mutate({ type: 'put', trans, values: changed })
                  .then(() => mutate())
                  .then(made => alsoSent(core, trans, [...begun, ...changed.map(row => row.id)], made))
          })
        }),
    )
}

/** Refuses what a screen that only shows would change of the workshop; a practice each screen has of its own. */
function refuseWhereOnlyShown(request: DBCoreMutateRequest): void {
  const isOfShop =
    !('values' in request) || request.values.some((row: { readonly mode?: string }) => row.mode !== 'practice')
  if (onlyShows() && isOfShop) throw new Unfit([problem('only-shows', {})])
}

type Change = Exclude<DBCoreMutateRequest, { type: 'deleteRange' }>

/** Makes a request, and marks what it changes to be sent to the other screens. A practice stays on its own screen. */
export const sending = <T>(
  core: DBCore,
  table: StampedTable | 'runs',
  request: Change,
  mutate: () => PromiseLike<T>,
): PromiseLike<T> => {
  refuseWhereOnlyShown(request)
  const ids: readonly string[] =
    request.type === 'delete'
      ? request.keys
      : (request.values as readonly { readonly id: string; readonly mode?: string }[]).flatMap(({ id, mode }) =>
          table === 'runs' && mode !== 'shop' ? [] : id,
        )
  const keys = ids.map(id => stampRowId(table, id))
  return mutate().then(made => alsoSent(core, request.trans, keys, made))
}

const alsoSent = <T>(core: DBCore, trans: DBCoreTransaction, keys: readonly string[], made: T): PromiseLike<T> | T =>
  keys.length > 0 && isShared() ? markUnsent(core, trans, keys).then(() => made) : made
