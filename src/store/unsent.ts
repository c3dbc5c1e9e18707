import type { DBCore, DBCoreTransaction } from 'dexie'

/** Marks in the table `meta` for what waits to be sent to other screens: by table and id of the record. */
export const UNSENT = 'unsent/'

/** Marks records as waiting, in the transaction that changes them. A mark’s value is another one with each change: what was sent meanwhile is told by it. */
export const markUnsent = (core: DBCore, trans: DBCoreTransaction, rowKeys: readonly string[]): PromiseLike<unknown> =>
  core.table('meta').mutate({
    type: 'put',
    trans,
    values: rowKeys.map(key => ({ key: UNSENT + key, value: crypto.randomUUID() })),
  })
